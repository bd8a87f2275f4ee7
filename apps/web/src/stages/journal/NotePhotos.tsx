import { ImagePlus, X } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 6px;
  font-size: var(--size-text);
  figure {
    display: flex;
    margin: 0;
  }
  img {
    width: 64px;
    height: 64px;
    border: 1px solid var(--line);
    border-radius: 8px;
    object-fit: cover;
  }
  [role='alert'] {
    flex-basis: 100%;
    font-size: var(--size-note);
    color: var(--wrong);
  }
`;

/** As many as a note takes. */
const MOST = 12;

/** A photo that was chosen, and where this browser shows it. */
export interface Chosen {
  readonly file: File;
  readonly address: string;
}

/** Photos to go with a note: chosen or taken now, kept when the note is. */
export function NotePhotos({
  photos,
  onChange,
}: {
  photos: readonly Chosen[];
  onChange: (photos: readonly Chosen[]) => void;
}) {
  const [wrong, setWrong] = useState<string | null>(null);
  const take = (files: FileList | null) => {
    const chosen = [...(files ?? [])];
    const pictures = chosen.filter((file) => file.type.startsWith('image/'));
    const other = chosen.find((file) => !pictures.includes(file));
    const left = photos.length + pictures.length - MOST;
    setWrong(
      other
        ? `${other.name} is no picture.`
        : left > 0
          ? `A note takes ${MOST} photos; ${left} left out.`
          : null,
    );
    const shown = pictures.map((file) => ({ file, address: URL.createObjectURL(file) }));
    onChange([...photos, ...shown].slice(0, MOST));
  };
  return (
    <Row>
      {photos.map((photo, i) => (
        <figure key={photo.address}>
          <img src={photo.address} alt={`To go with the note: photo ${i + 1}, ${photo.file.name}`} />
          <Button
            look="quiet"
            aria-label={`Leave photo ${i + 1} out`}
            onPress={() => {
              URL.revokeObjectURL(photo.address);
              onChange(photos.filter((one) => one !== photo));
            }}
          >
            <X size={15} aria-hidden />
          </Button>
        </figure>
      ))}
      {photos.length < MOST && (
        <FileTrigger acceptedFileTypes={['image/*']} allowsMultiple onSelect={take}>
          <Button look="quiet">
            <ImagePlus size={15} aria-hidden />
            {photos.length === 0 ? 'Add a photo' : 'Another photo'}
          </Button>
        </FileTrigger>
      )}
      {wrong !== null && <p role="alert">{wrong}</p>}
    </Row>
  );
}

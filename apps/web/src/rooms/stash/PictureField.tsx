import { ImagePlus, X } from 'lucide-react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { serverError, useAddPictureMutation } from '../../sync/api.ts';
import { Button } from '../../design/controls/Button.tsx';
import { pictureAddress } from '../drawing/faces.tsx';
import { newId } from '../../browser/tabs.ts';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 4px 0;
  font-size: var(--size-text);
  img {
    width: 64px;
    height: 64px;
    border: 1px solid var(--line);
    border-radius: 8px;
  }
  [role='alert'] {
    flex-basis: 100%;
    font-size: var(--size-note);
    color: var(--wrong);
  }
`;

/** A photo of a cloth: taken or chosen, kept by the server, its main colour told. */
export function PictureField({
  of,
  value,
  onMade,
  onNone,
}: {
  of: string;
  value: string | undefined;
  onMade: (picture: string, colour: string | null) => void;
  onNone: () => void;
}) {
  const [add, { isLoading, error }] = useAddPictureMutation();
  const take = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const made = await add({ id: newId(), file });
    if ('data' in made && made.data) onMade(made.data.id, made.data.colours[0] ?? null);
  };
  return (
    <Row>
      {value !== undefined && <img src={pictureAddress(value)} alt={`Photo of ${of}`} />}
      <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => void take(files)}>
        <Button look="quiet" isDisabled={isLoading}>
          <ImagePlus size={15} aria-hidden />
          {isLoading ? 'Looking at it…' : value === undefined ? 'Add a photo' : 'Another photo'}
        </Button>
      </FileTrigger>
      {value !== undefined && (
        <Button look="quiet" aria-label={`Take the photo of ${of} off`} onPress={onNone}>
          <X size={15} aria-hidden />
        </Button>
      )}
      {error !== undefined && (
        <p role="alert">
          {serverError(error).code === 'offline'
            ? 'The photo could not be sent: the server is away. It is still where it was taken; add it later.'
            : serverError(error).message}
        </p>
      )}
    </Row>
  );
}

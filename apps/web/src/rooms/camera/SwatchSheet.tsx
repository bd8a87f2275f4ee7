import type { Contrast, Point } from '@lattice/core';
import { ImageUp } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { ContrastVerdict } from '../../design/ContrastVerdict.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { PointBoard } from './PointBoard.tsx';
import { saidAndDone } from './sheetStyles.ts';
import { usePhotos } from './usePhotos.ts';

const Body = styled.div`
  ${saidAndDone}
  .swatch {
    width: 64px;
    height: 64px;
    border: 1px solid var(--line);
    border-radius: 8px;
  }
`;

interface SwatchSheetProps {
  readonly judge: (colour: string) => Contrast;
  readonly onTake: (colour: string) => void;
  readonly onClose: () => void;
}

const NAMES = ['On the cloth', 'On white paper'];

/** A cloth held beside the blocks, photographed with white paper: its colour as it is under white light, and how it stands out. */
export function SwatchSheet({ judge, onTake, onClose }: SwatchSheetProps) {
  const { on, ask, take } = usePhotos();
  const [places, setPlaces] = useState<readonly Point[] | null>(null);
  const [colour, setColour] = useState<string | null>(null);
  const begin = useCallback(
    async (files: FileList | null) => {
      setPlaces(null);
      setColour(null);
      await take(files, null);
    },
    [take],
  );
  useFilesHere(begin);
  const photo = on?.photo ?? null;
  const scale = photo ? photo.picture.width / photo.width : 1;
  // White is looked for beside the squares of a sheet or card; where there are none it is pointed at.
  useEffect(() => {
    if (!photo) return;
    let gone = false;
    void ask({ ask: 'paper' }).then((paper) => {
      if (gone) return;
      const { width, height } = photo.picture;
      setPlaces([
        { x: width / 2, y: height / 2 },
        paper ? { x: paper.x * scale, y: paper.y * scale } : { x: width * 0.8, y: height * 0.2 },
      ]);
    });
    return () => {
      gone = true;
    };
  }, [photo, ask, scale]);
  useEffect(() => {
    if (!places) return;
    let gone = false;
    const [cloth, paper] = places.map((p) => ({ x: p.x / scale, y: p.y / scale })) as [Point, Point];
    void ask({ ask: 'swatch', cloth, paper }).then((seen) => !gone && setColour(seen));
    return () => {
      gone = true;
    };
  }, [places, ask, scale]);
  const near = useCallback(
    (at: Point, size: number) =>
      ask({ ask: 'near', at: { x: at.x / scale, y: at.y / scale }, on: 'photo', dots: 120, size }),
    [ask, scale],
  );
  const contrast = colour === null ? null : judge(colour);
  return (
    <Sheet title="A cloth, by camera" width={820} isOpen onClose={onClose}>
      <Body>
        <div className="acts">
          <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => void begin(files)}>
            <Button look={photo ? 'plain' : 'main'} autoFocus>
              <ImageUp size={15} aria-hidden />
              Choose a photo
            </Button>
          </FileTrigger>
          {colour && (
            <span
              className="swatch"
              role="img"
              aria-label={`Its colour, ${colour}`}
              style={{ background: colour }}
            />
          )}
          {colour && (
            <Button look="main" onPress={() => onTake(colour)}>
              Try it on the wall
            </Button>
          )}
        </div>
        {on?.wrong && (
          <p className="wrong" role="alert">
            {on.wrong}
          </p>
        )}
        <p className="says">
          {photo
            ? 'One ring lies on the cloth, the other on white paper in the same light: light of any tint is taken out by it.'
            : 'Hold the cloth beside the blocks, with the printed sheet or other white paper beside it in the same light.'}
        </p>
        {photo && places && (
          <PointBoard
            picture={photo.picture}
            says="The photo of the cloth"
            points={places}
            names={NAMES}
            step={scale}
            onMove={(k, to) => setPlaces(places.map((p, i) => (i === k ? to : p)))}
            near={near}
          />
        )}
        {contrast && (
          <ContrastVerdict role="status" data-kind={contrast.kind}>
            {contrast.text}
          </ContrastVerdict>
        )}
      </Body>
    </Sheet>
  );
}

import { type Layout, near, type Plan, type Point, rowLabels, wallOf, type WallPlace } from '@lattice/core';
import type { ReadLayout } from '@lattice/photo';
import { ImageUp } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { FACE_SQUARE, faceSquares } from './faceSquares.ts';
import { hasBetween, laidPlaces, liesNow, placesOf, pointedPlaces, wallAsRead } from './laid.ts';
import { PointBoard } from './PointBoard.tsx';
import { Halves } from './sheetStyles.ts';
import { usePhotos } from './usePhotos.ts';

const Body = styled(Halves)`
  .empty {
    display: grid;
    place-items: center;
    min-height: 300px;
    border: 2px dashed var(--line);
    border-radius: 12px;
    padding: 20px;
    text-align: center;
    color: var(--soft);
  }
  ul {
    max-height: 34vh;
    margin: 6px 0;
    padding: 0;
    overflow: auto;
    list-style: none;
    font-size: var(--size-text);
  }
  li {
    padding: 5px 8px;
    border-left: 3px solid var(--chalk);
    margin-bottom: 4px;
  }
  li[data-unsure='true'] {
    border-color: var(--brass);
    background: var(--brass-wash);
  }
`;
const Shown = styled.div`
  position: relative;
  margin: 0 auto;
  canvas {
    display: block;
    width: 100%;
    border-radius: 8px;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  polygon {
    fill: none;
    stroke: rgb(255 255 255 / 75%);
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  polygon[data-is='other'] {
    stroke: var(--chalk);
    stroke-width: 4;
  }
  polygon[data-is='unsure'] {
    stroke: var(--brass);
    stroke-width: 4;
    stroke-dasharray: 7 5;
  }
`;

interface LaidSheetProps {
  readonly plan: Plan;
  readonly layout: Layout;
  readonly onTake: (places: readonly WallPlace[]) => void;
  readonly onClose: () => void;
}

/** A layout on floor or bed, read from one photo: what lies where, what differs from the wall, and onto the wall at a press. */
export function LaidSheet({ plan, layout, onTake, onClose }: LaidSheetProps) {
  const { on, ask, take } = usePhotos();
  const [edgeToEdge, setEdgeToEdge] = useState(false);
  const [pointed, setPointed] = useState<readonly Point[] | null>(null);
  const [read, setRead] = useState<ReadLayout | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const begin = useCallback(
    async (files: FileList | null) => {
      setPointed(null);
      setRead(null);
      setWrong(null);
      await take(files, null);
    },
    [take],
  );
  useFilesHere(begin);
  const pieces = useMemo(() => placesOf(layout), [layout]);
  const labels = useMemo(() => rowLabels(pieces), [pieces]);
  const wall = useMemo(() => wallOf(plan, pieces.length), [plan, pieces]);
  const places = useMemo(() => laidPlaces(layout, edgeToEdge), [layout, edgeToEdge]);
  const points = useMemo(() => pointedPlaces(places), [places]);
  const photo = on?.photo ?? null;
  const scale = photo ? photo.picture.width / photo.width : 1;
  const corners = pointed ?? (photo ? rim(photo.picture) : []);
  const closeUp = useCallback(
    (at: Point, size: number) =>
      ask({ ask: 'near', at: { x: at.x / scale, y: at.y / scale }, on: 'photo', dots: 120, size }),
    [ask, scale],
  );
  const look = async () => {
    setBusy(true);
    setWrong(null);
    try {
      const blocks = await faceSquares(plan.pile);
      const found = await ask({
        ask: 'layout',
        asked: {
          places,
          blocks,
          size: FACE_SQUARE,
          pointed: points.places.map((place, k) => ({
            place,
            seen: { x: corners[k]!.x / scale, y: corners[k]!.y / scale },
          })),
          turns: near(plan.block.width, plan.block.height) ? [0, 1, 2, 3] : [0, 2],
          now: liesNow(plan, layout, wall),
        },
      });
      if (!found) setWrong('The four corners lie in a line: point at each of them.');
      setRead(found);
    } catch (error) {
      setWrong(error instanceof Error ? error.message : 'The photo could not be read.');
    }
    setBusy(false);
  };
  const now = liesNow(plan, layout, wall);
  const isOther = (i: number) =>
    read !== null &&
    (read.places[i]!.block !== (now[i]?.block ?? null) ||
      (now[i] !== null && read.places[i]!.turn !== now[i]!.turn));
  const told = read ? read.places.map((_, i) => i).filter((i) => read.places[i]!.unsure || isOther(i)) : [];
  const name = (block: number | null) => (block === null ? 'nothing of the pile' : plan.pile[block]!.name);
  const choose = (i: number, block: string) =>
    setRead(
      (had) =>
        had && {
          ...had,
          places: had.places.map((p, k) =>
            k === i
              ? { ...p, block: block === 'none' ? null : Number(block), unsure: false }
              : // A block lies in one place: where it lay before it is asked again.
                p.block === Number(block)
                ? { ...p, block: had.places[i]!.block, unsure: true }
                : p,
          ),
        },
    );
  const differing = read ? read.places.filter((_, i) => isOther(i)).length : 0;
  const asking = read ? read.places.filter((p) => p.unsure).length : 0;
  return (
    <Sheet title="The layout, from a photo" width={1180} isOpen onClose={onClose}>
      <Body>
        <div>
          {!photo && (
            <p className="empty">
              Lay the blocks out on the floor or the bed, stand so that all of them are in the photo, and drop
              it here.
            </p>
          )}
          {photo && !read && (
            <PointBoard
              picture={photo.picture}
              says="The photo of the layout"
              points={corners}
              names={points.names}
              step={scale}
              onMove={(k, to) => setPointed(corners.map((p, i) => (i === k ? to : p)))}
              near={closeUp}
            />
          )}
          {photo && read && (
            <ReadPicture picture={photo.picture} scale={scale} read={read} isOther={isOther} />
          )}
        </div>
        <div>
          <div className="acts">
            <FileTrigger acceptedFileTypes={['image/*']} onSelect={(files) => void begin(files)}>
              <Button look={photo ? 'plain' : 'main'} autoFocus>
                <ImageUp size={15} aria-hidden />
                Choose a photo
              </Button>
            </FileTrigger>
          </div>
          {(on?.wrong ?? wrong) && (
            <p className="wrong" role="alert">
              {on?.wrong ?? wrong}
            </p>
          )}
          {hasBetween(layout) && !read && (
            <SwitchField
              label="Blocks lie edge to edge, no sashes"
              value={edgeToEdge}
              onChange={setEdgeToEdge}
            />
          )}
          {photo && !read && (
            <>
              <p className="says">{points.says}</p>
              <div className="acts">
                <Button look="main" isDisabled={busy} onPress={() => void look()}>
                  {busy ? 'Reading…' : 'Read what lies where'}
                </Button>
              </div>
            </>
          )}
          {read && (
            <>
              <p className="says" role="status">
                {read.unlike > HARDLY
                  ? 'This hardly looks like the blocks of this quilt: check that the corners sit on the blocks, and give each block a picture or a drawn face.'
                  : differing === 0 && asking === 0
                    ? 'It lies as on your wall.'
                    : `${differing} of ${read.places.length} places differ from the wall${asking > 0 ? `; ${asking} to be asked` : ''}.`}
              </p>
              <ul aria-label="What differs" tabIndex={0}>
                {told.map((i) => {
                  const place = read.places[i]!;
                  const was = now[i]?.block ?? null;
                  const where = `Row ${labels[i]!.row}, place ${labels[i]!.number}`;
                  return (
                    <li key={i} data-unsure={place.unsure}>
                      {place.unsure ? (
                        <ChoiceField
                          label={`${where}: unsure`}
                          labelled
                          value={place.block === null ? 'none' : String(place.block)}
                          choices={[
                            ...[...new Set([place.block, ...place.others, was])]
                              .filter((b) => b !== null)
                              .map((b) => ({ id: String(b), name: name(b) })),
                            { id: 'none', name: 'None of the pile' },
                          ]}
                          onChange={(block) => choose(i, block)}
                        />
                      ) : place.block === was ? (
                        `${where}: ${name(place.block)} is rotated differently`
                      ) : (
                        `${where}: ${name(place.block)}, on the wall ${name(was)}`
                      )}
                    </li>
                  );
                })}
              </ul>
              <div className="acts">
                <Button
                  look="main"
                  isDisabled={differing === 0}
                  onPress={() => onTake(wallAsRead(plan, layout, wall, read))}
                >
                  Put it on the wall
                </Button>
                <Button onPress={() => setRead(null)}>Point again</Button>
              </div>
            </>
          )}
        </div>
      </Body>
    </Sheet>
  );
}

/** Above this a photo and a pile are hardly of one quilt (CIELAB, the median over the places; from memory of trials). */
const HARDLY = 22;

/** Corners to begin with: near the rim, as a photo of a whole layout has them. */
const rim = ({ width, height }: ImageBitmap): readonly Point[] => [
  { x: width * 0.1, y: height * 0.1 },
  { x: width * 0.9, y: height * 0.1 },
  { x: width * 0.9, y: height * 0.9 },
  { x: width * 0.1, y: height * 0.9 },
];

function ReadPicture({
  picture,
  scale,
  read,
  isOther,
}: {
  picture: ImageBitmap;
  scale: number;
  read: ReadLayout;
  isOther: (place: number) => boolean;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [picture]);
  return (
    <Shown style={{ width: `min(100%, calc(62vh * ${picture.width / picture.height}))` }}>
      <canvas
        ref={canvas}
        width={picture.width}
        height={picture.height}
        role="img"
        aria-label="The photo, with every place that was read"
      />
      <svg viewBox={`0 0 ${picture.width} ${picture.height}`} preserveAspectRatio="none" aria-hidden>
        {read.seen.map((quad, i) => (
          <polygon
            key={i}
            data-is={read.places[i]!.unsure ? 'unsure' : isOther(i) ? 'other' : 'same'}
            points={quad.map((p) => `${p.x * scale},${p.y * scale}`).join(' ')}
          />
        ))}
      </svg>
    </Shown>
  );
}

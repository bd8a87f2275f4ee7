import {
  type CutTo,
  formatFine,
  fromInches,
  numberOf,
  type PileBlock,
  type Plan,
  type Point,
  rulerFine,
  VERDICT_NAMES,
  verdictOn,
} from '@lattice/core';
import {
  cameraOf,
  DOUBT_WORDS,
  type PhotoAsked,
  type PhotoMeasured,
  type SixLengths,
  UNSETTLED,
} from '@lattice/photo';
import { Camera, FileDown, ImageUp, SkipForward } from 'lucide-react';
import { useCallback, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { Verdict } from '../../design/Verdict.ts';
import { sendPicture } from '../../sync/pictures.ts';
import { writeExport } from '../taking/taking.ts';
import type { MeasuredPhoto } from '../workers/photo.worker.ts';
import { HowToLay } from './HowToLay.tsx';
import { PointBoard } from './PointBoard.tsx';
import { type MeasuredBy, ReferenceChoice, referenceOf, usualReference } from './ReferenceChoice.tsx';
import { Halves } from './sheetStyles.ts';
import { usePhotos } from './usePhotos.ts';

const Body = styled(Halves)`
  .state {
    margin: 8px 0 0;
    font-size: var(--size-note);
    color: var(--soft);
  }
  .doubts {
    margin: 6px 0;
    padding: 0;
    list-style: none;
    font-size: var(--size-note);
    li {
      padding: 6px 8px;
      border-left: 3px solid var(--brass);
      background: var(--brass-wash);
      margin-bottom: 4px;
    }
  }
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: var(--size-text);
  caption {
    text-align: left;
    font-size: var(--size-note);
    color: var(--soft);
  }
  th {
    font-weight: 500;
    color: var(--soft);
    text-align: left;
  }
  td {
    padding: 3px 0;
    text-align: right;
    font-weight: 650;
    font-stretch: 88%;
  }
`;

const PLACES = [
  'First point, top left',
  'Second point, top right',
  'Third point, bottom right',
  'Fourth point, bottom left',
];
const CORNERS = ['Top left corner', 'Top right corner', 'Bottom right corner', 'Bottom left corner'];
interface PhotoSheetProps {
  readonly plan: Plan;
  readonly cut: CutTo;
  readonly onMeasured: (
    id: string,
    sizes: Pick<PileBlock, 'width' | 'height' | 'edges' | 'diagonals'>,
  ) => void;
  readonly onClose: () => void;
}

/** Blocks measured by photos, one after another: each straightened, its corners to be checked, its sizes taken at a press. */
export function PhotoSheet({ plan, cut, onMeasured, onClose }: PhotoSheetProps) {
  const { pile, unit, seam } = plan;
  const dispatch = useAppDispatch();
  const { on, waiting, ask, take, next, measure, move } = usePhotos();
  const [by, setBy] = useState<MeasuredBy>(usualReference);
  const [keeps, setKeeps] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  /** Four places pointed at, in the shown picture's dots. */
  const [pointed, setPointed] = useState<readonly Point[] | null>(null);
  const block = pile.find((b) => b.id === chosen) ?? pile.find((b) => b.width === null) ?? pile[0] ?? null;
  const asked: PhotoAsked = { reference: referenceOf(by) };
  const byItself = by.kind === 'places' ? null : asked;
  const begin = useCallback(
    async (files: FileList | null) => {
      setPointed(null);
      await take(files, byItself);
    },
    // What is asked follows from `by` alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [take, by],
  );
  useFilesHere(begin);

  const { photo, measured } = on ?? { photo: null, measured: null };
  const six = measured?.six ?? null;
  const sizes = measured && asSizes(measured, unit);
  // What makes the size itself doubtful is settled first: nothing is judged or taken by it.
  const isOpen = measured !== null && measured.doubts.some((doubt) => UNSETTLED.has(doubt));
  const verdict = block && sizes && !isOpen ? verdictOn({ ...block, ...sizes }, cut, unit, seam) : null;

  const takeSizes = async () => {
    if (!block || !sizes || !measured) return;
    if (keeps) {
      const camera = cameraOf(measured.values);
      const face = await ask({ ask: 'face', corners: measured.places.map((p) => camera.seen(p)), size: 800 });
      void dispatch(sendPicture(block.id, face));
    }
    onMeasured(block.id, sizes);
    setSaid(`${block.name} is measured.`);
    const after = pile.slice(pile.indexOf(block) + 1).find((b) => b.width === null);
    setChosen(after?.id ?? pile[pile.indexOf(block) + 1]?.id ?? null);
    setPointed(null);
    await next(byItself);
  };
  const again = (next: MeasuredBy) => {
    setBy(next);
    setPointed(null);
    if (photo && next.kind !== 'places') void measure({ reference: referenceOf(next) });
  };
  const scale = photo ? photo.picture.width / photo.width : 1;
  const corners = pointed ?? (photo ? quarterIn(photo.picture) : []);
  // Where the squares are seen and the block is not, it is the block that is pointed at.
  const pointsAtBlock = on?.refused === 'no-block' && on.asked !== null;
  const measurePointed = () => {
    const inPhoto = corners.map((p) => ({ x: p.x / scale, y: p.y / scale }));
    setPointed(null);
    void measure(
      pointsAtBlock
        ? { ...on.asked!, blockCorners: inPhoto }
        : {
            reference: referenceOf(by),
            referenceCorners: inPhoto,
            ...(by.kind === 'letter' || by.kind === 'a4' ? {} : { rectangle: by.sides }),
          },
    );
  };
  const nearPhoto = useCallback(
    (at: Point, size: number) =>
      ask({ ask: 'near', at: { x: at.x / scale, y: at.y / scale }, on: 'photo', dots: 20, size }),
    [ask, scale],
  );
  const print = (paper: 'a4' | 'letter') => async () => {
    const { takeaway } = await import('@lattice/export');
    await dispatch(writeExport(takeaway('pdf', 'measuring-sheet')!, { paper, comma: false }));
  };
  return (
    <Sheet title="Measure by photo" width={1180} isOpen onClose={onClose}>
      <Body>
        <div>
          {!photo && <HowToLay />}
          {photo && measured && <TableBoard measured={measured} unit={unit} onMove={move} ask={ask} />}
          {photo && !measured && !on?.busy && (
            <>
              <PointBoard
                picture={photo.picture}
                says={`The photo ${on?.name ?? ''}`}
                points={corners}
                names={pointsAtBlock ? CORNERS : PLACES}
                step={0.1 * scale}
                onMove={(k, to) => setPointed(corners.map((p, i) => (i === k ? to : p)))}
                near={nearPhoto}
              />
              <div className="acts">
                <Button look="main" onPress={measurePointed}>
                  {pointsAtBlock ? 'Measure between these corners' : 'Measure by these four points'}
                </Button>
              </div>
            </>
          )}
          <p className="state" role="status">
            {on?.busy ? `Measuring ${on.name}…` : said}
            {waiting > 0 && ` ${numberOf(waiting, 'photo')} more in the row.`}
          </p>
        </div>
        <div>
          <div className="acts">
            <FileTrigger
              acceptedFileTypes={['image/*']}
              allowsMultiple
              onSelect={(files) => void begin(files)}
            >
              <Button look={photo ? 'plain' : 'main'} autoFocus>
                <ImageUp size={15} aria-hidden />
                Choose photos
              </Button>
            </FileTrigger>
            <FileTrigger
              acceptedFileTypes={['image/*']}
              defaultCamera="environment"
              onSelect={(files) => void begin(files)}
            >
              <Button>
                <Camera size={15} aria-hidden />
                Take one
              </Button>
            </FileTrigger>
          </div>
          <ReferenceChoice value={by} unit={unit} onChange={again} />
          {!photo && (
            <div className="acts">
              <Button onPress={print('letter')}>
                <FileDown size={15} aria-hidden />
                Print the sheet, Letter
              </Button>
              <Button onPress={print('a4')}>
                <FileDown size={15} aria-hidden />
                Print the sheet, A4
              </Button>
            </div>
          )}
          {on?.wrong && (
            <p className="wrong" role="alert">
              {on.wrong}
            </p>
          )}
          {measured && six && (
            <>
              <ChoiceField
                label="This is"
                labelled
                value={block?.id ?? ''}
                choices={pile.map((b) => ({
                  id: b.id,
                  name: b.width === null ? `${b.name}, not measured` : b.name,
                }))}
                onChange={setChosen}
              />
              <SixTable six={six} unit={unit} />
              <p className="state">
                {isOpen && 'Not sure enough to be judged or taken: see below what to settle first. '}
                Each is right to <Lengths text={sureTo(measured.uncertainty, unit)} /> in 19 photos out of 20
                {on?.moved ? '; corners were moved by hand' : ''}. Corners off square by{' '}
                {measured.skew.map(asDegrees).join(', ')}.
              </p>
              {measured.doubts.length > 0 && (
                <ul className="doubts" aria-label="What makes it unsure">
                  {measured.doubts.map((doubt) => (
                    <li key={doubt}>{DOUBT_WORDS[doubt]}</li>
                  ))}
                </ul>
              )}
              {verdict && (
                <Verdict role="status" data-kind={KIND_OF[verdict.kind]}>
                  <b>{VERDICT_NAMES[verdict.kind]}.</b> <Lengths text={verdict.text} />
                </Verdict>
              )}
              <SwitchField label="Its face as the block’s picture" value={keeps} onChange={setKeeps} />
              <div className="acts">
                <Button look="main" isDisabled={!block || isOpen} onPress={() => void takeSizes()}>
                  {block ? `Take these for ${block.name}` : 'There are no blocks'}
                </Button>
                <Button onPress={() => void next(byItself)}>
                  <SkipForward size={15} aria-hidden />
                  Not this one
                </Button>
              </div>
            </>
          )}
        </div>
      </Body>
    </Sheet>
  );
}

/** How far from square, to a tenth of a degree. */
const asDegrees = (v: number): string => {
  const tenths = Math.round(v * 10);
  return `${tenths > 0 ? '+' : tenths < 0 ? '−' : ''}${(Math.abs(tenths) / 10).toFixed(1)}°`;
};

const KIND_OF = {
  fine: 'fine',
  ease: 'ease',
  trim: 'ease',
  small: 'square-up',
  crooked: 'square-up',
  unmeasured: 'ease',
} as const;

const sureTo = (inches: number, unit: Plan['unit']): string =>
  unit === 'in' ? `${Math.max(0.001, inches).toFixed(3)}″` : `${Math.max(0.01, inches * 2.54).toFixed(2)} cm`;

/** What a block keeps of a photo: its middles, its edges, and corner to corner. */
function asSizes(
  { six: { width, height }, places }: Pick<PhotoMeasured, 'six' | 'places'>,
  unit: Plan['unit'],
): Required<Pick<PileBlock, 'width' | 'height' | 'edges' | 'diagonals'>> {
  const apart = (a: Point, b: Point) => fromInches(Math.hypot(b.x - a.x, b.y - a.y), unit);
  // As a tape's marks.
  const mark = (inches: number) => rulerFine(unit).apply(fromInches(inches, unit));
  return {
    width: mark(width.middle),
    height: mark(height.middle),
    edges: {
      top: mark(width.top),
      bottom: mark(width.bottom),
      left: mark(height.left),
      right: mark(height.right),
    },
    // As they are: how far off square a block is would be lost between two marks.
    diagonals: [apart(places[0]!, places[2]!), apart(places[1]!, places[3]!)],
  };
}

/** Four places to begin with: a quarter in from the rim. */
const quarterIn = ({ width, height }: ImageBitmap): readonly Point[] => [
  { x: width * 0.25, y: height * 0.25 },
  { x: width * 0.75, y: height * 0.25 },
  { x: width * 0.75, y: height * 0.75 },
  { x: width * 0.25, y: height * 0.75 },
];

function SixTable({ six: { width, height }, unit }: { six: SixLengths; unit: Plan['unit'] }) {
  const show = (inches: number) => <Lengths text={formatFine(fromInches(inches, unit), unit)} />;
  return (
    <Table aria-label="What it measures">
      <tbody>
        <tr>
          <th scope="row">Width, top, middle, bottom</th>
          <td>{show(width.top)}</td>
          <td>{show(width.middle)}</td>
          <td>{show(width.bottom)}</td>
        </tr>
        <tr>
          <th scope="row">Height, left, middle, right</th>
          <td>{show(height.left)}</td>
          <td>{show(height.middle)}</td>
          <td>{show(height.right)}</td>
        </tr>
      </tbody>
    </Table>
  );
}

/** The table from straight above with the block's outline on it, each edge with its length. */
function TableBoard({
  measured: { table, places, six, perInch },
  unit,
  onMove,
  ask,
}: {
  measured: MeasuredPhoto;
  unit: Plan['unit'];
  onMove: (corner: number, to: Point) => void;
  ask: ReturnType<typeof usePhotos>['ask'];
}) {
  const { left, top, perInch: dots } = table;
  const shown = (p: Point): Point => ({ x: (p.x - left) * dots, y: (p.y - top) * dots });
  const laid = useCallback(
    (p: Point): Point => ({ x: left + p.x / dots, y: top + p.y / dots }),
    [left, top, dots],
  );
  const near = useCallback(
    (at: Point, size: number) => ask({ ask: 'near', at: laid(at), on: 'table', dots: 20, size }),
    [ask, laid],
  );
  const points = places.map(shown);
  const middle = (a: number, b: number) => ({
    x: (points[a]!.x + points[b]!.x) / 2,
    y: (points[a]!.y + points[b]!.y) / 2,
  });
  const show = (inches: number) => <Lengths text={formatFine(fromInches(inches, unit), unit)} />;
  return (
    <PointBoard
      picture={table.picture}
      says="The block from straight above, with its outline"
      points={points}
      names={CORNERS}
      step={(0.1 / perInch) * dots}
      onMove={(k, to) => onMove(k, laid(to))}
      near={near}
      lengths={[
        { key: 'top', at: middle(0, 1), text: show(six.width.top) },
        { key: 'right', at: middle(1, 2), text: show(six.height.right) },
        { key: 'bottom', at: middle(2, 3), text: show(six.width.bottom) },
        { key: 'left', at: middle(3, 0), text: show(six.height.left) },
      ]}
    />
  );
}

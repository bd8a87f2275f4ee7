import {
  type CutTo,
  formatFine,
  fromInches,
  type PileBlock,
  type Plan,
  VERDICT_NAMES,
  verdictOn,
} from '@lattice/core';
import { DOUBT_WORDS, type SixLengths, UNSETTLED } from '@lattice/photo';
import { Lengths } from '../../design/Lengths.tsx';
import { Verdict } from '../../design/Verdict.ts';
import type { MeasuredPhoto } from '../workers/photo.worker.ts';
import { Table } from './PhotoSheet.styles.ts';
import { asSizes } from './photoSizes.ts';

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

/** What makes the size itself doubtful is settled first: nothing is judged or taken by it. */
export const isOpen = ({ doubts }: Pick<MeasuredPhoto, 'doubts'>): boolean =>
  doubts.some((doubt) => UNSETTLED.has(doubt));

interface MeasurementProps {
  readonly plan: Plan;
  readonly cut: CutTo;
  readonly measured: MeasuredPhoto;
  /** The block it is taken for; null where there is none. */
  readonly block: PileBlock | null;
  /** Whether corners were moved by hand. */
  readonly moved: boolean;
}

/** What a photo measured: six lengths, how surely, what makes it unsure, and the verdict on the block. */
export function Measurement({ plan, cut, measured, block, moved }: MeasurementProps) {
  const { unit, seam } = plan;
  const open = isOpen(measured);
  const verdict =
    block && !open ? verdictOn({ ...block, ...asSizes(measured, unit) }, cut, unit, seam) : null;
  return (
    <>
      <SixTable six={measured.six} unit={unit} />
      <p className="state">
        {open && 'Not sure enough to be judged or taken: see below what to settle first. '}
        Each is right to <Lengths text={sureTo(measured.uncertainty, unit)} /> in 19 photos out of 20
        {moved ? '; corners were moved by hand' : ''}. Corners off square by{' '}
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
    </>
  );
}

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

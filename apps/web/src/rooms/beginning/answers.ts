import {
  type BedId,
  type Beginning,
  blankPlan,
  type PileLine,
  type SettingKind,
  startBed,
  type Target,
  type Unit,
} from '@lattice/core';

/** What there is to begin with: blocks, a top or quilt, or only a size to reach. */
export type Have = 'blocks' | 'whole' | 'size';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** What was answered to each question of a new quilt; what is not asked keeps its answer. */
export interface Answers {
  readonly setting: SettingKind;
  /** Finished width of a border; none at all, or null for what the beginning has of itself: none, or what helps it to its size. */
  readonly border: number | 'none' | null;
  readonly forWhat: 'any' | 'bed' | 'size';
  readonly bed: BedId;
  readonly size: Size;
  /** Finished width of blocks to make. */
  readonly block: number;
  readonly layered: 'quilt' | 'top';
}

/** A size one begins to type over. */
const SIZES: Readonly<Record<Unit, Size>> = {
  in: { width: 60, height: 72 },
  cm: { width: 150, height: 180 },
};

/** As the questions stand before anything is answered. */
export const startAnswers = (unit: Unit): Answers => ({
  setting: 'sashed',
  border: null,
  forWhat: 'any',
  bed: 'us-queen',
  size: SIZES[unit],
  block: blankPlan(unit).block.width,
  layered: 'quilt',
});

/** Asked in another unit: lengths begin anew in it, everything else stays. */
export const inUnit = (answers: Answers, unit: Unit): Answers => {
  const { size, block } = startAnswers(unit);
  return { ...answers, size, block, border: null };
};

/** Who has only a size is asked which; others are not asked before they say so. */
export const withHave = (answers: Answers, have: Have): Answers => ({
  ...answers,
  forWhat: have === 'size' ? 'size' : 'any',
});

/** What size is wanted: of nothing but a size there always is one. */
export const wantsOf = (have: Have, { forWhat }: Answers): Answers['forWhat'] =>
  have === 'size' && forWhat === 'any' ? 'size' : forWhat;

/** The size the quilt is to reach; null where it comes as it comes. */
export function targetOf(have: Have, answers: Answers, unit: Unit): Target | null {
  const wants = wantsOf(have, answers);
  if (have === 'whole' || wants === 'any') return null;
  return wants === 'bed' ? startBed(answers.bed, unit) : { of: 'size', ...answers.size };
}

/** What was measured and said beside the answers, each null while it is not understood. */
export interface Measured {
  readonly line: PileLine | null;
  readonly width: number | null;
  readonly height: number | null;
}

/** What a quilt can be begun from; null while something is missing. */
export function beginningOf(
  have: Have,
  answers: Answers,
  { line, width, height }: Measured,
  unit: Unit,
): Beginning | null {
  const { setting, border, block, layered } = answers;
  const borders = typeof border === 'number' ? [border] : [];
  switch (have) {
    case 'blocks':
      return line && { unit, have, pile: line, setting, borders };
    case 'whole':
      return width !== null && height !== null ? { unit, have: layered, width, height } : null;
    case 'size': {
      const target = targetOf(have, answers, unit);
      return target && { unit, have, target, block, setting, borders };
    }
  }
}

/** What is wanted before anything can be drawn; null where nothing is. */
export function stillWanted(have: Have, beginning: Beginning | null): string | null {
  if (beginning) return null;
  return have === 'whole'
    ? 'Measure it both ways, and it is drawn here. Three readings each way come to their average: 64 7/8, 65, 65 1/8.'
    : 'Say how many blocks there are and how large, and the quilt is drawn here.';
}

/** The stage a new quilt opens at: where its next question is. */
export const firstStage = (have: Have, { layered }: Answers): string => {
  if (have !== 'whole') return 'setting';
  return layered === 'quilt' ? 'edge' : 'borders';
};

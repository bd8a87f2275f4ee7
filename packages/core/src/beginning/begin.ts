import { formatSize, formatWithUnit } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import type { Unit } from '../length/unit.ts';
import { numberOf } from '../figure/figure.ts';
import type { Plan, Target } from '../plan/shape.ts';
import { blankPlan, startBorder } from '../plan/start.ts';
import { type SettingKind, settingOf } from '../setting/registry.ts';
import { blockSizeOf, blocksOf } from './blocks-of.ts';
import { gridFor } from './grid-for.ts';
import { type PileLine, pileLineIn } from './pile-line.ts';

/** What a maker has to begin with. Lengths in `unit`. */
export type Beginning = { readonly unit: Unit } & (
  | {
      /** Blocks that are finished. */
      readonly have: 'blocks';
      readonly pile: PileLine;
      readonly setting: SettingKind;
      /** Finished widths from the centre out. */
      readonly borders: readonly number[];
    }
  /** A top that is sewn, or a quilt that is quilted: its measured size is enough. */
  | { readonly have: 'top' | 'quilt'; readonly width: number; readonly height: number }
  /** A size, and blocks of a size still to be made. */
  | {
      readonly have: 'size';
      readonly target: Target;
      readonly block: number;
      readonly setting: SettingKind;
      readonly borders: readonly number[];
    }
);

/**
 * A whole plan from what a maker has; everything in it can be changed afterwards.
 *
 * @example
 * begin({ have: 'quilt', unit: 'in', width: 41, height: 53 }, () => 'id').setting; // { kind: 'whole-quilt', width: 41, height: 53 }
 */
export function begin(beginning: Beginning, newId: () => string): Plan {
  const { unit } = beginning;
  const blank = blankPlan(unit);
  const borders = (widths: readonly number[]) => widths.map((width) => startBorder(newId(), width, 'border'));
  switch (beginning.have) {
    case 'blocks': {
      const line = pileLineIn(beginning.pile, unit);
      const block = blockSizeOf(line, blank.seam) ?? blank.block;
      const pile = blocksOf(line, { ...blank, block }, 0, newId);
      const setting = settingOf(beginning.setting).start(unit);
      return {
        ...blank,
        title: titleOf(beginning),
        block,
        pile,
        setting,
        grid: gridFor(pile.length, block, setting, blank.seam),
        borders: borders(beginning.borders),
      };
    }
    case 'top':
    case 'quilt': {
      const { width, height } = beginning;
      return {
        ...blank,
        title: titleOf(beginning),
        setting: { kind: beginning.have === 'top' ? 'whole-top' : 'whole-quilt', width, height },
        grid: { across: 1, down: 1 },
      };
    }
    case 'size': {
      const setting = settingOf(beginning.setting).start(unit);
      const block = { width: beginning.block, height: beginning.block };
      return {
        ...blank,
        title: titleOf(beginning),
        block,
        setting,
        grid: { across: 4, down: 5 },
        borders: borders(beginning.borders),
        target: beginning.target,
      };
    }
  }
}

/** A name that says what it began with, until it has one of its own. */
function titleOf(beginning: Beginning): string {
  const { unit } = beginning;
  switch (beginning.have) {
    case 'blocks': {
      const { groups } = beginning.pile;
      const count = groups.reduce((sum, group) => sum + group.count, 0);
      const [{ size }] = groups as readonly [(typeof groups)[number]];
      const show = size
        ? near(size.width, size.height)
          ? ` of ${formatWithUnit(size.width, beginning.pile.unit)}`
          : ` of ${formatSize(size.width, size.height, beginning.pile.unit)}`
        : '';
      return `${settingOf(beginning.setting).name}: ${numberOf(count, 'block')}${show}`;
    }
    case 'top':
      return `A top of ${formatSize(beginning.width, beginning.height, unit)}`;
    case 'quilt':
      return `Edge for a quilt of ${formatSize(beginning.width, beginning.height, unit)}`;
    case 'size':
      return beginning.target.of === 'bed' ? 'Quilt for a bed' : 'Quilt to a size';
  }
}

/** Finished border widths that are offered to begin with (common practice; from memory). */
export const BORDERS_OFFERED: Readonly<Record<Unit, readonly number[]>> = {
  in: [2, 2.5, 3, 4, 6],
  cm: [5, 6, 8, 10, 15],
};

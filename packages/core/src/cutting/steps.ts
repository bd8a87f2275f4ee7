import { group } from 'd3-array';
import { near, TOLERANCE } from '../length/tolerance.ts';
import { LEFTOVER_STEP } from '../log/leftover-key.ts';
import { fromInches, type Unit } from '../length/unit.ts';
import { type CutTree, cutTree } from './cut-tree.ts';
import { STRIPS_BETWEEN } from './squared.ts';
import type { ClothBox, Placed, StockBox } from './placed.ts';

/** Pieces of one kind that a step brings out. */
export interface Made {
  /** Their line of the cutting list and their cut; null where triangles of several cuts share squares. */
  readonly line: string;
  readonly cut: string | null;
  /** All the lines it serves: a joined strip may become pieces of several. */
  readonly lines: readonly string[];
  readonly name: string;
  readonly count: number;
  /** Across the cloth and along it, as cut. */
  readonly w: number;
  readonly h: number;
  /** Strips that are joined before anything is cut from them. */
  readonly joined: boolean;
  /** Squares that are then cut corner to corner, so many times. */
  readonly corners: 0 | 1 | 2;
}

/** One setting of the ruler: a piece of cloth cut into parts of one size. */
export interface SubCut {
  /** What is cut up, and from which of its edges the ruler is laid: across the cloth or along it. */
  readonly from: ClothBox;
  readonly way: 'x' | 'y';
  readonly size: number;
  readonly times: number;
  /** What comes out; null where the parts are cut again. */
  readonly gives: string | null;
}

/** A piece of cloth that is left when a step is done. */
interface Offcut {
  readonly w: number;
  readonly h: number;
}

/** One act at the table. */
export interface CuttingStep {
  /** Lasts as long as the plan of its cloth. */
  readonly id: string;
  readonly kind: 'square' | 'strip' | 'pieces' | 'leftover';
  /** For a leftover: its key, and what it is called where it has a name. */
  readonly stock: string | null;
  readonly from: string | null;
  /** The strips it is about, by their place from the end of the cloth: one for a strip, those cut alike for pieces. */
  readonly strips: readonly number[];
  /** What lies under the blade. */
  readonly box: ClothBox;
  readonly cuts: readonly SubCut[];
  readonly makes: readonly Made[];
  readonly offcuts: readonly Offcut[];
}

/** A piece or a strip that lies on a cloth. */
interface Lying extends StockBox {
  readonly line: string;
  readonly lines: readonly string[];
  readonly cut: string | null;
  readonly name: string;
  readonly joined: boolean;
  readonly corners: 0 | 1 | 2;
}

/** Smaller than this a leftover is a scrap. */
const KEPT_INCHES = 1.5;

/**
 * How a cloth is cut, act by act: its end squared, strips cut off, each cut up when those like it are off; the end
 * squared again after four.
 *
 * @param leftovers pieces of it that are there already, cut up before anything else
 */
export function cuttingSteps(
  placed: Pick<Placed, 'pieces' | 'runs' | 'heights' | 'fabric'>,
  unit: Unit,
  leftovers: readonly Leftover[] = [],
): CuttingStep[] {
  const all = lyingOn(placed);
  const lying = all.filter(({ stock }) => stock === null);
  const usable = placed.fabric.usableWidth;
  const steps = leftovers.flatMap((leftover) => leftoverStep(leftover, all, unit));
  let since = 0;
  let y = 0;
  let squarings = 0;
  const square = () => {
    const box = { x: 0, y, w: usable, h: 0 };
    steps.push({ ...NO_CUTS, id: `square-${squarings++}`, kind: 'square', strips: [], box });
    since = 0;
  };
  for (const group of alike(placed.heights, lying, usable)) {
    for (const { index, box } of group) {
      if (since === 0 || since === STRIPS_BETWEEN) square();
      const whole = wholeStrip(box, lying);
      steps.push({
        ...NO_CUTS,
        id: `strip-${index}`,
        kind: 'strip',
        strips: [index],
        box,
        makes: whole ? [madeOf([whole])] : [],
      });
      since++;
      y = box.y + box.h;
    }
    const [first] = group;
    if (!wholeStrip(first!.box, lying)) steps.push(piecesStep(group, lying, unit));
  }
  return steps;
}

const NO_CUTS = { stock: null, from: null, cuts: [], makes: [], offcuts: [] } as const;

/** A piece of the cloth that is there already, to be cut up first. */
export interface Leftover {
  readonly key: string;
  /** What it is called; a leftover of this cloth where it has no name. */
  readonly name?: string | undefined;
  readonly w: number;
  readonly h: number;
}

/** What is cut from a leftover; nothing where nothing is, or where it is a strip to join just as it is. */
function leftoverStep({ key, name, w, h }: Leftover, all: readonly Lying[], unit: Unit): CuttingStep[] {
  const own = all.filter(({ stock }) => stock === key);
  if (own.length === 0) return [];
  const box = { x: 0, y: 0, w, h };
  const tree = cutTree(box, own);
  if (tree.kind === 'piece' && tree.piece.joined) return [];
  return [
    {
      id: `${LEFTOVER_STEP}${key}`,
      kind: 'leftover',
      stock: key,
      from: name ?? null,
      strips: [],
      box,
      cuts: subCuts(tree),
      makes: madeIn(own),
      offcuts: offcutsIn(tree, unit),
    },
  ];
}

interface StripAt {
  readonly index: number;
  readonly box: ClothBox;
}

function piecesStep(group: readonly StripAt[], lying: readonly Lying[], unit: Unit): CuttingStep {
  const { index, box } = group[0]!;
  const tree = cutTree(box, within(lying, box));
  return {
    id: `pieces-${index}`,
    kind: 'pieces',
    stock: null,
    from: null,
    strips: group.map((strip) => strip.index),
    box,
    cuts: subCuts(tree),
    // Strips look alike whichever of two cuts of one line their pieces belong to.
    makes: madeIn(group.flatMap((strip) => within(lying, strip.box))),
    offcuts: group.flatMap(() => offcutsIn(tree, unit)),
  };
}

function lyingOn({ pieces, runs }: Pick<Placed, 'pieces' | 'runs'>): Lying[] {
  const segments = runs.flatMap(({ segments: boxes, pieces: own }) => {
    const names = [...new Set(own.map(({ name }) => name))].join(', ');
    const lines = [...new Set(own.map(({ line }) => line))];
    return boxes.map((box) => ({
      ...box,
      lines,
      line: own[0]!.line,
      cut: own[0]!.cut,
      name: names,
      joined: true,
      corners: 0 as const,
    }));
  });
  return [...pieces.map((piece) => ({ ...piece, lines: [piece.line], joined: false })), ...segments];
}

const within = (lying: readonly Lying[], box: ClothBox): Lying[] =>
  lying.filter(({ y, h }) => y >= box.y - TOLERANCE && y + h <= box.y + box.h + TOLERANCE);

/** What fills a strip all by itself. */
function wholeStrip(box: ClothBox, lying: readonly Lying[]): Lying | null {
  const own = within(lying, box);
  return own.length === 1 && near(own[0]!.w, box.w) && near(own[0]!.h, box.h) ? own[0]! : null;
}

/** Strips one after another that hold the same in the same places; as many as are cut between two squarings. */
function alike(heights: readonly number[], lying: readonly Lying[], usable: number): StripAt[][] {
  const groups: StripAt[][] = [];
  let last = '';
  let y = 0;
  heights.forEach((h, index) => {
    const box = { x: 0, y, w: usable, h };
    const holds = within(lying, box)
      .map(({ name, x, y: at, w, h: high }) => [name, ...[x, at - box.y, w, high].map(onGrid)].join())
      .sort()
      .join(';');
    const group = groups.at(-1);
    if (group && holds === last && group.length < STRIPS_BETWEEN) group.push({ index, box });
    else groups.push([{ index, box }]);
    last = holds;
    y += h;
  });
  return groups;
}

/** A length as it tells pieces alike: what converting a unit leaves in its last places says nothing. */
const onGrid = (length: number): string => length.toFixed(4);

function madeOf(pieces: readonly Lying[]): Made {
  const { line, lines, cut, name, w, h, joined, corners } = pieces[0]!;
  return { line, lines, cut, name, count: pieces.length, w, h, joined, corners };
}

function madeIn(pieces: readonly Lying[]): Made[] {
  const kinds = group(pieces, ({ line, cut, w, h, joined }) =>
    [line, cut, onGrid(w), onGrid(h), joined].join(),
  );
  return [...kinds.values()].map(madeOf);
}

/** The settings of the ruler that cut a piece up, the coarse ones first; parts of one size are one setting. */
function subCuts(tree: CutTree<Lying>): SubCut[] {
  if (tree.kind !== 'parts') return [];
  const { way, box, parts } = tree;
  const cuts: SubCut[] = [];
  for (const part of parts) {
    if (part.kind === 'offcut') continue;
    const size = way === 'x' ? part.box.w : part.box.h;
    const gives = part.kind === 'piece' ? part.piece.name : null;
    const had = cuts.find((cut) => near(cut.size, size) && cut.gives === gives);
    if (had) cuts[cuts.indexOf(had)] = { ...had, times: had.times + 1 };
    else cuts.push({ from: box, way, size, times: 1, gives });
  }
  return [...cuts, ...merged(parts.flatMap(subCuts))];
}

/** Cuts of parts that are alike, told once. */
function merged(cuts: readonly SubCut[]): SubCut[] {
  const all: SubCut[] = [];
  for (const cut of cuts) {
    const i = all.findIndex(
      (had) =>
        had.way === cut.way &&
        near(had.size, cut.size) &&
        had.gives === cut.gives &&
        near(had.from.w, cut.from.w) &&
        near(had.from.h, cut.from.h),
    );
    if (i < 0) all.push(cut);
    else all[i] = { ...all[i]!, times: all[i]!.times + cut.times };
  }
  return all;
}

function offcutsIn(tree: CutTree<Lying>, unit: Unit): Offcut[] {
  if (tree.kind === 'parts') return tree.parts.flatMap((part) => offcutsIn(part, unit));
  const { w, h } = tree.box;
  const least = fromInches(KEPT_INCHES, unit) - TOLERANCE;
  return tree.kind === 'offcut' && Math.min(w, h) >= least ? [{ w, h }] : [];
}

import { cutsScene, quiltScene, sceneSvg } from '@lattice/core';
import { sceneDxf } from '../../packages/export/src/dxf.ts';
import { known, type Said, type Surface } from './surface.ts';

/** Sizes of outlines as words, so that a list of them is compared as a whole; to a hundredth, for drawings are written in decimals. */
export const sizesSaid = (sizes: readonly (readonly [number, number])[]): string =>
  sizes
    .map(([w, h]) => `${w.toFixed(2)} × ${h.toFixed(2)}`)
    .sort()
    .join(', ');

interface Polyline {
  readonly layer: string;
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

/** Polylines of a DXF, read pair by pair as the format has it: a number that says what follows, and what follows. */
function polylinesIn(text: string): Polyline[] {
  const lines = text.split(/\r?\n/);
  const found: { layer: string; xs: number[]; ys: number[] }[] = [];
  let open: (typeof found)[number] | null = null;
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code, value] = [Number(lines[i]), lines[i + 1]!.trim()];
    if (code === 0) {
      open = /^(LW)?POLYLINE$/.test(value) ? { layer: '', xs: [], ys: [] } : value === 'VERTEX' ? open : null;
      if (open && value !== 'VERTEX') found.push(open);
    } else if (open && code === 8) open.layer = value;
    else if (open && code === 10) open.xs.push(Number(value));
    else if (open && code === 20) open.ys.push(Number(value));
  }
  return found;
}

const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

/** Drawings as files: what they measure, read from the files. */
export const drawings: Surface = {
  name: 'drawings',
  says: (evening) => {
    const { plan, quilt } = known(evening);
    const scene = quiltScene(plan, quilt.layout, quilt.joins);
    const svg = sceneSvg(scene);
    const head = /<svg[^>]* width="([\d.]+)(in|cm)" height="([\d.]+)(in|cm)"[^>]*viewBox="([^"]*)"/.exec(
      svg,
    )!;
    const [, , wide, high] = head[5]!.split(' ').map(Number) as [number, number, number, number];
    const top = polylinesIn(sceneDxf(scene)).filter(({ xs }) => xs.length > 2);
    const cloths = polylinesIn(sceneDxf(cutsScene(plan, quilt)));
    const names = [...new Set(cloths.map(({ layer }) => layer))].filter((name) => /CUT/.test(name));
    return [
      { of: 'drawn width', value: Number(head[1]), within: 1e-3 },
      { of: 'drawn height', value: Number(head[3]), within: 1e-3 },
      { of: 'drawn width', value: wide, within: 1e-3 },
      { of: 'drawn height', value: high, within: 1e-3 },
      { of: 'drawn width', value: spread(top.flatMap(({ xs }) => xs)), within: 1e-3 },
      { of: 'drawn height', value: spread(top.flatMap(({ ys }) => ys)), within: 1e-3 },
      { of: 'blocks drawn', value: [...svg.matchAll(/<g id="block-/g)].length },
      ...names.map((name, i): Said => ({
        of: `outlines cut from cloth ${i + 1}`,
        value: sizesSaid(
          cloths.filter(({ layer }) => layer === name).map(({ xs, ys }) => [spread(xs), spread(ys)] as const),
        ),
      })),
    ];
  },
};

import { longer } from '../length/tolerance.ts';
import { valueOf } from '../colour/colour.ts';
import type { Layout } from '../layout/lay-out.ts';
import { areaOf } from '../geometry/outline.ts';
import { formatWithUnit } from '../length/format.ts';
import { fromInches } from '../length/unit.ts';
import type { Plan } from '../plan/shape.ts';
import { FIBRES } from '../choice/battings.ts';

/** Lighter than this reads as white, darker as dark: of 1 (from memory). */
const WHITE = 0.86;
const DARK = 0.38;
/** As much of the top as decides it. */
const MOST_OF_IT = 0.5;

/** How much of a top is as good as white, and how much is dark, of 1; blocks without a colour count as neither. */
export function lightAndDark(plan: Plan, layout: Layout): { readonly white: number; readonly dark: number } {
  const sharesOf = (colours: readonly string[]) => {
    const share = (is: (value: number) => boolean) =>
      colours.length === 0 ? 0 : colours.filter((c) => is(valueOf(c))).length / colours.length;
    return { white: share((value) => value >= WHITE), dark: share((value) => value <= DARK) };
  };
  const blocks = sharesOf(plan.pile.flatMap((block) => block.colours?.slice(0, 1) ?? []));
  const cloths = new Map(plan.fabrics.map((f) => [f.id, sharesOf([f.colour])]));
  let [all, white, dark] = [0, 0, 0];
  for (const { part, outline } of layout.pieces) {
    const cloth = layout.parts[part]!.cutFrom;
    const share = cloth ? cloths.get(cloth.fabric)! : blocks;
    const area = areaOf(outline);
    all += area;
    white += area * share.white;
    dark += area * share.dark;
  }
  return { white: white / all, dark: dark / all };
}

/** What the colour and the fibre of a batting mean for this top (rule BT-2); nothing where they suit it. */
export function battingAdvice(
  plan: Plan,
  layout: Layout,
): { readonly path: readonly string[]; readonly message: string }[] {
  const { batting, quilting, unit } = plan;
  const { white, dark } = lightAndDark(plan, layout);
  const said: { path: readonly string[]; message: string }[] = [];
  const percent = (share: number) => `${Math.round(100 * share)}%`;
  if (white > MOST_OF_IT && batting.colour !== 'white')
    said.push({
      path: ['batting', 'colour'],
      message: `${percent(white)} of this top is as good as white. A white batting keeps it so; ${batting.colour === 'dark' ? 'a dark one greys it' : 'flecks of a natural one show through'}.`,
    });
  else if (dark > MOST_OF_IT && batting.colour !== 'dark')
    said.push({
      path: ['batting', 'colour'],
      message: `${percent(dark)} of this top is dark. Fibres of a light batting that work through the cloth show on it; a dark batting’s do not.`,
    });
  else if (dark < 0.1 && batting.colour === 'dark')
    said.push({
      path: ['batting', 'colour'],
      message: 'Hardly any of this top is dark: a dark batting would grey it.',
    });
  const fibre = FIBRES[batting.fibre];
  const most = fromInches(fibre.spacing, unit);
  if (quilting.by === 'home' && quilting.marking !== 'ditch' && longer(quilting.spacing, most)) {
    said.push({
      path: ['quilting', 'spacing'],
      message: `${fibre.name} holds where quilting is no more than about ${formatWithUnit(most, unit)} apart (the package has the last word): ${formatWithUnit(quilting.spacing, unit)} is too far.`,
    });
  }
  return said;
}

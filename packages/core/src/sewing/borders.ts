import { isPieced } from '../border/border.ts';
import type { Plan } from '../plan/shape.ts';
import { sewUnits, type SewnStrips } from './pieced-border.ts';
import type { Assembly, SeamLedger } from './seam-ledger.ts';

type Border = Plan['borders'][number];

/** Sews the borders on, from the centre out, each with its corners as they were chosen (rules BO-1, BO-2). */
export function sewBorders(bench: SeamLedger, borders: readonly Border[], centre: Assembly): void {
  const { index } = bench.top;
  let sewn = centre;
  borders.forEach((border, i) => {
    const own = `border-${border.id}`;
    const name = borders.length === 1 ? 'the border' : `border ${i + 1}`;
    const made = isPieced(border) ? sewUnits(bench, border, name) : null;
    const piece = (which: keyof SewnStrips) => made?.[which] ?? index.get(`${own}-${which}`)!;
    const [left, right] = [piece('side-left'), piece('side-right')];
    const [top, bottom] = [piece('end-top'), piece('end-bottom')];
    const on = (id: string, title: string, strips: readonly number[], slits = false) => {
      bench.step(`${own}-${id}`, title);
      for (const strip of strips) sewn = bench.join(sewn, strip, { slits });
    };
    const sides = () => on('sides', `Sew the sides of ${name} on`, [left, right]);
    const ends = () => on('ends', `Sew top and bottom of ${name} on`, [top, bottom]);
    switch (border.corners) {
      case 'sides-first':
        sides();
        ends();
        break;
      case 'top-first':
        ends();
        sides();
        break;
      case 'squares': {
        bench.step(`${own}-squares`, `Sew the corner squares of ${name} to its top and bottom`);
        bench.inRow([piece('corner-top-left'), top, piece('corner-top-right')]);
        bench.inRow([piece('corner-bottom-left'), bottom, piece('corner-bottom-right')]);
        sides();
        ends();
        break;
      }
      case 'mitred':
        on('strips', `Sew the four strips of ${name} on`, [left, right, top, bottom], true);
        bench.step(`${own}-mitres`, `Sew the mitres of ${name}`);
        bench.closeMitres();
    }
  });
}

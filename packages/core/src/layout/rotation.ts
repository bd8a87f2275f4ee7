import { countOf } from '../figure/figure.ts';
import type { Part, Piece } from '../piece/piece.ts';
import type { Plan } from '../plan/shape.ts';
import { randomFrom } from '../random/random.ts';
import { turnsOf } from '../colour/turns.ts';

/** Parts and their pieces. */
interface Laid {
  readonly parts: readonly Part[];
  readonly pieces: readonly Piece[];
}

/**
 * Lets cloths take turns where a job has several: the pieces of its parts are dealt out in the order they were laid,
 * and each cloth's become a part of their own. Those of the first cloth keep the part's key, so that nothing recorded
 * of it moves when a second one joins in.
 */
export function inTurns({ rotations }: Pick<Plan, 'rotations'>, laid: Laid): Laid {
  return rotations.reduce((so, rotation) => dealt(so, rotation), laid);
}

function dealt({ parts, pieces }: Laid, { for: job, fabrics, order, seed }: Plan['rotations'][number]): Laid {
  const own = new Map(
    parts.flatMap((part) =>
      part.cutFrom?.use.what === job ? [[part.key, [part.cutFrom.fabric, ...fabrics]] as const] : [],
    ),
  );
  const ids = pieces.filter(({ part }) => own.has(part)).map(({ id }) => id);
  const turns = turnsOf(ids.length, fabrics.length + 1, order, randomFrom(seed));
  const clothOf = new Map(ids.map((id, i) => [id, turns[i]!]));
  const moved = pieces.map((piece) => {
    const cloths = own.get(piece.part);
    return cloths ? { ...piece, part: keyOf(piece.part, cloths, clothOf.get(piece.id)!) } : piece;
  });
  const counts = new Map<string, number>();
  for (const { part } of moved) counts.set(part, (counts.get(part) ?? 0) + 1);
  return {
    parts: parts.flatMap((part) => {
      const cloths = own.get(part.key);
      if (!cloths || !part.cutFrom) return [part];
      const { cutFrom } = part;
      return cloths.flatMap((fabric, turn): Part[] => {
        const key = keyOf(part.key, cloths, turn);
        const count = counts.get(key) ?? 0;
        if (count === 0 || cloths.indexOf(fabric) < turn) return [];
        return [
          {
            ...part,
            key,
            cutFrom: { ...cutFrom, fabric },
            count: countOf(
              count,
              ...part.count.working,
              `${cloths.length} cloths in turn: ${count} of this one`,
            ),
          },
        ];
      });
    }),
    pieces: moved,
  };
}

/** The first cloth's pieces keep the part's own key; a cloth listed twice has one part. */
const keyOf = (part: string, cloths: readonly string[], turn: number): string => {
  const first = cloths.indexOf(cloths[turn]!);
  return first === 0 ? part : `${part}-${cloths[first]!}`;
};

import { type ArrangeRules, randomFrom, START_RULES, type WallJob } from '../../src/index.ts';

/** A wall of places in a grid, each meeting those beside it and at its corners. */
export function gridWall(across: number, down: number) {
  const at = (c: number, r: number) => r * across + c;
  const places = Array.from({ length: across * down }, (_, i) => ({
    x: i % across,
    y: Math.floor(i / across),
  }));
  const meetings = places.flatMap(({ x, y }, a): WallJob['meetings'][number][] => [
    ...(x + 1 < across ? [{ a, b: at(x + 1, y), how: 'side' as const }] : []),
    ...(y + 1 < down ? [{ a, b: at(x, y + 1), how: 'side' as const }] : []),
    ...(x + 1 < across && y + 1 < down ? [{ a, b: at(x + 1, y + 1), how: 'corner' as const }] : []),
    ...(x > 0 && y + 1 < down ? [{ a, b: at(x - 1, y + 1), how: 'corner' as const }] : []),
  ]);
  return { places, meetings };
}

const COLOURS = [
  '#c4532f',
  '#1f3a5f',
  '#f0c23b',
  '#2f8d6e',
  '#b05a9a',
  '#9cc955',
  '#7fb2e5',
  '#222222',
  '#f4f0e6',
  '#8a6a4c',
];

/**
 * A wall with a known arrangement without a clash: kinds, makers and colours are dealt out place by
 * place so that no two that meet share one, then the blocks are shuffled. Invented data.
 */
export function plantedWall(
  across: number,
  down: number,
  seed: number,
  rules: ArrangeRules = START_RULES,
): WallJob {
  const random = randomFrom(seed);
  const { places, meetings } = gridWall(across, down);
  const near = places.map((_, i) => meetings.flatMap((m) => (m.a === i ? [m.b] : m.b === i ? [m.a] : [])));
  const deal = (count: number): number[] => {
    const dealt: number[] = [];
    places.forEach((_, i) => {
      const taken = new Set(near[i]!.filter((j) => j < i).map((j) => dealt[j]));
      const left = Array.from({ length: count }, (_x, k) => k).filter((k) => !taken.has(k));
      dealt.push(left[Math.floor(random() * left.length)]!);
    });
    return dealt;
  };
  const [kinds, makers, colours] = [
    deal(7),
    deal(Math.max(8, Math.round(places.length / 6))),
    deal(COLOURS.length),
  ];
  const blocks = places.map((_, i) => ({
    id: `b${i}`,
    name: `Block ${i}`,
    kind: `kind ${kinds[i]}`,
    maker: `maker ${makers[i]}`,
    colours: [COLOURS[colours[i]!]!],
    value: random(),
    size: 0,
    upright: false,
  }));
  const order = blocks.map((_, i) => i);
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return {
    blocks,
    places,
    meetings,
    at: order,
    turns: order.map(() => 0),
    locked: order.map(() => false),
    rules,
  };
}

/** A patch of a drawn block face: an outline on the unit square, and which of the block's colours fills it. */
export interface Patch {
  readonly outline: readonly (readonly [x: number, y: number])[];
  /** 0 is the background; 1, 2 … the block's own colours in turn. */
  readonly tone: number;
}

const square = (x: number, y: number, side: number, tone: number): Patch => ({
  outline: [
    [x, y],
    [x + side, y],
    [x + side, y + side],
    [x, y + side],
  ],
  tone,
});

/** A half-square triangle in the cell at (x, y); `corner` is where its right angle lies. */
const half = (x: number, y: number, side: number, corner: 'nw' | 'ne' | 'se' | 'sw', tone: number): Patch => {
  const nw = [x, y] as const;
  const ne = [x + side, y] as const;
  const se = [x + side, y + side] as const;
  const sw = [x, y + side] as const;
  const outline = { nw: [sw, nw, ne], ne: [nw, ne, se], se: [ne, se, sw], sw: [se, sw, nw] }[corner];
  return { outline, tone };
};

const cells = (n: number, tone: (row: number, column: number) => number): Patch[] =>
  Array.from({ length: n * n }, (_, i) =>
    square((i % n) / n, Math.floor(i / n) / n, 1 / n, tone(Math.floor(i / n), i % n)),
  ).filter((patch) => patch.tone !== 0);

const q = 1 / 4;

/** The cloth under every drawn face. */
export const FACE_GROUND = '#f6efe0';

/**
 * Traditional patch patterns, in the public domain, drawn from geometry alone. Background is tone 0
 * and lies under every patch.
 */
export const FACES = {
  star: [square(q, q, 2 * q, 2), ...[0, 1, 2, 3].flatMap(starPoints)],
  'nine patch': cells(3, (r, c) => (r === 1 && c === 1 ? 2 : (r + c) % 2 === 0 ? 1 : 0)),
  pinwheel: [
    half(0, 0, q * 2, 'sw', 1),
    half(2 * q, 0, 2 * q, 'nw', 2),
    half(2 * q, 2 * q, 2 * q, 'ne', 1),
    half(0, 2 * q, 2 * q, 'se', 2),
  ],
  'broken dishes': [0, 2].flatMap((r) =>
    [0, 2].flatMap((c) => [
      half(c * q, r * q, q, 'se', 1),
      half((c + 1) * q, r * q, q, 'sw', 2),
      half(c * q, (r + 1) * q, q, 'ne', 2),
      half((c + 1) * q, (r + 1) * q, q, 'nw', 1),
    ]),
  ),
  'flying geese': [0, 1, 2, 3].map((row) => ({
    outline: [
      [0, (row + 1) * q],
      [0.5, row * q],
      [1, (row + 1) * q],
    ] as const,
    tone: 1 + (row % 2),
  })),
  'square in square': [
    {
      outline: [
        [0.5, 0],
        [1, 0.5],
        [0.5, 1],
        [0, 0.5],
      ] as const,
      tone: 1,
    },
    square(q, q, 2 * q, 2),
  ],
} satisfies Record<string, readonly Patch[]>;

export type FaceName = keyof typeof FACES;

/** The names of the faces there are, for schemas and pick lists. */
export const FACE_NAMES = Object.keys(FACES) as [FaceName, ...FaceName[]];

/** Two points of a star on one side of its middle, turned a quarter `turn` times. */
function starPoints(turn: number): Patch[] {
  const spin = ([x, y]: readonly [number, number]): readonly [number, number] => {
    let at: readonly [number, number] = [x, y];
    for (let i = 0; i < turn; i++) at = [1 - at[1], at[0]];
    return at;
  };
  return [
    {
      outline: (
        [
          [q, 0],
          [q, q],
          [2 * q, q],
        ] as const
      ).map(spin),
      tone: 1,
    },
    {
      outline: (
        [
          [3 * q, 0],
          [3 * q, q],
          [2 * q, q],
        ] as const
      ).map(spin),
      tone: 1,
    },
  ];
}

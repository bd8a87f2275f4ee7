/** A way of looking at the wall. */
export const VIEWS = [
  { id: 'plain', name: 'As it is' },
  { id: 'squint', name: 'Squint: values only' },
  { id: 'protan', name: 'Without red cones' },
  { id: 'deutan', name: 'Without green cones' },
  { id: 'tritan', name: 'Without blue cones' },
] as const;
export type ViewId = (typeof VIEWS)[number]['id'];

/**
 * How colours look to an eye that lacks one kind of cone, as rows on linear red, green and blue (G. M.
 * Machado, M. M. Oliveira, L. A. F. Fernandes, "A physiologically-based model for simulation of color
 * vision deficiency", IEEE TVCG 15, 2009, severity 1.0); and lightness alone by the weights of Rec. 709.
 */
const MATRICES: Readonly<Record<Exclude<ViewId, 'plain'>, readonly (readonly [number, number, number])[]>> = {
  squint: [
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
  ],
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** Filters for every view; a drawing takes one by `viewFilter`. `blur` is in the drawing's own unit. */
export function ViewFilters({ blur }: { blur: number }) {
  return (
    <defs>
      {Object.entries(MATRICES).map(([id, rows]) => (
        <filter
          key={id}
          id={`view-${id}`}
          colorInterpolationFilters="linearRGB"
          x="0"
          y="0"
          width="100%"
          height="100%"
        >
          <feColorMatrix
            type="matrix"
            values={`${rows.map((row) => `${row.join(' ')} 0 0`).join(' ')} 0 0 0 1 0`}
          />
          {/* Screwed-up eyes blur too. */}
          {id === 'squint' && <feGaussianBlur stdDeviation={blur} />}
        </filter>
      ))}
    </defs>
  );
}

/** What to put on a drawing for this view. */
export const viewFilter = (view: ViewId): string | undefined =>
  view === 'plain' ? undefined : `url(#view-${view})`;

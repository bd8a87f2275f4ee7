import { ontoCorners, computeQuilt, layOut, type Plan, startPlan, type Slab } from '@lattice/core';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { inkOn } from '../src/rooms/drawing/inkOn.ts';
import { LitParts } from '../src/rooms/drawing/litParts.ts';
import { Pixel } from '../src/rooms/drawing/pixel.ts';
import { partPath, seamPath } from '../src/rooms/drawing/paths.ts';
import { QuiltArt } from '../src/rooms/drawing/QuiltArt.tsx';
import { Tape } from '../src/rooms/drawing/Tape.tsx';

const plan: Plan = startPlan('sashed-sampler');
const pile = (count: number): Plan['pile'] =>
  Array.from({ length: count }, (_, i) => ({
    id: `b${i}`,
    name: `B${i}`,
    face: i % 2 ? 'star' : 'pinwheel',
    colours: ['#112233', '#445566'],
    width: 12.5,
    height: 12.5,
  }));

function tape(onMove = jest.fn((): string | null => null), direction: 'across' | 'down' = 'across') {
  const { layout } = computeQuilt(plan);
  render(
    <Tape
      direction={direction}
      bands={layout.bands[direction]}
      unit="in"
      scale={8}
      start={50}
      offset={50}
      colourOf={() => '#2e4a5f'}
      pointed={[]}
      onPoint={jest.fn()}
      partsOf={() => ['upright', 'level']}
      onMove={onMove}
    />,
  );
  return onMove;
}

describe('a tape', () => {
  test('one grip for each width one can choose, in the tab order, saying its width', () => {
    tape();
    const grips = screen.getAllByRole('slider');
    expect(grips.map((g) => [g.getAttribute('aria-label'), g.getAttribute('aria-valuetext')])).toEqual([
      ['Border 1 width, across', '4″'],
      ['Sash width, across', '1 1/2″'],
    ]);
    expect(grips.every((g) => g.tabIndex === 0)).toBe(true);
  });
  test('arrow keys move by one mark of the ruler, either way', async () => {
    const onMove = tape();
    act(() => screen.getByRole('slider', { name: 'Sash width, across' }).focus());
    await userEvent.keyboard('{ArrowRight}');
    expect(onMove).toHaveBeenLastCalledWith({ what: 'setting', key: 'sash' }, 1.625, expect.any(String));
    await userEvent.keyboard('{ArrowLeft}');
    expect(onMove).toHaveBeenLastCalledWith({ what: 'setting', key: 'sash' }, 1.375, expect.any(String));
  });
  test('the side tape moves the ends of a border', async () => {
    const onMove = tape(undefined, 'down');
    act(() => screen.getByRole('slider', { name: 'Border 1 width, down' }).focus());
    await userEvent.keyboard('{ArrowUp}');
    expect(onMove).toHaveBeenLastCalledWith(
      { what: 'border', index: 0, side: 'ends' },
      4.125,
      expect.any(String),
    );
  });
  test('a width that cannot be is said in the bubble', async () => {
    tape(jest.fn(() => 'A sash of 13″ is wider than the block.'));
    act(() => screen.getByRole('slider', { name: 'Sash width, across' }).focus());
    await userEvent.keyboard('{ArrowRight}');
    expect(screen.getByRole('status').textContent).toContain('wider than the block');
  });
  test('every movable division can be held, for the pointer alone', () => {
    tape();
    expect(document.querySelectorAll('[aria-hidden] > [data-hold=sash]')).toHaveLength(plan.grid.across + 1);
    expect(document.querySelectorAll('[aria-hidden] > [data-hold=border]')).toHaveLength(2);
  });
});

describe('the drawing', () => {
  const draw = (drawn: Plan) =>
    render(
      <svg>
        <QuiltArt plan={drawn} layout={layOut(drawn)} />
      </svg>,
    ).container;
  test('a block for each of the pile, each look defined once', () => {
    const svg = draw({ ...plan, pile: pile(12) });
    expect(svg.querySelectorAll('use')).toHaveLength(12);
    expect(svg.querySelectorAll('defs > g')).toHaveLength(2);
  });
  test('two blocks that change places leave every other one’s reference as it was', () => {
    const blocks = pile(12).map((b, i) => ({ ...b, colours: [`#11223${i.toString(16)}`, '#445566'] }));
    const references = (drawn: Plan['pile']) =>
      [...draw({ ...plan, pile: drawn }).querySelectorAll('use')].map((use) =>
        use.getAttribute('href')!.split('-').at(-1),
      );
    const before = references(blocks);
    const after = references([blocks[11]!, ...blocks.slice(1, 11), blocks[0]!]);
    expect(new Set(before).size).toBe(12);
    expect(after.slice(1, 11)).toEqual(before.slice(1, 11));
    expect([after[0], after[11]]).toEqual([before[11], before[0]]);
  });
  test('strokes are as many pixels wide at any scale: kept so by the browser, or given in units where the scale is known', () => {
    const widths = (pixel: number | null) =>
      render(
        <svg>
          <Pixel value={pixel}>
            <QuiltArt plan={plan} layout={layOut(plan)} />
          </Pixel>
        </svg>,
      ).container.querySelector('.seams path')!;
    const [kept, given] = [widths(null), widths(1 / 8)];
    expect([kept.getAttribute('stroke-width'), kept.getAttribute('vector-effect')]).toEqual([
      '0.7',
      'non-scaling-stroke',
    ]);
    expect(Number(given.getAttribute('stroke-width')) * 8).toBeCloseTo(0.7);
    expect(given.hasAttribute('vector-effect')).toBe(false);
  });
  test('what is pointed at is lit in its own cloth, and nothing else', () => {
    const { container } = render(
      <svg>
        <LitParts value={['upright']}>
          <QuiltArt plan={plan} layout={layOut(plan)} />
        </LitParts>
      </svg>,
    );
    const [lit, ...more] = container.querySelectorAll('.lit');
    expect(more).toEqual([]);
    expect(lit!.getAttribute('d')).toBe(partPath(layOut(plan), 'upright'));
  });
  test('a place without a block is an empty outline, and only that', () => {
    const svg = draw({ ...plan, pile: pile(10) });
    expect(svg.querySelectorAll('use')).toHaveLength(10);
    expect(svg.querySelector('.empty-places path')!.getAttribute('d')!.match(/M/g)).toHaveLength(2);
  });
  test('no pile yet: every place is drawn plain', () => {
    const svg = draw(plan);
    expect(svg.querySelectorAll('use')).toHaveLength(12);
    expect(svg.querySelector('.empty-places path')).toBeNull();
  });
  test('a part is one path, with an outline for each of its pieces', () => {
    expect(partPath(layOut(plan), 'cornerstone').match(/M/g)).toHaveLength(20);
    expect(partPath(layOut(plan), 'nothing')).toBe('');
  });
  test('a face is laid on its block, turned with it', () => {
    expect(
      ontoCorners([
        { x: 1, y: 2 },
        { x: 4, y: 2 },
        { x: 4, y: 5 },
        { x: 1, y: 5 },
      ]),
    ).toBe('matrix(3 0 0 3 1 2)');
    expect(
      ontoCorners([
        { x: 5, y: 0 },
        { x: 10, y: 5 },
        { x: 5, y: 10 },
        { x: 0, y: 5 },
      ]),
    ).toBe('matrix(5 5 -5 5 5 0)');
  });
});

test('seams of a backing: one between two slabs that lie side by side, none round the outside, blocks let in have none', () => {
  const slab = (what: Slab['what'], x: number, width: number): Slab => ({ what, x, y: 0, width, height: 90 });
  expect(seamPath([slab('panel', 0, 40)])).toBe('');
  expect(
    seamPath([slab('panel', 0, 40), slab('stripe', 40, 6), slab('panel', 46, 40), slab('block', 41, 4)]),
  ).toBe('M40 0V90M46 0V90');
  expect(
    seamPath([
      { ...slab('panel', 0, 80), height: 40 },
      { ...slab('panel', 0, 80), y: 40, height: 40 },
    ]),
  ).toBe('M0 40H80');
});

/** Contrast by WCAG 2.2, "relative luminance" and "contrast ratio". */
const luminance = (colour: string): number => {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(colour.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
};

test('words on cloth are in whichever ink stands out more, and always enough', () => {
  const inks = { 'var(--on-light-cloth)': '#1b2433', 'var(--on-dark-cloth)': '#fbfcfc' };
  const steps = ['00', '22', '55', '77', '99', 'bb', 'dd', 'ff'];
  for (const r of steps)
    for (const g of steps)
      for (const b of steps) {
        const cloth = `#${r}${g}${b}`;
        const chosen = inkOn(cloth) as keyof typeof inks;
        const [dark, light] = Object.values(inks).map((ink) => contrast(ink, cloth)) as [number, number];
        // Where they are as good as alike, either will do.
        if (Math.abs(dark - light) > 0.1)
          expect([cloth, chosen]).toEqual([
            cloth,
            dark > light ? 'var(--on-light-cloth)' : 'var(--on-dark-cloth)',
          ]);
        // Large words ask for 3 (WCAG 2.2, 1.4.3).
        expect(contrast(inks[chosen], cloth)).toBeGreaterThan(3);
      }
});

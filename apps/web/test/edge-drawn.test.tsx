import { type Plan, pointHeight, startPlan } from '@lattice/core';
import { act, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { selectQuilt } from '../src/state/selectors.ts';
import { EdgeStage } from '../src/stages/edge/EdgeStage.tsx';
import { choose, show as showOf } from './support/show.tsx';

const plan = startPlan('sashed-sampler');
const show = (edge: Partial<Plan['edge']> = {}, binding: Partial<Plan['binding']> = {}) => {
  const { store, now } = showOf(<EdgeStage />, {
    ...plan,
    edge: { ...plan.edge, ...edge },
    binding: { ...plan.binding, ...binding },
  });
  return { now, quilt: () => selectQuilt(store.getState()) };
};
const view = (name: string) => userEvent.click(screen.getByRole('radio', { name }));
/** Every number in a path, in order. */
const numbers = (path: Element) =>
  path
    .getAttribute('d')!
    .match(/-?\d+(\.\d+)?(e-?\d+)?/g)
    ?.map(Number) ?? [];

describe('in close-up', () => {
  test('the corner that is shaped is shown: at the foot where only the foot is', () => {
    const { quilt } = show({ shape: 'rounded', corners: 'foot', radius: 6 });
    const corner = screen.getByTestId('edge-corner');
    expect(screen.getByRole('img', { name: /bottom left corner/ })).toBeTruthy();
    const shown = corner.querySelector('clipPath rect')!;
    const [y, height] = ['y', 'height'].map((name) => Number(shown.getAttribute(name)));
    // Down past the quilt's lower edge, and no farther up than the reach.
    expect(y! + height!).toBeGreaterThan(quilt().layout.finished.height.value);
    expect(y!).toBeGreaterThan(quilt().layout.finished.height.value / 2);
    expect(document.body.textContent).toContain('radius 6″');
  });
  test('all four rounded: the top left', () => {
    show({ shape: 'rounded', corners: 'all', radius: 6 });
    expect(screen.getByRole('img', { name: /top left corner/ })).toBeTruthy();
  });
});

describe('all round', () => {
  test('a mark for every join, and as many lines of words', async () => {
    const { quilt } = show();
    await view('All round');
    const { joins } = quilt().edge.binding!.joins;
    expect(document.querySelectorAll('.binding-join')).toHaveLength(joins.length);
    expect(within(screen.getByTestId('binding-joins')).getAllByRole('listitem')).toHaveLength(joins.length);
  });
  test('where it begins moves with the arrow keys, and stays on the quilt', async () => {
    const { now, quilt } = show({}, { start: 10 });
    await view('All round');
    const grip = screen.getByRole('slider', { name: 'Where the binding begins, from the left' });
    expect(grip.getAttribute('aria-valuetext')).toBe('10″');
    act(() => grip.focus());
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowLeft}');
    expect(now().binding.start).toBe(10.5);
    expect(screen.getByRole('slider').getAttribute('aria-valuetext')).toBe('10 1/2″');
    for (let i = 0; i < 30; i++) fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowLeft' });
    expect(now().binding.start).toBe(0);
    expect(quilt().edge.binding!.joins.start).toBe(0);
  });
  test('points: as many as the figures count, each as high as half its square less a seam', async () => {
    const { quilt } = show({ finishes: ['prairie-points'] });
    await view('All round');
    const drawn = [...screen.getByTestId('edge-round').querySelectorAll('path')]
      .map(numbers)
      .filter((n) => n.length === 6 && n[1] === 0 && n[5] === 0 && n[3]! < 0);
    expect(drawn.length).toBe(quilt().edge.points!.total.value);
    for (const [, , , tip] of drawn) expect(-tip!).toBeCloseTo(pointHeight(4, 0.25), 9);
    // Sewn on after quilting (rule PP-4) nothing is left open.
    expect(document.body.textContent).not.toContain('left open to turn');
  });
  test('points that are turned with their backing: what is left open is measured', async () => {
    show({ finishes: ['prairie-points'], points: { ...plan.edge.points, sewn: 'turned' } });
    await view('All round');
    expect(document.body.textContent).toContain('left open to turn, 6″');
  });
  test('without binding and points it says what is drawn', async () => {
    show({ finishes: ['facing'] });
    await view('All round');
    expect(document.body.textContent).toContain('what lies behind is broken');
    expect(document.body.textContent).not.toContain('every point');
  });
});

describe('bias plan', () => {
  test('every strip drawn with its place in the order of joining; the first cut is half a strip', async () => {
    const { quilt } = show({ shape: 'rounded' }, { grain: 'bias-square' });
    await view('Bias plan');
    const strips = screen.getByTestId('bias-strips');
    const { cut } = quilt().edge.binding!.bias!;
    const said = [...strips.querySelectorAll('text')]
      .map((t) => Number.parseInt(t.textContent!, 10))
      .sort((a, b) => a - b);
    expect(said).toEqual(cut!.strips.map((_, i) => i + 1));
    expect(document.body.textContent!.replace(/\s/g, '')).toContain('firstcut11/4″fromthedoublefold');
  });
  test('of a tube as many lanes as go in it', async () => {
    const { quilt } = show({ shape: 'rounded' }, { grain: 'bias-tube' });
    await view('Bias plan');
    // The oblong, the lanes and the seam.
    expect(screen.getByTestId('bias-tube').querySelectorAll('path')).toHaveLength(
      2 + quilt().edge.binding!.bias!.tube!.lanes,
    );
  });
  test('with a flange built in the strips are as wide as the main one', async () => {
    const { quilt } = show(
      { shape: 'rounded' },
      { grain: 'bias-square', flange: { visible: 0.125, fabric: 'accent' } },
    );
    const { binding } = quilt().edge;
    // 2 1/2" folded is 1 1/4": the main strip is 1/4" narrower than half of both.
    expect(binding!.cutWidth).toBe(binding!.flange!.main.value);
    expect(binding!.cutWidth).toBeLessThan(2.5);
    const steps = within(screen.getByRole('list', { name: 'Order of cutting and joining' }))
      .getAllByRole('listitem')
      .map((li) => li.textContent!.replace(/\s/g, ''));
    expect(steps.join()).toMatch(/oftheflange’sclothcutstripsof/);
  });
  test('straight strips have no bias plan; leaving bias goes back to the corner', async () => {
    show({ shape: 'rounded' }, { grain: 'bias-square' });
    await view('Bias plan');
    await choose(/Cut$/, 'Straight grain');
    expect(screen.queryByRole('radio', { name: 'Bias plan' })).toBeNull();
    expect(screen.getByRole('radio', { name: 'Corner' }).getAttribute('aria-checked')).toBe('true');
  });
});

describe('what was refused', () => {
  test('is said of the edge it was said of, and no longer when that has changed', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Prairie points' }));
    expect(screen.getByRole('alert').textContent).toMatch(/close the edge by themselves/);
    await userEvent.click(screen.getByRole('button', { name: 'Flange' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });
  test('a shape that does not go with what is there says why, until something else is chosen', async () => {
    show({ finishes: ['prairie-points'] });
    await choose(/Edge$/, 'Scallops');
    expect(screen.getByRole('alert').textContent).toMatch(/points/i);
    await userEvent.click(screen.getByRole('button', { name: 'Another cloth' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

test('a binding shows as wide as the figures say, flange and all', async () => {
  const { quilt } = show({ finishes: ['flange', 'binding'] });
  await view('All round');
  const finished = quilt().edge.binding!.finished.value;
  const widths = [...screen.getByTestId('edge-round').querySelectorAll('path[stroke-width]')].map((p) =>
    Number(p.getAttribute('stroke-width')),
  );
  expect(widths).toContain(2 * finished);
});

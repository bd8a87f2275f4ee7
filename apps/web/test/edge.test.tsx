import { type Plan, startPlan } from '@lattice/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { EdgeToCut } from '../src/rooms/figures/UnderAndRound.tsx';
import { cornerLengths } from '../src/stages/edge/cornerLengths.ts';
import { EdgeStage } from '../src/stages/edge/EdgeStage.tsx';
import { ScallopPage } from '../src/stages/edge/ScallopPage.tsx';
import { selectPlan, selectQuilt } from '../src/state/selectors.ts';
import { choose, show as showOf, type } from './support/show.tsx';

const plan = startPlan('sashed-sampler');
const show = (edge: Partial<Plan['edge']> = {}, binding: Partial<Plan['binding']> = {}) =>
  showOf(<EdgeStage />, {
    ...plan,
    edge: { ...plan.edge, ...edge },
    binding: { ...plan.binding, ...binding },
  });

describe('finishes', () => {
  test('points beside a binding are refused with the reason, and one press uses them instead', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Prairie points' }));
    expect(screen.getByRole('alert').textContent).toMatch(/close the edge by themselves/);
    expect(now().edge.finishes).toEqual(['binding']);
    await userEvent.click(screen.getByRole('button', { name: 'Use prairie points instead' }));
    expect(now().edge.finishes).toEqual(['prairie-points']);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByTestId('points').textContent).toContain('Points in all');
  });
  test('a flange joins the binding; without one it is refused', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Flange' }));
    expect(now().edge.finishes).toEqual(['flange', 'binding']);
    await userEvent.click(screen.getByRole('button', { name: 'Binding' }));
    expect(screen.getByRole('alert').textContent).toMatch(/only basted on/);
    await type('To be seen', '3/8');
    expect(now().edge.flange.visible).toBe(0.375);
    expect(screen.getByTestId('flange').textContent).toContain('1 1/2″');
  });
});

describe('shape', () => {
  test('rounded, with its radius; too large a one is refused beside its field', async () => {
    const { now } = show();
    await choose(/Edge$/, 'Rounded corners');
    await type('Radius', '8');
    expect(now().edge).toMatchObject({ shape: 'rounded', radius: 8 });
    await type('Radius', '40');
    expect(now().edge.radius).toBe(8);
    expect(screen.getByText(/more than half of the quilt’s shorter side/)).toBeTruthy();
  });
  test('scallops a small quilt cannot divide are made narrower, to be changed, and not refused', async () => {
    const small = { kind: 'whole-quilt', width: 10, height: 13 } as const;
    const { now } = showOf(<EdgeStage />, { ...plan, borders: [], setting: small });
    await choose(/Edge$/, 'Scallops');
    expect(now().edge.shape).toBe('scalloped');
    expect(now().edge.scallop.width).toBeLessThan(6);
    expect(screen.getByRole('textbox', { name: 'Scallops about' })).toBeTruthy();
  });
  test('scallops say how each side is divided; measured with a tape, and computed again', async () => {
    const { now } = show({ shape: 'scalloped' });
    expect(screen.getByTestId('scallops').textContent).toMatch(/along top and bottom.*every corner turned/);
    await userEvent.click(screen.getByRole('button', { name: 'Measured with a tape instead' }));
    await type('Measured all round', '230');
    expect(now().edge.around).toBe(230);
    expect(screen.getByTestId('around').textContent).toContain('230″');
    await userEvent.click(screen.getByRole('button', { name: 'Compute it again' }));
    expect(now().edge.around).toBeNull();
  });
});

describe('binding', () => {
  test('strips, fold, grain and allowance', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('button', { name: /^2 ?1\/4 → 5\/16\s*″$/ }));
    await choose(/Fold$/, 'Single');
    await choose(/Cut$/, 'Bias, from a square');
    // Each school says what it comes to, before one is chosen.
    expect(screen.getAllByRole('radio', { name: /(All round|Each side).*\d.*″.*″ of cloth/ })).toHaveLength(
      3,
    );
    await userEvent.click(screen.getByRole('radio', { name: /next 10/ }));
    expect(now().binding).toMatchObject({
      stripWidth: 2.25,
      fold: 'single',
      grain: 'bias-square',
      school: 'round-up-sides',
    });
    expect(screen.getByTestId('binding-figures').textContent).toMatch(
      /By the square-root rule.*It gives, joined/,
    );
    expect(screen.getByRole('list', { name: 'Order of cutting and joining' }).textContent).toMatch(
      /half a strip: 1 1\/8″/,
    );
  });
  test('a flange built in', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('switch', { name: 'A flange built in' }));
    expect(now().binding.flange).toEqual({ visible: 0.125, fabric: 'accent' });
    expect(screen.getByTestId('binding-figures').textContent).toContain('Main strip, cut');
  });
  test('leftovers that came with the plan are used up, told where they are of no use, and put into the stash', async () => {
    const { store, now } = showOf(<EdgeStage />, {
      ...plan,
      stock: [
        { id: 'a', for: 'binding', width: 1, length: 40 },
        { id: 'b', for: 'binding', width: 5, length: 40 },
      ],
    });
    expect(screen.getByText(/This leftover is narrower than the/)).toBeTruthy();
    // 5" holds two strips of 2 1/2": 40 + 40 less a join of 2 1/2".
    expect(screen.getByTestId('leftovers').textContent).toMatch(/The leftovers reach.*77 1\/2″/);
    await userEvent.click(screen.getByRole('button', { name: 'Take leftover 1 off the list' }));
    expect(now().stock.map(({ id }) => id)).toEqual(['b']);
    await userEvent.click(screen.getByRole('button', { name: 'Put leftover 1 into the stash' }));
    await screen.findByText('from the stash');
    // One stock: no longer the plan's, and used up all the same.
    expect(now().stock).toEqual([]);
    expect(screen.getByTestId('leftovers').textContent).toMatch(/77 1\/2″/);
    expect(selectPlan(store.getState()).stock).toMatchObject([{ for: 'binding', width: 5, length: 40 }]);
    // A change of the plan does not take it into the plan.
    await userEvent.click(screen.getByRole('switch', { name: 'A flange built in' }));
    expect(now().stock).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: /Give back Leftover of/ }));
    await waitFor(() => expect(screen.queryByTestId('leftovers')).toBeNull());
  });
  test('where it begins is chosen, told when it is bad, and left to the figures again', async () => {
    const { now } = show();
    await type('Begin, from the left', '1');
    expect(
      screen.getByText(
        (_, node) =>
          node?.getAttribute('role') === 'note' &&
          /A join falls 3\/4″ from a corner/.test(node.textContent ?? ''),
      ),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Farthest from corners' }));
    expect(now().binding.start).toBeNull();
    expect(screen.getByTestId('binding-joins').textContent).toMatch(/Beginning and last join: bottom/);
  });
});

describe('how it is made', () => {
  const steps = () =>
    within(screen.getByRole('list', { name: 'Order of cutting and joining' }))
      .getAllByRole('listitem')
      .map((li) => li.textContent!);
  // Rule CT-1: where the work can hurt, the usual care.
  test('the cutter, the iron and the needle are told of', () => {
    show();
    expect(
      screen.getByText(
        /Cut away from yourself.*Close the blade whenever you put it down.*turn it off when you leave it.*Take pins out before the needle/,
      ),
    ).toBeTruthy();
  });
  // Rule BD-4.
  test('straight strips: cut, joined at 45°, folded, begun where the joins are best', () => {
    show();
    expect(steps()[0]).toMatch(/^Cut 7 strips of 2 ?1\/2/);
    expect(steps()[1]).toMatch(/at 45°, selvage ends hanging past the seam; trim to 1\/4/);
    expect(steps()[2]).toMatch(/look for a twist before a join is pressed/);
    expect(steps()[3]).toMatch(/Fold it in half/);
    expect(steps()[4]).toMatch(/Begin .* from the left along the bottom, leave a tail of 8/);
    expect(steps().at(-1)).toMatch(/to the back .* sew it down/);
  });
  test('one continuous strip is marked in lanes and joined into a tube', () => {
    show({ shape: 'rounded' }, { grain: 'bias-tube', fold: 'single' });
    expect(steps().join()).toMatch(
      /corner to corner.*Mark \d+ lanes.*into a tube.*Press one long edge under/,
    );
  });
});

describe('prairie points', () => {
  test('fold, colours and opening', async () => {
    const { now } = show({ finishes: ['prairie-points'] });
    await userEvent.click(screen.getByRole('button', { name: 'Another cloth' }));
    await userEvent.click(screen.getByRole('button', { name: 'Another cloth' }));
    await choose(/Colours$/, 'Scattered');
    await userEvent.click(screen.getByRole('button', { name: 'Scatter again' }));
    expect(now().edge.points).toMatchObject({ order: 'scattered', seed: 2 });
    expect(now().edge.points.fabrics).toHaveLength(3);
    await userEvent.click(screen.getByRole('button', { name: 'Take cloth 2 out of the points' }));
    expect(now().edge.points.fabrics).toHaveLength(2);
    await choose(/Fold$/, 'One continuous strip');
    expect(within(screen.getByTestId('points')).getByText('Cut to the fold every, across')).toBeTruthy();
    await choose(/Fold$/, 'Centre fold, corners down');
    await choose(/The difference$/, 'Over the last three');
    expect(now().edge.points).toMatchObject({ fold: 'centre', spread: 'last-three' });
    // An opening is asked for only where the quilt is turned through it.
    expect(screen.queryByRole('textbox', { name: /Opening/ })).toBeNull();
    await choose(/Sewn on$/, 'First, then turned');
    expect(now().edge.points.sewn).toBe('turned');
    expect(screen.getByRole('textbox', { name: /Opening to turn through/ })).toBeTruthy();
  });
});

test('the close-up measures what the figures say', () => {
  const { store, now } = show({ finishes: ['flange', 'binding'] });
  const texts = cornerLengths(now(), selectQuilt(store.getState()), 6).map((l) => l.text);
  expect(texts).toEqual(['binding 3/8″', 'flange 1/4″']);
});

test('what the edge takes is on the cutting list', () => {
  showOf(<EdgeToCut />, { ...plan, edge: { ...plan.edge, finishes: ['flange', 'binding'] } });
  expect(screen.getByTestId('binding').textContent).toMatch(
    /Flange, strips.*Binding, with corners and tails.*Strips, selvage to selvage/,
  );
});

describe('templates to print', () => {
  test('each true to size in its own unit, with a square to check by', () => {
    showOf(<ScallopPage />, { ...plan, edge: { ...plan.edge, shape: 'scalloped' } });
    expect(screen.getByRole('img', { name: 'Square to check the printing by' }).getAttribute('width')).toBe(
      '1in',
    );
    const templates = screen.getAllByTestId('template');
    expect(templates.length).toBeGreaterThanOrEqual(2);
    for (const svg of templates)
      expect(svg.getAttribute('width')).toBe(`${svg.getAttribute('viewBox')!.split(' ')[2]}in`);
  });
  test('without scallops the way to them is said', () => {
    showOf(<ScallopPage />, plan);
    expect(screen.getByText(/no scallops/)).toBeTruthy();
  });
});

describe('to hang it', () => {
  // Rule SL-1: 42" wide, less an inch, and its hems: 42; cut 8 1/2" for 4".
  test('a sleeve is chosen, measured and listed to cut; its depth is changed', async () => {
    const { now } = show();
    expect(screen.queryByTestId('hanging')).toBeNull();
    await choose(/Hung by$/, 'A sleeve for a rod');
    expect(now().hanging.as).toBe('sleeve');
    expect(screen.getByTestId('hanging').textContent).toMatch(/strip cut8 1\/2″.*finished.*4″ deep/);
    await type('Deep, finished', '5');
    expect(now().hanging.depth).toBe(5);
    expect(screen.getByTestId('hanging').textContent).toMatch(/strip cut10 1\/2″/);
  });
});

import { type Plan, startBorder, startPlan } from '@lattice/core';
import { act, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Buying } from '../src/rooms/shop/Buying.tsx';
import { CuttingList } from '../src/rooms/figures/CuttingList.tsx';
import { withBorder, withBorderWidth } from '../src/state/borderEdits.ts';
import { undo } from '../src/state/planSlice.ts';
import { selectQuilt } from '../src/state/selectors.ts';
import { BordersSection } from '../src/stages/borders/BordersSection.tsx';
import { show as showOf } from './support/show.tsx';

const plan = startPlan('sashed-sampler');

const show = (what: React.ReactNode, change: Partial<Plan> = {}) =>
  showOf(what, { ...plan, ...change }).store;
const now = (store: ReturnType<typeof show>) => store.getState().plan.present!;

describe('the cutting list', () => {
  test('counts and cut sizes are the core’s own', () => {
    const store = show(<CuttingList />);
    const lines = within(screen.getByTestId('cutting-list')).getAllByRole('listitem');
    const { pieces } = selectQuilt(store.getState());
    expect(lines).toHaveLength(pieces.length);
    lines.forEach((line, i) =>
      expect(line.textContent).toContain(`${pieces[i]!.name}${pieces[i]!.count.value} at`),
    );
  });
  test('pointing at a line lights its parts, leaving puts them out', async () => {
    const store = show(<CuttingList />);
    const [line] = within(screen.getByTestId('cutting-list')).getAllByRole('listitem');
    await userEvent.hover(line!);
    expect(store.getState().view.pointed).toEqual(['upright', 'level']);
    await userEvent.unhover(line!);
    expect(store.getState().view.pointed).toEqual([]);
  });
  test('triangles say what square they come from, and what is left over', () => {
    show(<CuttingList />, {
      setting: { kind: 'on-point', plainBetween: false, float: 0, triangles: 'trade' },
      block: { width: 10, height: 10 },
      grid: { across: 1, down: 2 },
      borders: [],
    });
    const list = screen.getByTestId('cutting-list').textContent!;
    expect(list).toContain('from 1 square of 15 1/2″, cut twice corner to corner; 2 left over');
    expect(list).toContain('from 2 squares of 8″, cut once corner to corner');
  });
  test('nothing to cut is said', () => {
    show(<CuttingList />, { setting: { kind: 'edge-to-edge' }, borders: [] });
    expect(screen.getByText(/Nothing to cut/)).toBeTruthy();
  });
});

describe('what to buy', () => {
  test('each cloth with its shop cut; an unused one can be taken off, a used one cannot', async () => {
    const store = show(<Buying />, {
      fabrics: [
        ...plan.fabrics,
        {
          id: 'spare',
          name: 'Spare',
          colour: '#123456',
          usableWidth: 40,
          price: null,
          direction: 'none',
          alike: false,
          shrinkage: 0,
          washed: false,
          from: '',
        },
      ],
    });
    expect(screen.getByTestId('shopping-list').textContent).toContain('5/8 yd');
    expect(screen.queryByRole('button', { name: 'Take Sash off the list' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take Spare off the list' }));
    expect(now(store).fabrics.map((f) => f.id)).not.toContain('spare');
  });
  test('what layers and edge take stands with it; a price gives what it costs, and all together', async () => {
    const store = show(<Buying />);
    expect(screen.getByTestId('shopping-list').textContent).toMatch(/; 7 strips of 2 1\/2″ for binding/);
    const [first] = screen.getAllByRole('textbox', { name: 'Price of a yard' });
    await userEvent.type(first!, '12{Tab}');
    expect(now(store).fabrics[0]!.price).toBe(12);
    // 5/8 yd at 12.
    expect(screen.getByTestId('shopping-list').textContent).toMatch(/costs 7\.50/);
    expect(screen.getByTestId('together').textContent).toBe(
      'Together 7.50, without the 4 whose price is not said.',
    );
    await userEvent.clear(first!);
    await userEvent.tab();
    expect(now(store).fabrics[0]!.price).toBeNull();
  });
  test('a new cloth gets an id nobody has', async () => {
    const store = show(<Buying />, {
      fabrics: [
        ...plan.fabrics,
        {
          id: 'fabric-6',
          name: 'Six',
          colour: '#123456',
          usableWidth: 40,
          price: null,
          direction: 'none',
          alike: false,
          shrinkage: 0,
          washed: false,
          from: '',
        },
      ],
    });
    await userEvent.click(screen.getByRole('button', { name: 'Add a cloth' }));
    const ids = now(store).fabrics.map((f) => f.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('borders', () => {
  test('added up to the limit, taken off, undone', async () => {
    const store = show(<BordersSection />, { borders: [] });
    for (let i = 0; i < 6; i++) await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(now(store).borders).toHaveLength(6);
    expect(screen.getByRole('button', { name: 'Add' }).getAttribute('disabled')).not.toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take border 2 off' }));
    expect(now(store).borders).toHaveLength(5);
    act(() => void store.dispatch(undo()));
    expect(now(store).borders).toHaveLength(6);
  });
  test('a border as wide at the ends as at the sides stays so; one that is not does not', () => {
    const even = { ...plan, borders: [startBorder('1', 3, 'border')] };
    expect(withBorderWidth(even, 0, 'ends', 5).borders[0]).toMatchObject({ sides: 5, ends: 5 });
    const uneven = withBorder(even, 0, { ends: 4 });
    expect(withBorderWidth(uneven, 0, 'sides', 2).borders[0]).toMatchObject({ sides: 2, ends: 4 });
  });
});

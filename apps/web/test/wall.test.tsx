import {
  type Clash,
  clashesOf,
  type Crowd,
  layOut,
  type PileBlock,
  type Plan,
  rowLabels,
  START_RULES,
  startBorder,
  startPlan,
  wallJob,
  wallOf,
} from '@lattice/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import userEvent from '@testing-library/user-event';
import { Audition, withTried } from '../src/stages/wall/Audition.tsx';
import { ArrangeSection } from '../src/stages/wall/ArrangeSection.tsx';
import { ClashList } from '../src/stages/wall/ClashList.tsx';
import { Tray } from '../src/stages/wall/Tray.tsx';
import { placeWords, WallBoard } from '../src/stages/wall/WallBoard.tsx';
import { viewFilter, ViewFilters, VIEWS } from '../src/stages/wall/views.tsx';

const block = (id: string, kind: string): PileBlock => ({
  id,
  name: `Block ${id}`,
  maker: 'Ada',
  kind,
  face: 'star',
  colours: ['#3f7d6e', '#c4532f'],
  width: 12.5,
  height: 12.5,
});
const plan: Plan = {
  ...startPlan('sashed-sampler'),
  grid: { across: 2, down: 2 },
  borders: [startBorder('1', 3, 'border')],
  pile: [block('a', 'x'), block('b', 'x'), block('c', 'y'), block('d', 'z'), block('e', 'z')],
};
const layout = layOut(plan);
const pieces = layout.pieces.filter((p) => p.place !== undefined);
const labels = rowLabels(pieces);
const { places, spare } = wallOf(plan, 4);
const rules = { ...START_RULES, maker: 0, colour: 0 };
const job = wallJob(plan, layout, rules);

test('what is read out of a place', () => {
  expect(placeWords(places[2]!, labels[2]!)).toBe('Row 2, place 1: Block c by Ada');
  expect(placeWords({ ...places[0]!, turn: 2, locked: true }, labels[0]!)).toBe(
    'Row 1, place 1: Block a by Ada, rotated half round, locked',
  );
  expect(placeWords({ block: null, turn: 0, locked: false }, labels[3]!)).toBe('Row 2, place 2: empty');
});

describe('clashes', () => {
  test('each with its reason and places; pointed at and chosen', async () => {
    const onPoint = jest.fn();
    const onChoose = jest.fn();
    const clashes = clashesOf(job);
    render(
      <ClashList
        clashes={clashes}
        crowds={[]}
        places={places}
        labels={labels}
        onPoint={onPoint}
        onChoose={onChoose}
      />,
    );
    const [line] = screen.getAllByRole('button');
    expect(line!.textContent).toBe('Block a and Block b (1·1, 1·2): the same kind');
    await userEvent.click(line!);
    expect(onPoint).toHaveBeenCalledWith(clashes[0]);
    expect(onChoose).toHaveBeenCalledWith(clashes[0]);
  });
  test('very many are shown as far as anybody goes through them, the rest on demand', async () => {
    const many = Array.from({ length: 75 }, (_, i): Clash => ({
      a: i,
      b: i + 1,
      how: 'side',
      reasons: ['kind'],
    }));
    const row = <T,>(of: readonly T[]): T[] => Array.from({ length: 76 }, (_, i) => of[i % of.length]!);
    render(
      <ClashList
        clashes={many}
        crowds={[]}
        places={row(places)}
        labels={row(labels)}
        onPoint={jest.fn()}
        onChoose={jest.fn()}
      />,
    );
    expect(screen.getByText('Clashes: 75')).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(60);
    await userEvent.click(screen.getByRole('button', { name: 'Show the other 15' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(75);
  });
  test('none is said', () => {
    render(
      <ClashList
        clashes={[]}
        crowds={[]}
        places={places}
        labels={labels}
        onPoint={jest.fn()}
        onChoose={jest.fn()}
      />,
    );
    expect(screen.getByText(/None: no two that meet/)).toBeTruthy();
  });
  test('those that cannot be avoided are told with the reason', () => {
    const crowds: Crowd[] = [
      { by: 'kind', of: 'star', hang: 12, room: 9, least: 3 },
      { by: 'maker', of: 'Ada', hang: 10, room: 9, least: 1 },
    ];
    render(
      <ClashList
        clashes={[]}
        crowds={crowds}
        places={places}
        labels={labels}
        onPoint={jest.fn()}
        onChoose={jest.fn()}
      />,
    );
    expect(
      screen.getByText(
        '12 blocks of the kind “star” hang here, and only 9 can lie without meeting along a side or at a corner: at least 3 clashes stay, however they are laid.',
      ),
    ).toBeTruthy();
    expect(screen.getByText(/^10 blocks by Ada hang here.*at least 1 clash stays/)).toBeTruthy();
  });
});

describe('beside the wall', () => {
  test('spare blocks can be taken hold of, and chosen by keyboard', async () => {
    const onPress = jest.fn();
    const onChoose = jest.fn();
    render(<Tray spare={spare} chosen={null} onPress={onPress} onChoose={onChoose} />);
    const one = screen.getByRole('button', { name: 'Block e, beside the wall' });
    fireEvent.pointerDown(one);
    expect(onPress.mock.calls[0]![1]).toEqual({ spare: 'e' });
    one.focus();
    await userEvent.keyboard('{Enter}');
    expect(onChoose).toHaveBeenCalledWith('e');
  });
  test('nothing there is said', () => {
    render(<Tray spare={[]} chosen={null} onPress={jest.fn()} onChoose={jest.fn()} />);
    expect(screen.getByText(/Nothing lies beside the wall/)).toBeTruthy();
  });
});

describe('a cloth auditioned', () => {
  test('another cloth of the plan, or any colour as a cloth of its own', () => {
    const other = withTried(plan, { use: { what: 'sash' }, fabric: 'accent', colour: '#c4532f' });
    expect(other.fabricFor.sash).toBe('accent');
    expect(other.fabrics).toHaveLength(plan.fabrics.length);
    const dyed = withTried(plan, {
      use: { what: 'border', border: plan.borders[0]!.id },
      fabric: null,
      colour: '#00aa77',
    });
    expect(dyed.fabrics.at(-1)).toMatchObject({ colour: '#00aa77', usableWidth: 40 });
    expect(dyed.borders[0]!.fabric).toBe(dyed.fabrics.at(-1)!.id);
    expect(dyed.fabricFor).toEqual(plan.fabricFor);
  });
  test('judged in words for each job; tried, taken, put back', async () => {
    const onTry = jest.fn();
    const onTake = jest.fn();
    const blocks = plan.pile;
    const { rerender } = render(
      <Audition plan={plan} layout={layout} blocks={blocks} tried={null} onTry={onTry} onTake={onTake} />,
      { wrapper: MemoryRouter },
    );
    expect(screen.getByTestId('contrast').textContent).toContain(
      'This sash disappears beside all 5 of your blocks',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Border' }));
    expect(onTry).toHaveBeenLastCalledWith({ use: { what: 'sash' }, fabric: 'border', colour: '#2e4a5f' });
    rerender(
      <Audition
        plan={plan}
        layout={layout}
        blocks={blocks}
        tried={{ use: { what: 'sash' }, fabric: 'border', colour: '#2e4a5f' }}
        onTry={onTry}
        onTake={onTake}
      />,
    );
    expect(screen.getByTestId('contrast').textContent).toContain('stands clear');
    await userEvent.click(screen.getByRole('button', { name: 'Use this cloth' }));
    expect(onTake).toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Put it back' }));
    expect(onTry).toHaveBeenLastCalledWith(null);
    // A fabric the job has already is no trial.
    await userEvent.click(screen.getByRole('button', { name: 'Sash' }));
    expect(onTry).toHaveBeenLastCalledWith(null);
  });
});

describe('arranging', () => {
  const base = {
    plan,
    job,
    clashes: 2,
    rules,
    onRules: jest.fn(),
    seed: 1,
    onSeed: jest.fn(),
    spares: false,
    onSpares: jest.fn(),
    picked: 0,
    onPick: jest.fn(),
    onStart: jest.fn(),
    onStop: jest.fn(),
    onTake: jest.fn(),
    onLeave: jest.fn(),
  };
  test('as it lies, started, running with its progress, stopped', async () => {
    const { rerender } = render(<ArrangeSection {...base} arranging={null} />);
    expect(screen.getByTestId('score').textContent).toContain('As it lies: 2 clashes');
    await userEvent.click(screen.getByRole('button', { name: 'Arrange for me' }));
    expect(base.onStart).toHaveBeenCalled();
    rerender(
      <ArrangeSection
        {...base}
        arranging={{
          job,
          before: null,
          running: true,
          done: 0.4,
          latest: null,
          proposals: [],
          failed: false,
        }}
      />,
    );
    expect(screen.getByRole('progressbar').textContent).toContain('40%');
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(base.onStop).toHaveBeenCalled();
  });
  test('proposals to choose from, with what they score against before', async () => {
    const arrangement = { at: job.at, turns: job.turns };
    const arranging = {
      job,
      before: { clashes: 2, unevenness: 4 },
      running: false,
      done: 1,
      latest: arrangement,
      failed: false,
      proposals: [
        { arrangement, score: { clashes: 0, unevenness: 1.25 } },
        { arrangement, score: { clashes: 1, unevenness: 5 } },
      ],
    };
    render(<ArrangeSection {...base} clashes={0} arranging={arranging} />);
    expect(screen.getByTestId('score').textContent).toBe('Before: 2 clashes. Now: no clash.');
    const [first, second] = screen.getAllByRole('button', { name: /clash/ });
    // 1¼ of 4 is 69 % less; 5 of 4 a quarter more.
    expect(first!.textContent).toBe('no clash, spread 69 % more evenly');
    expect(second!.textContent).toBe('1 clash, spread 25 % less evenly');
    await userEvent.click(second!);
    expect(base.onPick).toHaveBeenLastCalledWith(1);
    await userEvent.click(screen.getByRole('button', { name: 'Lay it out like this' }));
    expect(base.onTake).toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it lies' }));
    expect(base.onLeave).toHaveBeenCalled();
  });
  test('a worker that failed is said; an order only where a gradient is asked for', () => {
    const { rerender } = render(
      <ArrangeSection
        {...base}
        arranging={{ job, before: null, running: false, done: 0, latest: null, proposals: [], failed: true }}
      />,
    );
    expect(screen.getByRole('alert').textContent).toContain('stopped working');
    expect(screen.queryByText('Order')).toBeNull();
    rerender(<ArrangeSection {...base} rules={{ ...rules, gradient: 3 }} arranging={null} />);
    expect(screen.getByText('Order')).toBeTruthy();
  });
});

// Machado, Oliveira and Fernandes 2009: white stays white to an eye that lacks a kind of cone, so every row adds up to one.
test('every view but the plain one has its filter, and leaves white white', () => {
  const { container } = render(
    <svg>
      <ViewFilters blur={0.3} />
    </svg>,
  );
  for (const { id } of VIEWS) {
    expect(viewFilter(id)).toBe(id === 'plain' ? undefined : `url(#view-${id})`);
    if (id === 'plain') continue;
    const numbers = container
      .querySelector(`#view-${id} feColorMatrix`)!
      .getAttribute('values')!
      .split(' ')
      .map(Number);
    for (let row = 0; row < 3; row++)
      expect(numbers.slice(row * 5, row * 5 + 3).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 4);
  }
});

describe('drawn on the wall', () => {
  const board = (change: Partial<React.ComponentProps<typeof WallBoard>> = {}) =>
    render(
      <WallBoard
        plan={plan}
        layout={layout}
        pieces={pieces}
        places={places}
        labels={labels}
        showLabels={false}
        view="plain"
        clashes={clashesOf(job)}
        pointedClash={null}
        chosen={[]}
        carried={null}
        onPress={jest.fn()}
        onKey={jest.fn()}
        {...change}
      />,
    ).container;
  /** Beginnings of lines in a path: one for each thread, or knot. */
  const begun = (path: Element) => (path.getAttribute('d')!.match(/M/g) ?? []).length;
  const threads = (container: Element) => [...container.querySelectorAll('.clashes path')];

  test('a thread and a knot for every clash, side by side whole, corner to corner dashed', () => {
    const clashes: Clash[] = [
      { a: 0, b: 1, how: 'side', reasons: ['kind'] },
      { a: 2, b: 3, how: 'side', reasons: ['kind'] },
      { a: 0, b: 3, how: 'corner', reasons: ['maker'] },
    ];
    const [under, side, corner, knots, ...more] = threads(board({ clashes }));
    expect([under, side, corner, knots].map((path) => begun(path!))).toEqual([3, 2, 1, 3]);
    expect(side!.getAttribute('stroke-dasharray')).toBeNull();
    expect(corner!.getAttribute('stroke-dasharray')).toBe('5 4');
    expect(more).toEqual([]);
  });
  test('the one pointed at is drawn once more on top, heavier; one that is gone is not', () => {
    const clashes: Clash[] = [{ a: 0, b: 1, how: 'side', reasons: ['kind'] }];
    const lit = threads(board({ clashes, pointedClash: clashes[0]! })).slice(4);
    expect(lit.map((path) => path.getAttribute('stroke-width'))).toEqual(['9', '5', '1.5']);
    expect(threads(board({ clashes, pointedClash: { ...clashes[0]!, b: 2 } }))).toHaveLength(4);
  });
  test('a knot lies midway between the two blocks', () => {
    const clashes: Clash[] = [{ a: 0, b: 1, how: 'side', reasons: ['kind'] }];
    const [, , , knots] = threads(board({ clashes }));
    // A circle of two half circles, begun at its left: its middle is a radius to the right.
    const [x, y, r] = knots!
      .getAttribute('d')!
      .match(/-?[\d.]+/g)!
      .map(Number);
    const [a, b] = [pieces[0]!.outline, pieces[1]!.outline].map((outline) => ({
      x: outline.reduce((s, p) => s + p.x, 0) / 4,
      y: outline.reduce((s, p) => s + p.y, 0) / 4,
    }));
    expect(x! + r!).toBeCloseTo((a!.x + b!.x) / 2, 9);
    expect(y).toBeCloseTo((a!.y + b!.y) / 2, 9);
  });
  test('a padlock where a block stays; row and place only when asked for', () => {
    const locked = places.map((place, i) => ({ ...place, locked: i === 2 }));
    expect(board({ places: locked }).querySelectorAll('rect[rx="0.1"]')).toHaveLength(1);
    expect(board().querySelectorAll('text.label')).toHaveLength(0);
    const marked = board({ showLabels: true });
    expect([...marked.querySelectorAll('text.label')].map((text) => text.textContent)).toEqual([
      '1·1',
      '1·2',
      '2·1',
      '2·2',
    ]);
  });
});

import { type PileBlock, type Plan, startPlan } from '@lattice/core';
import { act, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Provider } from 'react-redux';
import { createStore } from '../src/shell/store.ts';
import { clearHistory, planOpened } from '../src/state/planSlice.ts';
import { withBlock, withMoreBlocks, withoutBlocks, withPile, withSizesFrom } from '../src/state/pileEdits.ts';
import { KindsSection } from '../src/stages/blocks/KindsSection.tsx';
import { LengthCell } from '../src/stages/blocks/LengthCell.tsx';
import { SizeChoices } from '../src/stages/blocks/SizeChoices.tsx';
import { TapePanel } from '../src/stages/blocks/TapePanel.tsx';
import { readTable } from '../src/stages/blocks/readTable.ts';

const block = (id: string, width: number | null, more: Partial<PileBlock> = {}): PileBlock => ({
  id,
  name: id.toUpperCase(),
  width,
  height: width,
  ...more,
});
const plan: Plan = {
  ...startPlan('sashed-sampler'),
  pile: [block('b1', 12.5), block('b2', 12.5), block('b3', 12.25)],
};

describe('changes of the pile', () => {
  test('one block changed; a field given as undefined goes', () => {
    const marked = withBlock(plan, 'b2', { settled: true, maker: 'Ada' });
    expect(marked.pile[1]).toMatchObject({ settled: true, maker: 'Ada' });
    expect(withBlock(marked, 'b2', { settled: undefined }).pile[1]).not.toHaveProperty('settled');
    expect(marked.pile[0]).toBe(plan.pile[0]);
  });
  test('more blocks get ids nobody has', () => {
    const more = withMoreBlocks({ ...plan, pile: [...plan.pile, block('b5', 12)] }, [
      { name: 'New', width: null, height: null },
      { name: 'Newer', width: null, height: null },
    ]);
    expect(new Set(more.pile.map((b) => b.id)).size).toBe(more.pile.length);
    expect(more.pile.at(-1)!.name).toBe('Newer');
  });
  test('taken off; put in place; sizes filled in from a block on', () => {
    expect(withoutBlocks(plan, ['b1', 'b3']).pile.map((b) => b.id)).toEqual(['b2']);
    expect(
      withPile({ ...plan, wall: [{ block: 'b1', turn: 0, locked: false }] }, [block('n', 12)]),
    ).toMatchObject({ pile: [{ id: 'n' }], wall: [] });
    const filled = withSizesFrom(plan, 1, [block('x', 10), block('y', 11), block('z', 12)]);
    expect(filled.pile.map((b) => [b.id, b.width])).toEqual([
      ['b1', 12.5],
      ['b2', 10],
      ['b3', 11],
    ]);
  });
});

describe('a length in the table', () => {
  function Cell({
    start,
    onCommit,
  }: {
    start: number | null;
    onCommit: (value: number | null) => string | null;
  }) {
    const [value, setValue] = useState(start);
    const [problem, setProblem] = useState<string | null>(null);
    return (
      <>
        <LengthCell
          label="A, width"
          cell="0-width"
          value={value}
          unit="in"
          onProblem={setProblem}
          onFocus={() => undefined}
          onCommit={(v) => {
            const wrong = onCommit(v);
            if (wrong === null) setValue(v);
            return wrong;
          }}
        />
        <p role="alert">{problem}</p>
      </>
    );
  }
  test('is read as quilters write it when Enter is pressed or the cell is left', async () => {
    const onCommit = jest.fn(() => null);
    render(<Cell start={null} onCommit={onCommit} />);
    await userEvent.type(screen.getByLabelText('A, width'), '12 3/8{Enter}');
    expect(onCommit).toHaveBeenLastCalledWith(12.375);
    await userEvent.clear(screen.getByLabelText('A, width'));
    await userEvent.type(screen.getByLabelText('A, width'), '31.75 cm');
    await userEvent.tab();
    expect(onCommit).toHaveBeenLastCalledWith(12.5);
  });
  test('emptied it is not measured; what cannot be stays, marked, until Escape', async () => {
    const onCommit = jest.fn((value: number | null) =>
      value !== null && value > 60 ? 'That cannot be right.' : null,
    );
    render(<Cell start={12.5} onCommit={onCommit} />);
    const cell = screen.getByLabelText('A, width');
    await userEvent.clear(cell);
    await userEvent.type(cell, '900{Enter}');
    expect(screen.getByRole('alert').textContent).toBe('That cannot be right.');
    expect(cell.getAttribute('aria-invalid')).toBe('true');
    await userEvent.type(cell, '{Escape}');
    expect((cell as HTMLInputElement).value).toBe('12 1/2');
    expect(screen.getByRole('alert').textContent).toBe('');
    await userEvent.clear(cell);
    await userEvent.type(cell, '{Enter}');
    expect(onCommit).toHaveBeenLastCalledWith(null);
  });
});

describe('the pile by kind', () => {
  test('counts, sizes, and one kind at a time', async () => {
    const onChoose = jest.fn();
    const pile = [
      block('a', 12.5, { kind: 'Star' }),
      block('b', 12.25, { kind: 'star' }),
      block('c', null, { kind: 'Cross' }),
    ];
    const { rerender } = render(<KindsSection pile={pile} unit="in" chosen={null} onChoose={onChoose} />);
    const star = screen.getByRole('button', { name: /2 star/ });
    expect(star.textContent).toContain('12 1/4 to 12 1/2');
    expect(screen.getByRole('button', { name: /1 cross/ }).textContent).toContain('not measured');
    await userEvent.click(star);
    expect(onChoose).toHaveBeenLastCalledWith('star');
    rerender(<KindsSection pile={pile} unit="in" chosen="star" onChoose={onChoose} />);
    await userEvent.click(screen.getByRole('button', { name: /2 star/ }));
    expect(onChoose).toHaveBeenLastCalledWith(null);
    rerender(<KindsSection pile={pile.slice(0, 2)} unit="in" chosen={null} onChoose={onChoose} />);
    expect(screen.queryByText('By kind')).toBeNull();
  });
});

describe('what to cut them to', () => {
  function show(cut: number) {
    const store = createStore();
    store.dispatch(planOpened(plan));
    store.dispatch(clearHistory());
    const onCut = jest.fn();
    render(
      <Provider store={store}>
        <SizeChoices cut={{ width: cut, height: cut }} onCut={onCut} />
      </Provider>,
    );
    return { store, onCut };
  }
  test('the proposal first, each with its cost; choosing one moves the line', async () => {
    const { onCut } = show(12.5);
    const choices = screen.getAllByRole('radio');
    expect(choices).toHaveLength(3);
    expect(screen.getByTestId('choice-keep').textContent).toContain('proposed');
    expect(screen.getByTestId('choice-trim-all').textContent).toContain('none remade · 2 to trim');
    await userEvent.click(screen.getByTestId('choice-trim-all'));
    expect(onCut).toHaveBeenLastCalledWith({ width: 12.25, height: 12.25 });
  });
  test('at another size what would change is listed, and taking it makes the quilt for that block', async () => {
    const { store } = show(12.25);
    expect(
      within(screen.getByRole('list', { name: 'What would change' })).getAllByRole('listitem').length,
    ).toBeGreaterThan(3);
    await userEvent.click(screen.getByRole('button', { name: /Make the quilt for/ }));
    expect(store.getState().plan.present!.block).toEqual({ width: 11.75, height: 11.75 });
  });
});

describe('the tape', () => {
  class FakeStream {
    static last: FakeStream | null = null;
    heard = new Map<string, (event: { data: string }) => void>();
    onerror: (() => void) | null = null;
    closed = false;
    constructor(readonly address: string) {
      FakeStream.last = this;
    }
    addEventListener(name: string, hear: (event: { data: string }) => void) {
      this.heard.set(name, hear);
    }
    close() {
      this.closed = true;
    }
  }
  test('readings come in the plan’s unit; lost and found again; switched off it is let go', async () => {
    Object.assign(globalThis, { EventSource: FakeStream });
    const onReading = jest.fn();
    render(<TapePanel unit="in" meant={10.5} onReading={onReading} />);
    expect(FakeStream.last).toBeNull();
    await userEvent.click(screen.getByRole('switch', { name: 'Take readings from a tape' }));
    expect(screen.getByRole('status').textContent).toContain('Looking for the tape');
    act(() => FakeStream.last!.heard.get('ready')!({ data: '{}' }));
    expect(screen.getByRole('status').textContent).toContain('listening');
    act(() => FakeStream.last!.heard.get('reading')!({ data: '{"number":1,"millimetres":254}' }));
    expect(onReading.mock.calls[0]![0]).toBeCloseTo(10, 9);
    const first = FakeStream.last!;
    act(() => first.onerror!());
    expect(screen.getByRole('status').textContent).toContain('out of reach. Typing goes on');
    expect(first.closed).toBe(true);
    await userEvent.click(screen.getByRole('switch', { name: 'Take readings from a tape' }));
    expect(screen.queryByRole('status')).toBeNull();
  });
});

describe('a table from a file', () => {
  const files = (file: { name: string; size: number; arrayBuffer: () => Promise<Uint8Array> }) =>
    [file] as unknown as FileList;
  test('none, too large, unreadable, good', async () => {
    expect(await readTable(null, 'in')).toBeNull();
    expect(
      (await readTable(files({ name: 'a.csv', size: 9e6, arrayBuffer: async () => new Uint8Array() }), 'in'))!
        .problems[0],
    ).toContain('larger than any table');
    expect(
      (await readTable(
        files({ name: 'a.csv', size: 9, arrayBuffer: async () => Promise.reject(new Error('no')) }),
        'in',
      ))!.problems[0],
    ).toContain('could not be read');
    expect(
      (await readTable(
        files({ name: 'a.csv', size: 9, arrayBuffer: async () => Buffer.from('width,height\n10,10') }),
        'in',
      ))!.blocks,
    ).toHaveLength(1);
  });
});

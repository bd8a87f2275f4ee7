import { type Plan, planProblems, startPlan } from '@lattice/core';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useParams } from 'react-router';
import { keepFocus } from '../src/browser/keepFocus.ts';
import { createStore } from '../src/shell/store.ts';
import { beginWithBlocks } from '../src/rooms/beginning/beginWithBlocks.ts';
import { freeName } from '../src/rooms/beginning/makeQuilt.ts';
import { NewQuilt } from '../src/rooms/beginning/NewQuilt.tsx';
import { SpareOffers } from '../src/rooms/beginning/SpareOffers.tsx';
import { EmptyPile } from '../src/rooms/beginning/EmptyPile.tsx';
import { answer, answerWith } from './support/network.ts';
import { show } from './support/show.tsx';

let sent: { plan: Plan } | null = null;
beforeEach(() => {
  sent = null;
  localStorage.clear();
  Object.assign(globalThis, {
    matchMedia: () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }),
  });
  answerWith(async (request) => {
    if (request.method !== 'POST') return answer(200, { quilts: [], total: 0, next: null, tags: [] });
    sent = JSON.parse(await request.text()) as typeof sent;
    return answer(201, { id: 'q9', revision: 1, updatedAt: '', plan: sent?.plan });
  });
});

function Opened() {
  return <p>opened at {useParams()['stage']}</p>;
}
const begin = (address = '/new') =>
  render(
    <Provider store={createStore()}>
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          <Route path="/new" element={<NewQuilt />} />
          <Route path="/quilts/:id/:stage" element={<Opened />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
const line = () => screen.getByRole('textbox', { name: 'How many, and how large?' });
const size = () => screen.getByTestId('begun-size').textContent!.replace(/\s/g, '');

describe('a new quilt', () => {
  test('is drawn as one answers: blocks, setting, border', async () => {
    begin();
    expect(screen.getByText(/Say how many blocks/)).toBeTruthy();
    await userEvent.type(line(), '12 12');
    // 3 × 12 and four sashes of 1 1/2.
    expect(size()).toBe('42×551/2″');
    expect(screen.getByText('3 × 4, 12 blocks, none spare')).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: /^Edge to edge/ }));
    expect(size()).toBe('36×48″');
    await userEvent.click(screen.getByRole('radio', { name: '3 border' }));
    expect(size()).toBe('42×54″');
    // What was taken for finished is said to be cut: half an inch a block less.
    await userEvent.click(screen.getByRole('radio', { name: 'as they are now, seams on' }));
    expect(size()).toBe('401/2×52″');
    await userEvent.click(screen.getByRole('button', { name: 'Lay it out' }));
    expect(await screen.findByText('opened at setting')).toBeTruthy();
    await waitFor(() => expect(sent?.plan.pile).toHaveLength(12));
    expect(sent!.plan).toMatchObject({ setting: { kind: 'edge-to-edge' }, borders: [{ sides: 3 }] });
  });
  test('what is not understood is said, and nothing can be laid out', async () => {
    begin();
    await userEvent.type(line(), 'some blocks');
    expect(screen.getByText(/does not say how many/)).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Lay it out' }) as HTMLButtonElement).disabled).toBe(true);
  });
  test('a quilt that is there: its measured size is enough, and its edge is where one comes to', async () => {
    begin('/new?have=whole');
    await userEvent.type(
      screen.getByRole('textbox', { name: /^Its width, edge to edge/ }),
      '64 7/8, 65, 65 1/8',
    );
    await userEvent.type(screen.getByRole('textbox', { name: /^Its height, edge to edge/ }), '78');
    expect(size()).toBe('65×78″');
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('opened at edge')).toBeTruthy();
    await waitFor(() => expect(sent?.plan.setting).toEqual({ kind: 'whole-quilt', width: 65, height: 78 }));
  });
  test('whoever says centimetres has them', async () => {
    begin();
    await userEvent.type(line(), '30 25 cm');
    expect(size()).toBe('149×178cm');
  });
  test('names are each their own', () => {
    expect(freeName('Sashed', [])).toBe('Sashed');
    expect(freeName('Sashed', ['Sashed', 'Sashed (2)'])).toBe('Sashed (3)');
  });
});

const start = startPlan('sashed-sampler');
const blocks = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    id: `b${i}`,
    name: `Block ${i + 1}`,
    width: null,
    height: null,
  }));

describe('spare blocks', () => {
  test('one is kept for the label, and laid out again', async () => {
    const { now } = show(<SpareOffers />, { ...start, pile: blocks(13) });
    expect(screen.getByRole('group', { name: 'Spare blocks' }).textContent).toContain('12 used, 1 spare');
    await userEvent.click(screen.getByRole('button', { name: 'Keep one for the label' }));
    expect(now().pile[12]).toMatchObject({ label: true });
    expect(screen.getByText(/is kept for the label/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Lay it out again' }));
    expect(now().pile[12]).not.toHaveProperty('label');
  });
  test('they go to a quilt of their own, with its cloths and their size', async () => {
    const { now } = show(<SpareOffers />, { ...start, pile: blocks(14) });
    await userEvent.click(screen.getByRole('button', { name: 'Begin the next quilt with them' }));
    await waitFor(() => expect(sent?.plan.pile).toHaveLength(2));
    expect(sent!.plan).toMatchObject({ block: start.block, grid: { across: 1, down: 2 } });
    expect(now().pile).toHaveLength(12);
  });
});

test('the next quilt is sound whatever the cloths of this one are called', () => {
  const called = JSON.parse(
    JSON.stringify({ ...start, pile: blocks(14) }).replaceAll(/"(back|sash|accent|border)"(?!:)/g, '"my-$1"'),
  ) as Plan;
  const next = beginWithBlocks(called, called.pile.slice(12), 'Over', () => `over-${Math.random()}`);
  expect(planProblems(called)).toEqual([]);
  expect(planProblems(next)).toEqual([]);
});

test('an empty pile is filled in one press, or in one line', async () => {
  const { now } = show(<EmptyPile />, start);
  await userEvent.click(screen.getByRole('button', { name: 'Just enough: 12 blocks' }));
  expect(now().pile).toHaveLength(12);
});

describe('the focus', () => {
  const frame = () => act(() => new Promise((done) => setTimeout(done, 60)));
  test('goes to what stands in the place of what was removed, and never to the page', async () => {
    const stop = keepFocus();
    const { container } = render(
      <main>
        <ul aria-label="rows">
          {['one', 'two', 'three'].map((name) => (
            <li key={name}>
              <button type="button">{name}</button>
            </li>
          ))}
        </ul>
        <button type="button">after</button>
      </main>,
    );
    const button = (name: string) => within(container).getByRole('button', { name });
    const remove = async (name: string) => {
      button(name).focus();
      fireEvent.focusIn(button(name));
      button(name).closest('li')!.remove();
      await frame();
    };
    await remove('two');
    expect(document.activeElement?.textContent).toBe('three');
    await remove('three');
    expect(document.activeElement?.textContent).toBe('one');
    await remove('one');
    expect(document.activeElement?.textContent).toBe('after');
    stop();
  });
});

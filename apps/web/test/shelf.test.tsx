import type { StoredQuilt } from '@lattice/contract';
import { type Plan, plannedSize, progressOf, startPlan } from '@lattice/core';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes, useParams } from 'react-router';
import { accessReceived } from '../src/state/accessSlice.ts';
import { createStore } from '../src/shell/store.ts';
import { Rail } from '../src/shell/quilt/Rail.tsx';
import { Shelf } from '../src/rooms/shelf/Shelf.tsx';
import { answer, answerWith, type PlainRequest } from './support/network.ts';
import { show as showOf } from './support/show.tsx';

const start = startPlan('sashed-sampler');
const three: [number, number, number] = [40, 40, 40];
const sewn: Plan = {
  ...start,
  title: 'Sewn',
  borders: [],
  measured: [{ borders: 0, width: three, height: three }],
};
const counted: Plan = {
  ...start,
  title: 'Counted',
  pile: [{ id: 'a', name: 'A', width: null, height: null }],
};

/** A quilt as the server lists it. */
function listed({ plan, ...quilt }: StoredQuilt) {
  if (plan.title === 'Torn') return { ...quilt, card: { title: plan.title, unreadable: true } };
  const { width, height } = plannedSize(plan);
  const at = (booked: boolean) => progressOf(plan, { booked }).at;
  const card = { title: plan.title, tags: plan.tags, unit: plan.unit, width, height, setting: 'Sashed' };
  return { ...quilt, card: { ...card, at: at(false), atBooked: at(true) } };
}

/** A shelf in memory. */
class ShelfServer {
  quilts: StoredQuilt[] = [start, sewn, counted].map((plan, i) => ({
    ...{ id: `q${i}`, revision: 1, updatedAt: '', savedBy: '', problems: [] },
    plan,
  }));
  gone: StoredQuilt[] = [];
  down = false;
  /** Quilts there are besides, on pages nobody asks for here. */
  more = 0;
  call = async (request: PlainRequest): Promise<Response> => {
    if (this.down) throw new TypeError('network');
    const [, id, verb] = /\/quilts\/?([^/?]*)\/?(.*)$/.exec(request.url)!;
    if (/\/house$/.test(request.url)) return answer(404, null);
    if (request.method === 'GET' && id)
      return answer(
        200,
        this.quilts.find((q) => q.id === id),
      );
    if (request.method === 'GET') {
      const words = new URL(request.url, 'http://x').searchParams.get('words')?.toLowerCase() ?? '';
      const found = this.quilts.filter((q) => q.plan.title.toLowerCase().includes(words));
      return answer(200, {
        quilts: found.map(listed),
        total: found.length + this.more,
        next: null,
        tags: [],
      });
    }
    if (verb === 'restore') {
      this.quilts.push(...this.gone.splice(0));
      return answer(200, this.quilts.at(-1));
    }
    if (request.method === 'DELETE') {
      this.gone = this.quilts.filter((q) => q.id === id);
      this.quilts = this.quilts.filter((q) => q.id !== id);
      return answer(204, null);
    }
    const { plan } = JSON.parse(await request.text()) as { plan: Plan };
    const quilt = { ...this.quilts[0]!, id: `new${this.quilts.length}`, plan };
    this.quilts.push(quilt);
    return answer(201, quilt);
  };
}
let server: ShelfServer;
beforeEach(() => {
  Object.assign(globalThis, {
    matchMedia: () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }),
  });
  server = new ShelfServer();
  answerWith((request) => server.call(request));
});

function Opened() {
  const { id, stage } = useParams();
  return (
    <p>
      {id} opened at {stage}
    </p>
  );
}
const show = (store = createStore()) =>
  render(
    <Provider store={store}>
      <MemoryRouter>
        <Routes>
          <Route path="/" element={<Shelf />} />
          <Route path="/quilts/:id/:stage" element={<Opened />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );

describe('the shelf', () => {
  test('every quilt says its size, its setting and where its work stands, and opens there', async () => {
    show();
    const cards = { [start.title]: 'setting', Sewn: 'layers', Counted: 'blocks' };
    for (const [title, stage] of Object.entries(cards)) {
      const link = await screen.findByRole('link', { name: title });
      expect(link.getAttribute('href')).toMatch(new RegExp(`/quilts/q\\d/${stage}$`));
      expect(link.parentElement!.textContent!.toLowerCase().replace(/\s/g, ' ')).toContain(
        `sashed · at ${stage}`,
      );
    }
    await userEvent.click(screen.getByRole('link', { name: 'Sewn' }));
    expect(screen.getByText('q1 opened at layers')).toBeTruthy();
  });
  test('taken off, and put back by the note that says so', async () => {
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Take Sewn off the shelf' }));
    const note = await screen.findByRole('status');
    expect(note.textContent).toContain('“Sewn” is off the shelf.');
    expect(server.quilts).toHaveLength(2);
    await userEvent.click(within(note).getByRole('button', { name: 'Put it back' }));
    expect(await screen.findByRole('link', { name: 'Sewn' })).toBeTruthy();
  });
  test('a copy keeps the plan and says that it is one', async () => {
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Duplicate Counted' }));
    expect(await screen.findByRole('link', { name: 'Counted, copy' })).toBeTruthy();
    expect(server.quilts.at(-1)!.plan).toEqual({ ...counted, title: 'Counted, copy' });
  });
  test('out of reach: said with a way to try again; then it is there', async () => {
    server.down = true;
    show();
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toMatch(/cannot be reached/);
    server.down = false;
    await userEvent.click(within(alert).getByRole('button', { name: 'Try again' }));
    expect(await screen.findByRole('link', { name: 'Sewn' })).toBeTruthy();
  });
  test('one that cannot be read stays, greyed, and opens to see what can be done', async () => {
    server.quilts.push({ ...server.quilts[0]!, id: 'q9', plan: { ...start, title: 'Torn' } });
    show();
    const link = await screen.findByRole('link', { name: 'Torn' });
    expect(link.closest('li')!.textContent).toContain('cannot be read any more');
    expect(screen.queryByRole('button', { name: 'Duplicate Torn' })).toBeNull();
  });
  test('a long shelf is searched by name', async () => {
    server.more = 40;
    show();
    await userEvent.type(await screen.findByRole('searchbox', { name: 'Find by name or tag' }), 'sew');
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Counted' })).toBeNull());
    expect(await screen.findByRole('link', { name: 'Sewn' })).toBeTruthy();
    await userEvent.type(screen.getByRole('searchbox', { name: 'Find by name or tag' }), 'x');
    expect(await screen.findByText('No quilt matches.')).toBeTruthy();
  });
  test('open for reading only, it says why; let in to look, nothing can be added or taken off', async () => {
    const store = createStore();
    store.dispatch(accessReceived({ who: 'view', readOnly: 'the disk is full', shared: true }));
    show(store);
    expect((await screen.findByRole('alert')).textContent).toMatch(/reading only: the disk is full/);
    await screen.findByRole('link', { name: 'Sewn' });
    expect(screen.queryByRole('button', { name: /off the shelf|Duplicate|Tags of|plan file/ })).toBeNull();
  });
  test('an empty one says how to begin', async () => {
    server.quilts = [];
    show();
    expect(await screen.findByText(/The shelf is empty/)).toBeTruthy();
  });
});

describe('the rail', () => {
  test('settled stages say so, the others do not', () => {
    showOf(<Rail />, sewn);
    const names = screen.getAllByRole('link').map((link) => link.textContent);
    expect(names).toEqual([
      'Blocks',
      'Setting, settled',
      'Wall, settled',
      'Borders, settled',
      'Layers',
      'Edge',
      'Cut',
      'Sew',
      'Journal',
    ]);
  });
  test('the pile in a line: none, some, all as they should be', () => {
    const rail = (plan: Plan) => {
      cleanup();
      showOf(<Rail />, plan);
      return screen.getByRole('navigation', { name: 'Stages' }).querySelector('.summary')!.textContent;
    };
    expect(rail(start)).toBe('No blocks yet.');
    expect(rail(counted)).toBe('1 block, none measured yet.');
    expect(
      rail({ ...counted, pile: [...counted.pile, { id: 'b', name: 'B', width: 12.5, height: 13 }] }),
    ).toBe('1 of 2 blocks measured. 1 off by more than 1/8″.');
    expect(
      rail({
        ...counted,
        pile: [{ id: 'b', name: 'B', width: start.block.width + 0.5, height: start.block.height + 0.5 }],
      }),
    ).toMatch(/All can be sewn in as they are\.$/);
  });
});

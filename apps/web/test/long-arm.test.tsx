import { type LongArmAnswer, type LongArmJob, type Plan, startPlan } from '@lattice/core';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { entriesHeard } from '../src/state/logSlice.ts';
import { selectBooking } from '../src/state/bookingSelectors.ts';
import { redo, undo } from '../src/state/planSlice.ts';
import { LayersStage } from '../src/stages/layers/LayersStage.tsx';
import { answer, answerWith, type PlainRequest } from './support/network.ts';
import { choose, show as showOf } from './support/show.tsx';

const start = startPlan('sashed-sampler');
const plan: Plan = { ...start, quilting: { ...start.quilting, by: 'long-arm' } };
const show = (change: Partial<Plan> = {}) => {
  const shown = showOf(<LayersStage />, { ...plan, ...change });
  return { ...shown, booking: () => selectBooking(shown.store.getState()) };
};

const takes: LongArmAnswer = {
  accepted: true,
  price: 96.5,
  ahead: 3,
  starts: '2026-12-09',
  ready: '2026-12-16',
  working: ['Three quilts are ahead of it.'],
};
const refuses: LongArmAnswer = {
  accepted: false,
  reasons: ['The backing stands out by 2″ at the sides; 4″ is wanted.', 'The batting is short.'],
};

const BOOKED = {
  number: 'LA-7',
  unit: 'in',
  width: 40,
  height: 50,
  price: 96.5,
  starts: '2026-12-09',
  ready: '2026-12-16',
} as const;

/** A long-arm service that keeps what it was sent. */
class Service {
  said: LongArmAnswer = takes;
  bookings: string[] = [];
  jobs: LongArmJob[] = [];
  down = false;
  full = false;
  entries = 0;
  call = async (request: PlainRequest): Promise<Response> => {
    if (this.down) throw new TypeError('network');
    const place = request.url.replace(/^.*\/api/, '');
    // The quilt itself is saved besides.
    if (place.startsWith('/quilts')) return answer(200, { revision: 2 });
    const body = JSON.parse(await request.text()) as { quilt: string; entry: string; job: LongArmJob };
    const entry = (kind: string, said: object) => ({
      id: body.entry,
      quilt: body.quilt,
      at: new Date(Date.UTC(2026, 10, 26, 9, 0, this.entries++)).toISOString(),
      kind,
      body: said,
    });
    if (place.endsWith('/cancel')) {
      this.bookings = this.bookings.filter((number) => !place.includes(number));
      return answer(200, { entry: entry('booking-cancelled', { number: 'LA-7' }) });
    }
    if (place === '/long-arm/quotes') {
      this.jobs.push(body as unknown as LongArmJob);
      return answer(200, this.said);
    }
    if (this.full) return answer(409, { entry: null, answer: refuses });
    this.bookings.push('LA-7');
    return answer(201, { entry: entry('booked', { ...BOOKED, ...body.job.top }), answer: takes });
  };
}
let service: Service;
beforeEach(() => {
  service = new Service();
  answerWith((request) => service.call(request));
});
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

test('it is told the sizes the figures say, and its answer is shown with price, dates and reasons', async () => {
  show();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  // Four by five 12" blocks and their sashes, and 4" of backing and batting beyond on every side.
  const { top, backing, batting } = service.jobs[0]!;
  expect(backing.width - top.width).toBeCloseTo(8, 9);
  expect(batting.height - top.height).toBeCloseTo(8, 9);
  expect(screen.getByText('96.50')).toBeTruthy();
  expect(screen.getByText('Three quilts are ahead of it.')).toBeTruthy();
});

test('refused: every reason is said, and quilting it oneself is one press away', async () => {
  service.said = refuses;
  const { now } = show();
  await press('Ask the long-arm service');
  await screen.findByText('It cannot take this job');
  expect(screen.getByTestId('long-arm').querySelectorAll('li')).toHaveLength(2);
  await press('Quilt it myself instead');
  expect(now().quilting.by).toBe('home');
  expect(screen.getByTestId('marking')).toBeTruthy();
});

test('an answer is of the sizes that were sent: another pattern has to be asked for again', async () => {
  show();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  await choose(/Pattern$/, 'To each block its own');
  expect(screen.queryByText('It takes this job')).toBeNull();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  expect(service.jobs.map((j) => j.pattern)).toEqual(['all-over', 'custom']);
});

test('booked, kept in the log, and standing until the service has heard that it is taken back', async () => {
  const { booking } = show();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  await press('Book it');
  await screen.findByText('Booked as LA-7');
  expect(booking()).toMatchObject({ number: 'LA-7', price: 96.5, starts: '2026-12-09' });
  service.down = true;
  await press('Cancel the booking');
  await screen.findByText(/The server cannot be reached/);
  expect(booking()).not.toBeNull();
  service.down = false;
  // It goes by itself; nobody has to ask again.
  await screen.findByText('It takes this job');
  expect(booking()).toBeNull();
  expect(service.bookings).toEqual([]);
});

test('undo takes back decisions, never what the service has taken on or let go', async () => {
  const { now, store, booking } = show();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  await press('Book it');
  await screen.findByText('Booked as LA-7');
  const undone = async (action: ReturnType<typeof undo>) => act(async () => void store.dispatch(action));
  await undone(undo());
  expect(booking()).toMatchObject({ number: 'LA-7' });
  await undone(redo());
  expect(booking()).toMatchObject({ number: 'LA-7' });
  await press('Quilt it myself instead');
  await screen.findByTestId('marking');
  expect(service.bookings).toEqual([]);
  // Cancelled, it does not come back with an older plan.
  await undone(undo());
  expect(now().quilting.by).toBe('long-arm');
  expect(booking()).toBeNull();
});

test('its queue filled while one thought: the refusal is shown and nothing is booked', async () => {
  const { booking } = show();
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  service.full = true;
  await press('Book it');
  await screen.findByText('It cannot take this job');
  expect(booking()).toBeNull();
});

test('a quilt that changed since it was booked says both sizes and asks again', async () => {
  const { store } = show();
  act(() => {
    store.dispatch(
      entriesHeard([
        { id: 'booked-before', quilt: 'q', at: '2026-11-20T09:00:00Z', kind: 'booked', body: BOOKED },
      ]),
    );
  });
  expect(screen.getByTestId('booking').textContent).toMatch(/It was booked as 40 × 50″ and comes to/);
  await press('Ask again');
  await screen.findByText('Ask the long-arm service');
});

test('out of reach: said, and asked again when it is back', async () => {
  service.down = true;
  show();
  await press('Ask the long-arm service');
  await screen.findByText(/The server cannot be reached/);
  service.down = false;
  await press('Ask the long-arm service');
  await screen.findByText('It takes this job');
  expect(screen.queryByText(/cannot be reached/)).toBeNull();
});

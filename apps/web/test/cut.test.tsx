import { type LogEntry, type Plan, startPlan } from '@lattice/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { CuttingList } from '../src/rooms/figures/CuttingList.tsx';
import { PilesPage } from '../src/stages/cut/PilesPage.tsx';
import { CutStage } from '../src/stages/cut/CutStage.tsx';
import { PlanPage } from '../src/stages/cut/PlanPage.tsx';
import { choose, show as showOf, type } from './support/show.tsx';

const plan: Plan = { ...startPlan('sashed-sampler'), borders: [] };
const show = (what: React.ReactNode = <CutStage />, change: Partial<Plan> = {}) =>
  showOf(what, { ...plan, ...change });
const soFar = () => screen.getByTestId('cut-so-far').textContent;
const inHand = () => screen.getAllByRole('heading', { level: 2 })[0]!.textContent;
const space = () => fireEvent.keyDown(document.body, { code: 'Space' });
/** Does what is in hand until all of the cloth is cut. */
async function cutAll(): Promise<void> {
  for (let i = 0; i < 60 && inHand() !== 'All cut'; i++) {
    const before = inHand() + soFar()! + screen.getByText(/on this cloth$/).textContent;
    space();
    await waitFor(() =>
      expect(inHand() + soFar()! + screen.getByText(/on this cloth$/).textContent).not.toBe(before),
    );
  }
}

describe('at the table', () => {
  test('space and the great button do what is in hand, one takes it back; all is cut at last', async () => {
    show();
    expect(inHand()).toBe('Square the end');
    space();
    await waitFor(() => expect(inHand()).not.toBe('Square the end'));
    await userEvent.click(screen.getByRole('button', { name: 'Not cut after all' }));
    await waitFor(() => expect(inHand()).toBe('Square the end'));
    await userEvent.click(screen.getByRole('button', { name: /^Squared/ }));
    await cutAll();
    expect(soFar()).toMatch(/Sashes31 of 31/);
    expect(screen.getByText(/Close the blade and put it away/)).toBeTruthy();
    // Typing a space somewhere is no cut.
    await userEvent.click(screen.getByRole('button', { name: 'Not cut after all' }));
    await waitFor(() => expect(inHand()).not.toBe('All cut'));
    const before = soFar();
    const button = screen.getByRole('button', { name: 'Not cut after all' });
    fireEvent.keyDown(button, { code: 'Space' });
    expect(soFar()).toBe(before);
  });
  test('what is left goes into the stash, once', async () => {
    const { store } = show();
    await cutAll();
    await userEvent.click(screen.getByRole('button', { name: 'Put what is left into the stash' }));
    await waitFor(() =>
      expect(screen.queryByRole('button', { name: 'Put what is left into the stash' })).toBeNull(),
    );
    const put = store.getState().log.filter((entry: LogEntry) => entry.kind === 'stash-put');
    expect(put.length).toBeGreaterThan(0);
    expect(put.every(({ quilt }) => quilt === 'stash')).toBe(true);
  });
  test('the blade in the other hand, and the cloth laid open, are kept', async () => {
    show();
    await userEvent.click(screen.getByRole('radio', { name: 'Open' }));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Sash, laid open');
    await userEvent.click(screen.getByRole('radio', { name: 'Folded' }));
    await userEvent.click(screen.getByRole('switch', { name: 'Blade in the left hand' }));
    await userEvent.click(screen.getByRole('switch', { name: 'Blade in the left hand' }));
  });
});

describe('something went wrong', () => {
  const wrong = () => userEvent.click(screen.getByRole('button', { name: 'Something went wrong…' }));
  test('a flawed patch: what is good beside it is cut from first', async () => {
    const { store } = show();
    space();
    await waitFor(() => expect(inHand()).not.toBe('Square the end'));
    await wrong();
    await type('The flaw, long', '3');
    await type('Good cloth beside it, near selvage', '15');
    await type('The flaw, wide', '50');
    expect(screen.getByText(/The cloth is only/)).toBeTruthy();
    expect((screen.getByRole('button', { name: 'Cut round it' }) as HTMLButtonElement).disabled).toBe(true);
    await type('The flaw, wide', '4');
    await userEvent.click(screen.getByRole('button', { name: 'Cut round it' }));
    const lost = store.getState().log.find((entry: LogEntry) => entry.kind === 'cut-lost')!;
    expect(lost.body).toMatchObject({
      length: 3,
      leaves: [
        { w: 15, h: 3 },
        { w: 21, h: 3 },
      ],
    });
    await waitFor(() => expect(screen.getByText(/planned anew/)).toBeTruthy());
    await cutAll();
    expect(soFar()).toMatch(/Sashes31 of 31/);
  });
  test('no more of the cloth: one job of it, or all of it, from another', async () => {
    const { now } = show(<CutStage />, {
      fabricFor: { ...plan.fabricFor, cornerstone: 'sash' },
    });
    await wrong();
    await choose(/^everything of it For/, 'cornerstones');
    await userEvent.click(screen.getByRole('button', { name: 'Take that' }));
    expect([now().fabricFor.cornerstone, now().fabricFor.sash]).toEqual(['accent', 'sash']);
    await userEvent.click(screen.getByRole('button', { name: 'Take that' }));
    expect(now().fabricFor.sash).toBe('accent');
  });
  test('a narrower cloth is planned for at once', async () => {
    const { now } = show();
    await wrong();
    await type('It is usable', '30');
    expect(now().fabrics.find(({ id }) => id === 'sash')!.usableWidth).toBe(30);
  });
});

describe('on paper', () => {
  test('the plan as it was begun, what is done ticked; slips for the piles', async () => {
    show(
      <>
        <CutStage />
        <PlanPage />
      </>,
    );
    space();
    await waitFor(() => expect(inHand()).not.toBe('Square the end'));
    const sash = screen.getByRole('region', { name: 'Sash' });
    expect(within(sash).getAllByText('✓')).toHaveLength(1);
    expect(within(sash).getAllByRole('listitem').length).toBeGreaterThan(2);
  });
  test('a slip for each pile', () => {
    show(<PilesPage />);
    expect(screen.getByText('31 sashes')).toBeTruthy();
  });
});

describe('cloths that take turns', () => {
  test('another joins in, they are scattered, and it goes again', async () => {
    const { now } = show(<CuttingList />);
    await userEvent.click(screen.getByRole('button', { name: 'Another cloth in turn for sashes' }));
    expect(now().rotations).toEqual([{ for: 'sash', fabrics: ['accent'], order: 'sequence', seed: 1 }]);
    expect(screen.getByTestId('cutting-list').textContent).toMatch(/Accent, in turn/);
    await userEvent.click(screen.getAllByRole('button', { name: /Another cloth in turn for .*sash/i })[0]!);
    expect(now().rotations[0]!.fabrics).toEqual(['accent', 'triangle']);
    await choose(/one after another/, 'scattered');
    await userEvent.click(screen.getByRole('button', { name: 'Scatter again' }));
    expect(now().rotations[0]).toMatchObject({ order: 'scattered', seed: 2 });
    const out = () => userEvent.click(screen.getAllByRole('button', { name: /Take cloth 2 of/ })[0]!);
    await out();
    await out();
    expect(now().rotations).toEqual([]);
  });
});

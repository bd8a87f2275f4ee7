import { type Plan, startPlan } from '@lattice/core';
import { act, screen, waitFor } from '@testing-library/react';
import { DeferWhileDragging } from '../src/shell/DeferWhileDragging.tsx';
import { useAppSelector, useLiveSelector } from '../src/state/hooks.ts';
import { planChanged } from '../src/state/planSlice.ts';
import { selectDrawn, selectQuilt } from '../src/state/selectors.ts';
import { tapeHeld } from '../src/state/viewSlice.ts';
import { layoutOf, quiltOf, workOutCalmly } from '../src/state/workedOut.ts';
import { show } from './support/show.tsx';

const plan: Plan = startPlan('sashed-sampler');
const wider = (sash: number): Plan => ({ ...plan, setting: { ...plan.setting, sash } as Plan['setting'] });

describe('a quilt is worked out a part at a time', () => {
  test('whatever waits has its turn in between; then it is known', async () => {
    let turns = 0;
    const turn = () => {
      turns++;
      waiting = setTimeout(turn);
    };
    let waiting = setTimeout(turn);
    const changed = wider(2.5);
    await workOutCalmly(changed, new AbortController().signal);
    clearTimeout(waiting);
    expect(turns).toBeGreaterThanOrEqual(plan.fabrics.length);
    expect(quiltOf(changed).layout).toBe(layoutOf(changed));
    expect(quiltOf(changed)).toBe(quiltOf(changed));
  });
  test('a later plan makes it give up, and leaves no half of it behind', async () => {
    const before = quiltOf(plan);
    const going = new AbortController();
    const work = workOutCalmly(wider(3), going.signal);
    going.abort();
    await work;
    expect(quiltOf(plan)).toBe(before);
    expect(quiltOf(wider(3)).layout.finished.width.value).toBeGreaterThan(before.layout.finished.width.value);
  });
});

/** The width as it is drawn, and as it is said beside the drawing. */
function Widths() {
  const drawn = useLiveSelector((s) => selectDrawn(s).layout.finished.width.value);
  const said = useAppSelector((s) => selectQuilt(s).layout.finished.width.value);
  return <p>{`drawn ${drawn}, said ${said}`}</p>;
}

test('while a tape is held the drawing follows at once, the figures when the hand pauses and when it lets go', async () => {
  const { store } = show(
    <DeferWhileDragging>
      <Widths />
    </DeferWhileDragging>,
    plan,
  );
  const widthWith = (sash: number) => quiltOf(wider(sash)).layout.finished.width.value;
  const [first, second, third] = [1.5, 2, 3].map(widthWith);
  const said = () => screen.getByText(/drawn/).textContent;
  expect(said()).toBe(`drawn ${first}, said ${first}`);
  act(() => void store.dispatch(tapeHeld(true)));
  act(() => void store.dispatch(planChanged(wider(2), 'a')));
  expect(said()).toBe(`drawn ${second}, said ${first}`);
  await waitFor(() => expect(said()).toBe(`drawn ${second}, said ${second}`));
  act(() => void store.dispatch(planChanged(wider(3), 'a')));
  expect(said()).toBe(`drawn ${third}, said ${second}`);
  act(() => void store.dispatch(tapeHeld(false)));
  await waitFor(() => expect(said()).toBe(`drawn ${third}, said ${third}`));
});

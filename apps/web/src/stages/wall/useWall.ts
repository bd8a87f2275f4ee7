import {
  type ArrangeRules,
  clashesOf,
  crowdsOf,
  type Plan,
  rowLabels,
  START_RULES,
  wallJob,
  wallOf,
  withArrangement,
} from '@lattice/core';
import { useCallback, useMemo, useState } from 'react';
import { useLatest } from '../../browser/useLatest.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { type Tried, withTried } from './Audition.tsx';
import { type Act, blockOf, dropped, EMPTY_HAND, keyed, type OnWall, tapped } from './hand.ts';
import { type Arranging, useArrange } from './useArrange.ts';
import { useBlockDrag } from './useBlockDrag.ts';

/** The arrangement to be seen: as it is being made, or the one picked of those that are done. */
const trialOf = (arranging: Arranging, picked: number) =>
  arranging.running
    ? arranging.latest
    : (arranging.proposals[Math.min(picked, arranging.proposals.length - 1)]?.arrangement ?? null);

/** The wall as it lies and as it is shown: the arrangement being made or picked, the cloth being tried, and what clashes. */
function useShown(rules: ArrangeRules) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const [tried, setTried] = useState<Tried | null>(null);
  const [picked, setPicked] = useState(0);
  const { state: arranging, start, stop, clear } = useArrange();

  const pieces = useMemo(
    () => layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => (a.place ?? 0) - (b.place ?? 0)),
    [layout],
  );
  const labels = useMemo(() => rowLabels(pieces), [pieces]);
  const count = pieces.length;
  const wall = useMemo(() => wallOf(plan, count), [plan, count]);
  const job = useMemo(() => wallJob(plan, layout, rules), [plan, layout, rules]);
  const crowds = useMemo(() => crowdsOf(job), [job]);

  const trial = arranging && trialOf(arranging, picked);
  const arranged = useMemo(
    () => (arranging && trial ? withArrangement(plan, arranging.job, trial) : plan),
    [arranging, trial, plan],
  );
  const shown = useMemo(() => (tried ? withTried(arranged, tried) : arranged), [tried, arranged]);
  const shownWall = useMemo(
    () => (arranged === plan ? wall : wallOf(arranged, count)),
    [arranged, plan, wall, count],
  );
  const clashes = useMemo(
    () => clashesOf(arranged === plan ? job : wallJob(arranged, layout, rules)),
    [arranged, plan, job, layout, rules],
  );
  return {
    ...{ plan, layout, pieces, labels, wall, job, crowds, arranged, shown, shownWall, clashes },
    ...{ tried, setTried, picked, setPicked, arranging, start, stop, clear },
  };
}

/** All that is done at the wall: by hand, by keyboard, and by having it arranged. */
export function useWall() {
  const [rules, setRules] = useState(START_RULES);
  const [hand, setHand] = useState(EMPTY_HAND);
  const on = useShown(rules);
  const { plan, wall, pieces, job, clear } = on;
  const edit = useEdit();
  const onWall: OnWall = { plan, wall, pieces, places: job.places };

  const say = useCallback((said: string) => setHand((now) => ({ ...now, said })), []);
  /** Takes a plan; what is not taken stays as it was, and the page says why. */
  const take = (next: Plan): boolean => {
    if (edit(() => next) !== null) return false;
    clear();
    return true;
  };
  const perform = (act: Act | null) => {
    if (!act) return;
    if (act.plan === null) return say(act.refused ?? '');
    if (act.plan && !take(act.plan)) return;
    setHand(act.hand);
    if (act.focus !== undefined) document.querySelector<SVGElement>(`[data-place="${act.focus}"]`)?.focus();
  };
  const { ghost, press } = useBlockDrag({
    blockOf: (source) => blockOf(onWall, source),
    onDrop: (source, target) => perform(dropped(onWall, hand, source, target)),
    onTap: (source, more) => perform(tapped(onWall, hand, source, more)),
  });
  const onKey = useLatest((event: React.KeyboardEvent, place: number) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const act = keyed(onWall, hand, event.key, event.shiftKey, place);
    if (!act) return;
    perform(act);
    event.preventDefault();
  });
  const chooseSpare = useLatest((spare: string) => perform(tapped(onWall, hand, { spare }, false)));
  const changeRules = useLatest((next: ArrangeRules) => {
    clear();
    setRules(next);
  });
  const choose = useCallback((chosen: readonly number[]) => setHand((now) => ({ ...now, chosen })), []);
  return {
    ...on,
    onWall,
    hand,
    perform,
    take,
    say,
    choose,
    chooseSpare,
    rules,
    changeRules,
    ghost,
    press,
    onKey,
  };
}

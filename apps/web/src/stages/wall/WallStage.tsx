import {
  type ArrangeRules,
  type Clash,
  clashesOf,
  crowdsOf,
  type WallPlace,
  type Plan,
  rowLabels,
  START_RULES,
  wallJob,
  wallOf,
  withArrangement,
  withLocked,
  withMoved,
  withParked,
  withPlaced,
  withTurned,
} from '@lattice/core';
import { Camera, Lock, LockOpen, PackageOpen, Printer, RotateCw } from 'lucide-react';
import { lazy, memo, Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { withWallRead } from '../../rooms/camera/laid.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { SwitchField } from '../../design/controls/SwitchField.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { useEdit } from '../../state/useEdit.ts';
import { LieSection } from '../setting/LieSection.tsx';
import { EmptyPile } from '../../rooms/beginning/EmptyPile.tsx';
import { SpareOffers } from '../../rooms/beginning/SpareOffers.tsx';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { ArrangeSection } from './ArrangeSection.tsx';
import { Audition, type Tried, withTried } from './Audition.tsx';
import { ClashList } from './ClashList.tsx';
import { DragGhost } from './DragGhost.tsx';
import { Tray } from './Tray.tsx';
import { useArrange } from './useArrange.ts';
import { type Source, type Target, useBlockDrag } from './useBlockDrag.ts';
import { placeWords, WallBoard } from './WallBoard.tsx';
import { type ViewId, VIEWS } from './views.tsx';
import { WallKeys } from './WallKeys.tsx';
import { narrow } from '../../design/media.ts';

/** What a photo is read with is large, and fetched when one is. */
const LaidSheet = lazy(async () => ({
  default: (await import('../../rooms/camera/LaidSheet.tsx')).LaidSheet,
}));

const Hanging = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-width: 0;
  min-height: 0;
  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    min-height: 48px;
    padding: 7px 18px;
    border-bottom: 1px solid var(--line);
    background: var(--card);
  }
  .tools .said {
    flex: 1 1 200px;
    font-size: var(--size-text);
  }
  ${narrow} {
    grid-template-rows: auto min(110vw, 60vh) auto;
  }
`;

/** The next place in a direction, by where the middles lie: the nearest that lies more that way than to the side. */
function stepFrom(points: readonly { x: number; y: number }[], from: number, dx: number, dy: number): number {
  const at = points[from]!;
  let best = { place: from, away: Infinity };
  points.forEach((p, place) => {
    const along = (p.x - at.x) * dx + (p.y - at.y) * dy;
    const aside = Math.abs((p.x - at.x) * dy) + Math.abs((p.y - at.y) * dx);
    if (place === from || along <= 1e-6 || aside > along) return;
    const away = along + 2 * aside;
    if (away < best.away) best = { place, away };
  });
  return best.place;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Wall: blocks laid out by hand, by keyboard or by the rules; clashes, ways of looking, cloths tried beside them. */
export function WallStage() {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const edit = useEdit();
  const [rules, setRules] = useState(START_RULES);
  const [seed, setSeed] = useState(1);
  const [spares, setSpares] = useState(false);
  const [view, setView] = useState<ViewId>('plain');
  const [showLabels, setShowLabels] = useState(false);
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [chosenSpare, setChosenSpare] = useState<string | null>(null);
  /** Carried by the keyboard from this place. */
  const [carried, setCarried] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const [pointedClash, setPointedClash] = useState<Clash | null>(null);
  const [tried, setTried] = useState<Tried | null>(null);
  const [picked, setPicked] = useState(0);
  const photo = useSheet('laid');
  const { state: arranging, start, stop, clear } = useArrange();

  const pieces = useMemo(
    () => layout.pieces.filter((p) => p.place !== undefined).sort((a, b) => a.place! - b.place!),
    [layout],
  );
  const labels = useMemo(() => rowLabels(pieces), [pieces]);
  const count = pieces.length;
  const wall = useMemo(() => wallOf(plan, count), [plan, count]);
  const hung = useMemo(() => wall.places.flatMap((p) => (p.block ? [p.block] : [])), [wall]);
  const job = useMemo(() => wallJob(plan, layout, rules), [plan, layout, rules]);
  const crowds = useMemo(() => crowdsOf(job), [job]);

  // What is shown: the wall itself, the arrangement being made or picked, and the cloth being tried.
  const trial = arranging
    ? arranging.running
      ? arranging.latest
      : (arranging.proposals[Math.min(picked, arranging.proposals.length - 1)]?.arrangement ?? null)
    : null;
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

  const change = (next: Plan | null, refused: string): boolean => {
    if (!next) {
      setSaid(refused);
      return false;
    }
    // What is not taken stays as it was, and the page says why.
    if (edit(() => next) !== null) return false;
    clear();
    return true;
  };
  const drop = (source: Source, target: Target) => {
    if (target === null) return;
    if ('spare' in source) {
      if (target !== 'tray')
        change(withPlaced(plan, count, source.spare, target.place), 'That place is locked.');
      return;
    }
    const moving = chosen.includes(source.place) ? chosen : [source.place];
    if (target === 'tray') {
      if (change(withParked(plan, count, moving), '')) setChosen([]);
    } else if (
      target.place !== source.place &&
      change(
        withMoved(plan, pieces, moving, source.place, target.place),
        'They cannot go there: a block would leave the wall, or a place is locked.',
      )
    ) {
      setChosen([target.place]);
    }
  };
  const tap = (source: Source, more: boolean) => {
    if ('spare' in source) return setChosenSpare(chosenSpare === source.spare ? null : source.spare);
    if (chosenSpare !== null) {
      if (change(withPlaced(plan, count, chosenSpare, source.place), 'That place is locked.'))
        setChosenSpare(null);
      return;
    }
    setChosen(
      more
        ? chosen.includes(source.place)
          ? chosen.filter((p) => p !== source.place)
          : [...chosen, source.place]
        : chosen.length === 1 && chosen[0] === source.place
          ? []
          : [source.place],
    );
    setSaid('');
  };
  const { ghost, press } = useBlockDrag({
    blockOf: (source) =>
      ('spare' in source
        ? wall.spare.find((b) => b.id === source.spare)
        : wall.places[source.place]?.block) ?? null,
    onDrop: drop,
    onTap: tap,
  });

  const focusPlace = (place: number) =>
    document.querySelector<SVGElement>(`[data-place="${place}"]`)?.focus();
  const onKey = (event: React.KeyboardEvent, place: number) => {
    const arrow = ARROWS[event.key];
    const key = event.key.toLowerCase();
    const acting = chosen.includes(place) ? chosen : [place];
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (arrow) focusPlace(stepFrom(job.places, place, arrow[0], arrow[1]));
    else if (event.key === 'Enter') {
      if (chosenSpare !== null) tap({ place }, false);
      else if (carried === null) {
        setCarried(place);
        setSaid(
          `${wall.places[place]!.block?.name ?? 'An empty place'} taken up. Arrows to where it goes, Enter to lay it there, Escape to leave it.`,
        );
      } else {
        const moving = chosen.includes(carried) ? chosen : [carried];
        if (
          carried === place ||
          change(
            withMoved(plan, pieces, moving, carried, place),
            'It cannot go there: a block would leave the wall, or a place is locked.',
          )
        ) {
          setCarried(null);
          setChosen([]);
          setSaid('Laid there.');
        }
      }
    } else if (event.key === ' ') tap({ place }, true);
    else if (event.key === 'Escape') {
      setCarried(null);
      setChosen([]);
      setChosenSpare(null);
      setSaid('');
    } else if (key === 'r') change(withTurned(plan, count, acting, event.shiftKey ? -1 : 1), '');
    else if (key === 'l') change(withLocked(plan, count, acting, !wall.places[place]!.locked), '');
    else if (key === 'p' || event.key === 'Delete') change(withParked(plan, count, acting), '');
    else return;
    event.preventDefault();
  };
  const latestKey = useLatest(onKey);
  const chooseClash = useCallback((clash: Clash) => setChosen([clash.a, clash.b]), []);
  const changeRules = useLatest((next: ArrangeRules) => {
    clear();
    setRules(next);
  });
  const chooseSpare = useLatest((spare: string) => setChosenSpare(chosenSpare === spare ? null : spare));

  const acting = chosen.length > 0 ? chosen : [];
  const allLocked = acting.length > 0 && acting.every((p) => wall.places[p]?.locked);
  const only: WallPlace | undefined = acting.length === 1 ? wall.places[acting[0]!] : undefined;
  return (
    <StageGrid>
      <Hanging>
        <div className="tools" role="toolbar" aria-label="What to do with the chosen blocks">
          <span className="said" role="status">
            {said ||
              (only
                ? placeWords(only, labels[acting[0]!]!)
                : acting.length > 1
                  ? `${acting.length} blocks chosen`
                  : 'Drag a block onto another to exchange them; press one to choose it.')}
          </span>
          <Button
            isDisabled={acting.length === 0}
            onPress={() => change(withTurned(plan, count, acting), '')}
          >
            <RotateCw size={15} aria-hidden />
            Rotate
          </Button>
          <Button
            isDisabled={acting.length === 0}
            onPress={() => change(withLocked(plan, count, acting, !allLocked), '')}
          >
            {allLocked ? <LockOpen size={15} aria-hidden /> : <Lock size={15} aria-hidden />}
            {allLocked ? 'Unlock' : 'Lock'}
          </Button>
          <Button
            isDisabled={acting.length === 0}
            onPress={() => change(withParked(plan, count, acting), '') && setChosen([])}
          >
            <PackageOpen size={15} aria-hidden />
            Park
          </Button>
          <Button isDisabled={plan.pile.length === 0} onPress={() => photo.show()}>
            <Camera size={15} aria-hidden />
            From a photo
          </Button>
        </div>
        <WallBoard
          plan={shown}
          layout={layout}
          pieces={pieces}
          places={shownWall.places}
          labels={labels}
          showLabels={showLabels}
          view={view}
          clashes={clashes}
          pointedClash={pointedClash}
          chosen={chosen}
          carried={carried}
          onPress={press}
          onKey={latestKey}
        />
        <Tray spare={wall.spare} chosen={chosenSpare} onPress={press} onChoose={chooseSpare} />
      </Hanging>
      <StageSide aria-label="The wall">
        {plan.pile.length === 0 && <EmptyPile />}
        <AdviceFor path="grid" />
        <SpareOffers />
        <LookSection view={view} onView={setView} showLabels={showLabels} onLabels={setShowLabels} />
        <ClashList
          clashes={clashes}
          crowds={crowds}
          places={shownWall.places}
          labels={labels}
          onPoint={setPointedClash}
          onChoose={chooseClash}
        />
        <ArrangeSection
          {...{ plan, job, rules, seed, spares, arranging, picked }}
          clashes={clashes.length}
          onRules={changeRules}
          onSeed={setSeed}
          onSpares={setSpares}
          onPick={setPicked}
          onStart={() => {
            setPicked(0);
            setChosen([]);
            start(job, seed, spares);
          }}
          onStop={stop}
          onTake={() => change(arranged, '')}
          onLeave={clear}
        />
        <Audition
          plan={plan}
          layout={layout}
          blocks={hung}
          tried={tried}
          onTry={setTried}
          onTake={() => {
            if (tried) edit((p) => withTried(p, tried));
            setTried(null);
          }}
        />
        <LieSection />
        <WallKeys />
        <Caution>
          Laying out on a wall or floor: stand the ladder on even ground and do not lean from it, kneel on
          something soft, and rest eyes, neck and back between rounds.
        </Caution>
      </StageSide>
      <DragGhost handle={ghost} />
      {photo.open !== null && (
        <Suspense fallback={null}>
          <LaidSheet
            plan={plan}
            layout={layout}
            onTake={(places) => {
              change(withWallRead(plan, places), '');
              setSaid('The wall is as the photo shows it.');
              photo.close();
            }}
            onClose={photo.close}
          />
        </Suspense>
      )}
    </StageGrid>
  );
}

/** Ways of looking at the wall; nothing that lies on it changes them. */
const LookSection = memo(function LookSection({
  view,
  onView,
  showLabels,
  onLabels,
}: {
  view: ViewId;
  onView: (view: ViewId) => void;
  showLabels: boolean;
  onLabels: (show: boolean) => void;
}) {
  const { id } = useParams();
  return (
    <Section
      title="Look at it"
      action={
        <Link to={`/quilts/${id}/labels`}>
          <Printer size={15} aria-hidden style={{ verticalAlign: '-2px' }} /> Labels to print
        </Link>
      }
    >
      <ChoiceField
        label="View"
        labelled
        value={view}
        choices={[...VIEWS]}
        onChange={(next) => onView(next as ViewId)}
      />
      <SwitchField label="Row and place on every block" value={showLabels} onChange={onLabels} />
    </Section>
  );
});

/** A function that stays the same while what it does is always the latest. */
function useLatest<A extends unknown[]>(act: (...args: A) => void): (...args: A) => void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}

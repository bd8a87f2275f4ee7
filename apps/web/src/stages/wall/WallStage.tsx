import type { Clash } from '@lattice/core';
import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import { useSheet } from '../../browser/useInAddress.ts';
import { EmptyPile } from '../../rooms/beginning/EmptyPile.tsx';
import { SpareOffers } from '../../rooms/beginning/SpareOffers.tsx';
import { withWallRead } from '../../rooms/camera/laid.ts';
import { AdviceFor } from '../../rooms/figures/AdviceFor.tsx';
import { Caution } from '../../rooms/figures/Caution.tsx';
import { useEdit } from '../../state/useEdit.ts';
import { LieSection } from '../setting/LieSection.tsx';
import { StageGrid, StageSide } from '../stageLayout.ts';
import { ArrangeSection } from './ArrangeSection.tsx';
import { Audition, withTried } from './Audition.tsx';
import { ClashList } from './ClashList.tsx';
import { DragGhost } from './DragGhost.tsx';
import { LookSection } from './LookSection.tsx';
import { Tray } from './Tray.tsx';
import { useWall } from './useWall.ts';
import type { ViewId } from './views.tsx';
import { WallBoard } from './WallBoard.tsx';
import { WallKeys } from './WallKeys.tsx';
import { Hanging } from './WallStage.styles.ts';
import { WallTools } from './WallTools.tsx';

/** What a photo is read with is large, and fetched when one is. */
const LaidSheet = lazy(async () => ({
  default: (await import('../../rooms/camera/LaidSheet.tsx')).LaidSheet,
}));

/** Wall: blocks laid out by hand, by keyboard or by the rules; clashes, ways of looking, cloths tried beside them. */
export function WallStage() {
  const at = useWall();
  const [view, setView] = useState<ViewId>('plain');
  const [showLabels, setShowLabels] = useState(false);
  const [pointedClash, setPointedClash] = useState<Clash | null>(null);
  const photo = useSheet('laid');
  const { choose } = at;
  const chooseClash = useCallback((clash: Clash) => choose([clash.a, clash.b]), [choose]);
  return (
    <StageGrid>
      <Hanging>
        <WallTools
          on={at.onWall}
          hand={at.hand}
          labels={at.labels}
          onAct={at.perform}
          onPhoto={() => photo.show()}
        />
        <WallBoard
          plan={at.shown}
          layout={at.layout}
          pieces={at.pieces}
          places={at.shownWall.places}
          labels={at.labels}
          showLabels={showLabels}
          view={view}
          clashes={at.clashes}
          pointedClash={pointedClash}
          chosen={at.hand.chosen}
          carried={at.hand.carried}
          onPress={at.press}
          onKey={at.onKey}
        />
        <Tray spare={at.wall.spare} chosen={at.hand.spare} onPress={at.press} onChoose={at.chooseSpare} />
      </Hanging>
      <StageSide aria-label="The wall">
        {at.plan.pile.length === 0 && <EmptyPile />}
        <AdviceFor path="grid" />
        <SpareOffers />
        <LookSection view={view} onView={setView} showLabels={showLabels} onLabels={setShowLabels} />
        <ClashList
          clashes={at.clashes}
          crowds={at.crowds}
          places={at.shownWall.places}
          labels={at.labels}
          onPoint={setPointedClash}
          onChoose={chooseClash}
        />
        <Arrange at={at} />
        <Try at={at} />
        <LieSection />
        <WallKeys />
        <Caution>
          Laying out on a wall or floor: stand the ladder on even ground and do not lean from it, kneel on
          something soft, and rest eyes, neck and back between rounds.
        </Caution>
      </StageSide>
      <DragGhost handle={at.ghost} />
      {photo.open !== null && (
        <Suspense fallback={null}>
          <LaidSheet
            plan={at.plan}
            layout={at.layout}
            onTake={(places) => {
              const read = withWallRead(at.plan, places);
              if (read) at.take(read);
              at.say('The wall is as the photo shows it.');
              photo.close();
            }}
            onClose={photo.close}
          />
        </Suspense>
      )}
    </StageGrid>
  );
}

type AtWall = ReturnType<typeof useWall>;

/** What an arrangement weighs; having one made, and taking one. */
function Arrange({ at }: { at: AtWall }) {
  const [seed, setSeed] = useState(1);
  const [spares, setSpares] = useState(false);
  const { plan, job, rules, arranging, picked } = at;
  return (
    <ArrangeSection
      {...{ plan, job, rules, seed, spares, arranging, picked }}
      clashes={at.clashes.length}
      onRules={at.changeRules}
      onSeed={setSeed}
      onSpares={setSpares}
      onPick={at.setPicked}
      onStart={() => {
        at.setPicked(0);
        at.choose([]);
        at.start(job, seed, spares);
      }}
      onStop={at.stop}
      onTake={() => at.take(at.arranged)}
      onLeave={at.clear}
    />
  );
}

/** Another cloth tried beside the blocks that hang, and taken. */
function Try({ at }: { at: AtWall }) {
  const edit = useEdit();
  const { wall, tried, setTried } = at;
  const hung = useMemo(() => wall.places.flatMap((p) => (p.block ? [p.block] : [])), [wall]);
  return (
    <Audition
      plan={at.plan}
      layout={at.layout}
      blocks={hung}
      tried={tried}
      onTry={setTried}
      onTake={() => {
        if (tried) edit((p) => withTried(p, tried));
        setTried(null);
      }}
    />
  );
}

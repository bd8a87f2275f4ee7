import type { RowLabel } from '@lattice/core';
import { Camera, Lock, LockOpen, PackageOpen, RotateCw } from 'lucide-react';
import { Button } from '../../design/controls/Button.tsx';
import { type Act, type Hand, locked, type OnWall, parked, turned } from './hand.ts';
import { placeWords } from './WallBoard.tsx';

interface WallToolsProps {
  readonly on: OnWall;
  readonly hand: Hand;
  readonly labels: readonly RowLabel[];
  readonly onAct: (act: Act) => void;
  readonly onPhoto: () => void;
}

/** What is chosen or was said of it, in words. */
function saidOf(on: OnWall, { said, chosen }: Hand, labels: readonly RowLabel[]): string {
  if (said) return said;
  const [first] = chosen;
  if (first === undefined) return 'Drag a block onto another to exchange them; press one to choose it.';
  const [place, label] = [on.wall.places[first], labels[first]];
  return chosen.length === 1 && place && label ? placeWords(place, label) : `${chosen.length} blocks chosen`;
}

/** What to do with the chosen blocks, and a wall read off a photo. */
export function WallTools({ on, hand, labels, onAct, onPhoto }: WallToolsProps) {
  const none = hand.chosen.length === 0;
  const allLocked = !none && hand.chosen.every((p) => on.wall.places[p]?.locked);
  return (
    <div className="tools" role="toolbar" aria-label="What to do with the chosen blocks">
      <span className="said" role="status">
        {saidOf(on, hand, labels)}
      </span>
      <Button isDisabled={none} onPress={() => onAct(turned(on, hand))}>
        <RotateCw size={15} aria-hidden />
        Rotate
      </Button>
      <Button isDisabled={none} onPress={() => onAct(locked(on, hand, !allLocked))}>
        {allLocked ? <LockOpen size={15} aria-hidden /> : <Lock size={15} aria-hidden />}
        {allLocked ? 'Unlock' : 'Lock'}
      </Button>
      <Button isDisabled={none} onPress={() => onAct(parked(on, hand))}>
        <PackageOpen size={15} aria-hidden />
        Park
      </Button>
      <Button isDisabled={on.plan.pile.length === 0} onPress={onPhoto}>
        <Camera size={15} aria-hidden />
        From a photo
      </Button>
    </div>
  );
}

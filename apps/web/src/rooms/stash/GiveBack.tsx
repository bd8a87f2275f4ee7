import type { StashPiece } from '@lattice/core';
import { Button } from '../../design/controls/Button.tsx';

/** Puts a piece that is set aside back into the stash. */
export const GiveBack = ({ piece, onPress }: { piece: Pick<StashPiece, 'name'>; onPress: () => void }) => (
  <Button look="quiet" aria-label={`Give back ${piece.name}`} onPress={onPress}>
    Give back
  </Button>
);

import type { Fabric, Fold } from '@lattice/core';
import { ToggleButton } from 'react-aria-components';
import { Folds } from './CutStage.styles.ts';

const LIES: Readonly<Record<Fold, string>> = {
  open: 'laid open',
  once: 'folded once, fold toward you',
  twice: 'folded twice, fold toward you',
};
const FOLD_NAMES: readonly (readonly [Fold, string])[] = [
  ['open', 'Open'],
  ['once', 'Folded'],
  ['twice', 'Twice'],
];

interface ClothLiesProps {
  readonly fabric: Fabric;
  readonly fold: Fold;
  readonly onFold: (fold: Fold) => void;
}

/** How the cloth lies on the table, to be chosen. */
export const ClothLies = ({ fabric, fold, onFold }: ClothLiesProps) => (
  <div className="head">
    <h1>
      {fabric.name}, {LIES[fold]}
    </h1>
    <Folds
      aria-label="How the cloth lies"
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={[fold]}
      onSelectionChange={([key]) => onFold(key as Fold)}
    >
      {FOLD_NAMES.map(([id, name]) => (
        <ToggleButton key={id} id={id}>
          {name}
        </ToggleButton>
      ))}
    </Folds>
  </div>
);

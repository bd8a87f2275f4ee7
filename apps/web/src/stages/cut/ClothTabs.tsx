import { cutRecord, type Quilt } from '@lattice/core';
import { useMemo } from 'react';
import { TabPanel, Tabs } from 'react-aria-components';
import { useAppSelector } from '../../state/hooks.ts';
import { selectPlan } from '../../state/selectors.ts';
import { Cloth, Cloths } from './CutStage.styles.ts';

interface ClothTabsProps {
  readonly cloth: string;
  readonly cloths: Quilt['fabrics'];
  readonly onCloth: (id: string) => void;
  readonly children: React.ReactNode;
}

/** A tab for each cloth there is to cut; below it, the one that lies on the table. */
export const ClothTabs = ({ cloth, cloths, onCloth, children }: ClothTabsProps) => (
  <Tabs selectedKey={cloth} onSelectionChange={(key) => onCloth(String(key))} keyboardActivation="manual">
    <Cloths aria-label="Cloths">
      {cloths.map((one) => (
        <Cloth key={one.fabric.id} id={one.fabric.id}>
          <i style={{ background: one.fabric.colour }} />
          {one.fabric.name}
          <ClothState cloth={one.fabric.id} />
        </Cloth>
      ))}
    </Cloths>
    <TabPanel id={cloth}>{children}</TabPanel>
  </Tabs>
);

/** How far a cloth is, for its tab. */
function ClothState({ cloth }: { cloth: string }) {
  const log = useAppSelector((s) => s.log);
  const id = useAppSelector((s) => s.saving.id);
  const { unit } = useAppSelector(selectPlan);
  const begun = useMemo(() => cutRecord(log, id ?? '', cloth, unit).done.size > 0, [log, id, cloth, unit]);
  return begun ? <span> · begun</span> : null;
}

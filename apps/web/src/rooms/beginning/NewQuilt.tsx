import { Layers, LayoutGrid, Ruler } from 'lucide-react';
import { Label } from 'react-aria-components';
import { useFilesHere } from '../../browser/useFilesHere.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { PageFrame } from '../frame/PageFrame.tsx';
import type { Have as HaveId } from './answers.ts';
import { Drawn } from './Drawn.tsx';
import { Fitted } from './Fitted.tsx';
import { Asked, Halves, Have, Haves } from './NewQuilt.styles.ts';
import { PlanFileButton } from './PlanFileButton.tsx';
import { BlocksSaid, HowItIsSet, SizeWanted, ToMake, WholeMeasured } from './Questions.tsx';
import { type BeingBegun, useNewQuilt } from './useNewQuilt.ts';
import { usePlanFile } from './usePlanFile.ts';

const HAVES = [
  { id: 'blocks', name: 'Finished blocks', icon: LayoutGrid },
  { id: 'whole', name: 'A finished top or quilt', icon: Layers },
  { id: 'size', name: 'A size to reach', icon: Ruler },
] as const;

/** A new quilt: what is there to begin with, in three answers at most, and the quilt drawn as they are given. */
export function NewQuilt() {
  const begun = useNewQuilt();
  const file = usePlanFile();
  useFilesHere(file.open);
  const { have, unit, sound, target } = begun;
  return (
    <PageFrame
      title="New quilt"
      width={1180}
      head={
        <>
          <Button onPress={begun.inOtherUnit} isDisabled={!begun.unitFree}>
            {unit === 'in' ? 'Use centimetres' : 'Use inches'}
          </Button>
          <PlanFileButton onOpen={file.open} />
        </>
      }
    >
      {file.underWay && (
        <p role="status">
          {file.underWay.says} <Button onPress={file.underWay.stop}>Stop</Button>
        </p>
      )}
      {file.problem && (
        <p role="alert" style={{ marginBottom: 12, color: 'var(--wrong)' }}>
          <Lengths text={file.problem} />
        </p>
      )}
      <Halves>
        <Asked aria-label="What there is">
          <WhatThereIs begun={begun} />
          {have === 'blocks' && <BlocksSaid begun={begun} />}
          {have === 'whole' && <WholeMeasured begun={begun} />}
          {have === 'size' && <ToMake begun={begun} />}
          {have !== 'whole' && (
            <>
              <SizeWanted begun={begun} />
              <HowItIsSet begun={begun} />
            </>
          )}
        </Asked>
        <Drawn plan={begun.plan} waiting={begun.waiting} onMake={begun.make}>
          {sound && target && (
            <Fitted
              plan={sound}
              target={target}
              bordered={begun.answers.border !== 'none'}
              onFit={begun.onFit}
            />
          )}
        </Drawn>
      </Halves>
    </PageFrame>
  );
}

function WhatThereIs({ begun }: { begun: BeingBegun }) {
  return (
    <Haves value={begun.have} onChange={(id) => begun.onHave(id as HaveId)}>
      <Label className="ask">What do you have?</Label>
      {HAVES.map(({ id, name, icon: Icon }) => (
        <Have key={id} value={id}>
          <Icon size={19} aria-hidden />
          {name}
        </Have>
      ))}
    </Haves>
  );
}

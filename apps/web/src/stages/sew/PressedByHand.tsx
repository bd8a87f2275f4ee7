import { seamKey, type SewRecord } from '@lattice/core';
import { useState } from 'react';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import type { AtSewing } from './useSewing.ts';

type Pressed = NonNullable<SewRecord['chosen']>['pressed'];

/** One seam pressed otherwise than the rules would have it: what that breaks is said above at once. */
export function PressedByHand({
  sewing: { sewing, way, guide, pressing, words },
  pressed,
  onChange,
}: {
  sewing: AtSewing;
  pressed: Pressed;
  onChange: (pressed: Pressed) => void;
}) {
  const [step, setStep] = useState(guide[0]!.id);
  const own = guide.find(({ id }) => id === step) ?? guide[0]!;
  const [chosen, setChosen] = useState(0);
  const seam = own.seams.includes(chosen) ? chosen : own.seams[0]!;
  const key = seamKey(sewing, way.seams[seam]!);
  const { a, b } = way.seams[seam]!;
  const now = pressed[key];
  const others = Object.fromEntries(Object.entries(pressed).filter(([of]) => of !== key));
  return (
    <>
      <ChoiceField
        label="Step"
        labelled
        value={own.id}
        choices={guide.filter(({ seams }) => seams.length > 0).map(({ id, title }) => ({ id, name: title }))}
        onChange={setStep}
      />
      <ChoiceField
        label="Seam"
        labelled
        value={String(seam)}
        choices={own.seams.map((number) => ({ id: String(number), name: words.seam(way.seams[number]!) }))}
        onChange={(number) => setChosen(Number(number))}
      />
      <ChoiceField
        label="Press it"
        labelled
        value={now ?? 'rules'}
        choices={[
          {
            id: 'rules',
            name: `by the rules: ${pressWords(pressing.press[seam]!, words.piece(a), words.piece(b))}`,
          },
          { id: 'a', name: `toward ${words.piece(a)}` },
          { id: 'b', name: `toward ${words.piece(b)}` },
          { id: 'open', name: 'open' },
        ]}
        onChange={(to) => onChange(to === 'rules' ? others : { ...others, [key]: to as Pressed[string] })}
      />
    </>
  );
}

/** "toward the sash left of block 3" */
const pressWords = (press: 'a' | 'b' | 'open', a: string, b: string): string =>
  press === 'open' ? 'open' : `toward ${press === 'a' ? a : b}`;

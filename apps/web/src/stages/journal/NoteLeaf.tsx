import { type JournalLine, journalMarkdown, type Stage } from '@lattice/core';
import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Section } from '../../rooms/figures/Section.tsx';
import { download } from '../../browser/download.ts';
import { selectPlan, selectQuilt } from '../../state/selectors.ts';
import { QuiltLit } from '../../rooms/drawing/QuiltLit.tsx';
import { noteKept } from './journal.ts';
import { type Chosen, NotePhotos } from './NotePhotos.tsx';
import { NoteText } from './NoteText.tsx';
import { litBy } from './lit.ts';
import { useJournal, whenOf } from '../../rooms/journal/useJournal.ts';

const Small = styled.div`
  height: 210px;
  margin: 12px 0 4px;
`;
const WHOLE = 'quilt';
/** At which stage what a note hangs on is worked at. */
const STAGE_OF: Readonly<Record<string, Stage>> = { block: 'blocks', border: 'borders', step: 'sew' };

/** The quilt with the place lit that a line is about; a note to write; the whole journal to take along. */
export function NoteLeaf({ pointed }: { pointed: JournalLine | null }) {
  const plan = useAppSelector(selectPlan);
  const { layout } = useAppSelector(selectQuilt);
  const lines = useJournal();
  const lit = useMemo(() => (pointed ? litBy(layout, plan, pointed) : ''), [layout, plan, pointed]);
  return (
    <>
      <Small>
        <QuiltLit plan={plan} layout={layout} path={lit} />
      </Small>
      <WriteNote />
      <Section title="Take it along">
        <Button
          isDisabled={lines.length === 0}
          onPress={() =>
            download(`${plan.title} journal.md`, journalMarkdown(plan.title, lines, whenOf), 'text/markdown')
          }
        >
          <FileDown size={15} aria-hidden />
          All of it as a text
        </Button>
      </Section>
    </>
  );
}

function WriteNote() {
  const plan = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const [params] = useSearchParams();
  const asked = params.get('about') ?? WHOLE;
  const [on, setOn] = useState(asked);
  const [photos, setPhotos] = useState<readonly Chosen[]>([]);
  const things = [
    { id: WHOLE, name: 'The quilt' },
    ...(asked.startsWith('step:') ? [{ id: asked, name: 'The step one came from' }] : []),
    ...plan.borders.map(({ id }, i) => ({ id: `border:${id}`, name: `Border ${i + 1}` })),
    ...plan.pile.map(({ id, name }) => ({ id: `block:${id}`, name })),
  ];
  const about = things.some(({ id }) => id === on) ? on : WHOLE;
  const [what, ...id] = about.split(':');
  const keep = (text: string) => {
    const stage = STAGE_OF[what!] ?? '';
    const of = stage === '' ? {} : { [what!]: id.join(':') };
    const files = photos.map(({ file, address }) => {
      URL.revokeObjectURL(address);
      return file;
    });
    void dispatch(noteKept({ text, stage, about: of }, files));
    setPhotos([]);
  };
  return (
    <Section title="Write a note">
      <ChoiceField label="It is about" labelled value={about} choices={things} onChange={setOn} />
      <NoteText label="What happened, or was decided" action="Keep the note" onKeep={keep} />
      <NotePhotos photos={photos} onChange={setPhotos} />
    </Section>
  );
}

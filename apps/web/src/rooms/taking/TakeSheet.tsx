import { type Format, TAKEAWAYS, type Takeaway } from '@lattice/export';
import { Palette } from 'lucide-react';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { usualPaper } from '../../browser/device.ts';
import { fileText } from '../../browser/fileText.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { ChoiceField } from '../../design/controls/ChoiceField.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { selectPlan } from '../../state/selectors.ts';
import { coloursTaken, writeExport, type Wish } from './taking.ts';

const Groups = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 6px 28px;
  section {
    min-width: 0;
    padding-top: 10px;
    border-top: 2px dashed var(--line);
  }
  h3 {
    display: flex;
    align-items: center;
    justify-content: space-between;
    min-height: 34px;
    font-size: var(--size-read);
  }
  ul {
    margin: 0 0 8px;
    padding: 0;
    list-style: none;
  }
  li button {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 10px;
    width: 100%;
    height: auto;
    padding: 5px 8px;
    border-radius: 8px;
    text-align: left;
    white-space: normal;
  }
  li small {
    grid-column: 1;
    font-weight: 400;
    color: var(--soft);
  }
  li code {
    grid-row: 1 / span 2;
    grid-column: 2;
    align-self: center;
    padding: 1px 7px;
    border: 1px solid var(--line);
    border-radius: 6px;
    font: 600 var(--size-mark)/1.5 var(--text);
    color: var(--soft);
  }
`;

/** What one takes something along for, and the formats that are for it. */
const FOR: readonly {
  readonly name: string;
  readonly formats: readonly Format[];
  readonly wish?: keyof Wish;
}[] = [
  { name: 'To print', formats: ['pdf'], wish: 'paper' },
  { name: 'To show and to keep', formats: ['html', 'png', 'zip', 'json'] },
  { name: 'For tables', formats: ['csv'], wish: 'comma' },
  { name: 'For drawing and cutting machines', formats: ['svg', 'dxf'] },
  { name: 'For other programs', formats: ['ics', 'gpl', 'schema'] },
];

/** As it is usual where this device is: its paper, and a decimal comma where numbers have one. */
const usual = (): Wish => ({
  paper: usualPaper(),
  comma: (1.5).toLocaleString(navigator.language).includes(','),
});

/** Everything a quilt can be taken along as, by what it is for; one press writes it. */
export function TakeSheet({ onClose }: { onClose: () => void }) {
  const { title } = useAppSelector(selectPlan);
  const dispatch = useAppDispatch();
  const [wish, setWish] = useState<Wish>(usual);
  const [busy, setBusy] = useState<Takeaway | null>(null);
  const [says, setSays] = useState<{ text: string; wrong: boolean } | null>(null);
  const write = async (one: Takeaway) => {
    setBusy(one);
    setSays(null);
    try {
      await dispatch(writeExport(one, wish));
      setSays({ text: `${one.name}: it lies with your downloads.`, wrong: false });
    } catch {
      setSays({
        text: `${one.name} could not be written. Where the server is away, letters and pictures cannot be had: try again when it is back.`,
        wrong: true,
      });
    }
    setBusy(null);
  };
  const bring = async (files: FileList | null) => {
    const file = files?.[0];
    if (file) setSays({ text: dispatch(coloursTaken(await fileText(file))), wrong: false });
  };
  return (
    <Sheet title={`Take it with you: ${title}`} width={1080} isOpen onClose={onClose}>
      <p role={says?.wrong ? 'alert' : 'status'}>
        {busy ? `${busy.name} is being written…` : (says?.text ?? 'One press writes the file.')}
      </p>
      <Groups>
        {FOR.map(({ name, formats, wish: asks }) => (
          <section key={name} aria-label={name}>
            <h3>
              {name}
              {asks === 'paper' && (
                <ChoiceField
                  label="Paper"
                  value={wish.paper}
                  choices={[
                    { id: 'a4', name: 'A4' },
                    { id: 'letter', name: 'Letter' },
                  ]}
                  onChange={(paper) => setWish({ ...wish, paper: paper as Wish['paper'] })}
                />
              )}
              {asks === 'comma' && (
                <ChoiceField
                  label="Decimals"
                  value={wish.comma ? 'comma' : 'point'}
                  choices={[
                    { id: 'point', name: '1.5, parted by commas' },
                    { id: 'comma', name: '1,5; parted by semicolons' },
                  ]}
                  onChange={(marks) => setWish({ ...wish, comma: marks === 'comma' })}
                />
              )}
            </h3>
            <ul>
              {formats.flatMap((format) =>
                TAKEAWAYS.filter(({ to }) => to === format).map((one) => (
                  <li key={`${one.to} ${one.what}`}>
                    <Button look="quiet" isDisabled={busy !== null} onPress={() => void write(one)}>
                      <span>{one.name}</span>
                      <code>{one.to === 'schema' ? 'json' : one.to}</code>
                      <small>{one.says}</small>
                    </Button>
                  </li>
                )),
              )}
              {formats.includes('gpl') && (
                <li>
                  <FileTrigger acceptedFileTypes={['.gpl']} onSelect={(files) => void bring(files)}>
                    <Button look="quiet">
                      <span>
                        <Palette size={15} aria-hidden /> Colours from a palette…
                      </span>
                      <code>gpl</code>
                      <small>Onto the cloths: by their names, the others in their order</small>
                    </Button>
                  </FileTrigger>
                </li>
              )}
            </ul>
          </section>
        ))}
      </Groups>
    </Sheet>
  );
}

import { useState } from 'react';
import styled from 'styled-components';
import { deviceName, nameDevice } from '../../browser/device.ts';
import { PageFrame } from '../frame/PageFrame.tsx';
import { useAppSelector } from '../../state/hooks.ts';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { BackupsSection, ShelfFile } from './BackupsSection.tsx';
import { LinksSection } from './LinksSection.tsx';
import { NumbersSection } from './NumbersSection.tsx';
import { WhoMayWhat } from './WhoMayWhat.tsx';
import { tight } from '../../design/media.ts';

const Sections = styled.div`
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 20px;
    align-items: start;
    margin-top: 14px;
    ${tight} {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  section {
    padding: 18px 20px;
    border: 1px solid var(--line);
    border-radius: 12px;
    background: var(--card);
    margin-bottom: 20px;
  }
  h2 {
    font: 650 var(--size-lead)/1.3 var(--name);
    margin-bottom: 6px;
  }
  section > p {
    font-size: var(--size-text);
    color: var(--soft);
    margin-bottom: 10px;
  }
  label {
    font-size: var(--size-text);
    font-weight: 600;
  }
  .field {
    max-width: 34ch;
  }
  code {
    padding: 1px 5px;
    border-radius: 4px;
    background: var(--ground);
    font-size: var(--size-note);
  }
  [role='alert'] {
    color: var(--wrong);
  }
`;

/** How quilts are kept safe: backups, who is let in and what they may, what this device is called, how the server does. */
export function KeepingPage() {
  const owner = useAppSelector((s) => s.house.who === 'owner');
  const changes = useAppSelector((s) => s.house.who === 'edit');
  return (
    <PageFrame title="Safe keeping" width={980}>
      <Sections>
        <div className="two">
          <div>
            {owner ? (
              <BackupsSection />
            ) : (
              <section>
                <h2>Backups</h2>
                <p>Whoever sits at the machine the app runs on looks after these.</p>
                {changes && <ShelfFile />}
              </section>
            )}
            <Device />
            {owner && <NumbersSection />}
          </div>
          <div>
            {owner && <LinksSection />}
            <WhoMayWhat />
          </div>
        </div>
      </Sections>
    </PageFrame>
  );
}

function Device() {
  const [name, setName] = useState(deviceName);
  return (
    <section>
      <h2>This device</h2>
      <p>Where a quilt is changed in two places, the other one is told who it was.</p>
      <div className="field">
        <WordsField
          label="It is called"
          value={name}
          maxLength={60}
          onChange={setName}
          onBlur={() => {
            nameDevice(name);
            setName(deviceName());
          }}
        />
      </div>
    </section>
  );
}

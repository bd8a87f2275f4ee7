import { useState } from 'react';
import { Input, Label, TextField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { deviceName, nameDevice } from '../app/device.ts';
import { useAppSelector } from '../app/store.ts';
import { BackupsSection } from './BackupsSection.tsx';
import { LinksSection } from './LinksSection.tsx';
import { NumbersSection } from './NumbersSection.tsx';
import { WhoMayWhat } from './WhoMayWhat.tsx';

const Page = styled.div`
  max-width: 980px;
  margin: 0 auto;
  padding: 0 24px 64px;
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 6px 16px;
    padding: 22px 0 8px;
  }
  h1 {
    font: 700 30px/1.1 var(--name);
    margin-right: auto;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 20px;
    align-items: start;
    margin-top: 14px;
    @media (max-width: 820px) {
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
    font: 650 18px/1.3 var(--name);
    margin-bottom: 6px;
  }
  section > p {
    font-size: 14px;
    color: var(--soft);
    margin-bottom: 10px;
  }
  label {
    font-size: 14px;
    font-weight: 600;
  }
  input[type='text'] {
    display: block;
    width: 100%;
    max-width: 34ch;
    margin-top: 4px;
    padding: 7px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--ground);
  }
  code {
    padding: 1px 5px;
    border-radius: 4px;
    background: var(--ground);
    font-size: 13px;
  }
  [role='alert'] {
    color: var(--wrong);
  }
`;

/** How quilts are kept safe: backups, who is let in and what they may, what this device is called, how the server does. */
export function KeepingPage() {
  const owner = useAppSelector((s) => s.house.who === 'owner');
  return (
    <Page>
      <header>
        <h1>Safe keeping</h1>
        <Link to="/">To the shelf</Link>
      </header>
      <main className="two">
        <div>
          {owner ? (
            <BackupsSection />
          ) : (
            <section>
              <h2>Backups</h2>
              <p>Whoever sits at the machine the app runs on looks after these.</p>
            </section>
          )}
          <Device />
          {owner && <NumbersSection />}
        </div>
        <div>
          {owner && <LinksSection />}
          <WhoMayWhat />
        </div>
      </main>
    </Page>
  );
}

function Device() {
  const [name, setName] = useState(deviceName);
  return (
    <section>
      <h2>This device</h2>
      <p>Where a quilt is changed in two places, the other one is told who it was.</p>
      <TextField
        value={name}
        maxLength={60}
        onChange={setName}
        onBlur={() => {
          nameDevice(name);
          setName(deviceName());
        }}
      >
        <Label>It is called</Label>
        <Input type="text" />
      </TextField>
    </section>
  );
}

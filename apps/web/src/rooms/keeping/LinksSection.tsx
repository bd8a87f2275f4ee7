import type { NewLink } from '@lattice/contract';
import { useState } from 'react';
import { Form, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { cardStates } from '../../design/cardStyles.ts';
import { Button } from '../../design/controls/Button.tsx';
import { WordsField } from '../../design/controls/WordsField.tsx';
import { useLinksQuery, useMakeLinkMutation, useTakeLinkBackMutation } from '../../sync/keepingApi.ts';

const Body = styled.div`
  font-size: var(--size-text);
  form {
    display: grid;
    gap: 12px;
    justify-items: start;
  }
  [role='radiogroup'] {
    display: flex;
    gap: 14px;
  }
  label[data-rac] {
    display: flex;
    gap: 6px;
    align-items: center;
    padding: 4px 8px;
    font-weight: 500;
    ${cardStates}
  }
  ul {
    margin-top: 14px;
  }
  li {
    display: flex;
    gap: 10px;
    align-items: center;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  li span {
    flex: 1;
  }
`;
const Told = styled.div`
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 14px;
  margin-top: 14px;
  padding: 12px;
  border-radius: 10px;
  background: var(--brass-wash);
  img {
    width: 150px;
    height: 150px;
    background: #fff;
    border-radius: 6px;
  }
  code {
    display: block;
    margin: 6px 0;
    overflow-wrap: anywhere;
  }
`;

/** Links that let others in: made for somebody, told once, taken back at any time. */
export function LinksSection() {
  const { data, error } = useLinksQuery(undefined, { refetchOnMountOrArgChange: true });
  const [make, made] = useMakeLinkMutation();
  const [takeBack] = useTakeLinkBackMutation();
  const [name, setName] = useState('');
  const [may, setMay] = useState<'view' | 'edit'>('view');
  const failure = made.error ?? error;
  if (!data)
    return (
      <section aria-label="Sharing">
        <h2>At home and in the guild</h2>
        {error !== undefined && <p role="alert">{serverError(error).message}</p>}
      </section>
    );
  if (data.address === null)
    return (
      <section aria-label="Sharing">
        <h2>At home and in the guild</h2>
        <p>
          Only this machine reaches the app. To open it to your local network, behind a passphrase and
          encrypted, start it with <code>./lattice demo --share</code>.
        </p>
      </section>
    );
  return (
    <section aria-label="Sharing">
      <h2>At home and in the guild</h2>
      <p>
        On your local network the app is at <code>{data.address}</code>
      </p>
      <Body>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            void make({ name, may })
              .unwrap()
              .then(() => setName(''))
              .catch(() => undefined);
          }}
        >
          <WordsField
            label="A link for"
            placeholder="The Tuesday group"
            value={name}
            onChange={setName}
            maxLength={60}
          />
          <RadioGroup
            aria-label="What it lets them do"
            value={may}
            onChange={(way) => setMay(way as 'view' | 'edit')}
          >
            <Radio value="view">To look</Radio>
            <Radio value="edit">To change quilts</Radio>
          </RadioGroup>
          <Button type="submit" look="main" isDisabled={name.trim() === '' || made.isLoading}>
            Make the link
          </Button>
        </Form>
        {made.data && <TellOnce link={made.data} />}
        {failure !== undefined && <p role="alert">{serverError(failure).message}</p>}
        <ul>
          {data.links.map((link) => (
            <li key={link.id}>
              <span>
                {link.name}: {link.may === 'view' ? 'to look' : 'to change quilts'}
              </span>
              <Button aria-label={`Revoke the link for ${link.name}`} onPress={() => void takeBack(link.id)}>
                Revoke
              </Button>
            </li>
          ))}
        </ul>
      </Body>
    </section>
  );
}

function TellOnce({ link }: { link: NewLink }) {
  return (
    <Told role="status">
      <img src={`data:image/svg+xml,${encodeURIComponent(link.qr)}`} alt="The link, to point a phone at" />
      <div>
        For {link.name}. It is shown this once:
        <code>{link.url}</code>
        <Button onPress={() => void navigator.clipboard?.writeText(link.url)}>Copy it</Button>
      </div>
    </Told>
  );
}

import { useState } from 'react';
import { FieldError, Form, Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { Button } from '../../design/controls/Button.tsx';
import { enter, letIn } from '../../sync/enter.ts';

const Page = styled.main`
  max-width: 420px;
  margin: 16vh auto;
  padding: 0 20px;
  h1 {
    font: 700 var(--size-large)/1.1 var(--name);
    margin-bottom: 10px;
  }
  form {
    display: grid;
    gap: 12px;
    margin-top: 18px;
  }
  label {
    font-weight: 600;
  }
  input {
    width: 100%;
    margin-top: 4px;
    padding: 9px 12px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--card);
  }
  [data-wrong] {
    color: var(--wrong);
    font-size: var(--size-text);
  }
`;

/** Before the shelf, for who comes from the local network: the passphrase its owner knows. */
export function Door() {
  const dispatch = useAppDispatch();
  const [passphrase, setPassphrase] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const knock = async () => {
    setBusy(true);
    const refused = await enter({ passphrase });
    setBusy(false);
    setWrong(refused);
    if (refused === null) await dispatch(letIn());
  };
  return (
    <Page>
      <h1>Dapper Lattice</h1>
      <p>
        These quilts are shared at home. Enter the passphrase, or open the link you were given. Whoever
        started the app knows both.
      </p>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          void knock();
        }}
      >
        <TextField
          value={passphrase}
          onChange={(text) => {
            setPassphrase(text);
            setWrong(null);
          }}
          isInvalid={wrong !== null}
          validationBehavior="aria"
          autoFocus
        >
          <Label>Passphrase</Label>
          <Input autoComplete="current-password" autoCapitalize="none" spellCheck={false} />
          <FieldError data-wrong>{wrong}</FieldError>
        </TextField>
        <Button type="submit" look="main" isDisabled={busy || passphrase.trim() === ''}>
          Open
        </Button>
      </Form>
    </Page>
  );
}

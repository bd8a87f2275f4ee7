import { planProblems } from '@lattice/core';
import { useRef, useState } from 'react';
import { FieldError, Form, Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { serverError } from '../../sync/api.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Sheet } from '../../design/Sheet.tsx';
import { planChanged } from '../../state/planSlice.ts';
import { Snapshots } from './Snapshots.tsx';
import { useMakeSnapshotMutation } from '../../sync/snapshotsApi.ts';

const Body = styled.div`
  font-size: var(--size-text);
  h2 {
    margin: 18px 0 6px;
    font: 650 var(--size-read)/1.3 var(--text);
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: end;
    margin-top: 10px;
  }
  input {
    display: block;
    width: 30ch;
    max-width: 100%;
    margin-top: 4px;
    padding: 7px 10px;
    border: 1px solid var(--line);
    border-radius: 8px;
    background: var(--ground);
  }
  [role='alert'],
  [data-wrong] {
    color: var(--wrong);
  }
`;

/** Versions of the open quilt: one kept under a name now, and those there are, to go back to. */
export function VersionsSheet({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { id: quilt, state } = useAppSelector((s) => s.saving);
  const looking = useAppSelector((s) => s.house.who === 'view');
  const [make, { isLoading }] = useMakeSnapshotMutation();
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  if (quilt === null) return null;
  const keep = async () => {
    try {
      await make({ quilt, name }).unwrap();
      setName('');
      setWrong(null);
      // The button that was pressed has nothing more to do: whoever is at the keyboard goes on from the field.
      field.current?.focus();
    } catch (failure) {
      setWrong(serverError(failure).message);
    }
  };
  return (
    <Sheet title="Versions" width={560} isOpen={isOpen} onClose={onClose}>
      <Body>
        <p>Before you try something large, keep the quilt as it is. Going back is one undo away.</p>
        {!looking && (
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              void keep();
            }}
          >
            <TextField
              value={name}
              onChange={setName}
              maxLength={80}
              isInvalid={wrong !== null}
              validationBehavior="aria"
            >
              <Label>Keep it as it is now, called</Label>
              <Input ref={field} placeholder="Before the wider sash" />
              <FieldError data-wrong>{wrong}</FieldError>
            </TextField>
            <Button
              type="submit"
              look="main"
              isDisabled={name.trim() === '' || isLoading || state !== 'saved'}
            >
              Keep this version
            </Button>
          </Form>
        )}
        <Snapshots
          quilt={quilt}
          onGoBack={(plan) => {
            const [problem] = planProblems(plan);
            if (problem) return setWrong(`That version cannot be drawn any more: ${problem.message}`);
            dispatch(planChanged(plan));
            onClose();
          }}
        />
      </Body>
    </Sheet>
  );
}

import { History, Luggage, Keyboard, Printer, Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import { useStore } from 'react-redux';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { RootState } from '../../state/state.ts';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { useSheet } from '../../browser/useInAddress.ts';
import { ThemeButton } from '../../rooms/frame/ThemeButton.tsx';
import { Button } from '../../design/controls/Button.tsx';
import { Landmark } from '../../design/Landmark.tsx';
import { planChanged, redo, undo } from '../../state/planSlice.ts';
import { SavingNote } from './SavingNote.tsx';
import { selectKeptPlan, selectPlan } from '../../state/selectors.ts';
import { narrow, tight, touch, withoutKeys } from '../../design/media.ts';

const TakeSheet = lazy(async () => ({
  default: (await import('../../rooms/taking/TakeSheet.tsx')).TakeSheet,
}));
const KeysSheet = lazy(async () => ({
  default: (await import('../../rooms/frame/KeysSheet.tsx')).KeysSheet,
}));
const VersionsSheet = lazy(async () => ({
  default: (await import('../../rooms/versions/VersionsSheet.tsx')).VersionsSheet,
}));

const Bar = styled(Landmark).attrs({ of: 'banner' })`
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 18px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
  .brand {
    font: 700 var(--size-title)/1 var(--name);
    text-decoration: none;
    white-space: nowrap;
  }
  .tools {
    display: flex;
    gap: 8px;
    margin-left: auto;
  }
  ${withoutKeys} {
    .keys {
      display: none;
    }
  }
  .word {
    ${tight} {
      display: none;
    }
  }
  ${narrow} {
    .tools {
      flex-wrap: wrap;
      justify-content: flex-end;
    }
    flex-wrap: wrap;
    padding: 8px 12px;
    gap: 8px;
  }
`;
const Title = styled(TextField)`
  padding-left: 14px;
  border-left: 1px solid var(--line);
  min-width: 0;
  input {
    width: 25ch;
    max-width: 40vw;
    padding: 4px 6px;
    border: 1px solid transparent;
    border-radius: 6px;
    background: transparent;
    font-weight: 600;
    text-overflow: ellipsis;
    &:hover {
      border-color: var(--line);
    }
  }
`;

const ToPaper = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
  padding: 4px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  font-size: var(--size-text);
  font-weight: 600;
  text-decoration: none;
  white-space: nowrap;
  &:hover {
    border-color: var(--soft);
  }
  ${touch} {
    min-width: var(--finger);
    min-height: var(--finger);
    justify-content: center;
  }
`;

/** Its place, before it is there. */
export const TopBarToCome = () => <Bar aria-hidden />;

/** Over every stage: the quilt's name, how it is saved, undo and redo, a file of it, the light. */
export function TopBar() {
  const dispatch = useAppDispatch();
  const plan = useAppSelector(selectPlan);
  const { id } = useParams();
  const canUndo = useAppSelector((s) => s.plan.past.length > 0);
  const canRedo = useAppSelector((s) => s.plan.future.length > 0);
  const store = useStore<RootState>();
  const versions = useSheet('versions');
  const taking = useSheet('take');
  const keys = useSheet('keys');
  useKeysKey(keys.show);
  /** A name being typed; null while nobody does. */
  const [draft, setDraft] = useState<string | null>(null);
  const rename = () => {
    const title = draft?.trim();
    setDraft(null);
    if (title && title !== plan.title) dispatch(planChanged({ ...selectKeptPlan(store.getState()), title }));
  };
  useUndoKeys();
  return (
    <Bar>
      <Link to="/" className="brand">
        Dapper Lattice
      </Link>
      <Title
        aria-label="Quilt’s name"
        value={draft ?? plan.title}
        maxLength={120}
        onChange={setDraft}
        onBlur={rename}
      >
        <Input
          onKeyDown={(event) => {
            if (event.key === 'Enter') rename();
            if (event.key === 'Escape') setDraft(null);
          }}
        />
      </Title>
      <SavingNote />
      <div className="tools">
        <Button aria-label="Undo" isDisabled={!canUndo} onPress={() => dispatch(undo())}>
          <Undo2 size={16} aria-hidden />
          <span className="word">Undo</span>
        </Button>
        <Button aria-label="Redo" isDisabled={!canRedo} onPress={() => dispatch(redo())}>
          <Redo2 size={16} aria-hidden />
          <span className="word">Redo</span>
        </Button>
        <Button aria-label="Versions" onPress={() => versions.show()}>
          <History size={16} aria-hidden />
          <span className="word">Versions</span>
        </Button>
        <Button aria-label="Take it with you" onPress={() => taking.show()}>
          <Luggage size={16} aria-hidden />
          <span className="word">Take it with you</span>
        </Button>
        <ToPaper to={`/quilts/${id}/paper`} aria-label="On paper">
          <Printer size={16} aria-hidden />
          <span className="word">On paper</span>
        </ToPaper>
        <span className="keys">
          <Button aria-label="Keys" onPress={() => keys.show()}>
            <Keyboard size={16} aria-hidden />
          </Button>
        </span>
        <ThemeButton />
      </div>
      {taking.open !== null && (
        <Suspense>
          <TakeSheet onClose={taking.close} />
        </Suspense>
      )}
      {keys.open !== null && (
        <Suspense>
          <KeysSheet onClose={keys.close} />
        </Suspense>
      )}
      {versions.open !== null && (
        <Suspense>
          <VersionsSheet isOpen onClose={versions.close} />
        </Suspense>
      )}
    </Bar>
  );
}

/** A question mark anywhere but where one types it. */
function useKeysKey(show: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
      if (document.querySelector('[role="dialog"]')) return;
      event.preventDefault();
      show();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [show]);
}

/** Ctrl or Command with Z and Y anywhere but in a field, where they belong to the text. */
function useUndoKeys() {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      if (event.target instanceof HTMLInputElement && event.target.type !== 'color') return;
      const key = event.key.toLowerCase();
      if (key === 'y' || (key === 'z' && event.shiftKey)) dispatch(redo());
      else if (key === 'z') dispatch(undo());
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch]);
}

import { writePlanJson } from '@lattice/core';
import { Download, History, Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { useTheme } from '../app/useTheme.ts';
import { Button } from '../design/controls/Button.tsx';
import { planChanged, redo, undo } from './planSlice.ts';
import { SavingNote } from './SavingNote.tsx';
import { selectPlan } from './selectors.ts';
import { download } from './download.ts';

const VersionsSheet = lazy(async () => ({
  default: (await import('../versions/VersionsSheet.tsx')).VersionsSheet,
}));

const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 18px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
  .brand {
    font: 700 20px/1 var(--name);
    text-decoration: none;
    white-space: nowrap;
  }
  .tools {
    display: flex;
    gap: 8px;
    margin-left: auto;
  }
  .word {
    @media (max-width: 900px) {
      display: none;
    }
  }
  @media (max-width: 760px) {
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

/** Over every stage: the quilt's name, how it is saved, undo and redo, a file of it, the light. */
export function TopBar() {
  const dispatch = useAppDispatch();
  const plan = useAppSelector(selectPlan);
  const canUndo = useAppSelector((s) => s.plan.past.length > 0);
  const canRedo = useAppSelector((s) => s.plan.future.length > 0);
  const [theme, toggleTheme] = useTheme();
  const [versions, setVersions] = useState(false);
  useUndoKeys();
  return (
    <Bar>
      <Link to="/" className="brand">
        Dapper Lattice
      </Link>
      <Title
        aria-label="Quilt’s name"
        key={plan.title}
        defaultValue={plan.title}
        maxLength={120}
        onBlur={(event) => {
          const title = (event.target as HTMLInputElement).value.trim();
          if (title && title !== plan.title) dispatch(planChanged({ ...plan, title }));
        }}
      >
        <Input onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()} />
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
        <Button aria-label="Versions" onPress={() => setVersions(true)}>
          <History size={16} aria-hidden />
          <span className="word">Versions</span>
        </Button>
        <Button
          aria-label="Download the plan file"
          onPress={() => download(`${plan.title}.plan.json`, writePlanJson(plan), 'application/json')}
        >
          <Download size={16} aria-hidden />
          <span className="word">Plan file</span>
        </Button>
        <Button aria-label={theme === 'day' ? 'Evening light' : 'Daylight'} onPress={toggleTheme}>
          {theme === 'day' ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
        </Button>
      </div>
      {versions && (
        <Suspense>
          <VersionsSheet isOpen onClose={() => setVersions(false)} />
        </Suspense>
      )}
    </Bar>
  );
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

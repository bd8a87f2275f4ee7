import { X } from 'lucide-react';
import styled from 'styled-components';
import { useAppDispatch } from '../../sync/thunk.ts';
import { useAppSelector } from '../../state/hooks.ts';
import { Button } from '../../design/controls/Button.tsx';
import { Lengths } from '../../design/Lengths.tsx';
import { refusalAnswered } from '../../state/viewSlice.ts';
import { onPaper } from '../../design/media.ts';

const Note = styled.div`
  position: fixed;
  z-index: 20;
  bottom: 18px;
  left: 50%;
  display: flex;
  gap: 10px;
  align-items: center;
  width: max-content;
  max-width: min(560px, calc(100vw - 32px));
  padding: 10px 8px 10px 14px;
  border: 1.5px solid var(--wrong);
  border-radius: 10px;
  background: var(--card);
  box-shadow: 0 4px 18px rgb(0 0 0 / 18%);
  font-size: var(--size-text);
  transform: translateX(-50%);
  ${onPaper} {
    display: none;
  }
`;

/** Why the last change was not taken, where no field says it beside itself. Nothing was changed. */
export function RefusedNote() {
  const refused = useAppSelector((s) => s.view.refused);
  const dispatch = useAppDispatch();
  if (refused === null) return null;
  return (
    <Note role="alert">
      <span>
        Not changed. <Lengths text={refused} />
      </span>
      <Button look="quiet" aria-label="Close this note" onPress={() => dispatch(refusalAnswered())}>
        <X size={15} aria-hidden />
      </Button>
    </Note>
  );
}

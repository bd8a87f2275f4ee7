import { TriangleAlert } from 'lucide-react';
import styled from 'styled-components';

const Note = styled.p`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  margin: 10px 0;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  font-size: var(--size-note);
  line-height: 1.4;
  color: var(--soft);
  svg {
    margin-top: 2px;
    color: var(--brass);
  }
`;

/** A caution where the work can hurt (rule CT-1). Local rules and makers' instructions come first. */
export function Caution({ children }: { children: React.ReactNode }) {
  return (
    <Note role="note" aria-label="Caution">
      <TriangleAlert size={15} aria-hidden />
      <span>{children}</span>
    </Note>
  );
}

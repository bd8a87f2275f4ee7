import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';

const Veil = styled(ModalOverlay)`
  position: fixed;
  z-index: 30;
  inset: 0;
  display: grid;
  place-items: center;
  padding: 16px;
  background: rgb(15 20 30 / 45%);
`;
const Page = styled(Modal)<{ $width: number }>`
  width: min(${({ $width }) => $width}px, 100%);
  position: relative;
  max-height: 94vh;
  overflow: auto;
  border-radius: 14px;
  background: var(--card);
  color: var(--ink);
  box-shadow: var(--shadow);
  > [role='dialog'] {
    padding: 20px 24px;
    outline: none;
  }
  h2 {
    font: 650 var(--size-head)/1.25 var(--name);
    margin-bottom: 8px;
  }
`;

/** Escape inside the sheet itself, from a field too; a list that lies open over it closes first. */
const isEscapeHere = (event: React.KeyboardEvent): boolean =>
  event.key === 'Escape' && event.currentTarget.contains(event.target as Node);

/** A sheet over the page, for a task of its own. Escape, or pressing beside it, closes it and changes nothing. */
export function Sheet({
  title,
  width,
  isOpen,
  onClose,
  children,
}: {
  title: string;
  width: number;
  isOpen: boolean;
  onClose: () => void;
  children: React.ReactNode;
}) {
  return (
    <Veil isOpen={isOpen} onOpenChange={(open) => !open && onClose()} isDismissable>
      <Page $width={width}>
        <Dialog>
          <div
            onKeyDownCapture={(event) => {
              if (!isEscapeHere(event)) return;
              // Heard once: whoever listens further out would close it again.
              event.stopPropagation();
              onClose();
            }}
          >
            <Heading slot="title" level={2}>
              {title}
            </Heading>
            {children}
          </div>
        </Dialog>
      </Page>
    </Veil>
  );
}

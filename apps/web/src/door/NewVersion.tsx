import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../design/controls/Button.tsx';

const Note = styled.div`
  position: fixed;
  z-index: 25;
  right: 16px;
  bottom: 16px;
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: min(460px, calc(100vw - 32px));
  padding: 10px 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  box-shadow: var(--shadow);
  font-size: 14px;
  @media print {
    display: none;
  }
`;

/** Word of a newer app that is ready. It is taken when the quilter says so, never in the middle of something. */
export function NewVersion() {
  const [take, setTake] = useState<(() => void) | null>(null);
  useEffect(() => {
    // Only the built app keeps itself, and only where a browser lets it.
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
    void keepApp((ready) => setTake(() => ready));
  }, []);
  if (!take) return null;
  return (
    <Note role="status">
      <span>A newer version of the app is ready. What you have done stays.</span>
      <Button look="main" onPress={take}>
        Take it
      </Button>
      <Button look="quiet" onPress={() => setTake(null)}>
        Later
      </Button>
    </Note>
  );
}

/** Has the browser keep the app, so that it opens without the network; tells when a newer one waits to be taken. */
async function keepApp(isReady: (take: () => void) => void): Promise<void> {
  const { Workbox } = await import('workbox-window');
  const keeper = new Workbox('/sw.js');
  keeper.addEventListener('waiting', () =>
    isReady(() => {
      keeper.addEventListener('controlling', () => window.location.reload());
      keeper.messageSkipWaiting();
    }),
  );
  // A browser that will not (an unknown certificate, a private window) goes on without.
  await keeper.register().catch(() => undefined);
}

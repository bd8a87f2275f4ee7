import { addressOf } from '@lattice/contract';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../design/controls/Button.tsx';
import { onPaper } from '../../design/media.ts';

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
  font-size: var(--size-text);
  ${onPaper} {
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
        Update
      </Button>
      <Button look="quiet" onPress={() => setTake(null)}>
        Later
      </Button>
    </Note>
  );
}

/** How often a page that stays open asks whether there is a newer app. */
const LOOK_MS = 3600 * 1000;

/** Has the browser keep the app, so that it opens without the network; tells when a newer one waits to be taken. */
async function keepApp(isReady: (take: () => void) => void): Promise<void> {
  const { serviceWorker } = navigator;
  const first = serviceWorker.controller === null;
  // A browser that will not (an unknown certificate, a private window) goes on without.
  const keeper = await serviceWorker.register('/sw.js').catch(() => null);
  if (!keeper) return;
  const offer = () => {
    if (!keeper.waiting || first) return;
    isReady(() => {
      serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
      keeper.waiting?.postMessage({ type: 'SKIP_WAITING' });
    });
  };
  offer();
  keeper.addEventListener('updatefound', () => keeper.installing?.addEventListener('statechange', offer));
  if (first) serviceWorker.addEventListener('controllerchange', keepWhatIsShown, { once: true });
  setInterval(() => void keeper.update().catch(() => undefined), LOOK_MS);
}

/** What was fetched before the browser kept anything is fetched once more, so that it is kept from the first visit on. */
function keepWhatIsShown(): void {
  const [, quilt] = /^\/quilts\/([^/]+)/.exec(window.location.pathname) ?? [];
  const shown = [addressOf('house', {}), addressOf('listQuilts', {})];
  for (const where of quilt ? [...shown, addressOf('quilt', { id: quilt })] : shown)
    void fetch(where).catch(() => undefined);
}

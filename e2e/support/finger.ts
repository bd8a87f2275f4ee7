import type { CDPSession, Page } from '@playwright/test';

interface At {
  readonly x: number;
  readonly y: number;
}

/**
 * A finger on the glass, as the browser itself hears it: it decides whether the page scrolls or the gesture is the
 * page's. Goes from one point to another in small steps and is lifted.
 */
export async function drag(page: Page, from: At, to: At, steps = 12): Promise<void> {
  const session: CDPSession = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: At[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await send('touchStart', [from]);
  for (let i = 1; i <= steps; i++) {
    const along = (a: number, b: number) => a + ((b - a) * i) / steps;
    await send('touchMove', [{ x: along(from.x, to.x), y: along(from.y, to.y) }]);
  }
  await send('touchEnd', []);
  await session.detach();
}

/** The middle of a box on the screen. */
export const middleOf = (box: { x: number; y: number; width: number; height: number } | null): At => {
  if (!box) throw new Error('It is not on the screen.');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

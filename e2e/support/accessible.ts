import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { expect } from './quilt.ts';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const WHAT = {
  everything: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
  colours: { type: 'rule', values: ['color-contrast'] },
} as const;

/** WCAG 2.2 AA as far as a machine can tell, by axe-core: of a page that has come to rest. */
export async function accessible(page: Page, what: keyof typeof WHAT = 'everything'): Promise<void> {
  await page.evaluate(axeSource);
  await rested(page);
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = window as unknown as {
      axe: {
        run(
          root: Document,
          options: object,
        ): Promise<{ violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[] }>;
      };
    };
    const { violations } = await axe.run(document, { runOnly, resultTypes: ['violations'] });
    return violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 160)} ${n.failureSummary ?? ''}`),
    );
  }, WHAT[what]);
  expect(found).toEqual([]);
}

/** Nothing on the page has changed for a tenth of a second: a button examined while it is let go has two colours. */
const rested = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const rest = () => {
          watch.disconnect();
          resolve();
        };
        let waiting = setTimeout(rest, 100);
        const watch = new MutationObserver(() => {
          clearTimeout(waiting);
          waiting = setTimeout(rest, 100);
        });
        watch.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
      }),
  );

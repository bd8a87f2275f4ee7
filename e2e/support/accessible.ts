import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { expect } from './quilt.ts';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** WCAG 2.2 AA as far as a machine can tell, by axe-core. */
export async function accessible(page: Page): Promise<void> {
  await page.evaluate(axeSource);
  const found = await page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run(
          root: Document,
          options: object,
        ): Promise<{ violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[] }>;
      };
    };
    const { violations } = await axe.run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    });
    return violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 160)} ${n.failureSummary ?? ''}`),
    );
  });
  expect(found).toEqual([]);
}

import { blankPlan } from '@lattice/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { PageFrame } from '../src/rooms/frame/PageFrame.tsx';
import { Landmark } from '../src/design/Landmark.tsx';
import { show } from './support/show.tsx';

// F6 between the parts of a window is common practice; one banner and one main a page: WAI-ARIA, landmark regions.
describe('the parts of a page', () => {
  beforeEach(() => {
    show(
      <PageFrame title="Stash">
        <input aria-label="Looked for" />
        <Landmark of="complementary" aria-label="Figures">
          <button>Why</button>
        </Landmark>
      </PageFrame>,
      blankPlan('in'),
    );
  });

  it('are said once each, with the way back to the shelf', () => {
    for (const role of ['banner', 'main', 'complementary']) expect(screen.getAllByRole(role)).toHaveLength(1);
    expect(screen.getByRole('complementary', { name: 'Figures' })).toBeTruthy();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Stash');
    expect(screen.getByRole('link', { name: 'The shelf' }).getAttribute('href')).toBe('/');
  });

  it('are gone through by F6, in their order and round again; with Shift, back', async () => {
    const at = () => document.activeElement;
    for (const role of ['banner', 'main', 'complementary', 'banner']) {
      await userEvent.keyboard('{F6}');
      expect(at()).toBe(screen.getByRole(role));
    }
    await userEvent.keyboard('{Shift>}{F6}{/Shift}');
    expect(at()).toBe(screen.getByRole('complementary', { name: 'Figures' }));
  });

  it('are returned to where one was in them', async () => {
    const field = screen.getByRole('textbox', { name: 'Looked for' });
    await userEvent.click(field);
    await userEvent.keyboard('{F6}{F6}{F6}');
    expect(document.activeElement).toBe(field);
  });
});

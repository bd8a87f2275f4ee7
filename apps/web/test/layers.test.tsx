import { computeQuilt, formatLength, formatSize, type Plan, startPlan } from '@lattice/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LayersToCut } from '../src/rooms/figures/UnderAndRound.tsx';
import { LayersStage } from '../src/stages/layers/LayersStage.tsx';
import { choose, show as showOf, type } from './support/show.tsx';

const plan: Plan = {
  ...startPlan('sashed-sampler'),
  block: { width: 14, height: 14 },
  grid: { across: 4, down: 5 },
};
const show = (change: Partial<Plan> = {}) => showOf(<LayersStage />, { ...plan, ...change });

describe('backing', () => {
  test('every way with its cut, the best first; one is chosen, and choosing the best again leaves it to the figures', async () => {
    const { now } = show();
    const ways = within(screen.getByRole('radiogroup', { name: 'Way of backing' })).getAllByRole('radio');
    expect(ways.length).toBeGreaterThanOrEqual(3);
    await userEvent.click(ways.find((w) => (w as HTMLInputElement).value === 'vertical')!);
    expect(now().backing.way).toBe('vertical');
    await userEvent.click(ways[0]!);
    expect(now().backing.way).toBe('best');
    expect(screen.getByTestId('backing-because').textContent).toMatch(/the least cloth|fewer seams/);
  });
  test('overhang by its purpose; print, stripe and cloth', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('button', { name: 'At home 3″' }));
    expect(now().backing.overhang).toBe(3);
    await choose(/Its print/, 'One way up');
    expect(now().fabrics.find((f) => f.id === 'back')!.direction).toBe('one-way');
    await choose(/Stripe of/, 'Leftover blocks');
    expect(now().backing.stripe.of).toBe('blocks');
    expect(screen.getByText('No block is left over for a stripe.')).toBeTruthy();
    await choose(/Panels/, 'Sash');
    expect(now().backing.fabric).toBe('sash');
  });
  test('beside the top stands what it measured, not what it was planned as', () => {
    // Worked by hand: the planned top, and one a little wider and shorter than that, raw edge to raw edge.
    const { now } = show();
    const planned = screen.getByRole('img', { name: /^The layers: backing/ }).getAttribute('aria-label')!;
    const { finished } = computeQuilt(now());
    cleanup();
    const [width, height] = [finished.width.value + 2.25, finished.height.value - 0.5];
    const borders = now().borders.length;
    show({
      measured: [{ borders, width: [width, width, width], height: [height, height, height] }],
    });
    const seam = 2 * plan.seam;
    const over = 2 * plan.backing.overhang;
    expect(screen.getByRole('img', { name: /^The layers: backing/ }).getAttribute('aria-label')).toBe(
      `The layers: backing ${formatSize(width - seam + over, height - seam + over, 'in')}, batting, and the top`,
    );
    expect(planned).not.toContain(formatSize(width - seam + over, height - seam + over, 'in'));
    const tops = [...document.querySelectorAll('[data-tape] > :nth-child(2)')].map(
      (band) => band.textContent,
    );
    expect(tops).toEqual([formatLength(width - seam, 'in'), formatLength(height - seam, 'in')]);
  });
  test('measured as made: begins empty, then part of it, then crooked, then forgotten', async () => {
    const { now } = show();
    await userEvent.click(screen.getByRole('button', { name: 'Measure it' }));
    expect(now().backing.made).toBeNull();
    expect(screen.queryByText(/and is square\./)).toBeNull();
    await type('Top left to bottom right', '97');
    expect(now().backing.made).toEqual({ width: null, height: null, diagonals: [97, null] });
    expect(screen.getByText(/^Still to be measured: its width; its height; both diagonals/)).toBeTruthy();
    await type('Top right to bottom left', '100');
    expect(screen.getByText(/it is not square/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Forget what the backing measured' }));
    expect(now().backing.made).toBeNull();
  });
});

describe('batting', () => {
  test('what the fibre is like; a way to have it; pieces that are there', async () => {
    const { now } = show();
    await choose(/Fibre/, 'Wool');
    expect(screen.getByText(/Wash it cool/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'From the stash…' }));
    await userEvent.click(screen.getByRole('button', { name: 'A piece that is not in the stash yet' }));
    await type('Usable, across', '90');
    await type('Along the selvage', '108');
    await userEvent.click(screen.getByRole('button', { name: 'Put it in' }));
    await screen.findByText('from the stash');
    expect(now().stock).toEqual([]);
    expect(
      within(screen.getByRole('radiogroup', { name: 'Where the batting comes from' }))
        .getAllByRole('radio')[0]!
        .closest('label')!.textContent,
    ).toContain('What is there: 90 × 108″');
    await userEvent.click(screen.getByRole('button', { name: 'Give back Batting' }));
    await waitFor(() => expect(screen.queryByText('from the stash')).toBeNull());
  });
});

describe('quilting at home', () => {
  test('lines, thread and pins follow what is chosen; the steps say the sizes', async () => {
    const { now } = show();
    const marking = screen.getByTestId('marking');
    expect(marking.textContent).toContain('Lines to mark');
    await choose(/Lines/, 'Along the seams');
    expect(now().quilting.marking).toBe('ditch');
    expect(marking.textContent).not.toContain('Lines to mark');
    expect(screen.getByRole('list', { name: 'Basting and marking' }).textContent).toMatch(
      /pins a hand’s breadth apart/,
    );
  });
});

test('blocks that are quilted already have nothing under them', () => {
  const quilted: Plan = { ...plan, setting: { kind: 'quilted', sash: 2 } };
  showOf(<LayersStage />, quilted);
  expect(screen.getByText(/These blocks are quilted already/)).toBeTruthy();
  showOf(<LayersToCut />, quilted);
  expect(screen.getByText(/Every block has its own back/)).toBeTruthy();
});

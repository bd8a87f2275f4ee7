import { type Plan, startPlan } from '@lattice/core';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MachinePage } from '../src/stages/sew/MachinePage.tsx';
import { SewStage } from '../src/stages/sew/SewStage.tsx';
import { StepsPage } from '../src/stages/sew/StepsPage.tsx';
import { choose, show as showOf, type } from './support/show.tsx';

const plan: Plan = { ...startPlan('sashed-sampler'), grid: { across: 2, down: 2 } };
const show = (what: React.ReactNode = <SewStage />, change: Partial<Plan> = {}) =>
  showOf(what, { ...plan, ...change });
const told = () => screen.getByRole('heading', { level: 1 }).textContent;
/** What of the growing quilt is drawn as sewn, or as made before. */
const standing = () => document.querySelector('clipPath path')!.getAttribute('d');
const key = (code: string) => fireEvent.keyDown(document.body, { code });
const now = async (text: string | RegExp) => waitFor(() => expect(told()).toMatch(text));
/** Goes on until so much is told. */
async function until(text: RegExp): Promise<void> {
  for (let i = 0; i < 80 && !text.test(told()!); i++) {
    const before = screen.getByText(/seam \d+ of/).textContent! + told();
    key('PageDown');
    await waitFor(() => expect(screen.getByText(/seam \d+ of/).textContent! + told()).not.toBe(before));
  }
  expect(told()).toMatch(text);
}

describe('at the machine', () => {
  test('space, a pedal and the arrows go on and back; the iron after each step; all is done at last', async () => {
    const { store } = show(<MachinePage />);
    const first = told()!;
    key('Space');
    await waitFor(() => expect(told()).not.toBe(first));
    key('ArrowLeft');
    await now(first);
    await userEvent.click(screen.getByRole('button', { name: /^Sewn\. Next:/ }));
    await waitFor(() => expect(told()).not.toBe(first));
    await userEvent.click(screen.getByRole('button', { name: 'Back' }));
    await now(first);
    await until(/Press what was sewn/);
    expect(screen.getByText(/before the next seam crosses/)).toBeTruthy();
    await until(/^All is done$/);
    expect(screen.getByText(/Put your feet up/)).toBeTruthy();
    const kinds = new Set(store.getState().log.map(({ kind }) => kind));
    expect(kinds).toEqual(new Set(['seams-sewn', 'seams-ripped', 'sewing-done']));
  });
  test('lost: three questions put the place anywhere', async () => {
    show(<MachinePage />, {
      setting: { kind: 'edge-to-edge' } as Plan['setting'],
      grid: { across: 3, down: 3 },
    });
    key('Space');
    await waitFor(() => expect(screen.getByText(/seam 2 of/)).toBeTruthy());
    await userEvent.click(screen.getByRole('button', { name: 'I have lost my place' }));
    await choose(/The step/, /Web the rows/);
    await choose(/The row/, 'Row 2');
    expect(screen.getByRole('dialog').textContent).toMatch(/Then the next is: Row 2: add block 2/);
    await userEvent.click(screen.getByRole('button', { name: 'This is my place' }));
    await now(/^Row 2: add block 2$/);
    key('ArrowLeft');
    await now(/^Row 1: add block 2$/);
  });
  test('lost: pointing at the last piece that holds', async () => {
    show(<MachinePage />, {
      setting: { kind: 'edge-to-edge' } as Plan['setting'],
      grid: { across: 3, down: 2 },
    });
    await userEvent.click(screen.getByRole('button', { name: 'I have lost my place' }));
    const picture = within(screen.getByRole('dialog'));
    fireEvent.click(picture.getAllByText('block 2')[0]!.parentElement!);
    await userEvent.click(screen.getByRole('button', { name: 'This is my place' }));
    await waitFor(() => expect(screen.getByText(/seam 2 of/)).toBeTruthy());
  });
});

describe('the steps', () => {
  test('opened one by one, done at once and taken back, measured with a verdict', async () => {
    const { store } = show(<SewStage />, {
      setting: { kind: 'edge-to-edge' } as Plan['setting'],
      borders: [],
    });
    expect(told()).toMatch(/0 of 3 seams sewn/);
    await type('It measured, across', '24');
    await waitFor(() => expect(screen.getByText(/too short, more than/)).toBeTruthy());
    await type('It measured, across', '24 1/2');
    await waitFor(() => expect(screen.getByText('As it should be: go on.')).toBeTruthy());
    await userEvent.click(screen.getByRole('button', { name: 'All of this is done' }));
    await waitFor(() => expect(told()).toMatch(/2 of 3 seams sewn/));
    await userEvent.click(screen.getByRole('button', { name: /Web the rows/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Not done after all' }));
    await waitFor(() => expect(told()).toMatch(/0 of 3 seams sewn/));
    const kept = store.getState().log.filter(({ kind }) => kind === 'part-measured');
    expect(kept.map(({ body }) => body)).toMatchObject([
      { side: 'across', length: 24 },
      { side: 'across', length: 24.5 },
    ]);
  });
  test('before a border goes on the centre is measured six ways, in its place among the steps', async () => {
    const { now: planNow } = show(<SewStage />, { setting: { kind: 'edge-to-edge' } as Plan['setting'] });
    expect(screen.queryByText('Measure the top')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Join the rows/ }));
    await userEvent.click(screen.getByRole('button', { name: 'The centre' }));
    await type('Width across the middle', '24');
    expect(planNow().measured).toMatchObject([{ borders: 0, width: [null, 24, null] }]);
    await userEvent.click(screen.getByRole('button', { name: /Sew top and bottom of the border on/ }));
    expect(screen.getByText('Measure the top')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /Sew the sides of the border on/ }));
    expect(screen.queryByText('Measure the top')).toBeNull();
  });
  test('another way keeps what is sewn; a wider block names what no longer fits', async () => {
    const { store } = show(<SewStage />, {
      setting: { kind: 'edge-to-edge' } as Plan['setting'],
      borders: [],
    });
    await userEvent.click(screen.getByRole('button', { name: 'All of this is done' }));
    await waitFor(() => expect(told()).toMatch(/2 of 3 seams sewn/));
    await userEvent.click(screen.getByRole('tab', { name: 'Ways' }));
    await userEvent.click(screen.getByRole('radio', { name: /In rows/ }));
    await waitFor(() => expect(told()).toMatch(/In rows: 2 of 3 seams sewn/));
    const { planChanged } = await import('../src/state/planSlice.ts');
    const present = store.getState().plan.present!;
    store.dispatch(planChanged({ ...present, block: { width: 10, height: 10 } }));
    await userEvent.click(screen.getByRole('tab', { name: 'Steps' }));
    await waitFor(() => expect(screen.getByText(/2 sewn seams no longer exist/)).toBeTruthy());
  });
  test('a rule switched off, a seam pressed otherwise: what that breaks is said', async () => {
    show(<SewStage />, { setting: { kind: 'edge-to-edge' } as Plan['setting'], borders: [] });
    await userEvent.click(screen.getByRole('tab', { name: 'Ways' }));
    expect(screen.getByText('1 of 1 crossings nest.')).toBeTruthy();
    await choose(/Every other row the other way/, 'off');
    await choose(/Press it/, 'open');
    await waitFor(() => expect(screen.getByText('0 of 1 crossings nest.')).toBeTruthy());
    expect(screen.getAllByText(/pressed open has nothing to lie against/).length).toBeGreaterThan(0);
    await choose(/Press it/, /by the rules/);
    await waitFor(() => expect(screen.getByText('1 of 1 crossings nest.')).toBeTruthy());
    await userEvent.click(screen.getByRole('switch', { name: 'From the right, or with the left hand' }));
    await userEvent.click(screen.getByRole('switch', { name: 'Every other row from its other end' }));
    expect(screen.getByText('1 of 1 crossings nest.')).toBeTruthy();
  });
  test('one block alone has nothing to sew, and goes on to its layers', async () => {
    show(<SewStage />, {
      setting: { kind: 'edge-to-edge' } as Plan['setting'],
      grid: { across: 1, down: 1 },
      borders: [],
    });
    expect(told()).toMatch(/The top is made already/);
    expect(standing()).not.toBe('');
    expect(screen.getByRole('button', { name: /Layer it/ })).toBeTruthy();
    await userEvent.click(screen.getByRole('tab', { name: 'Ways' }));
    expect(screen.getByText('No seams cross here.')).toBeTruthy();
  });
  test('what was made already stands there from the start, and is called what it is', () => {
    const whole = (kind: string) => ({ setting: { kind, width: 45, height: 60 } as Plan['setting'] });
    show(<SewStage />, { ...whole('whole-quilt'), borders: [] });
    expect(told()).toMatch(/The quilt is made already/);
    expect(standing()).toMatch(/45/);
    cleanup();
    show(<SewStage />, whole('whole-top'));
    expect(told()).toMatch(/0 of \d+ seams sewn/);
    // Less its seams, and the border's width further in.
    expect(standing()).toMatch(/^M[^M]*Z$/);
    cleanup();
    show(<SewStage />, {});
    expect(standing()).toBe('');
  });
  test('a seam that is off: rows that do not meet are told', async () => {
    show(<SewStage />, { setting: { ...plan.setting, cornerstones: false } as Plan['setting'] });
    await userEvent.click(screen.getByRole('tab', { name: 'Measure' }));
    expect(screen.getByText(/they do not meet/)).toBeTruthy();
    await choose(/Each seam is/, 'as it is meant');
    expect(screen.getByText('As it is meant: nothing moves.')).toBeTruthy();
  });
  test('rows that lock into one another are told, with the way out', () => {
    show(<SewStage />, {
      grid: { across: 1, down: 6 },
      borders: [],
      setting: {
        ...startPlan('on-point-cot').setting,
        kind: 'on-point-sashed',
        sash: 1,
        edgeStones: 'whole',
        float: 1,
        plainBetween: false,
      } as Plan['setting'],
    });
    expect(screen.getByRole('status').textContent).toMatch(/lock into one another.*halve its cornerstones/);
  });
  test('on paper: every step with its picture and its boxes', () => {
    show(<StepsPage />);
    expect(screen.getAllByRole('region').length).toBeGreaterThan(7);
    expect(screen.getAllByRole('img', { name: /seams of this step/ }).length).toBeGreaterThan(3);
  });
});

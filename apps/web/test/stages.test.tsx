import { type Plan, startBed, startBorder, startPlan, startRequest } from '@lattice/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Asking } from '../src/rooms/finder/Asking.tsx';
import { withoutBorder } from '../src/state/borderEdits.ts';
import { MeasureSection } from '../src/stages/borders/MeasureSection.tsx';
import { RepeatFields } from '../src/stages/borders/RepeatFields.tsx';
import { LieSection } from '../src/stages/setting/LieSection.tsx';
import { TargetSection } from '../src/stages/setting/TargetSection.tsx';
import { choose, show as showOf, type } from './support/show.tsx';

const plan: Plan = {
  ...startPlan('sashed-sampler'),
  borders: [startBorder('1', 2, 'accent'), startBorder('2', 4, 'border')],
};

const show = (what: React.ReactNode, change: Partial<Plan> = {}) => showOf(what, { ...plan, ...change });

describe('measuring the top', () => {
  test('begins empty: nothing is judged or kept until a tape was read; emptied again it is gone', async () => {
    const { now } = show(<MeasureSection />);
    await userEvent.click(screen.getByRole('button', { name: 'The centre' }));
    const field = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
    expect(field('Width along the top').value).toBe('');
    expect(now().measured).toEqual([]);
    expect(screen.queryByRole('status')).toBeNull();
    expect(screen.getByRole('button', { name: 'More: Width along the top' })).toHaveProperty(
      'disabled',
      true,
    );
    await type('Width across the middle', '42 1/4');
    expect(now().measured).toEqual([{ borders: 0, width: [null, 42.25, null], height: [null, null, null] }]);
    expect(screen.getByRole('status').textContent).toMatch(
      /^One width says how long top and bottom are.*No height is measured yet/,
    );
    await userEvent.click(screen.getByRole('button', { name: 'With border 1 on' }));
    const second = screen.getAllByRole('textbox', { name: 'Height along the left' })[1]!;
    await userEvent.type(second, '60{Enter}');
    expect(now().measured[1]).toMatchObject({
      borders: 1,
      width: [null, null, null],
      height: [60, null, null],
    });
    await userEvent.clear(screen.getAllByRole('textbox', { name: 'Width across the middle' })[0]!);
    await userEvent.tab();
    expect(now().measured.map((m) => m.borders)).toEqual([1]);
  });
  test('a verdict, and what changed', async () => {
    const { now } = show(<MeasureSection />, {
      measured: [{ borders: 0, width: [42.5, 42.5, 42.5], height: [56, 56, 56] }],
    });
    expect(screen.getByText(/It measures what was planned/)).toBeTruthy();
    await type('Height down the middle', '55 1/2');
    expect(now().measured[0]!.height).toEqual([56, 55.5, 56]);
    expect(screen.getByText(/ease the edge to it/)).toBeTruthy();
    expect(
      within(screen.getByTestId('changes')).getByText('Border 1 sides').parentElement!.textContent,
    ).toContain('2 at 2 1/2 × 56″ → 2 at 2 1/2 × 55 1/2″');
    await userEvent.click(screen.getByRole('button', { name: /Forget what was measured/ }));
    expect(now().measured).toEqual([]);
  });
  test('a border taken off takes what was measured with it on', () => {
    const measured = [
      { borders: 0, width: [1, 1, 1], height: [1, 1, 1] },
      { borders: 1, width: [2, 2, 2], height: [2, 2, 2] },
      { borders: 2, width: [3, 3, 3], height: [3, 3, 3] },
    ] as Plan['measured'];
    expect(withoutBorder({ ...plan, measured }, 1).measured.map((m) => m.borders)).toEqual([0, 1]);
    expect(withoutBorder({ ...plan, measured }, 0)).toMatchObject({
      borders: [{ sides: 4 }],
      measured: [{ borders: 0 }],
    });
  });
});

describe('a border that repeats', () => {
  test('says how many repeats, and one press sets the spacer', async () => {
    const { now } = show(<RepeatFields index={1} />, {
      borders: [
        startBorder('3', 2, 'accent'),
        { ...startBorder('4', 4, 'border'), corners: 'squares', repeat: 5 },
      ],
    });
    // 42 + 4 = 46 and 55 1/2 + 4 = 59 1/2 in fives.
    expect(screen.getByRole('status').textContent).toContain('9.2 repeats across and 11.9 down');
    await userEvent.click(screen.getAllByRole('button', { name: /^Use a spacer/ })[0]!);
    expect((42 + 2 * now().borders[0]!.sides) % 5).toBeCloseTo(0, 9);
    expect((55.5 + 2 * now().borders[0]!.ends) % 5).toBeCloseTo(0, 9);
    expect(screen.getByRole('status').textContent).toContain('Comes out even');
  });
  test('plain cloth asks for nothing until it is said to repeat', async () => {
    const { now } = show(<RepeatFields index={1} />);
    expect(screen.queryByRole('status')).toBeNull();
    await userEvent.click(screen.getByRole('switch', { name: 'Cloth or piecing that repeats' }));
    expect(now().borders[1]!.repeat).toBe(4);
    await type('Repeat of border 2', '0');
    expect(now().borders[1]!.repeat).toBe(4);
  });
});

describe('what the quilt is for', () => {
  test('a bed: sides stay alike until one is given apart', async () => {
    const { now } = show(<TargetSection />, { target: startBed('us-queen', 'in') });
    await type('Drop at the left', '14');
    expect(now().target).toMatchObject({ drop: { left: 14, right: 14, foot: 12 } });
    await type('Drop at the right', '10');
    await type('Drop at the left', '9');
    expect(now().target).toMatchObject({ drop: { left: 9, right: 10 } });
    expect(screen.getByTestId('target-size').textContent).toContain('79 × 92″');
    await type('Mattress depth', '12');
    expect(screen.getByTestId('target-size').textContent).toContain('At the left it stops 3″ short');
  });
  test('from one kind of target to another', async () => {
    const { now } = show(<TargetSection />);
    for (const [option, of] of [
      [/A size/, 'size'],
      [/A wall/, 'wall'],
      [/A bed/, 'bed'],
    ] as const) {
      await choose(/Made for/, option);
      expect(now().target!.of).toBe(of);
    }
    await choose(/Made for/, /None/);
    expect(now().target).toBeNull();
  });
});

describe('how the blocks lie', () => {
  test('turned and swapped on odd and even places', async () => {
    const { now } = show(<LieSection />);
    await choose(/Rotated/, /Round, in fours/);
    await choose(/Background/, /Swapped/);
    expect(now().places).toEqual({ turn: 'round', swap: 'odd' });
    expect(screen.getByRole('note').textContent).toContain('6 of 12 blocks with the background swapped');
  });
});

describe('what the search is asked', () => {
  const ask = jest.fn(() => null);
  const request = { ...startRequest(plan, { width: 60, height: 72 }), blocks: 12 };
  beforeEach(() => ask.mockClear());
  test('widths that cannot be are refused beside their field and not asked', async () => {
    show(<Asking plan={plan} request={request} ask={ask} />);
    await type('Narrowest sash', '9');
    expect(screen.getByText('The narrowest sash is wider than the widest.')).toBeTruthy();
    await type('Target width', '4000');
    expect(screen.getByText(/cannot be right/)).toBeTruthy();
    expect(ask).not.toHaveBeenCalled();
    await type('Widest float', '2');
    expect(ask).toHaveBeenLastCalledWith({ float: { least: 0, most: 2 } });
  });
  test('one sash width, as large as the blocks allow, cloth in hand', async () => {
    show(<Asking plan={plan} request={request} ask={ask} />);
    await userEvent.click(screen.getByRole('switch', { name: 'One sash width only' }));
    expect(ask).toHaveBeenLastCalledWith({ sash: { least: 1.5, most: 1.5 } });
    await choose(/Aim/, /As large/);
    expect(ask).toHaveBeenLastCalledWith({ target: null, blocks: 12 });
    await userEvent.click(screen.getByRole('button', { name: /Add cloth/ }));
    expect(ask).toHaveBeenLastCalledWith({ inHand: [{ use: 'sash', length: 45 }] });
  });
  test('cloth is changed and left out again', async () => {
    show(<Asking plan={plan} request={{ ...request, inHand: [{ use: 'sash', length: 45 }] }} ask={ask} />);
    await type('Length for sashes', '2 yd');
    expect(ask).toHaveBeenLastCalledWith({ inHand: [{ use: 'sash', length: 72 }] });
    await userEvent.click(screen.getByRole('button', { name: 'Leave out sashes' }));
    expect(ask).toHaveBeenLastCalledWith({ inHand: [] });
  });
});

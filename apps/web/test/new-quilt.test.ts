import { readPileLine } from '@lattice/core';
import {
  beginningOf,
  firstStage,
  inUnit,
  startAnswers,
  stillWanted,
  targetOf,
  wantsOf,
  withHave,
} from '../src/rooms/beginning/answers.ts';

const start = startAnswers('in');
const read = readPileLine('12 of 9" finished', 'in');
const line = read.ok ? read.value : null;
const nothing = { line: null, width: null, height: null };

test('blocks: nothing to begin with before they are said; then as they come, with the border that was chosen', () => {
  expect(beginningOf('blocks', start, nothing, 'in')).toBeNull();
  expect(beginningOf('blocks', start, { ...nothing, line }, 'in')).toEqual({
    ...{ unit: 'in', have: 'blocks', pile: line, setting: 'sashed', borders: [] },
  });
  const bordered = { ...start, border: 4.5, setting: 'on-point' as const };
  expect(beginningOf('blocks', bordered, { ...nothing, line }, 'in')).toMatchObject({
    ...{ setting: 'on-point', borders: [4.5] },
  });
});

test('a top or a quilt is measured both ways, and opens where its next question is', () => {
  expect(beginningOf('whole', start, { ...nothing, width: 65 }, 'in')).toBeNull();
  const measured = { ...nothing, width: 65, height: 78 };
  expect(beginningOf('whole', start, measured, 'in')).toEqual({
    unit: 'in',
    have: 'quilt',
    width: 65,
    height: 78,
  });
  const top = { ...start, layered: 'top' as const };
  expect(beginningOf('whole', top, measured, 'in')).toMatchObject({ have: 'top' });
  expect([firstStage('whole', start), firstStage('whole', top), firstStage('blocks', start)]).toEqual([
    ...['edge', 'borders', 'setting'],
  ]);
});

test('a size to reach: asked for at once, whatever was answered before; a bed has its own', () => {
  const size = withHave(start, 'size');
  expect([size.forWhat, withHave(size, 'blocks').forWhat]).toEqual(['size', 'any']);
  // The address may say so before anything is pressed.
  expect(wantsOf('size', start)).toBe('size');
  expect(targetOf('size', start, 'in')).toEqual({ of: 'size', width: 60, height: 72 });
  const bed = { ...size, forWhat: 'bed' as const };
  expect(targetOf('size', bed, 'in')).toMatchObject({ of: 'bed', bed: 'us-queen' });
  expect(beginningOf('size', { ...size, block: 9, border: 'none' }, nothing, 'in')).toEqual({
    ...{ unit: 'in', have: 'size', target: { of: 'size', width: 60, height: 72 } },
    ...{ block: 9, setting: 'sashed', borders: [] },
  });
  expect([targetOf('blocks', start, 'in'), targetOf('whole', size, 'in')]).toEqual([null, null]);
});

test('in the other unit lengths begin anew, what was chosen stays', () => {
  const chosen = {
    ...start,
    setting: 'coped' as const,
    border: 4.5,
    block: 7,
    size: { width: 1, height: 2 },
  };
  expect(inUnit(chosen, 'cm')).toEqual({
    ...{ ...chosen, border: null, size: { width: 150, height: 180 } },
    block: startAnswers('cm').block,
  });
  expect(startAnswers('cm').block).not.toBe(start.block);
});

test('what is still wanted is said, and nothing once it is there', () => {
  expect(stillWanted('blocks', null)).toMatch(/^Say how many blocks/);
  expect(stillWanted('whole', null)).toMatch(/^Measure it both ways/);
  expect(stillWanted('blocks', beginningOf('blocks', start, { ...nothing, line }, 'in'))).toBeNull();
});

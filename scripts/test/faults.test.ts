import { existsSync } from 'node:fs';
import path from 'node:path';
import { faults, whyNot } from '../mutation/planted.mjs';

const root = path.resolve(__dirname, '../..');

describe('the faults that are planted by hand', () => {
  test.each(faults().map((fault) => [fault.name, fault] as const))(
    '%s can still be planted, says what a maker would see, and names tests that are there',
    (_name, fault) => {
      expect(whyNot(fault)).toBe('');
      expect(fault.sees).toMatch(/^[A-Z“].{20,}/);
      expect(fault.tests.length).toBeGreaterThan(0);
      expect(fault.tests.filter((test) => !existsSync(path.join(root, test)))).toEqual([]);
    },
  );
});

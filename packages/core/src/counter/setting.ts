import { sum } from 'd3-array';
import { type Figure, lengthOf, numberOf } from '../figure/figure.ts';
import type { Role } from '../piece/piece.ts';
import { formatLength, formatSize } from '../length/format.ts';
import { near } from '../length/tolerance.ts';
import { startBorder } from '../plan/start.ts';
import { USUAL } from '../usual/lengths.ts';
import {
  type AnySetting,
  type SettingKind,
  settingOf,
  type SettingOptions,
  SETTINGS,
} from '../setting/registry.ts';
import { toCut } from './to-cut.ts';
import { blankQuilt, lengthIn, type Question, type Topic, wrongFlag } from './topic.ts';

/** Settings that are asked about at the counter: each knows how. */
const KINDS = SETTINGS.filter((s: AnySetting) => s.atCounter !== undefined).map((s) => s.kind);

/** Size and counts of a setting of square blocks (rules ST-1 to ST-6), by laying it out. */
export const setting: Topic = {
  name: 'setting',
  describes: 'Size of a setting, and how many of each piece it takes.',
  flags: [
    {
      key: 'kind',
      label: 'Setting',
      type: 'choice',
      start: 'edge-to-edge',
      choices: KINDS,
      names: (kind) => settingOf(kind as SettingKind).name,
    },
    { key: 'block', label: 'Block, finished', type: 'length', start: null },
    { key: 'across', label: 'Blocks across', type: 'count', start: null },
    { key: 'down', label: 'Blocks down', type: 'count', start: null },
    { key: 'sash', label: 'Sash, finished', type: 'length', start: USUAL.sash },
    {
      key: 'outer-sash',
      label: 'Sash round the outside',
      type: 'choice',
      start: 'yes',
      choices: ['yes', 'no'],
      names: (answer) => (answer === 'yes' ? 'Yes' : 'No'),
    },
    { key: 'borders', label: 'Borders, from the centre out', type: 'lengths', start: [] },
  ],
  answer: (question) => {
    const { unit, given } = question;
    const found = settingOf(given['kind'] as SettingKind);
    const options = optionsOf(question);
    const side = lengthIn(question, 'block');
    const grid = gridOf(question);
    const input = { unit, block: { width: side, height: side }, grid, options, seam: USUAL.seam[unit] };
    const [refusal] = found.refusals(input);
    if (refusal) return wrongFlag(refusal.path.at(-1) === 'sash' ? 'sash' : 'block', refusal.message);
    const centre = found.layOut({ ...input, origin: { x: 0, y: 0 } });
    const borders = given['borders'] as readonly number[];
    const total = sum(borders);
    const bordered = (figure: Figure): Figure =>
      near(total, 0)
        ? figure
        : lengthOf(
            figure.value + 2 * total,
            ...figure.working,
            `+ 2 × (${borders.map((b) => formatLength(b, unit)).join(' + ')}) = ${formatLength(figure.value + 2 * total, unit)}`,
          );
    const finished = { width: bordered(centre.width), height: bordered(centre.height) };
    const parts = (role: Role) => centre.parts.filter((p) => p.role === role);
    const count = (role: Role) => sum(parts(role), (p) => p.count.value);
    return {
      ok: true,
      headline: `${formatSize(finished.width.value, finished.height.value, unit)}, ${numberOf(count('block'), 'block')}`,
      json: {
        centre: { width: centre.width.value, height: centre.height.value },
        finished: { width: finished.width.value, height: finished.height.value },
        blocks: count('block'),
        sashes: count('sash'),
        cornerstones: count('cornerstone'),
        sideTriangles: count('side-triangle'),
        cornerTriangles: count('corner-triangle'),
        frameTriangles: count('frame-triangle'),
      },
      said: [
        { what: 'Finished width', figure: finished.width },
        { what: 'Finished height', figure: finished.height },
        ...centre.parts.map((p) => ({ what: p.name, figure: p.count })),
        ...toCut(setting.quilt(question)),
      ],
    };
  },
  quilt: (question) => {
    const side = lengthIn(question, 'block');
    const borders = (question.given['borders'] as readonly number[]).map((width, i) =>
      startBorder(String(i + 1), width, 'border'),
    );
    return blankQuilt(question.unit, {
      setting: optionsOf(question),
      grid: gridOf(question),
      block: { width: side, height: side },
      borders,
    });
  },
};

const gridOf = ({ given }: Question) => ({
  across: given['across'] as number,
  down: given['down'] as number,
});

/** The setting's options at their start, with what was given. */
function optionsOf(question: Question): SettingOptions {
  const { unit, given } = question;
  const found = settingOf(given['kind'] as SettingKind);
  const wish = { sash: lengthIn(question, 'sash'), outerSash: given['outer-sash'] === 'yes' };
  return found.atCounter!(found.start(unit), wish);
}

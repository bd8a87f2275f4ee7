import type { TellsOf } from './tell.ts';
import { formatSize } from '../../length/format.ts';
import { line } from '../line.ts';
import { sayDay } from '../../moment/moment.ts';
import { stageOf } from '../../choice/stages.ts';

/** What was decided and measured of a quilt, told. */
export const planTells: TellsOf<'plan-changed' | 'due-said' | 'quilt-measured'> = {
  'plan-changed': (entry) => {
    const { body } = entry;
    return body.changes.map(({ key, kind, stage, what, from, to, about }, i) =>
      line({ ...entry, id: `${entry.id}.${i}` }, kind, stageOf(stage), '', {
        about,
        fold: `plan ${key}`,
        change: { what, from, to },
      }),
    );
  },
  'due-said': (entry) => {
    const { body } = entry;
    const { date } = body;
    return [
      line(entry, 'change', '', date === null ? 'No day to be ready by' : `To be ready by ${sayDay(date)}`, {
        fold: 'due',
      }),
    ];
  },
  'quilt-measured': (entry) => {
    const { body } = entry;
    const { when, unit, width, height } = body;
    return [
      line(entry, 'measure', 'edge', `The quilt, ${when}, measured ${formatSize(width, height, unit)}`),
    ];
  },
};

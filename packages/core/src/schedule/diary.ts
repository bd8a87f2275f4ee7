import { group } from 'd3-array';
import { sayMinutes } from '../clock/words.ts';
import { dateOf, weekdayOf } from '../moment/moment.ts';
import type { Hours } from './hours.ts';
import type { Forecast } from './simulate.ts';

/** Something that goes into a diary: a sitting of so many minutes from a time of day, or a whole day. */
export interface DiaryEntry {
  /** The same for the same sitting of the same quilt, so that taking it in again changes it and does not double it. */
  readonly uid: string;
  readonly title: string;
  readonly says: string;
  readonly date: string;
  /** Null for a whole day. */
  readonly from: string | null;
  readonly minutes: number;
  /** It is reminded of so many minutes before. */
  readonly remind: number;
}

const SITTING_REMINDED = 30;
const DAY_REMINDED = 24 * 60;

/**
 * A forecast as a diary: one entry a sitting, at the time the maker usually begins, with what is to be done in it; the day
 * it has to be ready by; and days by which what has to be done, so that it comes out in time.
 */
export function diaryOf(
  quilt: { readonly id: string; readonly title: string; readonly due: string | null },
  { sittings, milestones }: Pick<Forecast, 'sittings' | 'milestones'>,
  hours: Hours,
): DiaryEntry[] {
  const names = new Map(milestones.map(({ job, name }) => [job, name]));
  const days = group(
    sittings.filter((sitting) => sitting.quilt === quilt.id),
    ({ day }) => day,
  );
  const sat = [...days].map(([day, jobs]): DiaryEntry => {
    const date = dateOf(day);
    return {
      uid: `${quilt.id}-sitting-${date}`,
      title: `${quilt.title}: ${jobs.map(({ job }) => lower(names.get(job) ?? job)).join(', ')}`,
      says: jobs.map(({ job, minutes }) => `${names.get(job) ?? job}: ${sayMinutes(minutes)}`).join('\n'),
      date,
      from: hours.week[weekdayOf(day)]!.from,
      minutes: Math.max(5, Math.round(jobs.reduce((sum, { minutes }) => sum + minutes, 0))),
      remind: SITTING_REMINDED,
    };
  });
  const by = milestones.flatMap(({ job, name, by: date }): DiaryEntry[] =>
    date === null || date === quilt.due
      ? []
      : [
          {
            uid: `${quilt.id}-by-${job}`,
            title: `${quilt.title}: ${lower(name)}, by today`,
            says: 'Done by today, the quilt is ready in time four times out of five.',
            date,
            from: null,
            minutes: 0,
            remind: DAY_REMINDED,
          },
        ],
  );
  const due: DiaryEntry[] =
    quilt.due === null
      ? []
      : [
          {
            uid: `${quilt.id}-due`,
            title: `${quilt.title}: to be ready`,
            says: 'The day it has to be ready by.',
            date: quilt.due,
            from: null,
            minutes: 0,
            remind: DAY_REMINDED,
          },
        ];
  return [...sat, ...by, ...due];
}

const lower = (text: string): string => (text === '' ? text : text[0]!.toLowerCase() + text.slice(1));

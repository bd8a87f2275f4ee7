import { diaryOf, dueIn, type Forecast, hoursIn } from '@lattice/core';
import { download } from '../../browser/download.ts';
import { selectPlan } from '../../state/selectors.ts';
import type { Thunk } from '../../sync/thunk.ts';

/** The sittings and days of a forecast, as a file for any calendar. */
export const takeCalendar =
  (forecast: Forecast): Thunk<Promise<void>> =>
  async (_dispatch, getState) => {
    const { log, saving } = getState();
    const id = saving.id!;
    const { title } = selectPlan(getState());
    const diary = diaryOf({ id, title, due: dueIn(log, id).date }, forecast, hoursIn(log));
    const { calendarFile } = await import('@lattice/export');
    download(`${title}.ics`, calendarFile(title, diary, new Date().toISOString()), 'text/calendar');
  };

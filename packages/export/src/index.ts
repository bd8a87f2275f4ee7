/** Files in open formats whose writing needs libraries: the public face. Fetched when a file is asked for. */
export { calendarFile } from './calendar.ts';

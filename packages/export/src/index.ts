/** Files in open formats whose writing needs libraries: the public face. Fetched when a file is asked for. */
export { calendarFile } from './calendar.ts';
export { type TakeJob } from './job.ts';
export { type Letters, type PaperName, PAPERS } from './pdf/paper.ts';
export { entriesWith, quiltFiles } from './quilt-zip.ts';
export {
  type Format,
  FORMATS,
  take,
  TAKEAWAYS,
  takeaway,
  type Takeaway,
  type Taken,
  TYPES,
} from './takeaways.ts';
export { fileName, textBytes, type ZipFile, zipOf } from './zip.ts';

/** Files in open formats whose writing needs libraries: the public face. Fetched when a file is asked for. */
export { calendarFile } from './calendar.ts';
export { type TakeJob } from './job.ts';
export { type Letters } from './pdf/paper.ts';
export { type Format, FORMATS, PAPER_NAMES, type PaperName, PAPERS, TYPES } from './formats.ts';
export { entriesWith, quiltFiles } from './quilt-zip.ts';
export { take, TAKEAWAYS, takeaway, type Takeaway, type Taken } from './takeaways.ts';
export { fileName, textBytes, type ZipFile, zipOf } from './zip.ts';

import { type PlannedSewing, planSewing, type SewingJob } from './planSewing.ts';

self.onmessage = ({ data }: MessageEvent<SewingJob>) => {
  self.postMessage(planSewing(data) satisfies PlannedSewing);
};

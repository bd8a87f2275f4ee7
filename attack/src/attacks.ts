import type { Attack } from './attack.ts';
import { bodiesAttack } from './bodies.ts';
import { clock } from './clock.ts';
import { crowd } from './crowd.ts';
import { csv } from './csv.ts';
import { disk } from './disk.ts';
import { foreign } from './foreign.ts';
import { kill } from './kill.ts';
import { licences } from './licences.ts';
import { pictures } from './pictures.ts';
import { plans } from './plans.ts';
import { queue } from './queue.ts';
import { restores } from './restores.ts';
import { rows } from './rows.ts';
import { slow } from './slow.ts';
import { start } from './start.ts';
import { steps } from './steps/steps.ts';
import { zips } from './zips.ts';

/** Every attack, the quickest first. */
export const ATTACKS: readonly Attack[] = [
  foreign,
  csv,
  slow,
  start,
  clock,
  crowd,
  disk,
  plans,
  bodiesAttack,
  licences,
  queue,
  restores,
  zips,
  rows,
  kill,
  steps,
  pictures,
];

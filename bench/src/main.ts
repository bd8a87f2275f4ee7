import { edge } from './edge.ts';
import { fit } from './fit.ts';
import { pipeline } from './pipeline.ts';
import { quick } from './quick.ts';
import { wall } from './wall.ts';

/** Every case; each prints one JSON line. Ratios within one run, since machines differ. */
for (const line of [...pipeline(), ...edge(), ...fit(), ...wall(), ...quick()])
  console.log(JSON.stringify(line));

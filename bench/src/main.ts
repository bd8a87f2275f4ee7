import { fit } from './fit.ts';
import { pipeline } from './pipeline.ts';

/** Every case; each prints one JSON line. Ratios within one run, since machines differ. */
for (const line of [...pipeline(), ...fit()]) console.log(JSON.stringify(line));

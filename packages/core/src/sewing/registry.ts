import type { SewingMethod } from './method.ts';
import { columns } from './methods/columns.ts';
import { covered } from './methods/covered.ts';
import { diagonal } from './methods/diagonal.ts';
import { framed } from './methods/framed.ts';
import { rows } from './methods/rows.ts';
import { units } from './methods/units.ts';
import { web } from './methods/web.ts';

/** Every way of sewing a centre together. A new one is a file in `methods` and a line here. */
export const METHODS: readonly SewingMethod[] = [rows, units, columns, web, diagonal, framed, covered];

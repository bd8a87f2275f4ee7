import type { Unit } from '../length/unit.ts';

/** A mattress top. Sizes are from memory: makers differ by an inch or two, so the screen asks to measure. */
interface Bed {
  readonly id: string;
  readonly country: 'US' | 'UK' | 'EU' | 'AU';
  readonly name: string;
  readonly unit: Unit;
  readonly width: number;
  readonly length: number;
}

/** Beds as they are sold, by country (rule TG-1; all from memory). */
export const BEDS = [
  { id: 'us-crib', country: 'US', name: 'Crib', unit: 'in', width: 28, length: 52 },
  { id: 'us-twin', country: 'US', name: 'Twin', unit: 'in', width: 38, length: 75 },
  { id: 'us-twin-xl', country: 'US', name: 'Twin, extra long', unit: 'in', width: 38, length: 80 },
  { id: 'us-full', country: 'US', name: 'Full', unit: 'in', width: 54, length: 75 },
  { id: 'us-queen', country: 'US', name: 'Queen', unit: 'in', width: 60, length: 80 },
  { id: 'us-king', country: 'US', name: 'King', unit: 'in', width: 76, length: 80 },
  { id: 'us-california-king', country: 'US', name: 'California king', unit: 'in', width: 72, length: 84 },
  { id: 'uk-cot', country: 'UK', name: 'Cot', unit: 'cm', width: 60, length: 120 },
  { id: 'uk-small-single', country: 'UK', name: 'Small single', unit: 'cm', width: 75, length: 190 },
  { id: 'uk-single', country: 'UK', name: 'Single', unit: 'cm', width: 90, length: 190 },
  { id: 'uk-small-double', country: 'UK', name: 'Small double', unit: 'cm', width: 120, length: 190 },
  { id: 'uk-double', country: 'UK', name: 'Double', unit: 'cm', width: 135, length: 190 },
  { id: 'uk-king', country: 'UK', name: 'King', unit: 'cm', width: 150, length: 200 },
  { id: 'uk-super-king', country: 'UK', name: 'Super king', unit: 'cm', width: 180, length: 200 },
  { id: 'eu-cot', country: 'EU', name: 'Cot', unit: 'cm', width: 70, length: 140 },
  { id: 'eu-90', country: 'EU', name: '90 × 200', unit: 'cm', width: 90, length: 200 },
  { id: 'eu-120', country: 'EU', name: '120 × 200', unit: 'cm', width: 120, length: 200 },
  { id: 'eu-140', country: 'EU', name: '140 × 200', unit: 'cm', width: 140, length: 200 },
  { id: 'eu-160', country: 'EU', name: '160 × 200', unit: 'cm', width: 160, length: 200 },
  { id: 'eu-180', country: 'EU', name: '180 × 200', unit: 'cm', width: 180, length: 200 },
  { id: 'au-cot', country: 'AU', name: 'Cot', unit: 'cm', width: 69, length: 130 },
  { id: 'au-single', country: 'AU', name: 'Single', unit: 'cm', width: 92, length: 188 },
  { id: 'au-king-single', country: 'AU', name: 'King single', unit: 'cm', width: 107, length: 203 },
  { id: 'au-double', country: 'AU', name: 'Double', unit: 'cm', width: 138, length: 188 },
  { id: 'au-queen', country: 'AU', name: 'Queen', unit: 'cm', width: 153, length: 203 },
  { id: 'au-king', country: 'AU', name: 'King', unit: 'cm', width: 183, length: 203 },
] as const satisfies readonly Bed[];

export type BedId = (typeof BEDS)[number]['id'];

/** Ids alone, for the schema. */
export const BED_IDS = BEDS.map((b) => b.id) as [BedId, ...BedId[]];

/** The bed with this id. */
export const bedOf = (id: BedId): Bed => BEDS.find((b) => b.id === id)!;

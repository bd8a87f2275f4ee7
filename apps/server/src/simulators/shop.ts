import {
  atLeast,
  convertLength,
  differenceOf,
  type EntryBody,
  longer,
  type ShopAnswer,
  type ShopList,
  type ShopOffer,
  type ShopOrder,
  shorter,
  type Unit,
} from '@lattice/core';
import { parseDate } from '@internationalized/date';
import { Refusal } from '../errors.ts';

/** A bolt on the shelf: usable width and what was on it when the shop opened, in inches; price of a yard. */
interface Bolt {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
  readonly usableWidth: number;
  readonly inches: number;
  readonly price: number;
}

/** The stand-in's shelf. Some bolts are nearly at their end, and one is sold out. */
const BOLTS: readonly Bolt[] = [
  { id: 'b-oat', name: 'Oat weave', colour: '#eddfc6', usableWidth: 41, inches: 540, price: 10.5 },
  { id: 'b-cream', name: 'Cream plain', colour: '#f4ecda', usableWidth: 42, inches: 720, price: 7.25 },
  { id: 'b-clay', name: 'Clay red', colour: '#c25030', usableWidth: 41, inches: 30, price: 11 },
  { id: 'b-brick', name: 'Brick plain', colour: '#a9432b', usableWidth: 42, inches: 430, price: 7.25 },
  { id: 'b-honey', name: 'Honey plain', colour: '#dfab3e', usableWidth: 42, inches: 260, price: 7.25 },
  { id: 'b-straw', name: 'Straw dots', colour: '#ecc774', usableWidth: 40, inches: 150, price: 12 },
  { id: 'b-slate', name: 'Slate plain', colour: '#31495c', usableWidth: 42, inches: 600, price: 7.25 },
  { id: 'b-ink', name: 'Ink weave', colour: '#1f2b42', usableWidth: 41, inches: 340, price: 10.5 },
  { id: 'b-fern', name: 'Fern plain', colour: '#87936a', usableWidth: 42, inches: 0, price: 7.25 },
  { id: 'b-moss', name: 'Moss leaves', colour: '#6a7f4e', usableWidth: 40, inches: 420, price: 12 },
  { id: 'b-sea', name: 'Sea plain', colour: '#5f8ba0', usableWidth: 42, inches: 480, price: 7.25 },
  { id: 'b-plum', name: 'Plum weave', colour: '#5b3a52', usableWidth: 41, inches: 210, price: 10.5 },
  { id: 'b-dove', name: 'Dove plain', colour: '#b9bdbf', usableWidth: 42, inches: 380, price: 7.25 },
  { id: 'b-wide', name: 'Wide calico', colour: '#e6ddc8', usableWidth: 104, inches: 900, price: 15 },
];

const NAME = 'Wheelbarrow Cloth, the app’s own stand-in';
/** It cuts in eighths of a yard, or in 10 cm. */
const STEP: Readonly<Record<Unit, number>> = { in: 4.5, cm: 10 };
const WHOLE: Readonly<Record<Unit, number>> = { in: 36, cm: 100 };
/** An order is held for so many days. */
const HELD_DAYS = 7;
/** So many bolts are shown for a cloth, and none whose colour is farther off than this (CIEDE2000). */
const MOST_OFFERS = 4;
const FARTHEST = 30;
/** Where one colour stops being the same, close, of the family (CIEDE2000; thresholds from memory). */
const LIKENESS: readonly (readonly [upTo: number, word: ShopOffer['likeness']])[] = [
  [3, 'the same to the eye'],
  [9, 'close'],
  [20, 'of the family'],
];

type Held = EntryBody['shop-held'];

/** A stand-in for a shop: its shelf, what of it is held for others, and what it would sell instead. */
export class Shop {
  constructor(private readonly now: () => Date) {}

  /** What it has for a list, the likest and cheapest first. */
  answer({ unit, cloths }: ShopList, held: readonly Held[]): ShopAnswer {
    const left = this.stock(held);
    return {
      shop: NAME,
      unit,
      cloths: cloths.map((wish) => ({
        cloth: wish.cloth,
        offers: BOLTS.map((bolt) => offerOf(bolt, left.get(bolt.id)!, wish, unit))
          .filter(({ difference, inStock }) => difference <= FARTHEST && inStock > 0)
          .sort(
            (a, b) => Number(b.enough) - Number(a.enough) || a.difference - b.difference || a.cost - b.cost,
          )
          .slice(0, MOST_OFFERS),
      })),
    };
  }

  /** An order laid aside. @throws Refusal where a bolt is not known, or no longer holds as much */
  hold({ unit, lines }: ShopOrder, held: readonly Held[], ever: number): Held {
    const left = this.stock(held);
    const laid = lines.map(({ cloth, bolt: id, length }) => {
      const bolt = BOLTS.find((one) => one.id === id);
      if (!bolt) throw new Refusal('no-such-bolt', `The shop has no bolt ${id}.`);
      const cut = cutOf(length, unit);
      const inches = convertLength(cut, unit, 'in');
      const there = left.get(id)!;
      if (longer(inches, there))
        throw new Refusal(
          'not-enough',
          `Only ${round(convertLength(there, 'in', unit))} ${unit === 'in' ? 'inches' : 'cm'} of ${bolt.name} is left now. Ask again.`,
        );
      left.set(id, there - inches);
      return { cloth, bolt: id, name: bolt.name, length: cut, cost: costOf(bolt, cut, unit) };
    });
    return {
      number: `WB-${200 + ever + 1}`,
      unit,
      until: parseDate(this.now().toISOString().slice(0, 10)).add({ days: HELD_DAYS }).toString(),
      lines: laid,
      total: round(laid.reduce((sum, { cost }) => sum + cost, 0)),
    };
  }

  /** Inches left on each bolt, less what is held and not yet past its day. */
  private stock(held: readonly Held[]): Map<string, number> {
    const today = this.now().toISOString().slice(0, 10);
    const left = new Map(BOLTS.map(({ id, inches }) => [id, inches]));
    for (const { until, unit, lines } of held)
      if (until >= today)
        for (const { bolt, length } of lines)
          left.set(bolt, Math.max(0, (left.get(bolt) ?? 0) - convertLength(length, unit, 'in')));
    return left;
  }
}

function offerOf(bolt: Bolt, inches: number, wish: ShopList['cloths'][number], unit: Unit): ShopOffer {
  const cut = cutOf(wish.length, unit);
  const inStock = round(convertLength(inches, 'in', unit));
  const usableWidth = round(convertLength(bolt.usableWidth, 'in', unit));
  const difference = differenceOf(bolt.colour, wish.colour);
  return {
    bolt: bolt.id,
    name: bolt.name,
    colour: bolt.colour,
    price: round((bolt.price * WHOLE[unit]) / (unit === 'in' ? 36 : 91.44)),
    usableWidth,
    cut,
    inStock,
    cost: costOf(bolt, cut, unit),
    enough: atLeast(inStock, cut),
    difference: round(difference),
    likeness: LIKENESS.find(([upTo]) => difference <= upTo)?.[1] ?? 'another colour',
    narrower: shorter(usableWidth, wish.usableWidth),
  };
}

const cutOf = (length: number, unit: Unit): number => Math.ceil(length / STEP[unit] - 1e-6) * STEP[unit];
const costOf = ({ price }: Bolt, cut: number, unit: Unit): number =>
  round((convertLength(cut, unit, 'in') / 36) * price);
const round = (value: number): number => Math.round(value * 100) / 100;

import { type Plan, progressOf, settingOf, sizeSoFar, type Stage } from '@lattice/core';

/** What the shelf shows of a quilt; the drawing comes from its plan once the card is looked at. */
export interface Card {
  readonly title: string;
  readonly unit: Plan['unit'];
  readonly tags: readonly string[];
  /** Finished, in `unit`: as far as it was measured, from there. */
  readonly width: number;
  readonly height: number;
  /** The setting's name. */
  readonly setting: string;
  /** Where the work stands; and where, with its quilting booked. */
  readonly at: Stage;
  readonly atBooked: Stage;
}

/** The card of a quilt that cannot be read any more: its name, if even that can be made out. */
export interface UnreadableCard {
  readonly title: string;
  readonly unreadable: true;
}

/** The card of a plan whose shape is right, whether or not it can be drawn. */
export function cardOf(plan: Plan): Card {
  const { width, height } = sizeSoFar(plan);
  return {
    title: plan.title,
    tags: plan.tags,
    unit: plan.unit,
    width,
    height,
    setting: settingOf(plan.setting.kind).name,
    at: progressOf(plan, { booked: false }).at,
    atBooked: progressOf(plan, { booked: true }).at,
  };
}

/** A name found in what is left of a plan's text. */
export function unreadableCard(text: string): UnreadableCard {
  const [, found] = /"title"\s*:\s*"((?:[^"\\]|\\.){1,120})"/.exec(text) ?? [];
  return { title: found ? (JSON.parse(`"${found}"`) as string) : 'A quilt without a name', unreadable: true };
}

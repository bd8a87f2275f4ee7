import type { Card, UnreadableCard } from '@lattice/contract';
import { type Plan, progressOf, settingOf, sizeSoFar } from '@lattice/core';

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

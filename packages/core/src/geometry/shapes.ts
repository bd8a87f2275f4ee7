import type { Point } from './point.ts';

/** The four corners of an upright rectangle. */
export const rectangle = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** Outline of a square standing on its point, by its middle and half its diagonal. */
export const diamond = (x: number, y: number, half: number): Point[] => [
  { x, y: y - half },
  { x: x + half, y },
  { x, y: y + half },
  { x: x - half, y },
];

import type { LogEntry, Plan, Quilt } from '@lattice/core';
import type { PaperName } from './formats.ts';
import type { Letters } from './pdf/paper.ts';

/** What something to take along is made from. */
export interface TakeJob {
  readonly plan: Plan;
  readonly quilt: Quilt;
  /** Id of the quilt in its log, and the log; of a plan file alone there is none, and its id is empty. */
  readonly id: string;
  readonly log: readonly LogEntry[];
  /** When it is made, 2026-11-27T10:00:00Z: what is made of the same plan at the same moment is the same, byte by byte. */
  readonly made: string;
  readonly paper: PaperName;
  /** Decimal comma and semicolon in tables. */
  readonly comma: boolean;
  readonly letters: () => Promise<Letters>;
  /** Draws an SVG so many pixels wide as a PNG; whoever has a screen or a library for it knows how. */
  readonly draw: (svg: string, width: number, height: number) => Promise<Uint8Array>;
  /** Photos and pictures the plan and its log name, by their ids; those that cannot be had are left out. */
  readonly picture: (id: string) => Promise<Uint8Array | null>;
  /** A picture in any format as a JPEG no wider than that: what paper and other programs read. */
  readonly jpeg: (picture: Uint8Array, pixels: number) => Promise<Uint8Array>;
}

/** The pictures of a quilt's blocks by their ids, as JPEG; a picture that cannot be had or read is left out. */
export async function facesOf(
  { plan, picture, jpeg }: TakeJob,
  pixels: number,
): Promise<ReadonlyMap<string, Uint8Array>> {
  const faces = new Map<string, Uint8Array>();
  for (const id of new Set(plan.pile.flatMap((block) => block.picture ?? []))) {
    const bytes = await picture(id);
    const made = bytes && (await jpeg(bytes, pixels).catch(() => null));
    if (made) faces.set(id, made);
  }
  return faces;
}

/** The same as addresses that hold the picture itself. */
export async function faceAddresses(job: TakeJob, pixels: number): Promise<ReadonlyMap<string, string>> {
  const faces = await facesOf(job, pixels);
  return new Map([...faces].map(([id, bytes]) => [id, `data:image/jpeg;base64,${base64(bytes)}`]));
}

/** Bytes in base 64, some at a time: an argument list has an end. */
function base64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}

/** A block's picture in a drawing is so many pixels wide: sharp on paper, and sixty of them still make a small file. */
export const FACE_PIXELS = 320;

/** Dates of a moment as they stand on paper: 27 November 2026. */
export const onPaper = (made: string): string =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(made));

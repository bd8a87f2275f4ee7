import { z } from 'zod';
import { logEntrySchema, planSchema } from '@lattice/core';
import * as log from '../log/routes.ts';
import { takeQuery } from '../parcels/routes.ts';
import { readingBody } from '../quilts/reading.ts';
import * as quilts from '../quilts/routes.ts';
import * as share from '../share/routes.ts';
import * as longArm from '../simulators/long-arm-routes.ts';
import * as shop from '../simulators/shop-routes.ts';
import * as tape from '../simulators/tape-routes.ts';
import * as snapshots from '../snapshots/routes.ts';

/** One thing that can be asked of the server, as it is described to a stranger. */
export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** With what changes in it in braces: /api/quilts/{id}. */
  readonly path: string;
  readonly group: 'Quilts' | 'Lists and files' | 'The log' | 'Pictures' | 'The house' | 'Stand-ins';
  readonly says: string;
  readonly query?: z.ZodType;
  readonly body?: z.ZodType;
  /** Of bodies and answers that are no JSON. */
  readonly sends?: string;
  /** What comes back when it goes well. */
  readonly answers: {
    readonly status: 200 | 201 | 204;
    readonly says: string;
    readonly type?: string;
    readonly schema?: object;
  };
  /** A call one can copy, after the address of the server. */
  readonly curl?: string;
}

const JSON_TYPE = "-H 'Content-Type: application/json'";
const entry = z.toJSONSchema(logEntrySchema, { io: 'input', unrepresentable: 'any' });
const card = {
  type: 'object',
  properties: {
    id: { type: 'string' },
    revision: { type: 'integer' },
    updatedAt: { type: 'string', format: 'date-time' },
    savedBy: { type: 'string' },
    card: { type: 'object', properties: { title: { type: 'string' } }, required: ['title'] },
  },
  required: ['id', 'revision', 'updatedAt', 'card'],
};
const stored = {
  type: 'object',
  properties: {
    id: { type: 'string' },
    revision: {
      type: 'integer',
      description: 'Said again with the next change, so that nothing is overwritten.',
    },
    updatedAt: { type: 'string', format: 'date-time' },
    plan: { $ref: '#/components/schemas/Plan' },
    problems: { type: 'array' },
  },
  required: ['id', 'revision', 'updatedAt', 'plan', 'problems'],
};

/** Everything there is to ask, in the order a stranger would. A route that is not here fails a test. */
export const OPERATIONS: readonly Operation[] = [
  {
    ...{
      method: 'get',
      path: '/api/quilts',
      group: 'Quilts',
      says: 'The shelf: a page of quilts, without their plans.',
    },
    query: quilts.listQuery,
    answers: {
      status: 200,
      says: 'Quilts, how many there are in all, and what to say for the next page.',
      schema: {
        type: 'object',
        properties: {
          quilts: { type: 'array', items: card },
          total: { type: 'integer' },
          next: { type: ['string', 'null'] },
          tags: { type: 'array' },
        },
        required: ['quilts', 'total', 'next'],
      },
    },
    curl: `'/api/quilts?words=raffle'`,
  },
  {
    ...{ method: 'get', path: '/api/quilts/{id}', group: 'Quilts', says: 'One quilt, with its whole plan.' },
    answers: { status: 200, says: 'The quilt.', schema: stored },
    curl: `'/api/quilts/ID'`,
  },
  {
    ...{ method: 'post', path: '/api/quilts', group: 'Quilts', says: 'Puts a new quilt on the shelf.' },
    body: quilts.addBody,
    answers: { status: 201, says: 'The quilt, with its id.', schema: stored },
    curl: `-X POST ${JSON_TYPE} -d "{\\"plan\\": $(cat my.plan.json)}" '/api/quilts'`,
  },
  {
    ...{
      method: 'put',
      path: '/api/quilts/{id}',
      group: 'Quilts',
      says: 'Changes a quilt: its whole plan, and the revision it was changed from. Refused where that is not the last.',
    },
    body: quilts.saveBody,
    answers: {
      status: 200,
      says: 'Its new revision.',
      schema: {
        type: 'object',
        properties: { id: { type: 'string' }, revision: { type: 'integer' }, updatedAt: { type: 'string' } },
      },
    },
  },
  {
    ...{
      method: 'post',
      path: '/api/quilts/{id}/readings',
      group: 'Quilts',
      says: 'What one block measured, cut edge to cut edge; the verdict comes back.',
    },
    body: readingBody,
    answers: {
      status: 201,
      says: 'The block, and what is to be done with it.',
      schema: {
        type: 'object',
        properties: {
          revision: { type: 'integer' },
          block: { type: 'string' },
          name: { type: 'string' },
          kind: { type: 'string' },
          text: { type: 'string' },
        },
        required: ['revision', 'block', 'kind', 'text'],
      },
    },
    curl: `-X POST ${JSON_TYPE} -d '{"block": "Wheelbarrow", "width": "10 1/2", "height": "10 5/8"}' '/api/quilts/ID/readings'`,
  },
  {
    ...{
      method: 'delete',
      path: '/api/quilts/{id}',
      group: 'Quilts',
      says: 'Takes a quilt off the shelf; for a month it can be put back.',
    },
    answers: { status: 204, says: 'Done.' },
  },
  {
    ...{
      method: 'post',
      path: '/api/quilts/{id}/restore',
      group: 'Quilts',
      says: 'Puts a quilt back that was taken off.',
    },
    answers: { status: 200, says: 'The quilt.', schema: stored },
  },
  {
    ...{
      method: 'get',
      path: '/api/quilts/taken-off',
      group: 'Quilts',
      says: 'What was taken off and can be put back.',
    },
    answers: {
      status: 200,
      says: 'Quilts.',
      schema: { type: 'object', properties: { quilts: { type: 'array', items: card } } },
    },
  },
  {
    ...{
      method: 'get',
      path: '/api/quilts/{id}/snapshots',
      group: 'Quilts',
      says: 'Versions of a quilt that are kept.',
    },
    answers: { status: 200, says: 'Versions.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'post',
      path: '/api/quilts/{id}/snapshots',
      group: 'Quilts',
      says: 'Keeps the quilt as it is now, under a name.',
    },
    body: snapshots.makeBody,
    answers: { status: 201, says: 'The version.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'get',
      path: '/api/quilts/{id}/snapshots/{snapshot}',
      group: 'Quilts',
      says: 'A version, with its plan.',
    },
    answers: { status: 200, says: 'The version.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'delete',
      path: '/api/quilts/{id}/snapshots/{snapshot}',
      group: 'Quilts',
      says: 'Lets a version go.',
    },
    answers: { status: 204, says: 'Done.' },
  },
  {
    ...{
      method: 'get',
      path: '/api/quilts/{id}/take',
      group: 'Lists and files',
      says: 'Anything a quilt is written as: its lists as tables, drawings, the booklet, the whole quilt.',
    },
    query: takeQuery,
    answers: { status: 200, says: 'The file.', type: 'application/octet-stream' },
    curl: `'/api/quilts/ID/take?to=csv&what=cuts'`,
  },
  {
    ...{
      method: 'get',
      path: '/api/quilts/{id}/file',
      group: 'Lists and files',
      says: 'The plan file as it lies there, readable or not.',
    },
    answers: { status: 200, says: 'The file.', type: 'application/json' },
  },
  {
    ...{
      method: 'get',
      path: '/api/shelf.zip',
      group: 'Lists and files',
      says: 'All quilts of the shelf in one file.',
    },
    answers: { status: 200, says: 'The file.', type: 'application/zip' },
    curl: `-o shelf.zip '/api/shelf.zip'`,
  },
  {
    ...{
      method: 'get',
      path: '/api/parcels',
      group: 'Lists and files',
      says: 'How far the parcel has come that is being taken in; null while there is none.',
    },
    answers: {
      status: 200,
      says: 'Quilts on the shelf, and in all.',
      schema: {
        type: 'object',
        required: ['arriving'],
        properties: {
          arriving: {
            type: ['object', 'null'],
            properties: { done: { type: 'integer' }, of: { type: 'integer' } },
          },
        },
      },
    },
  },
  {
    ...{
      method: 'post',
      path: '/api/parcels',
      group: 'Lists and files',
      says: 'Takes in whole quilts from a zip that was taken along.',
    },
    sends: 'application/octet-stream',
    answers: {
      status: 201,
      says: 'What arrived.',
      schema: {
        type: 'object',
        properties: {
          quilts: { type: 'array' },
          left: { type: 'array' },
          entries: { type: 'integer' },
          pictures: { type: 'integer' },
        },
      },
    },
    curl: `-X POST -H 'Content-Type: application/octet-stream' --data-binary @quilt.zip '/api/parcels'`,
  },
  {
    ...{
      method: 'get',
      path: '/api/schema/plan.json',
      group: 'Lists and files',
      says: 'What a plan file is, as a JSON Schema.',
    },
    answers: { status: 200, says: 'The schema.', type: 'application/schema+json' },
  },
  {
    ...{
      method: 'get',
      path: '/api/log',
      group: 'The log',
      says: 'What happened: entries since one, of a quilt or of all.',
    },
    query: log.sinceQuery,
    answers: {
      status: 200,
      says: 'Entries, and the number to ask from next.',
      schema: {
        type: 'object',
        properties: {
          entries: { type: 'array', items: { $ref: '#/components/schemas/Entry' } },
          latest: { type: 'integer' },
          newest: { type: 'integer' },
          more: { type: 'boolean' },
        },
      },
    },
    curl: `'/api/log?quilt=ID'`,
  },
  {
    ...{
      method: 'post',
      path: '/api/log',
      group: 'The log',
      says: 'Adds entries: a tick, a note, time. Each has an id of its own; sent twice, it is there once.',
    },
    body: log.addBody,
    answers: {
      status: 200,
      says: 'How many were new.',
      schema: { type: 'object', properties: { added: { type: 'integer' } }, required: ['added'] },
    },
    curl: `-X POST ${JSON_TYPE} -d '{"entries": [{"id": "tick-from-curl-1", "quilt": "ID", "at": "2026-11-27T10:00:00Z", "kind": "sewing-done", "body": {"what": "layer", "done": true}}]}' '/api/log'`,
  },
  {
    ...{
      method: 'post',
      path: '/api/pictures',
      group: 'Pictures',
      says: 'A photo of a block or a cloth; its colours come back. ?id= names it where it was made.',
    },
    sends: 'image/*',
    answers: { status: 201, says: 'Its id and colours.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'get', path: '/api/pictures/{id}', group: 'Pictures', says: 'The picture.' },
    answers: { status: 200, says: 'The picture.', type: 'image/webp' },
  },
  {
    ...{ method: 'get', path: '/api/health', group: 'The house', says: 'Whether the server lives.' },
    answers: { status: 200, says: 'It does.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'get', path: '/api/ready', group: 'The house', says: 'Whether it can write.' },
    answers: { status: 200, says: 'It can.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'get', path: '/api/house', group: 'The house', says: 'Who asks, and what they may.' },
    answers: { status: 200, says: 'Who.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'get',
      path: '/api/numbers',
      group: 'The house',
      says: 'Numbers of the server, for whoever sits at it.',
    },
    answers: { status: 200, says: 'Numbers.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'get', path: '/api/backups', group: 'The house', says: 'Backups there are.' },
    answers: { status: 200, says: 'Backups.', schema: { type: 'array' } },
  },
  {
    ...{ method: 'post', path: '/api/backups', group: 'The house', says: 'Makes a backup now.' },
    answers: { status: 201, says: 'The backup.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'get', path: '/api/backups/{file}', group: 'The house', says: 'A backup, to take away.' },
    answers: { status: 200, says: 'The file.', type: 'application/octet-stream' },
  },
  {
    ...{ method: 'get', path: '/api/links', group: 'The house', says: 'Links that were given out.' },
    answers: { status: 200, says: 'Links.', schema: { type: 'array' } },
  },
  {
    ...{
      method: 'post',
      path: '/api/links',
      group: 'The house',
      says: 'A link for somebody, to look or to change.',
    },
    body: share.makeBody,
    answers: { status: 201, says: 'The link.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'delete', path: '/api/links/{id}', group: 'The house', says: 'Takes a link back.' },
    answers: { status: 204, says: 'Done.' },
  },
  {
    ...{
      method: 'post',
      path: '/api/long-arm/quotes',
      group: 'Stand-ins',
      says: 'Asks the simulated long-arm service.',
    },
    answers: { status: 200, says: 'Its answer.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'post', path: '/api/long-arm/bookings', group: 'Stand-ins', says: 'Books with it.' },
    body: longArm.bookBody,
    answers: { status: 200, says: 'Its answer.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'post',
      path: '/api/long-arm/bookings/{number}/cancel',
      group: 'Stand-ins',
      says: 'Takes a booking back.',
    },
    body: longArm.asked,
    answers: { status: 200, says: 'Done.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'post', path: '/api/shop/ask', group: 'Stand-ins', says: 'Asks the simulated shop.' },
    answers: { status: 200, says: 'Its answer.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'post', path: '/api/shop/holds', group: 'Stand-ins', says: 'Has it lay cloth aside.' },
    body: shop.holdBody,
    answers: { status: 200, says: 'Its answer.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'post',
      path: '/api/shop/holds/{number}/let-go',
      group: 'Stand-ins',
      says: 'Lets it go again.',
    },
    body: shop.asked,
    answers: { status: 200, says: 'Done.', schema: { type: 'object' } },
  },
  {
    ...{
      method: 'get',
      path: '/api/tape/readings',
      group: 'Stand-ins',
      says: 'Readings of the simulated tape, as they come.',
    },
    answers: { status: 200, says: 'A stream of them.', type: 'text/event-stream' },
  },
  {
    ...{ method: 'post', path: '/api/tape/squeeze', group: 'Stand-ins', says: 'Takes a reading with it.' },
    body: tape.squeezeBody,
    answers: { status: 200, says: 'Done.', schema: { type: 'object' } },
  },
  {
    ...{ method: 'post', path: '/api/tape/carry', group: 'Stand-ins', says: 'Carries it off, or back.' },
    body: tape.carryBody,
    answers: { status: 200, says: 'Done.', schema: { type: 'object' } },
  },
];

/** Shapes that more than one answer has. */
export const SCHEMAS = { Plan: planSchema(), Entry: entry } as const;

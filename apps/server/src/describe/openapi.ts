import {
  ANYWHERE,
  type ErrorCode,
  ERRORS,
  GROUPS,
  NAMED,
  type Name,
  type Operation,
  placeOf,
} from '@lattice/contract';
import { logEntrySchema, planSchema } from '@lattice/core';
import { z } from 'zod';

/** A schema as it stands inside another document: without its own heading, and with what has a name pointed to. */
function asJson(schema: z.ZodType, io: 'input' | 'output'): object {
  const made = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    override: ({ zodSchema, jsonSchema }) => {
      const name = NAMED.get(zodSchema);
      if (name) jsonSchema.$ref = `#/components/schemas/${name}`;
      // Whatever comes back is to be read: it need not be said of each part.
      delete jsonSchema.readOnly;
    },
  });
  return inside(made);
}
const inside = (schema: object): object =>
  Object.fromEntries(Object.entries(schema).filter(([key]) => key !== '$schema' && key !== '$id'));

/** What changes in an address, and what may be asked behind it. */
function parameters(name: Name, { query }: Operation): object[] {
  const places = [...placeOf(name).path.matchAll(/\{(\w+)\}/g)].map(([, place]) => ({
    ...{ name: place, in: 'path', required: true, schema: { type: 'string' } },
  }));
  const { properties = {} } = (query ? asJson(query, 'input') : {}) as {
    properties?: Record<string, object>;
  };
  return [
    ...places,
    ...Object.entries(properties).map(([key, schema]) => ({ name: key, in: 'query', schema })),
  ];
}

const json = (schema: object) => ({ content: { 'application/json': { schema } } });

/** How it is refused under one status: any of these codes. */
const refused = (codes: readonly ErrorCode[]) => ({
  description: `It was refused (${codes.join(', ')}): what is wrong, what that means, and what to do.`,
  ...json({
    allOf: [
      { $ref: '#/components/schemas/Refusal' },
      { type: 'object', properties: { code: { enum: codes } } },
    ],
  }),
});

function responses({ answers, refuses = [] }: Operation): Record<string, object> {
  const well = Object.entries(answers).map(([status, { says, schema, type }]) => [
    status,
    { description: says, ...(schema ? json(asJson(schema, 'output')) : type && { content: { [type]: {} } }) },
  ]);
  const statuses = [...new Set(refuses.map((code) => ERRORS[code].status))];
  const badly = statuses.map((status) => [
    status,
    refused([...refuses, ...ANYWHERE].filter((code) => ERRORS[code].status === status)),
  ]);
  return { ...(Object.fromEntries([...badly, ...well]) as object), default: refused(ANYWHERE) };
}

function described(name: Name, group: string, operation: Operation): object {
  const { says, body, sends } = operation;
  return {
    operationId: name,
    summary: says,
    tags: [group],
    parameters: parameters(name, operation),
    ...(body && { requestBody: { required: true, ...json(asJson(body, 'input')) } }),
    ...(sends && { requestBody: { required: true, content: { [sends.type]: {} } } }),
    responses: responses(operation),
  };
}

/** The server's whole interface as an OpenAPI 3.1 document, made from what its routes are made from. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const [group, operations] of Object.entries(GROUPS))
    for (const [name, operation] of Object.entries(operations) as [Name, Operation][]) {
      const { method, path } = placeOf(name);
      paths[path] = { ...paths[path], [method.toLowerCase()]: described(name, group, operation) };
    }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Dapper Lattice',
      version: '1',
      description:
        'What this machine’s own app asks of its server. Calls that carry something say what: JSON, or a file.',
    },
    paths,
    components: {
      schemas: {
        Plan: inside(planSchema()),
        Entry: asJson(logEntrySchema, 'input'),
        Refusal: {
          type: 'object',
          properties: {
            code: { type: 'string' },
            message: { type: 'string' },
            details: {},
            request: { type: 'string' },
          },
          required: ['code', 'message'],
        },
      },
    },
  };
}

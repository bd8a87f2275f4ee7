import { z } from 'zod';
import { type Operation, OPERATIONS, SCHEMAS } from './operations.ts';

/** A schema as it stands inside another document: without its own heading. */
function inside(schema: object): object {
  return Object.fromEntries(Object.entries(schema).filter(([key]) => key !== '$schema' && key !== '$id'));
}
const asJson = (schema: z.ZodType): object =>
  inside(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));

/** What changes in an address, and what may be asked behind it. */
function parameters({ path, query }: Operation): object[] {
  const places = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    ...{ name, in: 'path', required: true, schema: { type: 'string' } },
  }));
  const { properties = {} } = (query ? asJson(query) : {}) as { properties?: Record<string, object> };
  return [...places, ...Object.entries(properties).map(([name, schema]) => ({ name, in: 'query', schema }))];
}

const refusal = {
  description: 'It was refused: what is wrong, what that means, and what to do.',
  content: { 'application/json': { schema: { $ref: '#/components/schemas/Refusal' } } },
};

function described(operation: Operation): object {
  const { says, group, body, sends, answers } = operation;
  const content =
    answers.schema !== undefined
      ? { 'application/json': { schema: answers.schema } }
      : answers.type !== undefined
        ? { [answers.type]: {} }
        : undefined;
  return {
    summary: says,
    tags: [group],
    parameters: parameters(operation),
    ...(body && {
      requestBody: { required: true, content: { 'application/json': { schema: asJson(body) } } },
    }),
    ...(sends !== undefined && { requestBody: { required: true, content: { [sends]: {} } } }),
    responses: {
      [answers.status]: { description: answers.says, ...(content && { content }) },
      default: refusal,
    },
  };
}

/** The server's whole interface as an OpenAPI 3.1 document, its shapes made from those that requests are read by. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const operation of OPERATIONS)
    paths[operation.path] = { ...paths[operation.path], [operation.method]: described(operation) };
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
        ...Object.fromEntries(Object.entries(SCHEMAS).map(([name, schema]) => [name, inside(schema)])),
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

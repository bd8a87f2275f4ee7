import { GROUPS, type Name, type Operation, placeOf } from '@lattice/contract';
import { asMarkup } from '@lattice/core';
import { z } from 'zod';

const STYLE = `
:root { color-scheme: light dark; }
body { max-width: 56rem; margin: 2rem auto; padding: 0 1rem; font: 16px/1.5 system-ui, sans-serif; }
h2 { margin-top: 2.2rem; border-bottom: 2px dashed; }
h3 { margin: 1.4rem 0 .2rem; font-size: 1rem; }
code, pre { font: 14px/1.45 ui-monospace, monospace; }
pre { overflow-x: auto; padding: .6rem .8rem; border: 1px solid #8886; border-radius: .4rem; }
.method { display: inline-block; min-width: 4rem; font-weight: 700; }
`;

/** The fields of a body or a query, in words. */
function fields(schema: z.ZodType): string {
  const { properties = {}, required = [] } = z.toJSONSchema(schema, {
    io: 'input',
    unrepresentable: 'any',
  }) as {
    properties?: Record<string, { type?: unknown; enum?: unknown[] }>;
    required?: string[];
  };
  const rows = Object.entries(properties).map(([name, { type, enum: words }]) => {
    const kind = words
      ? words.map((word) => (word === '' ? '“”' : String(word))).join(', ')
      : type
        ? String(type)
        : 'see the schema';
    return `<li><code>${asMarkup(name)}</code>${required.includes(name) ? '' : ' (may be left out)'}: ${asMarkup(kind)}</li>`;
  });
  return `<ul>${rows.join('')}</ul>`;
}

function section(name: Name, { says, query, body, sends, answers, curl }: Operation, base: string): string {
  const { method, path } = placeOf(name);
  const call = curl?.replace(/'(\/api[^']*)'$/, (_, address: string) => `'${base}${address}'`);
  return [
    `<h3><span class="method">${method}</span> <code>${asMarkup(path)}</code></h3>`,
    `<p>${asMarkup(says)}<br><small>Comes back: ${asMarkup(
      Object.values(answers)
        .map((answer) => answer.says)
        .join(' Or: '),
    )}</small></p>`,
    query ? fields(query) : '',
    body ? fields(body) : '',
    sends !== undefined ? `<p>Carries <code>${asMarkup(sends.type)}</code>.</p>` : '',
    call !== undefined ? `<pre tabindex="0">curl ${asMarkup(call)}</pre>` : '',
  ].join('\n');
}

/** The interface as a page to read: by it alone a stranger can read a quilt and its lists, and say a reading or a tick. */
export function describePage(base: string): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>What this server can be asked</title><style>${STYLE}</style></head><body><main>
<h1>What this server can be asked</h1>
<p>Everything the app does goes through these calls. For programs, the same as <a href="/api/openapi.json">OpenAPI</a>; what a plan is, as a <a href="/api/schema/plan.json">JSON Schema</a>. Put the id of a quilt, from the first call, where ID stands. Whatever is refused says why: <code>{"code", "message"}</code>.</p>
${Object.entries(GROUPS)
  .map(
    ([group, operations]) =>
      `<h2>${group}</h2>\n${(Object.entries(operations) as [Name, Operation][])
        .map(([name, one]) => section(name, one, base))
        .join('\n')}`,
  )
  .join('\n')}
</main></body></html>
`;
}

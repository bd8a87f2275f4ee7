import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Driver from 'better-sqlite3';
import express from 'express';

// The least that could do the same: Express and SQLite, no rules, no check of what arrives. Each write as safe on the
// disk as the app's own.
const folder = mkdtempSync(path.join(tmpdir(), 'lattice-bare-'));
const database = new Driver(path.join(folder, 'bare.sqlite'));
database.pragma('journal_mode = WAL');
database.pragma('synchronous = FULL');
database.exec(
  'create table quilts (id text primary key, revision integer, title text, card text, plan text, updated_at text); create index by_time on quilts (updated_at)',
);
const list = database.prepare(
  'select id, revision, card, updated_at from quilts order by updated_at desc limit 48',
);
const total = database.prepare('select count(*) as n from quilts');
const read = database.prepare('select * from quilts where id = ?');
const insert = database.prepare('insert into quilts values (?, 1, ?, ?, ?, ?)');
const save = database.prepare(
  'update quilts set plan = ?, title = ?, card = ?, revision = revision + 1, updated_at = ? where id = ? and revision = ?',
);

interface SentPlan {
  readonly title: string;
  readonly unit: string;
  readonly block: object;
  readonly grid: object;
  readonly setting: { readonly kind: string };
}
/** What a list shows, as it arrived. */
const cardOf = ({ title, unit, block, grid, setting: { kind } }: SentPlan): string =>
  JSON.stringify({ title, unit, ...block, ...grid, kind });

/** `bare.ts N`: the shelf has N quilts as soon as the first one is sent, each like it. */
const quilts = Number(process.argv[2] ?? 1);
const fill = database.prepare(
  `with recursive n(i) as (select 1 union all select i + 1 from n where i < ?)
   insert into quilts select 'quilt-number-' || i, revision, title, card, plan, updated_at from n, (select * from quilts limit 1)`,
);

const app = express();
app.use(express.json({ limit: '4mb' }));
app.get('/api/quilts', (_request, response) => {
  const quilts = (list.all() as { card: string }[]).map((row) => ({
    ...row,
    card: JSON.parse(row.card) as unknown,
  }));
  response.json({ quilts, total: (total.get() as { n: number }).n });
});
app.post('/api/quilts', (request, response) => {
  const { id, plan } = request.body as { id: string; plan: SentPlan };
  insert.run(id, plan.title, cardOf(plan), JSON.stringify(plan), new Date().toISOString());
  if (quilts > 1 && (total.get() as { n: number }).n === 1) fill.run(quilts - 1);
  response.status(201).json({ id, revision: 1 });
});
app.get('/api/quilts/:id', (request, response) => {
  const { plan, ...row } = read.get(request.params.id) as { plan: string };
  response.json({ ...row, plan: JSON.parse(plan) as unknown });
});
app.put('/api/quilts/:id', (request, response) => {
  const { revision, plan } = request.body as { revision: number; plan: SentPlan };
  const { changes } = save.run(
    JSON.stringify(plan),
    plan.title,
    cardOf(plan),
    new Date().toISOString(),
    request.params.id,
    revision,
  );
  response.status(changes === 1 ? 200 : 409).json({ id: request.params.id, revision: revision + 1 });
});
const server = app.listen(0, '127.0.0.1', () => {
  const address = server.address();
  console.log(`bare at http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}/`);
});
process.on('SIGTERM', () => {
  database.close();
  rmSync(folder, { recursive: true });
  process.exit(0);
});

import { type Database, openDatabase } from '../src/database/open.ts';
import { folder, throwAway } from './support/house.ts';

let database: Database;

beforeEach(async () => {
  database = await openDatabase(folder());
  await database.knex.schema.createTable('marks', (table) => void table.text('name').primary());
});
afterEach(async () => {
  await database.close();
  throwAway();
});

const put = (name: string) =>
  database.statements.soon(() => database.statements.run(database.knex('marks').insert({ name })));
const marks = () => database.driver.prepare('select name from marks order by name').pluck().all() as string[];

describe('writes of one moment', () => {
  test('go to the disk together, and are answered once they are there', async () => {
    const { statements } = database;
    const begun: string[] = [];
    const together = jest.spyOn(statements, 'together');
    const all = Promise.all(['a', 'b', 'c'].map((name) => put(name).then(() => begun.push(...marks()))));
    expect(marks()).toEqual([]);
    await all;
    // The first to be answered sees all three: the disk was waited for once.
    expect(begun.slice(0, 3)).toEqual(['a', 'b', 'c']);
    expect(together).toHaveBeenCalledTimes(1);
    // And the next moment is another one.
    await put('d');
    expect(together).toHaveBeenCalledTimes(2);
    expect(marks()).toEqual(['a', 'b', 'c', 'd']);
  });

  test('one that cannot be done takes nothing of the others with it, and leaves nothing of itself', async () => {
    const half = () =>
      database.statements.soon(() => {
        database.statements.run(database.knex('marks').insert({ name: 'half' }));
        throw new Error('no further');
      });
    const outcomes = await Promise.allSettled([put('a'), half(), put('a'), put('b')]);
    expect(outcomes.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'rejected', 'fulfilled']);
    expect(marks()).toEqual(['a', 'b']);
    await put('c');
    expect(marks()).toEqual(['a', 'b', 'c']);
  });

  test('none is told that it was done where the disk is full; afterwards everything goes on', async () => {
    await put('a');
    const pages = Number(database.driver.pragma('page_count', { simple: true }));
    database.driver.pragma(`max_page_count = ${pages}`);
    const outcomes = await Promise.allSettled([put('b'), put('x'.repeat(40_000)), put('c')]);
    const told = outcomes.flatMap(({ status }, i) => (status === 'fulfilled' ? ['b', 'x', 'c'][i]! : []));
    // What was told is there, what was refused is not (SQLite: a full disk undoes the whole of a transaction).
    expect(marks()).toEqual(['a', ...told].sort());
    expect(outcomes[1]).toMatchObject({ reason: { code: 'SQLITE_FULL' } });
    database.driver.pragma('max_page_count = 100000');
    await put('x'.repeat(40_000));
    expect(marks()).toHaveLength(told.length + 2);
  });

  test('the state is another one after a change of one’s own or of somebody else, and the same without', async () => {
    const { statements } = database;
    const states = [statements.state()];
    expect(statements.state()).toBe(states[0]);
    await put('a');
    states.push(statements.state());
    const other = await openDatabase(database.file!.replace(/[^/\\]+$/, ''));
    other.driver.prepare("insert into marks values ('z')").run();
    await other.close();
    states.push(statements.state());
    expect(new Set(states).size).toBe(3);
  });
});

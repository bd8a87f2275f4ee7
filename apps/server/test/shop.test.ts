import { type ShopAnswer, shopAnswerSchema, type ShopList } from '@lattice/core';
import request from 'supertest';
import { createApp } from '../src/app.ts';
import { type Database, openDatabase } from '../src/database/open.ts';

const list = (change: Partial<ShopList['cloths'][number]> = {}, unit: 'in' | 'cm' = 'in'): ShopList => ({
  unit,
  cloths: [{ cloth: 'border', name: 'Slate', colour: '#2e4a5f', length: 40, usableWidth: 40, ...change }],
});
const of = (entry: string) => ({ quilt: 'raffle', entry });
const order = (bolt: string, length: number) => ({ unit: 'in', lines: [{ cloth: 'border', bolt, length }] });

describe('the shop stand-in', () => {
  let database: Database;
  let today = '2026-11-26T10:00:00Z';
  const app = () =>
    createApp({
      database,
      outside: { now: () => new Date(today), newId: () => crypto.randomUUID(), random: Math.random },
    });
  beforeEach(async () => {
    today = '2026-11-26T10:00:00Z';
    database = await openDatabase(':memory:');
  });
  afterEach(() => database.close());
  const ask = async (asked: ShopList) =>
    shopAnswerSchema.parse((await request(app()).post('/api/shop/ask').send(asked)).body) as ShopAnswer;
  const hold = (entry: string, bolt: string, length: number) =>
    request(app())
      .post('/api/shop/holds')
      .send({ ...of(entry), order: order(bolt, length) });

  test('offers what it has, the likest colour first, cut to its step', async () => {
    const [cloth] = (await ask(list())).cloths;
    expect(cloth!.offers[0]).toMatchObject({
      bolt: 'b-slate',
      enough: true,
      cut: 40.5,
      cost: 8.16,
      narrower: false,
    });
    const far = cloth!.offers.map(({ difference }) => difference);
    expect([...far].sort((a, b) => a - b)).toEqual(far);
    // Wider than any but the wide bolt, which is of no such colour.
    expect((await ask(list({ usableWidth: 100 }))).cloths[0]!.offers[0]!.narrower).toBe(true);
  });
  test('in metric it answers in metric: 10 cm steps, a price a metre', async () => {
    const [offer] = (await ask(list({ length: 101, usableWidth: 105 }, 'cm'))).cloths[0]!.offers;
    expect(offer).toMatchObject({ cut: 110, usableWidth: 106.68, price: 7.93 });
  });
  test('short and sold out: what is short stands after what is enough, what is sold out is not offered', async () => {
    const red = (await ask(list({ colour: '#c4532f', length: 60 }))).cloths[0]!.offers;
    expect(red.at(-1)).toMatchObject({ bolt: 'b-clay', enough: false, inStock: 30 });
    const fern = (await ask(list({ colour: '#87936a' }))).cloths[0]!.offers;
    expect(fern.map(({ bolt }) => bolt)).not.toContain('b-fern');
  });
  test('an order is held once, lessens what there is, and its cloth comes back when it is let go or its day is past', async () => {
    const first = await hold('entry-hold-1', 'b-straw', 100);
    expect(first.status).toBe(201);
    expect(first.body.entry.body).toMatchObject({ number: 'WB-201', until: '2026-12-03', total: 34.5 });
    expect((await hold('entry-hold-1', 'b-straw', 100)).body).toEqual(first.body);
    const left = async () =>
      (await ask(list({ colour: '#ecc774', length: 9 }))).cloths[0]!.offers.find(
        ({ bolt }) => bolt === 'b-straw',
      )!.inStock;
    // 150 inches, less 100 up to the next eighth of a yard.
    expect(await left()).toBe(150 - 103.5);
    const refused = await hold('entry-hold-2', 'b-straw', 60);
    expect([refused.status, refused.body.code]).toEqual([409, 'not-enough']);
    expect(refused.body.message).toContain('Only 46.5 inches of Straw dots is left');
    const gone = await request(app()).post('/api/shop/holds/WB-201/let-go').send(of('entry-go-1'));
    expect(gone.body.entry.kind).toBe('shop-let-go');
    expect((await request(app()).post('/api/shop/holds/WB-201/let-go').send(of('entry-go-2'))).body).toEqual(
      gone.body,
    );
    expect(await left()).toBe(150);
    await hold('entry-hold-3', 'b-straw', 100);
    today = '2026-12-04T10:00:00Z';
    expect(await left()).toBe(150);
  });
  test('what it cannot read, or does not have, is a sentence', async () => {
    const none = await request(app()).post('/api/shop/ask').send({ unit: 'in', cloths: [] });
    expect([none.status, none.body.message]).toEqual([400, expect.stringContaining('cannot read this list')]);
    expect((await hold('entry-hold-9', 'b-nothing', 9)).body.code).toBe('no-such-bolt');
    const gone = await request(app()).post('/api/shop/holds/WB-9/let-go').send(of('entry-go-9'));
    expect([gone.status, gone.body.code]).toEqual([404, 'no-such-order']);
  });
});

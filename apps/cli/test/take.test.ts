import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { exportPlan, type ExportFlags } from '../src/export.ts';
import { importFile } from '../src/import.ts';

const demo = path.resolve(__dirname, '../../../demo/cot-on-point.plan.json');
let folder: string;
beforeAll(() => (folder = mkdtempSync(path.join(tmpdir(), 'lattice-take-'))));
afterAll(() => rmSync(folder, { recursive: true }));

function around() {
  const out: string[] = [];
  const complaints: string[] = [];
  return {
    out,
    complaints,
    base: folder,
    say: {
      base: folder,
      out: (l: string) => void out.push(l),
      complain: (l: string) => void complaints.push(l),
    },
  };
}
const takes = async (flags: ExportFlags) => {
  const { out, complaints, say } = around();
  return { code: await exportPlan(demo, flags, say), out, complaints };
};

describe('export', () => {
  test('every format there is, under the quilt’s own name beside whoever asks', async () => {
    const heads: Readonly<Record<string, RegExp>> = {
      ...{
        pdf: /^%PDF-1\.7/,
        svg: /^<svg /,
        dxf: /^0\r?\nSECTION/,
        csv: /^\uFEFFpiece,/,
        png: /^.PNG/s,
        html: /^<!doctype html>/,
      },
      ...{ zip: /^PK/, json: /^\{\n/, ics: /^BEGIN:VCALENDAR/, gpl: /^GIMP Palette/, schema: /^\{\n/ },
    };
    for (const [to, head] of Object.entries(heads)) {
      const out = `x.${to}`;
      expect([to, (await takes({ to, out })).code]).toEqual([to, 0]);
      const bytes = readFileSync(path.join(folder, out));
      expect(bytes.toString(to === 'csv' ? 'utf8' : 'latin1').slice(0, 40)).toMatch(head);
    }
    expect((await takes({ to: 'svg', what: 'cuts' })).code).toBe(0);
    expect(readdirSync(folder)).toContain('Cot quilt for the corner house cuts.svg');
  });
  test('the same day, the same bytes', async () => {
    for (const out of ['a.pdf', 'b.pdf'])
      await takes({ to: 'pdf', what: 'shopping', date: '2026-11-27', out });
    const [a, b] = ['a.pdf', 'b.pdf'].map((file) => readFileSync(path.join(folder, file)));
    expect(Buffer.compare(a!, b!)).toBe(0);
  });
  test('what cannot be asked says what can', async () => {
    expect((await takes({ to: 'doc' })).complaints[0]).toMatch(/--to doc: known: pdf, svg/);
    expect((await takes({ to: 'svg', what: 'booklet' })).complaints[0]).toMatch(
      /--what booklet: not as svg; known: layout, cuts, templates/,
    );
    expect((await takes({ to: 'pdf', paper: 'a5' })).complaints[0]).toMatch(/known: a4, letter/);
    expect((await takes({ to: 'pdf', date: 'today' })).complaints[0]).toMatch(/--date today/);
    expect((await takes({ to: 'svg', out: '/nowhere/at/all.svg' })).complaints[0]).toMatch(
      /cannot be written here \(ENOENT\)/,
    );
  });
});

describe('import', () => {
  let server: Server;
  const heard: { url: string; type: string; length: number }[] = [];
  beforeAll(async () => {
    server = createServer((request, response) => {
      let length = 0;
      request.on('data', (chunk: Buffer) => (length += chunk.length));
      request.on('end', () => {
        heard.push({ url: request.url!, type: request.headers['content-type'] ?? '', length });
        const zip = request.url === '/api/parcels';
        response.statusCode = length < 20 ? 422 : 201;
        response.end(
          JSON.stringify(
            length < 20
              ? { message: 'This file is not a zip.' }
              : zip
                ? { quilts: [{ id: 'q-1', title: 'Cot' }] }
                : { id: 'q-2' },
          ),
        );
      });
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  });
  afterAll(() => void server.close());
  const at = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
  const brings = async (name: string, content: string | Buffer, address = at()) => {
    writeFileSync(path.join(folder, name), content);
    const { out, complaints, say } = around();
    return { code: await importFile(name, { server: address }, say), out, complaints };
  };
  test('a plan and a zip go to the app, and where they lie is said', async () => {
    const plan = await brings('in.json', readFileSync(demo));
    expect(plan).toMatchObject({ code: 0, out: [expect.stringContaining('/quilts/q-2/setting')] });
    const zip = await brings('in.zip', Buffer.alloc(100));
    expect(zip).toMatchObject({ code: 0, out: [expect.stringMatching(/^Cot: .*\/quilts\/q-1\/setting$/)] });
    expect(heard.map(({ url, type }) => [url, type])).toEqual([
      ['/api/quilts', 'application/json'],
      ['/api/parcels', 'application/octet-stream'],
    ]);
  });
  test('tables and palettes are told', async () => {
    expect(await brings('b.csv', 'name,width,height\nA,12 1/2,12 1/2\n')).toMatchObject({
      code: 0,
      out: [expect.stringContaining('1 block')],
    });
    expect(await brings('p.gpl', 'GIMP Palette\n1 2 3 Moss\n')).toMatchObject({
      code: 0,
      out: ['#010203  Moss'],
    });
  });
  test('what cannot be taken says why, with line and place', async () => {
    expect((await brings('bad.json', '{\n  "title": 1\n')).complaints[0]).toMatch(/^bad\.json: \d+:\d+: /);
    expect((await brings('bad.zip', 'x')).complaints).toEqual(['bad.zip: This file is not a zip.']);
    expect((await brings('x.doc', 'x')).complaints[0]).toMatch(/can be read/);
    expect((await brings('in.json', readFileSync(demo), 'http://127.0.0.1:1/')).complaints[0]).toMatch(
      /is not running/,
    );
    const { complaints, say } = around();
    expect(await importFile('none.json', { server: at() }, say)).toBe(2);
    expect(complaints).toEqual(['none.json: there is no such file.']);
  });
});

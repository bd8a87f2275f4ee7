import { Agent, request } from 'node:http';
import { createHistogram, performance, type RecordableHistogram } from 'node:perf_hooks';

/** Asks over connections that are kept, as browsers do. */
export class Client {
  private readonly agent = new Agent({ keepAlive: true });
  constructor(private readonly address: string) {}

  /** The status and the body; the time it took goes into `took`, in nanoseconds. */
  ask(
    method: string,
    where: string,
    body: string | null,
    took?: RecordableHistogram,
  ): Promise<{ status: number; text: string }> {
    const began = performance.now();
    return new Promise((resolve, reject) => {
      const headers =
        body === null
          ? {}
          : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) };
      const asked = request(`${this.address}${where}`, { method, headers, agent: this.agent }, (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () => {
          took?.record(Math.max(1, Math.round(1e6 * (performance.now() - began))));
          resolve({ status: response.statusCode ?? 0, text });
        });
      });
      asked.on('error', reject);
      asked.end(body ?? undefined);
    });
  }

  close(): void {
    this.agent.destroy();
  }
}

/** Milliseconds of a percentile, to the hundredth. */
export const ms = (took: RecordableHistogram, percentile: number): number =>
  Math.round(took.percentile(percentile) / 1e4) / 100;

/** So many people do `work` at once, each without pause, `times` in all; answers how long each took. */
export async function together(
  people: number,
  times: number,
  work: (person: number, took: RecordableHistogram) => Promise<void>,
): Promise<RecordableHistogram> {
  const all = async (most: number) => {
    const took = createHistogram();
    let begun = 0;
    const person = async (n: number) => {
      while (begun++ < most) await work(n, took);
    };
    await Promise.all(Array.from({ length: people }, (_, n) => person(n)));
    return took;
  };
  await all(times / 5);
  return all(times);
}

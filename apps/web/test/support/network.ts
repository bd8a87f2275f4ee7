/** An answer as a server gives it. */
export const answer = (status: number, body: unknown): Response =>
  ({
    status,
    ok: status < 400,
    headers: new Headers({ 'content-type': 'application/json' }),
    text: async () => (body === null ? '' : JSON.stringify(body)),
    json: async () => body,
    clone() {
      return this;
    },
  }) as unknown as Response;

/** The test environment has no Request; what is sent only needs its address, its method and its body. */
export class PlainRequest {
  readonly method: string;
  readonly headers: Headers;
  private readonly body: string;
  constructor(
    readonly url: string,
    init: { method?: string; body?: string; headers?: Headers } = {},
  ) {
    this.method = init.method ?? 'GET';
    this.body = init.body ?? '';
    this.headers = init.headers ?? new Headers();
  }
  async text() {
    return this.body;
  }
  clone() {
    return this;
  }
}

/** From now on every call goes to `server`, which may throw as a lost network does. */
export function answerWith(server: (request: PlainRequest) => Promise<Response>): void {
  Object.assign(globalThis, { fetch: server, Request: PlainRequest, Headers: globalThis.Headers ?? Map });
}

import { webcrypto } from 'node:crypto';
import { TextDecoder, TextEncoder } from 'node:util';

/** Tells at once of a room large enough to draw in: the test environment lays nothing out. */
class Room {
  constructor(
    private readonly tell: (entries: { contentRect: { width: number; height: number } }[]) => void,
  ) {}
  observe(): void {
    this.tell([{ contentRect: { width: 800, height: 700 } }]);
  }
  unobserve(): void {}
  disconnect(): void {}
}

/** A call in the making; only a test that answers calls looks into it. */
class Call {
  constructor(
    readonly url: string,
    readonly init: object,
  ) {}
  clone() {
    return this;
  }
}

/** What browsers have and the test environment has not. There is no network: a call is lost, unless a test answers it. */
Object.assign(globalThis, {
  fetch: async () => {
    throw new TypeError('network');
  },
  Request: globalThis.Request ?? Call,
  TextEncoder,
  TextDecoder,
  ResizeObserver: Room,
  CSS: { escape: (text: string) => text },
});

// Chance, for ids that are made here.
if (!globalThis.crypto?.getRandomValues)
  Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });

// Nothing is laid out here, so no style is kept: every look for a role would try every rule on every element.
Object.assign(globalThis, { SC_DISABLE_SPEEDY: false });
if (typeof document !== 'undefined') {
  const { sheet } = document.head.appendChild(document.createElement('style'));
  Object.getPrototypeOf(sheet).insertRule = () => 0;
}

import { webcrypto } from 'node:crypto';
import { TextDecoder, TextEncoder } from 'node:util';

/** The test environment lays nothing out: no room ever changes. */
class Room {
  observe(): void {}
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
  // Every room is large enough to draw in.
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { value: 800 });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { value: 700 });
  const { sheet } = document.head.appendChild(document.createElement('style'));
  Object.getPrototypeOf(sheet).insertRule = () => 0;
}

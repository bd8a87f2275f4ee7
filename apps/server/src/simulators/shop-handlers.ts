import type { Handlers } from '../serve/handler.ts';
import type { ShopHolds } from './shop-holds.ts';

/** The simulated shop over HTTP, as docs/shop.md tells it: what it has for a list, holding an order, letting it go. */
export const shopHandlers = (holds: ShopHolds): Handlers<'askShop' | 'holdOrder' | 'letOrderGo'> => ({
  askShop: ({ body }) => holds.ask(body),
  holdOrder: async ({ body: { order, ...of } }) => ({ entry: await holds.hold(order, of) }),
  letOrderGo: async ({ params, body }) => ({ entry: await holds.letGo(params.number, body) }),
});

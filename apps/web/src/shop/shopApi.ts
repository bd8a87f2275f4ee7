import {
  type LogEntry,
  logEntrySchema,
  type ShopAnswer,
  shopAnswerSchema,
  type ShopList,
  type ShopOrder,
} from '@lattice/core';
import { api } from '../app/api.ts';

interface Of {
  readonly quilt: string;
  readonly entry: string;
}

const entryOf = ({ entry }: { entry: unknown }): LogEntry => logEntrySchema.parse(entry);

const shopApi = api.injectEndpoints({
  endpoints: (build) => ({
    askShop: build.mutation<ShopAnswer, ShopList>({
      query: (body) => ({ url: '/shop/ask', method: 'POST', body }),
      transformResponse: (said: unknown) => shopAnswerSchema.parse(said),
    }),
    holdOrder: build.mutation<LogEntry, Of & { readonly order: ShopOrder }>({
      query: (body) => ({ url: '/shop/holds', method: 'POST', body }),
      transformResponse: entryOf,
    }),
    letOrderGo: build.mutation<LogEntry, Of & { readonly number: string }>({
      query: ({ number, ...body }) => ({
        url: `/shop/holds/${encodeURIComponent(number)}/let-go`,
        method: 'POST',
        body,
      }),
      transformResponse: entryOf,
    }),
  }),
});

export const { useAskShopMutation, useHoldOrderMutation, useLetOrderGoMutation } = shopApi;

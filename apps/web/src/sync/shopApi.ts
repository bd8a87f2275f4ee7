import {
  type LogEntry,
  logEntrySchema,
  type ShopAnswer,
  shopAnswerSchema,
  type ShopList,
  type ShopOrder,
} from '@lattice/core';
import type { Asked } from '@lattice/contract';
import { api } from './api.ts';
import { callOf } from './client.ts';

const entryOf = ({ entry }: { entry: unknown }): LogEntry => logEntrySchema.parse(entry);

const shopApi = api.injectEndpoints({
  endpoints: (build) => ({
    askShop: build.mutation<ShopAnswer, ShopList>({
      query: (body) => callOf('askShop', { body }),
      transformResponse: (said: unknown) => shopAnswerSchema.parse(said),
    }),
    holdOrder: build.mutation<LogEntry, Asked & { readonly order: ShopOrder }>({
      query: (body) => callOf('holdOrder', { body }),
      transformResponse: entryOf,
    }),
    letOrderGo: build.mutation<LogEntry, Asked & { readonly number: string }>({
      query: ({ number, ...body }) => callOf('letOrderGo', { params: { number }, body }),
      transformResponse: entryOf,
    }),
  }),
});

export const { useAskShopMutation, useHoldOrderMutation, useLetOrderGoMutation } = shopApi;

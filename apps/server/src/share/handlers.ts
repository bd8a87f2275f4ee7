import { toString as qrCode } from 'qrcode';
import type { Handlers } from '../serve/handler.ts';
import type { Links } from './links.ts';

/** Links over HTTP, for whoever sits at the machine. `address` is the app's on the local network; null while it is not shared. */
export const linkHandlers = (
  links: Links,
  address: () => string | null,
): Handlers<'listLinks' | 'makeLink' | 'takeLinkBack'> => ({
  listLinks: async () => ({ address: address(), links: await links.list() }),
  async makeLink({ body: { name, may } }) {
    const { secret, ...link } = await links.make(name, may);
    const url = `${address() ?? ''}#come-in=${secret}`;
    return { ...link, url, qr: await qrCode(url, { type: 'svg', margin: 1 }) };
  },
  takeLinkBack: ({ params }) => links.takeBack(params.id),
});

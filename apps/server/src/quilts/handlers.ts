import type { Name } from '@lattice/contract';
import { type Handlers, JsonText } from '../serve/handler.ts';
import type { QuiltService } from './service.ts';

type Own = Extract<
  Name,
  | ('listQuilts' | 'quilt' | 'addQuilt' | 'saveQuilt' | 'readBlock')
  | ('removeQuilt' | 'restoreQuilt' | 'takenOff' | 'planFile')
>;

/** Quilts over HTTP; rules in the service. */
export const quiltHandlers = (quilts: QuiltService): Handlers<Own> => ({
  async listQuilts({ query: { after = null, count, sort, ...narrow } }) {
    return new JsonText(await quilts.list({ after, count, sort, narrow }));
  },
  takenOff: async () => new JsonText(await quilts.takenOff()),
  addQuilt: ({ body: { plan, id, by } }) => quilts.add(plan, { id, savedBy: by }),
  quilt: async ({ params }) => new JsonText(await quilts.getText(params.id)),
  async planFile({ params, response }) {
    const text = await quilts.raw(params.id);
    response.attachment('quilt.plan.json').type('application/json').send(text);
  },
  saveQuilt: ({ params, body: { revision, plan, by } }) => quilts.save(params.id, revision, plan, by),
  readBlock: ({ params, body }) => quilts.addReading(params.id, body),
  removeQuilt: ({ params }) => quilts.remove(params.id),
  restoreQuilt: ({ params }) => quilts.restore(params.id),
});

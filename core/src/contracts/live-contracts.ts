import { Type, type Static } from 'typebox';
import { JobChangeSchema } from '../job/index.js';
import { type Frozen, letters, OneKindOf } from '../schema/index.js';
import { contract } from './contract.js';
import { ShopChangeSchema } from './shop-contracts.js';

/** What is called for something outside the app, and whether it only acts as if. */
const OutsideSchema = Type.Object({ name: Type.String(), simulated: Type.Boolean() });

const After = Type.Optional(Type.String({ pattern: '^\\d{1,15}$' }));

/** One message of the live stream. */
export const LiveMessageSchema = OneKindOf(
  'scope',
  [
    Type.Object({ scope: Type.Literal('job'), change: JobChangeSchema }),
    Type.Object({ scope: Type.Literal('shop'), change: ShopChangeSchema }),
  ],
  'LiveMessage',
);
export type LiveMessage = Frozen<Static<typeof LiveMessageSchema>>;

export const liveContracts = {
  live: contract({
    method: 'GET',
    path: '/api/live',
    summary:
      'Changes of a job and of what all jobs share, in order, from where the caller is (server-sent events). The id of each message is `job.shop`: sent back as Last-Event-ID, the stream goes on where it was. An event `stale` says that a change was too large to be told, or that the history is another: read the `shop`, or `all`, anew.',
    query: Type.Object(
      { job: Type.Optional(Type.String({ minLength: 1, maxLength: letters.rowId })), after: After, shop: After },
      { additionalProperties: false },
    ),
    answer: LiveMessageSchema,
    status: 200,
    type: 'text/event-stream; charset=utf-8',
  }),
  health: contract({
    method: 'GET',
    path: '/api/health',
    summary: 'Whether server and database answer',
    answer: Type.Object({ ok: Type.Boolean() }, { title: 'Health' }),
    status: 200,
  }),
  outside: contract({
    method: 'GET',
    path: '/api/outside',
    summary:
      'What stands behind the supplier, the label printer and the calliper: something of the outside world, or what ships to try with',
    answer: Type.Object({ supplier: OutsideSchema, printer: OutsideSchema, calliper: OutsideSchema }, { title: 'Outside' }),
    status: 200,
  }),
};

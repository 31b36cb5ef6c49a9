import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, type App } from '../plugins/typed.js';

export async function healthRoutes(app: App, { db }: Feature): Promise<void> {
  app.get(
    '/api/health',
    { schema: { summary: 'Whether server and database answer', response: answers(Type.Object({ ok: Type.Boolean() })) } },
    async () => {
      await db.raw('select 1');
      return { ok: true };
    },
  );
}

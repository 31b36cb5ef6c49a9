import { liveContracts } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import { serve } from '../plugins/serve.js';

export async function healthRoutes(app: App, { db }: Feature): Promise<void> {
  serve(app, liveContracts.health, async () => {
    await db.raw('select 1');
    return { ok: true };
  });
}

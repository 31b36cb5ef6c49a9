import { liveContracts } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import type { Outside } from '../stand-ins/outside.js';
import { serve } from '../plugins/serve.js';

export async function healthRoutes(app: App, { db, outside }: Feature & { outside: Outside }): Promise<void> {
  serve(app, liveContracts.health, async () => {
    await db.raw('select 1');
    return { ok: true };
  });
  serve(app, liveContracts.outside, async () => outside.told);
}

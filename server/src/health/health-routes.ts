import { liveContracts } from '@gewinde/core';
import type { App } from '../plugins/app-type.js';
import type { Feature } from '../plugins/feature.js';
import type { Outside } from '../stand-ins/outside.js';
import { serve } from '../plugins/serve.js';
import { AppError } from '../errors/app-error.js';
import { OutsideError, within } from '../stand-ins/within.js';

/** For how long a database that is well may take to write a line, ms. */
const HEALTH_MS = 3000;

export async function healthRoutes(app: App, { db, outside }: Feature & { outside: Outside }): Promise<void> {
  serve(app, liveContracts.health, async () => {
    // well is what takes a change: a database that only reads, or whose disk is full, does not
    await within(HEALTH_MS, () => db('marks').insert({ name: 'health', at: new Date() }).onConflict('name').merge(['at'])).catch(
      (error: unknown) => {
        throw new AppError(
          'database-away',
          `Nothing can be saved at this moment: ${error instanceof OutsideError ? error.message : String(error)}.`,
        );
      },
    );
    return { ok: true };
  });
  serve(app, liveContracts.outside, async () => outside.told);
}

import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, clientOf, IdParams, type App } from '../plugins/typed.js';
import { stepHistory } from './undo.js';

const Done = Type.Object({ label: Type.String() });

export async function historyRoutes(app: App, { db }: Feature): Promise<void> {
  for (const direction of ['undo', 'redo'] as const)
    app.post(
      `/api/jobs/:id/${direction}`,
      {
        schema: {
          summary: direction === 'undo' ? 'Take back the newest change' : 'Make the change taken back last again',
          params: IdParams,
          response: answers(Done),
        },
      },
      async (request) => ({ label: await stepHistory(db, request.params.id, clientOf(request), direction) }),
    );
}

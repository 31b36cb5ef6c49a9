import { FittingSchema, HoseEndSchema, HoseSchema } from '@gewinde/core';
import { Type } from 'typebox';
import type { Feature } from '../plugins/feature.js';
import { answers, type App } from '../plugins/typed.js';
import { readCatalogue } from './catalogue-store.js';

const CatalogueSchema = Type.Object(
  { fittings: Type.Array(FittingSchema), hoses: Type.Array(HoseSchema), hoseEnds: Type.Array(HoseEndSchema) },
  { title: 'Catalogue' },
);

export async function catalogueRoutes(app: App, { db }: Feature): Promise<void> {
  app.get('/api/catalogue', { schema: { summary: 'All adapters, hoses and hose ends', response: answers(CatalogueSchema) } }, async () => {
    const { fittings, hoses, hoseEnds } = await readCatalogue(db);
    return { fittings: [...fittings], hoses: [...hoses], hoseEnds: [...hoseEnds] } as never;
  });
}

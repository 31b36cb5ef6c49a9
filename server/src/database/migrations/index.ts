import type { Knex } from 'knex';
import * as jobs from './20261125_jobs.js';

export const migrations: Readonly<Record<string, Knex.Migration>> = { '20261125_jobs': jobs };

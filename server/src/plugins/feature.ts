import type { Knex } from 'knex';
import type { Heavy } from '../heavy/heavy.js';

/** What every feature is given. */
export interface Feature {
  readonly db: Knex;
  readonly heavy: Heavy;
}

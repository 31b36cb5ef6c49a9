import type { Knex } from 'knex';
import * as jobs from './20261125_jobs.js';
import * as drill from './20261126_drill.js';
import * as catalogue from './20261127_catalogue.js';
import * as changes from './20261128_changes.js';
import * as paths from './20261130_paths.js';
import * as parts from './20261201_parts.js';
import * as found from './20261202_found.js';
import * as bodies from './20261203_bodies.js';
import * as revisions from './20261204_revisions.js';
import * as plainNames from './20261205_plain_names.js';
import * as listedPrices from './20261206_listed_prices.js';
import * as componentMetal from './20261207_component_metal.js';
import * as flow from './20261208_flow.js';
import * as stockroom from './20261209_stockroom.js';
import * as beside from './20261210_beside.js';
import * as orderSendings from './20261211_order_sendings.js';
import * as doors from './20261212_doors.js';
import * as audit from './20261213_audit.js';
import * as faults from './20261214_faults.js';

export const migrations: Readonly<Record<string, Knex.Migration>> = {
  '20261125_jobs': jobs,
  '20261126_drill': drill,
  '20261127_catalogue': catalogue,
  '20261128_changes': changes,
  '20261130_paths': paths,
  '20261201_parts': parts,
  '20261202_found': found,
  '20261203_bodies': bodies,
  '20261204_revisions': revisions,
  '20261205_plain_names': plainNames,
  '20261206_listed_prices': listedPrices,
  '20261207_component_metal': componentMetal,
  '20261208_flow': flow,
  '20261209_stockroom': stockroom,
  '20261210_beside': beside,
  '20261211_order_sendings': orderSendings,
  '20261212_doors': doors,
  '20261213_audit': audit,
  '20261214_faults': faults,
};

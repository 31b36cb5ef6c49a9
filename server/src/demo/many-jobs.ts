import { branchesIn, documentOfFile, portCases, readJobFile, writeJobFile, type Catalogue, type JobDocument } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { readCatalogue } from '../catalogue/catalogue-store.js';
import { inTransaction } from '../database/in-transaction.js';
import { writeRows } from '../database/write-rows.js';
import { rowsOfDocument } from '../jobs/rows-of-document.js';
import { loadDemo } from './load-demo.js';
import { magpieDocument } from './magpie.js';

const colours = ['Blue', 'Green', 'Grey', 'Orange', 'Red', 'Silver', 'White', 'Yellow'];
const cars = [
  'drag estate',
  'drift coupe',
  'endurance saloon',
  'hill-climb special',
  'kit roadster',
  'rally hatch',
  'sprint car',
  'track truck',
];
const works = ['dry sump', 'oil cooler', 'oil feed and drain', 'remote filter', 'turbo change'];
/** One in so many is as large as the demo's own; the others have a few lines of it. */
const ONE_WHOLE_IN = 25;
const AT_ONCE = 25;

/**
 * Fills a database with jobs, to see how the app bears the years: invented ones, numbered `F00001` on, which go on where an earlier filling
 * ended. @returns how many there are of them now
 */
export async function fillWithJobs(db: Knex, count: number, say: (done: number) => void = () => undefined): Promise<number> {
  await loadDemo(db, false);
  const catalogue = await readCatalogue(db);
  const whole = magpieDocument(catalogue, randomUUID);
  const counted = (await db('jobs').where('number', 'like', 'F_____').count({ n: '*' }).first()) as { n: number };
  const first = Number(counted.n) + 1;
  for (let at = 0; at < count; at += AT_ONCE) {
    const some = Array.from({ length: Math.min(AT_ONCE, count - at) }, (_, i) => invented(first + at + i, whole, catalogue));
    const made = some.flatMap(rowsOfDocument);
    await inTransaction(db, (trx) => writeRows(trx, { made, changed: [], gone: [] }));
    say(at + some.length);
  }
  return first - 1 + count;
}

/** The same for the same place: what is drawn by lot is drawn by the number. */
function invented(n: number, whole: JobDocument, catalogue: Catalogue): JobDocument {
  const draw = (from: readonly string[], salt: number): string => from[(Math.imul(n, 2_654_435_761 + salt * 40_503) >>> 8) % from.length]!;
  const number = `F${String(n).padStart(5, '0')}`;
  const file = writeJobFile(n % ONE_WHOLE_IN === 0 ? whole : someLinesOf(whole, n), catalogue);
  const name = `${draw(colours, 1)} ${draw(cars, 2)}`;
  const description = `${draw(works, 3)}, bay ${n % 12}. Invented, to fill the board.`;
  const components = file.components.map((c) => (c.kind === 'block' ? { ...c, name: `${c.name} ${1000 + n}` } : c));
  const read = readJobFile({ ...file, components, job: { ...file.job, number, name, description } }, new Set());
  return documentOfFile(read, { number, updatedAt: new Date(Date.UTC(2026, 0, 1) + n * 3_600_000).toISOString(), newId: randomUUID });
}

/** Some lines with their ports and components; of those that hang on no other line, port or sensor. */
function someLinesOf({ job, components, ports, lines }: JobDocument, n: number): JobDocument {
  const byId = new Map(ports.map((p) => [p.id, p]));
  const plain = lines.filter(
    (l) => branchesIn(l).length === 0 && [l.portA, l.portB].every((id) => !byId.get(id)!.sensor && !byId.get(id)!.openEnd),
  );
  const taken = Array.from({ length: 1 + (n % 4) }, (_, i) => plain[(n + i * 3) % plain.length]!);
  const own = [...new Set(taken)];
  const used = new Set(own.flatMap((l) => [l.portA, l.portB]));
  const kept = ports.filter(
    (p, i) => used.has(p.id) || ((i + n) % 15 === 0 && !p.sensor && !p.openEnd && p.end === undefined && portCases(p).length > 0),
  );
  const there = new Set(kept.map((p) => p.componentId));
  return { job, components: components.filter((c) => there.has(c.id)), ports: kept, lines: own };
}

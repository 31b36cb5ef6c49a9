import { jobContracts, shopContracts } from '@gewinde/core';
import type { Knex } from 'knex';
import { randomUUID } from 'node:crypto';
import { startTestApp } from '../../../test/test-app.js';
import { connectDatabase } from '../connect.js';
import { migrate } from '../migrate.js';
import { fingerprints, newestSchema } from '../schema/known-schema.js';
import { fingerprint, readSchema } from '../schema/read-schema.js';
import { migrations } from './index.js';

describe('a database from before changes had keys and rows of their own', () => {
  const at = new Date('2026-11-20T08:00:00Z');
  const line = { id: 'l1', jobId: 'j1', number: 1, name: 'New name', service: 'other', construction: 'ptfe', dash: 6 };
  const adapter = { id: 'orb6m+an6m', inEnd: 0, outEnd: 1 };
  const ends = { endA: { portId: 'p1', angleDeg: 0, fittings: null }, endB: { portId: 'p2', angleDeg: 45, fittings: [adapter] } };
  const rest = { tapedLengthMm: 664, slackPercent: 2, checked: true, made: ['B0:port>x'], note: '', position: 3 };
  const path = {
    portA: 'p1',
    portB: 'p2',
    pieces: [
      {
        key: 'p1',
        hose: 'hose-ptfe-6',
        endA: 'end-ptfe-6-0',
        endB: 'end-ptfe-6-45',
        length: { mm: 664, as: 'taped' },
        slackPercent: 2,
        source: 'cut',
      },
    ],
    ways: [{ chosen: null }, { chosen: { fittings: [{ key: 'k1', id: 'orb6m+an6m', inEnd: 1, outEnd: 0 }], branches: [] } }],
    checked: { at: null, digest: {} },
    made: ['k1>B'],
    order: 3,
  };
  const now = { ...line, ...ends, ...rest, version: 2 };
  const part = { id: 'old-part', name: 'Old part', ends: [{ family: 'npt', size: '1/8', gender: 'male' }] };

  beforeAll(async () => {
    const db = connectDatabase(process.env['GEWINDE_TEST_DATABASE_URL']!);
    const [tables] = (await db.raw('show tables')) as [Record<string, string>[]];
    await db.raw('set foreign_key_checks = 0');
    await db.transaction(async (trx) => {
      await trx.raw('set foreign_key_checks = 0');
      for (const table of tables.flatMap((t) => Object.values(t))) await trx.schema.dropTableIfExists(table);
      await trx.raw('set foreign_key_checks = 1');
    });
    for (let i = 0; i < 3; i++) await db.migrate.up();
    await db('jobs').insert({ id: 'j1', number: '1', name: 'Old', description: '', archived: false, version: 1, updated_at: at });
    await db('components').insert({ id: 'c1', job_id: 'j1', kind: 'block', name: 'Block', note: '', position: 0, version: 1 });
    const port = { job_id: 'j1', component_id: 'c1', connector: '{"family":"npt","size":"1/8","gender":"female"}', note: '', version: 1 };
    await db('ports').insert([
      { ...port, id: 'p1', label: 'one', position: 0 },
      { ...port, id: 'p2', label: 'two', position: 1 },
    ]);
    await db('job_lines').insert({
      id: 'l1',
      job_id: 'j1',
      number: 1,
      name: 'New name',
      service: 'other',
      port_a: 'p1',
      port_b: 'p2',
      end_a: JSON.stringify(ends.endA),
      end_b: JSON.stringify(ends.endB),
      construction: 'ptfe',
      dash: 6,
      taped_length_mm: 664,
      slack_percent: 2,
      checked: true,
      made: JSON.stringify(rest.made),
      note: '',
      position: 3,
      version: 2,
    });
    const hose = (id: string, more: object) => ({
      id,
      data: JSON.stringify({ id, construction: 'ptfe', dash: 6, ...more }),
      origin: 'standard',
      position: 0,
    });
    await db('hoses').insert(hose('hose-ptfe-6', { shelf: 12 }));
    await db('hose_ends').insert([0, 45].map((angleDeg) => hose(`end-ptfe-6-${angleDeg}`, { angleDeg })));
    const rows = (...data: object[]) => JSON.stringify(data.map((d) => ({ type: 'line', data: d })));
    const event = { job_id: 'j1', at, kind: 'edit', state: 'done', client: 'tab' };
    await db('events').insert([
      { ...event, label: 'Edit L1 Old name', before_rows: rows({ ...now, name: 'Old name', version: 1 }), after_rows: rows(now) },
    ]);
    await db('fittings').insert({ id: 'old-part', data: JSON.stringify(part), origin: 'own', position: 5000, version: 1, retired: false });
    const change = { at, client: 'tab', label: 'Add Old part', before_rows: '[]' };
    await db('catalogue_changes').insert({ ...change, after_rows: JSON.stringify([{ fitting: part, version: 1, origin: 'own' }]) });
    await db.destroy();
  });

  it('comes over, and what was done in it can still be taken back', async () => {
    const server = await (async () => {
      const db = connectDatabase(process.env['GEWINDE_TEST_DATABASE_URL']!);
      await db.migrate.latest();
      const kept = { events: await db('events'), rows: await db('event_rows') };
      expect(kept.events).toMatchObject([
        { scope: 'j1', schema_version: 1 },
        { scope: 'shop', job_id: null },
      ]);
      expect(kept.rows).toHaveLength(2);
      // metres that were counted are a length of their own, which the saw can take from
      expect(await db('hose_lengths')).toMatchObject([{ id: 'H-0001', part_id: 'hose-ptfe-6', mm: 12_000, kind: 'reel', state: 'there' }]);
      expect(await db('stock_movements').where({ part_id: 'hose-ptfe-6' })).toEqual([]);
      await db.destroy();
      return startTestApp({ keep: true });
    })();
    expect((await server.document('j1')).lines).toMatchObject([{ name: 'New name', ...path }]);
    const ask = { body: { key: randomUUID() } };
    const undone = await server.ask(jobContracts.undoJob, { params: { id: 'j1' }, ...ask }, 'tab');
    expect(undone.body).toMatchObject({
      label: 'Edit L1 Old name',
      put: [{ type: 'line', row: { name: 'Old name', version: 3, ...path } }],
    });
    expect((await server.ask(shopContracts.undoShop, ask, 'tab')).body).toMatchObject({ removed: [{ type: 'part', id: 'old-part' }] });
    await server.close();
  });

  it('is not changed by migrating again', async () => {
    const server = await startTestApp();
    expect(await server.db.migrate.latest()).toMatchObject([expect.any(Number), []]);
    await server.close();
  });
});

describe('names of an earlier version', () => {
  it('lose the signs that no name may have, and nothing else', async () => {
    const server = await startTestApp({ keep: true });
    const { db } = server;
    const at = new Date();
    const job = { description: 'two\nlines\u202e', archived: false, version: 1, updated_at: at };
    const kept = { ...job, description: '', name: 'Ölkühler 油 🛢️' };
    await db('jobs').insert([
      { ...job, id: 'u1', number: 'U-1', name: 'm14x1.5 \u202ef washer\u0007' },
      { ...job, id: 'u2', number: 'U-2', name: '\u2067' },
      { ...kept, id: 'u3', number: 'U-3' },
    ]);
    await migrations['20261205_plain_names']!.up(db);
    expect(await db('jobs').whereIn('id', ['u1', 'u2', 'u3']).orderBy('id').select('name', 'description')).toEqual([
      { name: 'm14x1.5  f washer', description: 'two\nlines ' },
      { name: '?', description: 'two\nlines ' },
      { name: kept.name, description: '' },
    ]);
    await db('jobs').whereIn('id', ['u1', 'u2', 'u3']).delete();
    await server.close();
  });
});

describe('a start that was cut short', () => {
  const url = process.env['GEWINDE_TEST_DATABASE_URL']!;
  const empty = async (db: Knex): Promise<void> => {
    const [tables] = (await db.raw('show tables')) as [Record<string, string>[]];
    await db.transaction(async (trx) => {
      await trx.raw('set foreign_key_checks = 0');
      for (const table of tables.flatMap((t) => Object.values(t))) await trx.schema.dropTableIfExists(table);
      await trx.raw('set foreign_key_checks = 1');
    });
  };

  it('leaves a mark that stops no later one, wherever it was cut, and several at once do it once', async () => {
    const db = connectDatabase(url);
    await empty(db);
    await db.migrate.up();
    await db('knex_migrations').delete();
    await db('knex_migrations_lock').update({ is_locked: 1 });
    const others = [connectDatabase(url), connectDatabase(url)];
    await Promise.all([db, ...others].map((one) => migrate(one)));
    expect((await db('knex_migrations').count('* as n').first()) as unknown).toEqual({ n: Object.keys(migrations).length });
    for (const one of [db, ...others]) await one.destroy();
  });

  it('goes on where it was: every step can be taken again', async () => {
    const db = connectDatabase(url);
    await empty(db);
    for (const name of Object.keys(migrations).sort()) {
      await migrations[name]!.up(db);
      await migrations[name]!.up(db);
      const { columns, keys } = await readSchema(db);
      expect({ name, columns: fingerprint(columns), keys: fingerprint(keys) }).toEqual({ name, ...fingerprints[name] });
    }
    expect(await readSchema(db)).toEqual(newestSchema);
    await empty(db);
    await migrate(db);
    await db.destroy();
  });

  it('has what it had lost made again, and refuses what cannot be: it says what differs, and does nothing', async () => {
    const db = connectDatabase(url);
    const said: string[] = [];
    await db.raw('alter table offers drop foreign key offers_part_id_foreign, drop key offers_code_unique');
    await db.raw('alter table parts add index somebody (origin)'); // more than is needed, and in nobody's way
    await migrate(db, { say: (words) => said.push(words) });
    expect(said).toEqual([
      expect.stringContaining('offers reference offers_part_id_foreign (part_id) to parts (id) on delete CASCADE'),
      expect.stringContaining('offers unique offers_code_unique (code)'),
    ]);
    await migrate(db, { say: (words) => said.push(words) });
    expect(said).toHaveLength(2);
    await db.raw('alter table parts drop index somebody');

    const part = { kind: 'fitting', data: '{}', origin: 'own', version: 1, position: 1 };
    await db('parts').insert([
      { ...part, id: 'a' },
      { ...part, id: 'b' },
    ]);
    await db.raw('alter table offers drop key offers_code_unique');
    await db('offers').insert(['a', 'b'].map((id) => ({ id, part_id: id, code: 'the same' })));
    await expect(migrate(db)).rejects.toThrow(/missing: offers unique offers_code_unique \(code\).*Duplicate entry 'the same'/);
    await db('offers').delete();
    await db('parts').delete();

    await db.raw('alter table ports drop column part_end');
    await expect(migrate(db)).rejects.toThrow('something else has changed them. Nothing was done to it.');
    await empty(db);
    await migrate(db);
    await db.destroy();
  });

  it('leaves a database of a newer version, and one that is half restored, as it is', async () => {
    const db = connectDatabase(url);
    await db('knex_migrations').insert({ name: '20990101_later', batch: 99, migration_time: new Date() });
    await expect(migrate(db)).rejects.toThrow('of a newer version of Gewinde (20990101_later)');
    await db('knex_migrations').where({ name: '20990101_later' }).delete();
    await db.raw('create table restore_begun (safety varchar(1000) not null)');
    await db('restore_begun').insert({ safety: '/shop/before.sql.gz' });
    await expect(migrate(db)).rejects.toThrow('What was there before is in /shop/before.sql.gz: npm run restore -- /shop/before.sql.gz');
    await db.schema.dropTable('restore_begun');
    await db.destroy();
  });

  it('that is told to stop does so between two steps, and the next goes on', async () => {
    const db = connectDatabase(url);
    await empty(db);
    const stop = new AbortController();
    db.on('query-response', (_, { sql }: { sql: string }) => {
      if (/^create table.*`event_rows`/.test(sql)) stop.abort();
    });
    await expect(migrate(db, { stop: stop.signal })).rejects.toThrow('the next start goes on with it');
    expect(await db('knex_migrations').orderBy('name').pluck<string[]>('name')).toEqual(Object.keys(migrations).sort().slice(0, 4));
    await migrate(db);
    expect(await readSchema(db)).toEqual(newestSchema);
    await db.destroy();
  });

  it('is not begun anew over jobs of a database that has lost its mark', async () => {
    const db = connectDatabase(url);
    await db('jobs').insert({ id: 'x', number: '1', name: '', description: '', archived: false, version: 1, updated_at: new Date() });
    await db('knex_migrations').delete();
    await expect(migrate(db)).rejects.toThrow('restore a backup');
    expect(await db('jobs')).toHaveLength(1);
    await empty(db);
    await migrate(db);
    await db.destroy();
  });
});

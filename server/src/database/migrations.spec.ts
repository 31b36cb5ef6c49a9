import { connectDatabase } from './connect.js';

describe('the tables', () => {
  it('are made, taken down and made again without a rest', async () => {
    const db = connectDatabase(process.env['GEWINDE_TEST_DATABASE_URL']!);
    const tables = async (): Promise<string[]> => {
      const [rows] = (await db.raw('SHOW TABLES')) as [Record<string, string>[]];
      return rows.flatMap((row) => Object.values(row)).filter((name) => !name.startsWith('knex'));
    };
    await db.migrate.latest();
    const made = await tables();
    expect(made).toEqual(expect.arrayContaining(['fittings', 'job_lines', 'catalogue_changes', 'shop_rules']));
    await db.migrate.rollback(undefined, true);
    expect(await tables()).toEqual([]);
    await db.migrate.latest();
    expect(await tables()).toEqual(made);
    await db.destroy();
  });
});

import { judgeJob, checkPart, cutTickets, partsList, standardFittings } from '@gewinde/core';
import { magpieDocument } from './magpie.js';
import { sampleCatalogue } from './sample-prices.js';

let next = 0;
const catalogue = sampleCatalogue();
const document = magpieDocument(catalogue, () => `id${next++}`);
const job = judgeJob(document, catalogue);
const { lines } = job;

describe('the demo job', () => {
  it('is at several stages at once: checked, sealing, open, and honestly wrong', () => {
    expect(lines.map((l) => l.state)).toEqual([
      'checked',
      'checked',
      'seals',
      'seals',
      'seals',
      'seals',
      'seals',
      'leaks',
      'open',
      'seals',
      'open',
      'open',
      'seals',
    ]);
  });

  it('has a look-alike thread in it, found by computing', () => {
    const wrong = lines[7]!.findings.find((p) => p.severity === 'leak')!;
    expect(wrong.message).toMatch(/3\/4-16 UNF into M20×1\.5 starts, rocks, then binds/);
  });

  it('uses every port once, and gives tickets and parts', () => {
    const used = document.lines.flatMap((l) => [l.portA, l.portB]);
    expect(new Set(used).size).toBe(used.length);
    expect(cutTickets(job).tickets).toHaveLength(8);
    expect(partsList(job).rows.length).toBeGreaterThan(25);
  });

  it('covers metric, boss, flare, barb and both taper ports', () => {
    expect(new Set(document.ports.map((p) => p.connector?.family))).toEqual(
      new Set(['metric', 'orb', 'flare37', 'npt', 'r', 'barb', 'post']),
    );
  });
});

describe('the sample prices', () => {
  it('are there for every part that is bought, and say that they are sample data', () => {
    for (const f of catalogue.fittings) {
      expect(f.priceMinor).toBeGreaterThan(200);
      expect(f.source).toContain('sample data');
    }
    for (const h of catalogue.hoses) expect(h.pricePerMetreMinor).toBeGreaterThan(300);
    expect(catalogue.hoseEnds.every((e) => (e.priceMinor !== undefined) === e.socketLengthMm > 0)).toBe(true);
  });

  it('change nothing else of the standard catalogue, and are the same each time', () => {
    const standard = standardFittings().map((f) => f.id);
    expect(catalogue.fittings.slice(0, standard.length).map((f) => f.id)).toEqual(standard);
    const invented = catalogue.fittings.slice(standard.length);
    expect(invented.length).toBeGreaterThan(10);
    for (const part of invented) expect(checkPart({ kind: 'fitting', part })).toEqual([]);
    expect(sampleCatalogue()).toEqual(catalogue);
  });
});

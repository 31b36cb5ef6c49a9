import {
  shelfId,
  usualStoreRules,
  type Catalogue,
  type HoseLength,
  type JobDocument,
  type OfferRow,
  type PurchaseOrder,
  type SupplierRow,
} from '@gewinde/core';
import type { Entity } from '../database/entities.js';
import { sampleSuppliers } from './sample-prices.js';

const [ALDERWAY, SALTMARSH, NINEFOLD] = sampleSuppliers.map((s) => s.name) as [string, string, string];

/** The three invented suppliers, each with terms of its own. */
const suppliers: readonly SupplierRow[] = [
  {
    id: 'sample-alderway',
    name: ALDERWAY,
    currency: 'EUR',
    euros: 1,
    carriageMinor: 790,
    freeFromMinor: 15000,
    leadDays: 2,
    returnDays: 30,
    returnKeepsPercent: 10,
    note: 'Sample data.',
    version: 1,
  },
  {
    id: 'sample-saltmarsh',
    name: SALTMARSH,
    currency: 'EUR',
    euros: 1,
    carriageMinor: 1290,
    freeFromMinor: 30000,
    leastOrderMinor: 2500,
    leadDays: 6,
    returnDays: 14,
    returnKeepsPercent: 20,
    note: 'Sample data.',
    version: 1,
  },
  {
    id: 'sample-ninefold',
    name: NINEFOLD,
    currency: 'GBP',
    euros: 1.17,
    carriageMinor: 1450,
    leadDays: 12,
    note: 'Sample data. Nothing goes back.',
    version: 1,
  },
];

/** Hose by the length: price of a metre times its length, a little less for longer ones. Invented. */
function hoseOffers({ hoses }: Catalogue): OfferRow[] {
  return hoses
    .filter((h) => ['ptfe', 'rubber'].includes(h.construction) && h.core !== 'conductive' && h.dash >= 4 && h.dash <= 16)
    .flatMap((h): OfferRow[] => {
      const metre = h.pricePerMetreMinor ?? 1000;
      const length = (n: number): OfferRow => ({
        id: `sample-${h.id}-${n}m`,
        supplierId: 'sample-alderway',
        code: `AW-H${h.construction[0]!.toUpperCase()}${h.dash}-${n}`,
        holds: [{ part: h.id, quantity: n * 1000 }],
        prices: [{ fromPacks: 1, packMinor: Math.round((metre * n * (1.06 - 0.02 * n)) / 10) * 10 }],
        leadDays: 2,
        version: 1,
      });
      const reel: OfferRow = {
        id: `sample-${h.id}-reel`,
        supplierId: 'sample-saltmarsh',
        code: `SM-H${h.construction[0]!.toUpperCase()}${h.dash}`,
        holds: [{ part: h.id, quantity: 1000 }],
        prices: [
          { fromPacks: 1, packMinor: metre },
          { fromPacks: 5, packMinor: Math.round((metre * 0.9) / 10) * 10 },
          { fromPacks: 20, packMinor: Math.round((metre * 0.8) / 10) * 10 },
        ],
        leadDays: 5,
        oneLength: true,
        version: 1,
      };
      return h.construction === 'rubber' ? [length(1), length(2)] : [length(1), reel];
    });
}

/** Rings come by the bag, and a kit for a cooler at a price for all. Invented. */
function otherOffers({ supplies }: Catalogue): OfferRow[] {
  const rings = supplies
    .filter((s) => /^o-ring fkm AS568-9\d\d$/.test(s.id))
    .map((s): OfferRow => ({
      id: `sample-bag-${s.id.slice(-3)}`,
      supplierId: 'sample-alderway',
      code: `AW-R${s.id.slice(-3)}`,
      holds: [{ part: s.id, quantity: 10 }],
      prices: [
        { fromPacks: 1, packMinor: 420 },
        { fromPacks: 5, packMinor: 360 },
      ],
      leadDays: 2,
      version: 1,
    }));
  const kit: OfferRow = {
    id: 'sample-kit-cooler',
    supplierId: 'sample-saltmarsh',
    code: 'SM-KIT10',
    name: 'Cooler line kit -10, 3 m (sample)',
    holds: [
      { part: 'hose-ptfe-10', quantity: 3000 },
      { part: 'end-ptfe-10-0', quantity: 2 },
      { part: 'end-ptfe-10-45', quantity: 1 },
      { part: 'end-ptfe-10-90', quantity: 2 },
      { part: 'orb10m+an10m', quantity: 2 },
      { part: 'o-ring nbr AS568-910', quantity: 2 },
    ],
    prices: [{ fromPacks: 1, packMinor: 13900 }],
    leadDays: 6,
    version: 1,
  };
  return [...rings, kit];
}

const since = '2026-03-02';
/** Two reels, offcuts, an old length and a hose off another car, where the shop would have them. */
const rack: readonly HoseLength[] = [
  { id: 'H-0001', part: 'hose-ptfe-10', kind: 'reel', mm: 6200, place: 'rack A', madeOn: '2025-06-01', since, state: 'there', version: 1 },
  { id: 'H-0002', part: 'hose-ptfe-6', kind: 'reel', mm: 3050, place: 'rack A', madeOn: '2025-02-01', since, state: 'there', version: 1 },
  {
    id: 'H-0003',
    part: 'hose-ptfe-10',
    kind: 'offcut',
    mm: 1240,
    place: 'shelf 2',
    madeOn: '2024-09-01',
    since,
    from: 'H-0001',
    state: 'there',
    version: 1,
  },
  {
    id: 'H-0004',
    part: 'hose-ptfe-10',
    kind: 'offcut',
    mm: 710,
    place: 'shelf 2',
    madeOn: '2024-09-01',
    since,
    from: 'H-0001',
    state: 'there',
    version: 1,
  },
  {
    id: 'H-0005',
    part: 'hose-rubber-16',
    kind: 'offcut',
    mm: 1150,
    place: 'shelf 1',
    madeOn: '2023-04-01',
    since,
    state: 'there',
    version: 1,
  },
  {
    id: 'H-0006',
    part: 'hose-fuel-10',
    kind: 'length',
    mm: 1000,
    place: 'shelf 3',
    madeOn: '2025-11-01',
    since,
    state: 'there',
    version: 1,
  },
  {
    id: 'H-0007',
    part: 'hose-rubber-12',
    kind: 'offcut',
    mm: 410,
    place: 'shelf 1',
    madeOn: '2014-05-01',
    since,
    state: 'there',
    version: 1,
  },
  { id: 'H-0008', part: 'hose-ptfe-8', kind: 'offcut', mm: 930, place: 'shelf 2', madeOn: '2025-01-01', since, state: 'there', version: 1 },
  {
    id: 'H-0009',
    part: 'hose-ptfe-12',
    kind: 'offcut',
    mm: 620,
    place: 'shelf 2',
    madeOn: '2025-01-01',
    since,
    state: 'there',
    version: 1,
  },
  {
    id: 'H-0010',
    part: 'hose-ptfe-10',
    kind: 'made',
    mm: 1490,
    place: 'shelf 4',
    madeOn: '2024-03-01',
    ends: ['end-ptfe-10-45', 'end-ptfe-10-0'],
    salvaged: true,
    since,
    state: 'there',
    version: 1,
  },
];

export const dayFrom = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

/** An order for the job that was partly received, one line of it late. */
function order({ job }: JobDocument, today: string): PurchaseOrder {
  return {
    id: 'sample-order-1',
    number: 'PO-0001',
    supplierId: 'sample-alderway',
    jobIds: [job.id],
    state: 'part',
    ...(job.neededBy ? { neededBy: job.neededBy } : {}),
    carriageMinor: 790,
    writtenOn: dayFrom(today, -6),
    sentOn: dayFrom(today, -6),
    reference: 'AF-4417',
    lines: [
      {
        key: 'sample-1',
        name: 'Adapter, orb16 m to an16 m',
        holds: [{ part: 'orb16m+an16m', quantity: 1 }],
        packs: 2,
        packMinor: 3150,
        confirmedPacks: 2,
        confirmedMinor: 3150,
        due: dayFrom(today, -3),
        receivedPacks: 2,
      },
      {
        key: 'sample-2',
        name: 'Cutter end -16, 45°, 37° swivel',
        holds: [{ part: 'end-rubber-16-45', quantity: 1 }],
        packs: 1,
        packMinor: 2590,
        confirmedPacks: 1,
        confirmedMinor: 2690,
        due: dayFrom(today, 16),
        receivedPacks: 0,
      },
    ],
    deliveries: [
      {
        on: dayFrom(today, -3),
        by: 'TK',
        lines: [
          {
            key: 'sample-1',
            packs: 2,
            checks: [
              { check: 'Thread gauged', ok: true },
              { check: 'Blown out, looked through', ok: true },
            ],
          },
        ],
      },
    ],
    version: 1,
  };
}

/** What the demo shop buys, keeps and cuts: rows for a stockroom that has none yet. */
export function sampleStockroom(catalogue: Catalogue, magpie: JobDocument, today: string): Entity[] {
  const received = {
    id: shelfId('orb16m+an16m'),
    part: 'orb16m+an16m',
    reserved: [{ jobId: magpie.job.id, quantity: 2 }],
    place: 'drawer 4',
    version: 1,
  };
  const least = (part: string, n: number, place: string) => ({ id: shelfId(part), part, reserved: [], least: n, place, version: 1 });
  return [
    ...suppliers.map((row): Entity => ({ type: 'supplier', row })),
    ...[...hoseOffers(catalogue), ...otherOffers(catalogue)].map((row): Entity => ({ type: 'offer', row })),
    { type: 'storeRules', row: { id: 'store-rules', rules: { ...usualStoreRules, shop: 'Kiln Lane Fabrication (sample)' }, version: 1 } },
    ...rack.map((row): Entity => ({ type: 'length', row })),
    { type: 'stock', row: received },
    { type: 'stock', row: least('o-ring fkm AS568-910', 20, 'drawer 1') },
    { type: 'stock', row: least('o-ring fkm AS568-906', 20, 'drawer 1') },
    { type: 'stock', row: least('washer copper 14 × 18 × 1.5', 20, 'drawer 2') },
    { type: 'order', row: order(magpie, today) },
  ];
}

/**
 * A row of each table as it was when the table came, so that an upgrade has something to lose: small, sound by the rules of its day, and
 * with what later migrations bring over (ends that became ways, prices that became offers, metres that became lengths).
 */
const at = '2026-11-20 08:00:00.000';
const job = { id: 'j1', number: '2201', name: 'Old car', description: 'two\nlines', archived: 0, version: 3, updated_at: at };
const component = { job_id: 'j1', note: '', version: 1 };
const port = { job_id: 'j1', note: '', version: 1 };
const end = (portId, angleDeg, fittings) => JSON.stringify({ portId, angleDeg, fittings });
const line = {
  id: 'l1',
  jobId: 'j1',
  number: 1,
  name: 'Feed',
  service: 'other',
  construction: 'ptfe',
  dash: 6,
  endA: { portId: 'p1', angleDeg: 0, fittings: null },
  endB: { portId: 'p2', angleDeg: 45, fittings: [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }] },
  tapedLengthMm: 664,
  slackPercent: 2,
  checked: true,
  note: '',
  position: 1,
  version: 2,
};
const part = (id, data, position) => ({ id, data: JSON.stringify({ id, ...data }), origin: 'own', position });

/** By table, in the order in which they can be made. @type {Record<string, readonly Record<string, string | number | null>[]>} */
export const rowsOf = {
  jobs: [job, { ...job, id: 'j2', number: '2202', name: 'Put away \u202e', archived: 1 }],
  components: [
    { ...component, id: 'c1', kind: 'block', name: 'Block', position: 0 },
    { ...component, id: 'c2', kind: 'turbo', name: 'Turbo', position: 1 },
  ],
  ports: [
    { ...port, id: 'p1', component_id: 'c1', label: 'gallery', connector: '{"family":"npt","size":"1/8","gender":"female"}', position: 0 },
    { ...port, id: 'p2', component_id: 'c2', label: 'inlet', connector: '{"family":"orb","size":"6","gender":"female"}', position: 1 },
  ],
  job_lines: [
    {
      id: 'l1',
      job_id: 'j1',
      number: 1,
      name: 'Feed',
      service: 'other',
      construction: 'ptfe',
      dash: 6,
      port_a: 'p1',
      port_b: 'p2',
      end_a: end('p1', 0, null),
      end_b: end('p2', 45, line.endB.fittings),
      taped_length_mm: 664,
      slack_percent: 2,
      checked: 1,
      note: '',
      position: 1,
      version: 2,
    },
  ],
  fittings: [
    part('orb6m+an6m', { name: 'Adapter', ends: [], priceMinor: 790, supplier: 'Old supplier', code: 'A-1', leadDays: 2, shelf: 4 }, 10),
    part('old-part', { name: 'Old part', ends: [{ family: 'npt', size: '1/8', gender: 'male' }] }, 11),
  ],
  hoses: [
    part('hose-ptfe-6', { construction: 'ptfe', dash: 6, pricePerMetreMinor: 1900, shelf: 12 }, 0),
    part('hose-ptfe-8', { construction: 'ptfe', dash: 8 }, 1),
  ],
  hose_ends: [
    part('end-ptfe-6-0', { construction: 'ptfe', dash: 6, angleDeg: 0 }, 0),
    part('end-ptfe-6-45', { construction: 'ptfe', dash: 6, angleDeg: 45, priceMinor: 1200 }, 1),
  ],
  events: [
    {
      job_id: 'j1',
      at,
      kind: 'edit',
      state: 'done',
      label: 'Edit L1 Feed',
      client: 'tab',
      before_rows: JSON.stringify([{ type: 'line', data: { ...line, name: 'Old name', version: 1 } }]),
      after_rows: JSON.stringify([{ type: 'line', data: line }]),
    },
  ],
  marks: [{ name: 'demo', at }],
  drill_answers: [{ apprentice: 'Ana', fitting: '12', truth: 'npt 1/8', answer: 'bspt 1/8', right: 0, at }],
  catalogue_changes: [
    {
      at,
      client: 'tab',
      label: 'Add Old part',
      before_rows: '[]',
      after_rows: JSON.stringify([{ fitting: { id: 'old-part', name: 'Old part', ends: [] }, version: 1, origin: 'own' }]),
    },
  ],
  shop_rules: [{ name: 'weights', data: '{"pricePerEuro":1}', version: 1 }],
  event_rows: [{ event_id: 1, n: 0, type: 'line', row_id: 'l1', before_row: null, after_row: JSON.stringify(line) }],
  parts: [],
  offers: [{ id: 'o1', part_id: 'old-part', supplier: 'Old supplier', code: 'A-2', price_minor: 100, lead_days: null }],
  stock_movements: [{ part_id: 'old-part', quantity: 2, reason: 'count', at }],
  job_summaries: [{ job_id: 'j1', revision: 1, shop_revision: 1, form: 1, told: '{}', findables: '[]' }],
  job_words: [{ job_id: 'j1', archived: 0, number: '2201', words: 'old car' }],
  part_uses: [{ part_id: 'old-part', row_id: 'l1', job_id: 'j1' }],
  suppliers: [{ id: 's1', version: 1, name: 'Old supplier', data: '{"id":"s1","name":"Old supplier","version":1}' }],
  supplier_offers: [{ id: 'so1', version: 1, supplier_id: 's1', code: 'A-2', data: '{"id":"so1","version":1}' }],
  shelves: [{ id: 'shelf-old-part', version: 1, part_id: 'old-part', data: '{"id":"shelf-old-part","version":1}' }],
  hose_lengths: [
    { id: 'H-0001', version: 1, part_id: 'hose-ptfe-6', mm: 900, state: 'there', kind: 'offcut', data: '{"id":"H-0001","version":1}' },
  ],
  cuts_made: [{ id: 'k1', version: 1, job_id: 'j1', length_id: 'H-0001', at, data: '{"id":"k1","version":1}' }],
  purchase_orders: [{ id: 'po1', version: 1, number: 'PO-0001', supplier_id: 's1', state: 'sent', data: '{"id":"po1","version":1}' }],
  hose_plans: [{ job_id: 'j1', at, lengths: '[]' }],
  order_sendings: [{ order_id: 'po1', sent_key: '0b4e6a52-1c7d-4f3a-9a80-5d2f6c1e7b90', tries: 1, claimed_until: null, next_at: at }],
  servers: [{ id: 'a', place: 'here', seen_at: at }],
};

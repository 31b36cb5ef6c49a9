import { randomUUID } from 'node:crypto';

/** Values that have broken something somewhere. */
const ODD = [
  null,
  true,
  '',
  ' ',
  'constructor',
  '__proto__',
  'toString',
  '\u0000',
  '\ud83d',
  '\u202em14x1.5',
  "'; drop table jobs; --",
  '<img src=x onerror=alert(1)>',
  '=cmd()',
  'x'.repeat(3000),
  '🛢️'.repeat(40),
  'Straße\u00a0ﬁ',
  -1,
  0,
  0.1,
  1e21,
  2 ** 53,
  -0.0000001,
  [],
  {},
  [[[[]]]],
  { constructor: { prototype: {} } },
];
const NOTATIONS = [
  'npt 1/8 f',
  'm14x1.5 f washer',
  'an6 m',
  '-6 orb f',
  'an8 m | m18x1.5 m',
  '? about 14 mm',
  'groove 62x71x2.7',
  'npt 1/8',
];

/**
 * Values by a JSON schema: right as far as the schema can tell, with ids and versions that have been seen.
 *
 * @param {any} schema @param {ReturnType<typeof import('./chance.mjs').chanceFrom>} chance @param {import('./seen.mjs').Seen} seen
 * @param {string} [name] of the field
 * @returns {any}
 */
export function made(schema, chance, seen, name = '') {
  const shapes = schema.oneOf ?? schema.anyOf;
  if (shapes) return made(chance.one(shapes), chance, seen, name);
  if ('const' in schema) return schema.const;
  if (schema.enum) return chance.one(schema.enum);
  switch (schema.type) {
    case 'object':
      return madeObject(schema, chance, seen);
    case 'array': {
      // a change with one command that is wrong is refused whole
      const usual = name === 'commands' ? 2 : 4;
      const most = Math.min(schema.maxItems ?? usual, Math.max(schema.minItems ?? 0, usual));
      return Array.from({ length: chance.whole(schema.minItems ?? 0, most) }, () => made(schema.items ?? {}, chance, seen, name));
    }
    case 'string':
      return madeText(schema, chance, seen, name);
    case 'integer':
    case 'number': {
      const known = seen.under(name).filter((v) => typeof v === 'number');
      if (known.length > 0 && chance.in(0.6)) return chance.one(known);
      const least = schema.minimum ?? schema.exclusiveMinimum ?? 0;
      const most = Math.min(schema.maximum ?? schema.exclusiveMaximum ?? 1000, least + 1000);
      const number = chance.one([least, most, chance.whole(Math.ceil(least), Math.floor(most))]);
      return schema.type === 'integer' || chance.in(0.5) ? number : Math.min(most, number + chance.next());
    }
    case 'boolean':
      return chance.in(0.5);
    case 'null':
      return null;
    default:
      return chance.one(ODD);
  }
}

function madeObject(schema, chance, seen) {
  const required = new Set(schema.required ?? []);
  const value = Object.fromEntries(
    Object.entries(schema.properties ?? {})
      .filter(([key]) => required.has(key) || chance.in(0.4))
      .map(([key, one]) => [key, made(one, chance, seen, key)]),
  );
  // an id and a version are of one row, mostly
  if (typeof value.do === 'string' && 'id' in value && 'version' in value && chance.in(0.85)) {
    const rows = seen.rowsFor(value.do);
    if (rows.length > 0) Object.assign(value, chance.one(rows));
  }
  return value;
}

function madeText(schema, chance, seen, name) {
  if (/\[0-9a-f\]\{8\}/.test(schema.pattern ?? '') && (name === 'key' || chance.in(0.8))) return randomUUID();
  if (/notation/i.test(name) && chance.in(0.7)) return chance.one(NOTATIONS);
  if (name === 'csv' && seen.lists.length > 0) return someLines(chance.one(seen.lists), chance);
  const known = seen.under(name).filter((v) => typeof v === 'string');
  const ids = /id$/i.test(name) && known.length === 0 ? seen.under('id') : known;
  if (ids.length > 0 && chance.in(0.7)) return chance.one(ids);
  const length = chance.whole(schema.minLength ?? 0, Math.min(schema.maxLength ?? 12, 12));
  return Array.from({ length }, () => chance.one([...'abz019 -/+.ÄßЖ中°"\''])).join('');
}

/** The headings of a list and a few of its lines, now and then with a sign too many. */
function someLines(list, chance) {
  const lines = list.split('\r\n');
  const some = Array.from({ length: chance.whole(0, 6) }, () => chance.one(lines.slice(1)));
  const text = [lines[0], ...some].join('\r\n');
  if (chance.in(0.6)) return text;
  const at = chance.whole(0, text.length);
  return text.slice(0, at) + chance.one([',', '"', '\n', ';', '$', '-9', '\u0000', 'an6 m']) + text.slice(at + chance.whole(0, 3));
}

/**
 * The same, nearly: somewhere in it something is left out, added, or odd.
 *
 * @param {any} value @param {ReturnType<typeof import('./chance.mjs').chanceFrom>} chance
 * @returns {any}
 */
export function bent(value, chance) {
  if (value === null || typeof value !== 'object' || chance.in(0.08)) return chance.one(ODD);
  if (Array.isArray(value)) {
    if (value.length === 0 || chance.in(0.1)) return [...value, chance.one(ODD)];
    if (chance.in(0.1)) return [...value, ...value];
    const at = chance.whole(0, value.length - 1);
    return value.map((one, i) => (i === at ? bent(one, chance) : one));
  }
  const keys = Object.keys(value);
  if (keys.length === 0 || chance.in(0.08)) return { ...value, [chance.one(['extra', 'constructor', 'id'])]: chance.one(ODD) };
  const key = chance.one(keys);
  if (chance.in(0.08)) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key));
  return { ...value, [key]: bent(value[key], chance) };
}

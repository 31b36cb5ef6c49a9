/** What has been seen in answers, by the name of the field: ids that are there, versions that are right, connectors that can be read. */
export class Seen {
  #chance;
  /** @type {Map<string, unknown[]>} */
  #byName = new Map();
  /** @type {Record<string, { id: string, version: number }[]>} */
  rows = { component: [], port: [], line: [], part: [] };
  /** @type {unknown[]} */
  files = [];
  /** @type {string[]} */
  lists = [];

  /** @param {ReturnType<typeof import('./chance.mjs').chanceFrom>} chance */
  constructor(chance) {
    this.#chance = chance;
  }

  /** Remembers every text and number of an answer. @param {unknown} value @param {string} [name] */
  take(value, name = '') {
    if (Array.isArray(value)) for (const one of value) this.take(one, name);
    else if (value !== null && typeof value === 'object') for (const [key, one] of Object.entries(value)) this.take(one, key);
    else if (typeof value === 'string' || typeof value === 'number') {
      const known = this.#byName.get(name) ?? [];
      if (known.length < 400) known.push(value);
      else known[this.#chance.whole(0, 399)] = value;
      this.#byName.set(name, known);
    }
  }

  /** @param {string} name @returns {readonly unknown[]} */
  under(name) {
    return this.#byName.get(name) ?? [];
  }

  /** The rows of the kind that a command's name speaks of. @param {string} words */
  rowsFor(words) {
    if (/component/.test(words)) return this.rows.component;
    if (/port|sensor/.test(words)) return this.rows.port;
    return /part/.test(words) ? this.rows.part : this.rows.line;
  }
}

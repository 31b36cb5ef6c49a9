import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';

/** A file that is no backup, or says more than one may. */
export class BackupError extends Error {}

/** What a backup may say: tables of this one database and rows of plain values. Strings stand as `''`. */
const allowed = [
  /^(\/\*M?!\d{5,6} )?SET (?!.*\b(GLOBAL|PERSIST|PASSWORD|ROLE|STATEMENT|SELECT)\b)[@\w\s=,'+:.-]*( \*\/)?$/i,
  /^(commit|UNLOCK TABLES)$/i,
  /^DROP TABLE IF EXISTS `\w+`$/,
  /^LOCK TABLES `\w+` WRITE$/,
  /^\/\*!\d{5,6} ALTER TABLE `\w+` (DIS|EN)ABLE KEYS \*\/$/,
];
/** How the server reads what follows is not for the file to say: strings end where they ended when they were looked at. */
const readOtherwise = /BACKSLASH|ANSI|\b(gbk|big5|sjis|cp932|gb2312|gb18030|euckr|ucs2|utf16(le)?|utf32)\b/i;
/** What the client of MariaDB writes first: it is for the client alone. */
const SANDBOX = '/*M!999999\\- enable the sandbox mode */';
const table = /^CREATE TABLE `(\w+)` \(/;
/** What a table may not be: read from elsewhere, kept elsewhere, or of another database. */
const elsewhere = /\b(SELECT|DIRECTORY|CONNECTION|UNION|TABLESPACE|LIKE|EXECUTE|FUNCTION)\b|`\s*\.\s*`|\/\*|ENGINE\s*=\s*(?!InnoDB\b)/i;
const rows = /^INSERT INTO `(\w+)` VALUES\s*((?:\((?:''|NULL|-?[\d.]+(?:e[+-]?\d+)?|0x[\dA-F]*|,)*\),?\s*)+)$/i;

/**
 * Reads a backup through once, however large, and holds every statement of it against what a backup says.
 *
 * @param {string} file
 * @returns {Promise<{ tables: Map<string, number>, migrations: string[] }>} rows by table; the steps its tables have gone through
 * @throws {BackupError} what is none, is cut short, or would do something else
 */
export async function readBackup(file) {
  /** @type {Map<string, number>} */
  const tables = new Map();
  const migrations = [];
  let whole = false;
  const statements = new Statements((skeleton, strings) => {
    const made = table.exec(skeleton);
    if (made) {
      if (elsewhere.test(skeleton)) throw new BackupError(`It holds a table that a backup does not have: ${short(skeleton)}`);
      tables.set(String(made[1]), 0);
      return;
    }
    const filled = rows.exec(skeleton);
    if (filled) {
      const [, name = '', values = ''] = filled;
      if (!tables.has(name)) throw new BackupError(`It fills a table that is not in it: ${name}`);
      tables.set(name, (tables.get(name) ?? 0) + values.split('(').length - 1);
      if (name === 'knex_migrations') migrations.push(...strings.filter((text) => /^\d{8}_/.test(text)));
      return;
    }
    const plain = allowed.some((form) => form.test(skeleton)) && ![skeleton, ...strings].some((text) => readOtherwise.test(text));
    if (!plain) throw new BackupError(`It would do what no backup does: ${short(skeleton)}`);
  });
  /** @type {unknown} what was found first: the pipe may tell of its own end before it */
  let fault;
  try {
    await pipeline(createReadStream(file), createGunzip(), async (chunks) => {
      try {
        for await (const chunk of chunks) statements.read(chunk.toString('latin1'));
        whole = statements.end();
      } catch (error) {
        fault = error;
        throw error;
      }
    });
  } catch (error) {
    for (const one of [fault, error]) if (one instanceof BackupError) throw one;
    throw new BackupError('It is not a backup, or it is damaged.');
  }
  if (!whole || !tables.has('jobs') || !tables.has('knex_migrations')) throw new BackupError('It is not a whole backup of Gewinde.');
  return { tables, migrations: migrations.sort() };
}

/** How much a backup holds, for the eye. @param {Map<string, number>} tables */
export function contentWords(tables) {
  const of = (name, one, many) => {
    const n = tables.get(name) ?? 0;
    return `${n.toLocaleString('en')} ${n === 1 ? one : many}`;
  };
  const all = [...tables.values()].reduce((sum, n) => sum + n, 0);
  return `${of('jobs', 'job', 'jobs')}, ${of('job_lines', 'line', 'lines')}, ${of('parts', 'part', 'parts')}, ${of('purchase_orders', 'order', 'orders')}; ${all.toLocaleString('en')} rows in ${tables.size} tables`;
}

function short(text) {
  return text.length > 80 ? `${text.slice(0, 80)} …` : text;
}

/** Runs of signs that end nothing, in a string and outside. */
const IN_STRING = /[^'\\]+/y;
const PLAIN = /[^'"`;#/-]+/y;

/** Cuts SQL into statements: what stands in strings and comments ends none. */
class Statements {
  #take;
  #skeleton = '';
  #strings = [];
  #string = '';
  #inside = '';
  #completed = false;
  #left = '';

  /** @param {(skeleton: string, strings: readonly string[]) => void} take each statement, with its strings taken out of it */
  constructor(take) {
    this.#take = take;
  }

  /** @param {string} text a further piece; one that ends within a sign of two is finished with the next */
  read(text) {
    const all = this.#left + text;
    const end = all.length - SANDBOX.length;
    let at = 0;
    while (at < end) at = this.#sign(all, at);
    this.#left = all.slice(at);
  }

  /** @returns {boolean} whether it ended where a backup ends */
  end() {
    const all = `${this.#left}\n  `;
    for (let at = 0; at < this.#left.length;) at = this.#sign(all, at);
    return this.#completed && this.#inside === '' && this.#skeleton.trim() === '';
  }

  #sign(all, at) {
    const sign = all[at];
    if (this.#inside === "'") return this.#inString(all, at);
    if (this.#inside === '`') {
      this.#skeleton += sign;
      if (sign === '`') this.#inside = '';
      return at + 1;
    }
    if (this.#inside === '--' || this.#inside === '/*') return this.#inComment(all, at);
    if (sign === "'") {
      this.#inside = "'";
      this.#string = '';
      return at + 1;
    }
    if (sign === '"') throw new BackupError('It is written otherwise than a backup is.');
    if (sign === '`') {
      this.#inside = '`';
      this.#skeleton += sign;
      return at + 1;
    }
    if (sign === '#' || all.startsWith('-- ', at) || all.startsWith('--\n', at)) {
      this.#inside = '--';
      this.#string = '';
      return at;
    }
    if (all.startsWith(SANDBOX, at)) return at + SANDBOX.length;
    // one that the server carries out is a part of its statement
    if (all.startsWith('/*', at) && !/^M?!/.test(all.slice(at + 2, at + 4))) {
      this.#inside = '/*';
      return at + 2;
    }
    if (sign === ';') {
      const skeleton = this.#skeleton.trim();
      if (skeleton !== '') this.#take(skeleton, this.#strings);
      this.#skeleton = '';
      this.#strings = [];
      return at + 1;
    }
    // what says nothing by itself is taken as far as it goes
    PLAIN.lastIndex = at;
    const plain = PLAIN.exec(all)?.[0] ?? sign;
    this.#skeleton += plain;
    return at + plain.length;
  }

  #inString(all, at) {
    IN_STRING.lastIndex = at;
    const plain = IN_STRING.exec(all)?.[0] ?? '';
    if (plain !== '') {
      if (this.#string.length < 200) this.#string += plain.slice(0, 200);
      return at + plain.length;
    }
    const sign = all[at];
    if (sign === '\\') {
      if (this.#string.length < 200) this.#string += all[at + 1];
      return at + 2;
    }
    if (all[at + 1] === "'") return at + 2;
    this.#inside = '';
    this.#skeleton += "''";
    this.#strings.push(this.#string);
    return at + 1;
  }

  #inComment(all, at) {
    if (this.#inside === '/*') {
      if (!all.startsWith('*/', at)) return at + 1;
      this.#inside = '';
      return at + 2;
    }
    if (all[at] !== '\n') {
      if (this.#string.length < 200) this.#string += all[at];
      return at + 1;
    }
    if (this.#string.startsWith('-- Dump completed')) this.#completed = true;
    this.#inside = '';
    return at + 1;
  }
}

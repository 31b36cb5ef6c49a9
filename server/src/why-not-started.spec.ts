import { SchemaError } from './database/schema/hold-schema.js';
import { whyNotStarted } from './why-not-started.js';

const fault = (code: string, message = 'what the database said') => Object.assign(new Error(message), { code });

it.each<[string, Error, RegExp]>([
  ['a port that is taken', fault('EADDRINUSE'), /^Port 3000 is in use by another program/],
  ['a database of a newer version', new SchemaError('This database is of a newer version.'), /^This database is of a newer version\.$/],
  ['a database that may only be read', fault('ER_OPTION_PREVENTS_STATEMENT'), /^The database takes no changes: it is set to be read only/],
  [
    'a database that does not let it in',
    fault('ER_ACCESS_DENIED_ERROR'),
    /^The database does not let Gewinde in.*all rights on that one database/,
  ],
  ['a database that is not there', fault('ECONNREFUSED'), /^The database cannot be used: what the database said$/],
])('%s is told in plain words', (_, error, words) => expect(whyNotStarted(error, 3000)).toMatch(words));

it('what nobody foresaw is told whole', () => {
  const error = new TypeError('x is not a function');
  expect(whyNotStarted(error, 3000)).toBe(error);
});

import fc from 'fast-check';
import { Check, Errors } from 'typebox/value';
import { holdsUnseen, Text, Words, WordsOrNone, wordsProblem } from './index.js';

const unseen = ['\u0000', '\u0007', '\n', '\r', '\t', '\u007f', '\u0085', '\u2028', '\u202e', '\u2067', '\ud83d', '\ude00'];

describe('a name', () => {
  it.each(['Ölwanne', '油冷器', '🛢️ tank', '👨‍🔧 bench', 'مبرد الزيت', 'a b', '<b>'])('may be "%s"', (name) => {
    for (const schema of [Words(60), WordsOrNone(60), Text(60)]) expect(Check(schema, name)).toBe(true);
    expect(holdsUnseen(name)).toBe(false);
  });

  it('holds no sign that does not show, wherever it is', () => {
    fc.assert(
      fc.property(fc.constantFrom(...unseen), fc.string({ maxLength: 20 }), fc.string({ maxLength: 20 }), (sign, before, after) => {
        const name = `${before} ${sign} ${after}x`;
        expect([Check(Words(60), name), Check(WordsOrNone(60), name), holdsUnseen(name)]).toEqual([false, false, true]);
      }),
    );
  });

  it('is not blank, where it has to be there', () => {
    expect(['', '  ', '\u00a0'].map((name) => [Check(Words(9), name), Check(WordsOrNone(9), name)])).toEqual(Array(3).fill([false, true]));
  });

  it('says what is wrong with it', () => {
    const said = (schema: ReturnType<typeof Words>): string | undefined => {
      const [first] = Errors(schema, 'a\u202eb');
      return first?.keyword === 'pattern' ? wordsProblem(first.params.pattern) : undefined;
    };
    expect(said(Words(9))).toMatch(/is empty, or holds a sign that does not show/);
    expect(said(Text(9))).toMatch(/turns the writing round/);
    expect(wordsProblem('^x$')).toBeUndefined();
  });
});

it('a note has lines and tabs, and nothing else unseen', () => {
  expect(Check(Text(60), 'Torque dry.\r\n\tThen check.')).toBe(true);
  for (const sign of unseen.filter((s) => !'\n\r\t\u2028'.includes(s))) expect(Check(Text(60), `a${sign}b`)).toBe(false);
});

import { ConnectorSyntaxError } from '../connectors/index.js';
import { formatPortThread, parsePortThread, portCases, portThreadName } from './index.js';

const refusal = (text: string): ConnectorSyntaxError => {
  try {
    parsePortThread(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return error;
    throw error;
  }
  throw new Error(`"${text}" was read`);
};

describe('the thread of a port', () => {
  it('is known, one of several, or not known', () => {
    for (const [typed, written, name] of [
      ['1/8 NPT female', 'npt 1/8 f', 'American taper pipe 1/8, female'],
      ['npt 1/8 f|rc 1/8', 'npt 1/8 f | rc 1/8 f', 'American taper pipe 1/8, female, or British taper pipe 1/8, female'],
      ['?  about 14 mm ', '? about 14 mm', 'not known: about 14 mm'],
      ['?', '?', 'not known'],
    ] as const) {
      const thread = parsePortThread(typed);
      expect([formatPortThread(thread), portThreadName(thread)]).toEqual([written, name]);
      expect(parsePortThread(written)).toEqual(thread);
      expect(portCases(thread)).toHaveLength(typed.startsWith('?') ? 0 : written.split('|').length);
    }
  });

  it('is refused where it goes wrong in the whole text, with the whole of it suggested', () => {
    const error = refusal('npt 1/8 f | m14x1.5 f wascher');
    expect([error.position, error.length]).toEqual([22, 7]);
    expect(error.suggestion).toBe('npt 1/8 f | m14x1.5 f washer');
    expect(refusal('npt 1/8 f | 1/8 npt fem').message).toBe('npt 1/8 f stands there twice.');
    expect(refusal('npt 1/8 f | ?').message).toMatch(/Not known/);
    expect(refusal('npt 1/8 f |').message).toMatch(/Nothing typed/);
    const seven = ['1/8', '1/4', '3/8', '1/2', '3/4', '1', '1 1/4'].map((size) => `npt ${size} f`).join(' | ');
    expect(refusal(seven).hint).toMatch(/write \? and what is/);
  });
});

import { EVENT_SCHEMA, upcast, type Upcaster } from './upcasters.js';

describe('rows of earlier events', () => {
  const steps: Record<number, Upcaster> = {
    2: (type, row) => (type === 'line' ? { ...row, pieces: [] } : row),
    3: (_, { position, ...row }) => ({ ...row, order: position }),
  };

  it('are brought up step by step, type by type', () => {
    expect(upcast('line', { id: 'a', position: 4 }, 1, steps, 3)).toEqual({ id: 'a', pieces: [], order: 4 });
    expect(upcast('port', { id: 'b', position: 2 }, 1, steps, 3)).toEqual({ id: 'b', order: 2 });
    expect(upcast('port', { id: 'b', position: 2 }, 3, steps, 3)).toEqual({ id: 'b', position: 2 });
  });

  it('of a newer app, or with a step missing, are not guessed at', () => {
    expect(() => upcast('line', {}, 4, steps, 3)).toThrow(/version 4/);
    expect(() => upcast('line', {}, 1, { 3: steps[3]! }, 3)).toThrow(/step to version 2/);
  });

  it('have a step for every version there has been', () => {
    for (let version = 1; version <= EVENT_SCHEMA; version++) expect(upcast('job', { id: 'j' }, version)).toHaveProperty('id');
  });
});

import type { TSchema } from 'typebox';
import { CommandSchema } from '../commands/index.js';
import { benchContracts, jobContracts, liveContracts, shopContracts, type Contract } from '../contracts/index.js';
import { JobFileSchema, LineSchema, PortSchema } from '../job/index.js';
import { counts, letters, limitProblem } from './limits.js';

describe('what goes beyond a limit', () => {
  it.each([
    ['maxLength', { limit: 80 }, 'is too long: 80 letters at most'],
    ['minLength', { limit: 1 }, 'is empty'],
    ['minLength', { limit: 3 }, 'is too short: 3 letters at least'],
    ['maxItems', { limit: 200 }, 'has too much in it: 200 entries at most'],
    ['minItems', { limit: 1 }, 'has nothing in it'],
    ['minItems', { limit: 2 }, 'has too little in it: 2 entries at least'],
    ['maximum', { limit: 20 }, 'is too large: 20 at most'],
    ['minimum', { limit: 0 }, 'is too small: 0 at least'],
    ['exclusiveMinimum', { limit: 0 }, 'is too small: more than 0 it has to be'],
    ['pattern', {}, undefined],
  ])('is told in words: %s %j', (keyword, params, words) => expect(limitProblem(keyword, params)).toBe(words));

  const bounds = ['maxLength', 'minLength', 'maxItems', 'minItems', 'maximum', 'minimum', 'exclusiveMinimum', 'pattern', 'maxProperties'];
  const every = (schema: unknown, found: TSchema[] = []): TSchema[] => {
    if (typeof schema !== 'object' || schema === null) return found;
    if (bounds.some((bound) => bound in schema)) found.push(schema as TSchema);
    for (const part of Object.values(schema)) every(part, found);
    return found;
  };

  it('has words at every bound there is, in the API and in the job file', () => {
    const contracts: Contract[] = [jobContracts, shopContracts, liveContracts, benchContracts].flatMap((some) => Object.values(some));
    const asked = contracts.flatMap(({ params, query, body }) => [params, query, body]);
    const bounded = [...every(asked), ...every(JobFileSchema), ...every(CommandSchema)];
    expect(bounded.length).toBeGreaterThan(200);
    const used = new Set(bounded.flatMap((schema) => bounds.filter((bound) => bound in schema)));
    expect([...used].filter((bound) => limitProblem(bound, { limit: 7 }) === undefined)).toEqual(['pattern']);
  });

  it('is the same in a row and in the file: what one lets in, the other takes', () => {
    const file = JobFileSchema.properties;
    const component = file.components.items.properties;
    const most = (schema: object, bound: string): unknown => (schema as Record<string, unknown>)[bound];
    expect([
      most(component.name, 'maxLength'),
      ...[component.ports, file.components, file.lines].map((list) => most(list, 'maxItems')),
    ]).toEqual([letters.name, counts.portsOfComponent, counts.componentsOfJob, counts.linesOfJob]);
    expect(file.lines.items.properties.name).toEqual(LineSchema.properties.name);
    expect(component.ports.items.properties.label).toEqual(PortSchema.properties.label);
  });
});

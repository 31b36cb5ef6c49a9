import { Value } from 'typebox/value';
import { catalogue, document } from '../../testing/sample-job.js';
import { ConnectorSchema } from '../connectors/index.js';
import { FittingSchema } from '../fittings/index.js';
import { HoseEndSchema, HoseSchema } from '../hose/index.js';
import {
  ComponentSchema,
  componentKinds,
  JobDocumentSchema,
  JobFileSchema,
  JobSchema,
  LineSchema,
  PieceSchema,
  PortSchema,
  serviceIds,
  services,
  writeJobFile,
} from './index.js';

const piece = document.lines[0]!.pieces[0]!;

describe('the schemas', () => {
  it('take the sample job, its file and the whole catalogue', () => {
    expect(Value.Check(JobDocumentSchema, document)).toBe(true);
    expect(Value.Check(JobFileSchema, writeJobFile(document, catalogue))).toBe(true);
    for (const f of catalogue.fittings) expect(Value.Check(FittingSchema, f)).toBe(true);
    for (const h of catalogue.hoses) expect(Value.Check(HoseSchema, h)).toBe(true);
    for (const e of catalogue.hoseEnds) expect(Value.Check(HoseEndSchema, e)).toBe(true);
  });

  it.each([
    ['a job without a number', JobSchema, { ...document.job, number: '' }],
    ['a job whose number is blank', JobSchema, { ...document.job, number: '   ' }],
    ['a job with more than it should have', JobSchema, { ...document.job, colour: 'red' }],
    ['a component of no known kind', ComponentSchema, { ...document.components[0], kind: 'rocket' }],
    ['a component above the list', ComponentSchema, { ...document.components[0], order: -1 }],
    ['a port without a word of its thread', PortSchema, { ...document.ports[0], connector: undefined }],
    ['a connector that is neither male nor female', ConnectorSchema, { family: 'orb', size: '6', gender: 'both' }],
    ['a connector with a size a page long', ConnectorSchema, { family: 'orb', size: '6'.repeat(50), gender: 'male' }],
    ['a line of no service', LineSchema, { ...document.lines[0], service: 'brake' }],
    ['a line without a way', LineSchema, { ...document.lines[0], ways: [] }],
    ['a line without a port', LineSchema, { ...document.lines[0], portB: undefined }],
    ['a line with more hose than a line has', LineSchema, { ...document.lines[0], pieces: Array(7).fill(piece) }],
    ['a piece of no length', PieceSchema, { ...piece, length: { mm: 0, as: 'taped' } }],
    ['a piece of forty metres', PieceSchema, { ...piece, length: { mm: 40_000, as: 'taped' } }],
    ['a length taken as nobody takes it', PieceSchema, { ...piece, length: { mm: 400, as: 'guessed' } }],
    ['a piece with negative slack', PieceSchema, { ...piece, slackPercent: -1 }],
    ['a piece without a key', PieceSchema, { ...piece, key: '' }],
    ["a key that would end a joint's name", PieceSchema, { ...piece, key: 'a>b' }],
    ['a fitting without an end', FittingSchema, { ...catalogue.fittings[0], ends: [] }],
    ['a fitting at a negative price', FittingSchema, { ...catalogue.fittings[0], priceMinor: -1 }],
    ['a fitting at a fraction of a cent', FittingSchema, { ...catalogue.fittings[0], priceMinor: 1.5 }],
    ['a hose without pressure', HoseSchema, { ...catalogue.hoses[0], workingBar: undefined }],
  ] as const)('refuse %s', (_, schema, value) => expect(Value.Check(schema, value)).toBe(false));

  it('know the same services as the table of services, and kinds that read as words', () => {
    expect(services.map((s) => s.id)).toEqual([...serviceIds]);
    for (const kind of componentKinds) expect(kind).toMatch(/^[a-z ]+$/);
  });
});

import type { JobDocument, Line } from '../../job/index.js';
import type { RuleId } from '../registry.js';
import { examples } from './examples.js';
import { soundJob } from './show.js';

/** Examples that say something of the whole job, not of a line: several of them side by side would change one another. */
const OF_THE_JOB: readonly RuleId[] = [
  'no-thermostat',
  'job-not-judged',
  'oil-not-counted',
  'coupler-without-bead',
  'part-retired',
  'fitting-refused',
  'brass-overhung',
  'drain-narrow',
  'drain-under-usual',
  'drain-steps-down',
  'comes-too-late',
  'nobody-offers-it',
  'length-shared',
  'ordered-too-much',
  'cut-to-another-length',
];

/** Whether the fault of a rule can stand in one job beside others. */
export function standsBeside(rule: RuleId): boolean {
  return !OF_THE_JOB.includes(rule);
}

/** One job of several: a part of it for each rule, sound or with the fault of that rule in it. */
export function sideBySide(rules: readonly RuleId[], broken: (at: number) => boolean): ReturnType<typeof soundJob> {
  const shown = rules.map((rule, at) => {
    const job = soundJob(examples[rule].sound);
    return broken(at) ? examples[rule].breaks(job) : job;
  });
  const documents = shown.map(({ document }, at) => renamed(document, `j${at}-`));
  const lines = documents.flatMap((d) => d.lines).map((line, i): Line => ({ ...line, number: i + 1, order: i }));
  const fittings = new Map(shown.flatMap(({ catalogue }) => catalogue.fittings.map((f) => [f.id, f] as const)));
  return {
    document: {
      job: documents[0]!.job,
      components: documents.flatMap((d) => d.components),
      ports: documents.flatMap((d) => d.ports),
      lines,
    },
    catalogue: { ...shown[0]!.catalogue, fittings: [...fittings.values()] },
  };
}

/** Every id of a job with something before it, so that several can stand in one. */
function renamed(document: JobDocument, before: string): JobDocument {
  const own = [...document.components, ...document.ports, ...document.lines].map(({ id }) => id);
  const names = new Map(own.map((id) => [id, `${before}${id}`]));
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walk);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([key, v]) => [key, ID_FIELDS.has(key) && typeof v === 'string' ? (names.get(v) ?? v) : walk(v)]),
    );
  };
  return walk({ ...document, job: document.job }) as JobDocument;
}

const ID_FIELDS = new Set(['id', 'componentId', 'portId', 'portA', 'portB']);

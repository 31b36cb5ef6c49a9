import { severities, waiverOf, type Finding, type WhatIsFound } from '../findings/index.js';
import { feedsOf, sizeTaken, systemOf, thermostatsOf, type FlowQuestion, type LineSizing } from '../flow/index.js';
import { usualFlowRules, type Catalogue, type JobDocument, type Running, type Waiver } from '../job/index.js';
import {
  answersStand,
  assembleJob,
  lookupsIn,
  noting,
  type Asked,
  type AssembledJob,
  type AssembledLine,
  type Lookups,
} from '../lines/index.js';
import { schoolsOfJob, usualJudgingRules } from '../shop-rules/index.js';
import { usualSealRules } from '../supplies/index.js';
import type { JudgedJob, JudgedJointPlace, JudgedLine, JudgingSchools, LineState } from './judged.js';
import { ruleById, rules } from './registry.js';
import type { Check, FactsOf, Reads } from './rule.js';
import type { StoreFacts } from './store-facts.js';

export const usualSchools: JudgingSchools = { seals: usualSealRules, flow: usualFlowRules, limits: usualJudgingRules };
const NOTHING_SAID: Running = {};

const checks = [...new Set(Object.values(rules).map(({ check }) => check))];
const checksOf = <R extends Reads>(reads: R): readonly Check<R>[] =>
  checks.filter((c) => c.reads === reads) as unknown as readonly Check<R>[];
const byLine = checksOf('line');
const byFlow = checksOf('flow');
const byJob = checksOf('job');

/** What was found of a line, and what it was found from: as long as that is the same, it is not looked for again. */
interface LineNotes {
  readonly line: AssembledLine;
  readonly limits: JudgingSchools['limits'];
  readonly asked: Asked;
  readonly own: readonly WhatIsFound[];
  readonly flowFrom: readonly unknown[];
  readonly sizing: LineSizing;
  readonly flowing: readonly WhatIsFound[];
}
/** What the line itself says already, and its sizing says again: a drain that is too narrow by its bore, a hose that is not for the fluid. */
const SAID_BY: readonly (readonly [string, readonly string[]])[] = [
  ['drain-narrow', ['size-fails', 'size-tight']],
  ['hose-not-for-fluid', ['hose-refused']],
];

interface JobNotes {
  readonly ofLine: ReadonlyMap<string, LineNotes>;
  readonly systemFrom: readonly unknown[];
}
const notes = new WeakMap<JudgedJob, JobNotes>();

/**
 * Assembles a job and judges it by every rule. What has not changed since `previous` is taken over as it was found: an edit costs what it touches.
 *
 * @param store what shelf, orders and rack say of it; what hangs on them is not judged without
 * @throws {RangeError} if a line names a port or component that is not in the document
 */
export function judgeJob(
  document: JobDocument,
  catalogue: Catalogue,
  previous?: JudgedJob,
  shop: JudgingSchools = usualSchools,
  store?: StoreFacts,
): JudgedJob {
  const schools = schoolsOfJob(document.job.deviations, shop);
  const facts = assembleJob(document, catalogue, previous?.facts, schools);
  const known = previous && notes.get(previous);
  const question: FlowQuestion = { job: facts, running: document.job.running ?? NOTHING_SAID, rules: schools.flow };
  const around = lookupsIn(document, catalogue);
  const controlled = thermostatsOf(facts).length > 0;
  const ofLine = new Map(
    facts.lines.map((line) => [line.line.id, lineNotes(line, around, question, schools, controlled, known?.ofLine.get(line.line.id))]),
  );
  const systemFrom = [question.running, schools.flow, document.components, document.ports, catalogue, ...facts.lines];
  const system = previous && known && isSame(known.systemFrom, systemFrom) ? previous.system : systemOf(question, 'hottest', 'hot');
  const sizings = new Map([...ofLine].map(([id, { sizing }]) => [id, sizing]));
  const whole = look(byJob, { job: facts, question, sizings: [...sizings.values()], system, ...(store ? { store } : {}) });
  const waivers = document.job.waivers ?? [];
  const wholeFindings = whole.map((found) => findingOf(found, waivers));
  const lines = facts.lines.map((line) => judged(line, ofLine.get(line.line.id)!, wholeFindings, waivers, previous));
  const own = new Set(lines.map((l) => l.line.id));
  const job: JudgedJob = {
    ...facts,
    facts,
    schools: shop,
    store,
    lines,
    lineById: new Map(lines.map((line) => [line.line.id, line])),
    jointByKey: jointsOf(facts, lines),
    findings: worstFirst([...lines.flatMap((l) => l.findings), ...wholeFindings.filter(({ at }) => !at.lineId || !own.has(at.lineId))]),
    system,
    sizings,
  };
  notes.set(job, { ofLine, systemFrom });
  return job;
}

/** One line of a job, judged with all that is around it. */
export function judgeLine(
  line: JobDocument['lines'][number],
  document: JobDocument,
  catalogue: Catalogue,
  schools?: JudgingSchools,
): JudgedLine {
  const others = document.lines.filter((l) => l.id !== line.id);
  return judgeJob({ ...document, lines: [...others, line] }, catalogue, undefined, schools).lineById.get(line.id)!;
}

function lineNotes(
  line: AssembledLine,
  around: Lookups,
  question: FlowQuestion,
  schools: JudgingSchools,
  controlled: boolean,
  before?: LineNotes,
): LineNotes {
  const same = before?.line === line && before.limits === schools.limits && answersStand(before.asked, around) ? before : undefined;
  const { lookups, asked } = noting(around);
  const own = same?.own ?? look(byLine, { line, around: lookups, schools });
  const { job, running, rules: flowRules } = question;
  const flowFrom = [line, running, flowRules, job.shop.seals, job.catalogue, controlled, ...feedsOf(line, job)];
  if (same && isSame(same.flowFrom, flowFrom)) return same;
  const sizing = sizeTaken(line, question);
  return {
    line,
    limits: schools.limits,
    asked: same?.asked ?? asked,
    own,
    flowFrom,
    sizing,
    flowing: look(byFlow, { line, sizing, question, schools }),
  };
}

function look<R extends Reads>(list: readonly Check<R>[], facts: FactsOf[R]): WhatIsFound[] {
  const found: WhatIsFound[] = [];
  for (const check of list) check.look(facts, (rule, at, message, more) => void found.push({ rule, at, message, ...more }));
  return found;
}

/** What is found, with all that its rule says, and whether it is accepted. */
function findingOf(found: WhatIsFound, waivers: readonly Waiver[]): Finding {
  const { title, why, hint, source, severity: usual } = ruleById(found.rule);
  const { rule, at, message, severity = usual } = found;
  const accepted = waiverOf({ rule, at, message, severity }, waivers);
  return {
    rule,
    severity,
    at,
    title,
    message,
    why,
    hint: found.hint ?? hint,
    source,
    remedies: found.remedies ?? [],
    ...(accepted ? { accepted } : {}),
  };
}

const dressed = new WeakMap<
  LineNotes,
  { readonly whole: readonly Finding[]; readonly waivers: readonly Waiver[]; readonly line: JudgedLine }
>();

function judged(
  line: AssembledLine,
  known: LineNotes,
  all: readonly Finding[],
  waivers: readonly Waiver[],
  previous: JudgedJob | undefined,
): JudgedLine {
  const whole = all.filter(({ at }) => at.lineId === line.line.id);
  const before = dressed.get(known);
  if (previous && before && before.waivers === waivers && sameFindings(before.whole, whole)) return before.line;
  const said = new Set(known.own.map(({ rule }) => rule));
  const flowing = known.flowing.filter(({ rule }) => !SAID_BY.some(([by, again]) => said.has(by) && again.includes(rule)));
  const findings = worstFirst([...[...known.own, ...flowing].map((found) => findingOf(found, waivers)), ...whole]);
  const made: JudgedLine = { ...line, findings, state: stateOf(line, findings) };
  dressed.set(known, { whole, waivers, line: made });
  return made;
}

function stateOf({ line: { checked } }: AssembledLine, findings: readonly Finding[]): LineState {
  const stands = findings.filter((f) => f.accepted === undefined);
  if (stands.some((f) => f.severity === 'leak')) return 'leaks';
  if (stands.some((f) => f.severity === 'risk' || ruleById(f.rule).undecided)) return 'open';
  return checked && !findings.some((f) => f.rule === 'changed-since-checked') ? 'checked' : 'seals';
}

/** Those that are accepted stand behind those that are not, whatever they are. */
function worstFirst(findings: readonly Finding[]): Finding[] {
  const rank = ({ severity, accepted }: Finding): number => severities.indexOf(severity) + (accepted ? severities.length : 0);
  return [...findings].sort((a, b) => rank(a) - rank(b));
}

function jointsOf({ jointByKey }: AssembledJob, lines: readonly JudgedLine[]): ReadonlyMap<string, JudgedJointPlace> {
  const byId = new Map(lines.map((line) => [line.line.id, line]));
  return new Map([...jointByKey].map(([key, { line, joint }]) => [key, { line: byId.get(line.line.id)!, joint }]));
}

function isSame(before: readonly unknown[], now: readonly unknown[]): boolean {
  return before.length === now.length && before.every((one, i) => one === now[i]);
}

function sameFindings(before: readonly Finding[], now: readonly Finding[]): boolean {
  return (
    before.length === now.length &&
    before.every((f, i) => f.rule === now[i]!.rule && f.message === now[i]!.message && f.accepted === now[i]!.accepted)
  );
}

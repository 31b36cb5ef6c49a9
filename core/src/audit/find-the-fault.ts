import { brokenExample, soundExample } from './examples/index.js';
import { contentHash } from '../schema/index.js';
import type { JudgedJob, JudgedLine } from './judged.js';
import { ruleById, ruleIds, type RuleId } from './registry.js';
import { saidOfLine, type SaidOfLine } from './said-of-line.js';

/** What is said where nothing is wrong. */
export const NOTHING_WRONG = 'sound';
export type FaultAnswer = RuleId | typeof NOTHING_WRONG;

/** A made line to be looked over: with the fault of a rule in it, or the sound one that it was made from. */
export interface FaultQuestion {
  readonly rule: RuleId;
  readonly faulty: boolean;
}

/** The line that is asked about, with what is known of it, and what may be wrong with it. */
export interface LineToLookOver {
  readonly judged: JudgedJob;
  readonly line: JudgedLine;
  readonly said: readonly SaidOfLine[];
  /** In the order of the rules, one of them or none is it. */
  readonly choices: readonly RuleId[];
}

/** Rules beside the right one that an answer is chosen from. */
const OTHERS = 5;

let askable: readonly RuleId[] | undefined;
/** The rules whose fault can be found by looking: it leaks or is a risk, and what is known of the line shows it. */
export function faultsToFind(): readonly RuleId[] {
  return (askable ??= ruleIds.filter((rule) => {
    const { severity, check } = ruleById(rule);
    if (check.reads === 'job' || (severity !== 'leak' && severity !== 'risk')) return false;
    return JSON.stringify(lineAsked({ rule, faulty: true }).said) !== JSON.stringify(lineAsked({ rule, faulty: false }).said);
  }));
}

function lineAsked({ rule, faulty }: FaultQuestion): Omit<LineToLookOver, 'choices'> {
  const judged = faulty ? brokenExample(rule) : soundExample(rule);
  const line = judged.lines[judged.lines.length - 1]!;
  return { judged, line, said: saidOfLine(line, judged) };
}

/**
 * The line to look over. Beside the right answer stand rules of its kind first, and none that the line breaks as well: only one of the answers
 * is right.
 */
export function lineToLookOver(question: FaultQuestion): LineToLookOver {
  const { rule } = question;
  const told = new Set(brokenExample(rule).findings.map((f) => f.rule));
  const others = faultsToFind().filter((id) => id !== rule && !told.has(id));
  const { area } = ruleById(rule);
  const near = [
    ...others.filter((id) => ruleById(id).area === area),
    ...spread(
      others.filter((id) => ruleById(id).area !== area),
      rule,
    ),
  ];
  const chosen = new Set([rule, ...near.slice(0, OTHERS)]);
  return { ...lineAsked(question), choices: ruleIds.filter((id) => chosen.has(id)) };
}

/** Rules of other kinds, begun at another place for each rule: not the same few beside each. */
function spread(rules: readonly RuleId[], by: RuleId): RuleId[] {
  const from = (ruleIds.indexOf(by) * 7) % Math.max(rules.length, 1);
  return [...rules.slice(from), ...rules.slice(0, from)];
}

/** By what name a question is handed out: it does not tell what is asked. */
export function nameOfQuestion({ rule, faulty }: FaultQuestion): string {
  return contentHash(['look it over', rule, faulty]);
}

/** The question of that name; undefined where there is none. */
export function questionNamed(name: string): FaultQuestion | undefined {
  return faultsToFind()
    .flatMap((rule) => [
      { rule, faulty: true },
      { rule, faulty: false },
    ])
    .find((question) => nameOfQuestion(question) === name);
}

/** What would have been right. */
export function rightAnswer({ rule, faulty }: FaultQuestion): FaultAnswer {
  return faulty ? rule : NOTHING_WRONG;
}

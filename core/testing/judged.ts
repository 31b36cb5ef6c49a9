import {
  judgeJob,
  judgeLine,
  lookupsIn,
  ruleById,
  usualSchools,
  rules,
  type Catalogue,
  type Check,
  type FlowQuestion,
  type JobDocument,
  type JudgedJob,
  type JudgedLine,
  type LineSizing,
  type Rule,
  type Severity,
} from '../src/index.js';

/** What is found of a line by itself: not what runs in it, nor what is not ticked as made up yet. */
function byItself<T extends Pick<JudgedLine, 'findings'>>(line: T): T {
  return {
    ...line,
    findings: line.findings.filter(
      ({ rule }) => (ruleById(rule).check.reads === 'line' || ruleById(rule).area === 'sensor') && rule !== 'joints-not-made',
    ),
  };
}

export function judgedLine(line: JobDocument['lines'][number], document: JobDocument, catalogue: Catalogue): JudgedLine {
  return byItself(judgeLine(line, document, catalogue));
}

export function judgedJob(...asked: Parameters<typeof judgeJob>): JudgedJob {
  const job = judgeJob(...asked);
  const lines = job.lines.map(byItself);
  return { ...job, lines, lineById: new Map(lines.map((l) => [l.line.id, l])), findings: lines.flatMap((l) => l.findings) };
}

/** What the rules that read the flow say of a line, by a sizing of it. */
export function flowFindings(
  sizing: LineSizing,
  question: FlowQuestion,
): { readonly rule: string; readonly severity: Severity; readonly message: string }[] {
  const found: { rule: string; severity: Severity; message: string }[] = [];
  const checks = new Set(
    Object.values<Rule>(rules).flatMap(({ check }) => (check.reads === 'flow' ? [check as unknown as Check<'flow'>] : [])),
  );
  for (const { look } of checks)
    look(
      { line: sizing.line, sizing, question, schools: usualSchools },
      (rule, _, message) => void found.push({ rule, severity: ruleById(rule).severity, message }),
    );
  const { look } = rules['valve-against-flow'].check as unknown as Check<'line'>;
  const around = lookupsIn(question.job.document, question.job.catalogue);
  look(
    { line: sizing.line, around, schools: usualSchools },
    (rule, _, message) => void found.push({ rule, severity: ruleById(rule).severity, message }),
  );
  // what cannot be judged, and what is known of every joint, is not the flow's
  return found.filter(({ rule }) => !['flow-not-judged', 'torque-not-known', 'seal-not-certain'].includes(rule));
}

import { connectorName } from '../connectors/index.js';
import { constructionById, cutLength, CutLengthError } from '../hose/index.js';
import { findHose, serviceById, type Catalogue, type JobDocument, type Line } from '../job/index.js';
import { formatDash } from '../units/index.js';
import { assembleEnd } from './assemble-end.js';
import type { AssembledEnd, AssembledLine, CutArithmetic, LineJoint, LineProblem } from './assembled-line.js';
import { numberJoints } from './number-joints.js';
import { sensorProblem } from './sensors.js';

/**
 * Puts a line together from its job and the catalogue: the parts in order, every joint with its verdict, the cut length with its
 * arithmetic, and what is still open or wrong. Nothing is stored: a port that changes changes every line on it.
 *
 * @throws {RangeError} if the line names a port or component that is not in the document
 */
export function assembleLine(line: Line, document: JobDocument, catalogue: Catalogue): AssembledLine {
  const problems: LineProblem[] = [];
  const hose = line.construction !== null && line.dash !== null ? findHose(catalogue, line.construction, line.dash) : undefined;
  if (line.construction === null || line.dash === null)
    problems.push({ code: 'hose-open', severity: 'open', message: 'No hose chosen.', hint: 'Choose construction and size.' });
  else if (!hose)
    problems.push({
      code: 'hose-open',
      severity: 'open',
      message: `${constructionName(line.construction)} hose is not in the catalogue in ${formatDash(line.dash)}.`,
      hint: 'Choose another size.',
    });
  const ends = (['A', 'B'] as const).map((side) => assembleEnd(line, side, document, catalogue, problems)) as [AssembledEnd, AssembledEnd];
  for (const end of ends) {
    const problem = sensorProblem(end, document, catalogue);
    if (problem) problems.push(problem);
  }
  const joints = numberJoints(ends, hose, new Set(line.made ?? []));
  for (const joint of joints)
    if (joint.mating.outcome !== 'seals')
      problems.push({
        code: 'joint',
        severity: 'leak',
        side: joint.side,
        message: `Joint ${joint.number} ${joint.mating.outcome === 'leaks' ? 'leaks' : 'does not join'}: ${joint.mating.reason}`,
        hint: 'Choose another way at this end.',
      });
  if (hose) checkFluid(line, hose.construction, problems);
  const cut = arithmetic(line, ends, problems);
  const bores = [...ends.flatMap((e) => [...(e.chain ?? []).map((p) => p.fitting.boreMm), e.hoseEnd?.boreMm]), hose?.boreMm].filter(
    (b) => b !== undefined,
  );
  return {
    line,
    ends,
    ...(hose ? { hose } : {}),
    joints,
    ...(cut ? { cut } : {}),
    problems,
    ...(bores.length > 0 ? { leastBoreMm: Math.min(...bores) } : {}),
    state: stateOf(line, problems),
  };
}

function arithmetic(line: Line, [a, b]: readonly [AssembledEnd, AssembledEnd], problems: LineProblem[]): CutArithmetic | undefined {
  if (line.tapedLengthMm === null) {
    problems.push({ code: 'length-open', severity: 'open', message: 'No length taped.', hint: 'Tape from seat to seat over the mock-up.' });
    return undefined;
  }
  if (!a.hoseEnd || !b.hoseEnd) return undefined;
  try {
    const exact = cutLength({ assemblyLengthMm: line.tapedLengthMm, endA: a.hoseEnd, endB: b.hoseEnd, slackPercent: line.slackPercent });
    const cutMm = Math.ceil(exact - 1e-6);
    const freeMm = line.tapedLengthMm - a.hoseEnd.aMm - b.hoseEnd.aMm;
    return {
      tapedMm: line.tapedLengthMm,
      endAMm: a.hoseEnd.aMm,
      endBMm: b.hoseEnd.aMm,
      freeMm,
      slackPercent: line.slackPercent,
      slackMm: exact - freeMm,
      cutMm,
      assemblyMm: cutMm + a.hoseEnd.aMm + b.hoseEnd.aMm,
    };
  } catch (error) {
    if (!(error instanceof CutLengthError)) throw error;
    problems.push({ code: 'length', severity: 'attention', message: error.message, hint: error.hint });
    return undefined;
  }
}

function checkFluid(line: Line, construction: string, problems: LineProblem[]): void {
  const service = serviceById(line.service);
  const { fluids, name } = constructionById(construction);
  const suits = fluids.includes(service.fluid) || service.fluid === 'air';
  if (!suits && line.service !== 'other')
    problems.push({
      code: 'fluid',
      severity: 'attention',
      message: `${capital(name)} is not made for ${service.fluid}.`,
      hint: 'Choose a construction rated for the fluid.',
    });
}

function stateOf(line: Line, problems: readonly LineProblem[]): AssembledLine['state'] {
  if (problems.some((p) => p.severity === 'leak')) return 'leaks';
  if (problems.length > 0) return 'open';
  return line.checked ? 'checked' : 'seals';
}

function constructionName(id: string): string {
  try {
    return capital(constructionById(id).name);
  } catch {
    return `"${id}"`;
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Names both connectors of a joint for the inspector: `['O-ring boss -10, female', 'O-ring boss -10, male']`. */
export function jointNames(joint: LineJoint): readonly string[] {
  return joint.connectors ? joint.connectors.map(connectorName) : joint.parts;
}

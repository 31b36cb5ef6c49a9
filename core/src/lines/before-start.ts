import type { Fitting } from '../fittings/index.js';
import type { Line } from '../job/index.js';
import type { AssembledJob } from './assemble-job.js';
import type { AssembledWay, LineJoint } from './assembled-line.js';
import { finding, type Finding, type LineRule } from './findings.js';

/** What need not hold a line back while it is planned, and must be gone before the engine is started. */
const RULES: readonly LineRule[] = ['provisional', 'as-found-open'];

/** The fittings of a line by their keys, those on its branches as well. */
export function placedParts(ways: readonly AssembledWay[]): { readonly key: string; readonly fitting: Fitting }[] {
  return ways.flatMap(({ kept, fittings = [], branches }) => [
    ...fittings,
    ...branches.flatMap(({ at, end, fittings: standing }) => {
      const keys = kept.chosen!.branches.find((b) => b.at === at && b.end === end)!.fittings;
      return standing.map(({ fitting }, i) => ({ key: keys[i]!.key, fitting }));
    }),
  ]);
}

/** Joints and fittings of a line that are provisional, and existing joints about which nothing has been done yet. */
export function beforeStart(line: Line, joints: readonly LineJoint[], ways: readonly AssembledWay[]): Finding[] {
  const { id: lineId, version, provisional = [], found = [] } = line;
  const fittings = placedParts(ways);
  return [
    ...provisional.flatMap((thing): Finding[] => {
      const joint = joints.find((j) => j.id === thing);
      const what = joint ? `Joint ${joint.number}` : fittings.find((f) => f.key === thing)?.fitting.name;
      if (!what) return [];
      const rest = provisional.filter((other) => other !== thing);
      const remedy = {
        label: 'It is final now',
        commands: [{ do: 'edit-line' as const, id: lineId, version, set: { provisional: rest } }],
      };
      return [finding('provisional', { lineId, ...(joint ? { joint: joint.id } : {}) }, `${what} is provisional.`, { remedies: [remedy] })];
    }),
    ...found.flatMap(({ joint: id, state, action, words }): Finding[] => {
      const joint = joints.find((j) => j.id === id);
      if (!joint || state === 'sound' || action !== 'nothing yet') return [];
      const more = words.trim() ? ` (${words.trim()})` : '';
      return [
        finding(
          'as-found-open',
          { lineId, joint: id },
          `Joint ${joint.number} was found so: ${state}${more}. Nothing is done about it yet.`,
        ),
      ];
    }),
  ];
}

/** All of a job that must be gone before the engine is started: provisional hoses, fittings and joints, and joints found bad. */
export function openBeforeStart({ findings }: Pick<AssembledJob, 'findings'>): Finding[] {
  return findings.filter(({ rule }) => RULES.includes(rule));
}

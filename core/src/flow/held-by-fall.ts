import type { FlowRules } from '../job/index.js';
import { quantity } from '../units/index.js';
import type { LineDuty } from './duty.js';
import type { Held } from './held.js';
import { headBar } from './run-path.js';
import type { SizeRun } from './size-line.js';

/** How many times what comes a drain should carry with its froth. Common practice: red under 1, amber to this. */
const DRAIN_TIMES = 1.25;

/** A drain by its fall: what it carries of what comes, its bore and its ledges. */
export function heldByFall(run: SizeRun, duty: LineDuty, { drainBoreMm, drainFailsMm }: FlowRules): Held[] {
  const bore = run.path.passed.length > 0 ? Math.min(...run.path.passed.map((p) => p.boreMm)) : 0;
  const stepped = stepDown(run);
  const turbo = duty.figures.service === 'turbo-drain';
  const rises = (duty.said.fallMm ?? 1) <= 0;
  return [
    ...(rises ? [{ left: -1, short: 'does not fall', words: 'nothing but its fall drives it, and it does not fall' }] : []),
    ...run.outcomes.flatMap((o): Held[] => {
      // a canister that stands full while its oil is cold lacks nothing
      if (!o.carries || o.state.id === 'warm' || (!turbo && o.state.id === 'cold')) return [];
      const times = o.carries.full / Math.max(1e-9, o.flowLpm);
      const [cold, least] = [o.state.id === 'cold', DRAIN_TIMES];
      return [
        {
          left: times / least - 1,
          // at a cold start it lasts for minutes, with the shaft hardly turning
          ...(times < least && (times >= 1 || cold) ? { soft: true as const } : {}),
          row: `carries ${o.state.id}` as const,
          short: times < 1 ? (cold ? 'backs up cold' : 'backs up') : cold ? 'just carries it cold' : 'just carries it',
          words: `${o.state.name} ${quantity(o.flowLpm.toFixed(1), 'L/min')} come, and it carries ${quantity(o.carries.full.toFixed(1), 'L/min')}${turbo ? ' with its froth' : ''} at full bore, ${times.toFixed(2)} ×${duty.againstBar > 0 ? `; the crankcase takes ${quantity((duty.againstBar * 1000).toFixed(0), 'mbar')} of its ${quantity((headBar(duty.said.fallMm ?? 0, o.state.fluid.densityKgM3) * 1000).toFixed(0), 'mbar')}` : ''}`,
        },
      ];
    }),
    ...(turbo && bore < drainBoreMm
      ? [
          {
            left: -1,
            ...(bore >= drainFailsMm ? { soft: true as const } : {}),
            row: 'narrowest' as const,
            short: 'narrow drain',
            words: `its narrowest is ${quantity(bore.toFixed(1), 'mm')}; ${quantity(drainBoreMm, 'mm')} and up are usual, and under ${quantity(drainFailsMm, 'mm')} froth stands in it`,
          },
        ]
      : []),
    ...(stepped ? [{ left: -1, soft: true as const, short: 'steps down', words: stepped }] : []),
  ];
}

/** Share by which a bore may narrow on its way before froth stands at the ledge: the ends of a hose are always a little narrower. Common practice. */
const LEDGE = 0.8;

/** Where the bore of a drain narrows beyond what it has passed already, in words. */
export function stepDown({ path }: Pick<SizeRun, 'path'>): string | undefined {
  const way = path.passed.filter((p) => p.kind === 'fitting' || p.kind === 'hose' || p.kind === 'hose end');
  let [least, before] = [Infinity, way[0]];
  for (const one of way) {
    if (one.boreMm < LEDGE * least && least < Infinity)
      return `it narrows from ${quantity(before!.boreMm, 'mm')} to ${quantity(one.boreMm, 'mm')} at ${one.name}`;
    if (one.boreMm < least) [least, before] = [one.boreMm, one];
  }
  return undefined;
}

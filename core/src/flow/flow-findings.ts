import { leadsTo } from '../fittings/index.js';
import type { AssembledLine } from '../lines/index.js';
import { bypassOfLine } from './bypass-of-line.js';
import { couplersOfLine } from './coupler-of-line.js';
import type { FlowQuestion } from './duty.js';
import type { LineSizing } from './size-line.js';
import { outcomeIn, stepDown } from './judge-sizes.js';
import { thermostatsOf } from './thermostats.js';
import { turboNeeds } from './turbo.js';
import { bearingOf } from './what-feeds.js';
import { quantity } from '../units/index.js';

export type FlowSeverity = 'attention' | 'advice';

/** What the flow of a line can complain of: one rule a fault. */
export const flowRules = {
  'size-fails': { severity: 'attention', hint: 'Take the size that is recommended, or look at the figures it is reckoned with.' },
  'size-tight': { severity: 'advice', hint: 'It goes; a wider one has more to spare.' },
  'hose-refused': { severity: 'attention', hint: 'Take a construction that bears it: see the list of hoses.' },
  'two-restrictors': { severity: 'attention', hint: 'Keep one: two behind one another let through less than either.' },
  'restrictor-hidden': { severity: 'advice', hint: 'Keep it in mind when a restrictor is chosen.' },
  'feed-too-much': {
    severity: 'advice',
    hint: "Take a narrower restrictor: what is too much floods the seals. The turbo maker's figure goes first.",
  },
  'feed-too-little': { severity: 'attention', hint: "Take a wider restrictor or line. The turbo maker's figure goes first." },
  'drain-rises': { severity: 'attention', hint: 'Lead it down all the way, or pump it.' },
  'drain-steps-down': { severity: 'attention', hint: 'Keep the bore, or let it grow on its way: froth stands where it narrows.' },
  'cap-must-turn': {
    severity: 'attention',
    hint: 'Take an end with a swivel at the cap and give the hose slack: the cap must still turn and lift.',
  },
  'booster-without-valve': { severity: 'attention', hint: 'Put a check valve in, its arrow from the booster to the engine.' },
  'valve-against-flow': { severity: 'attention', hint: 'Turn the valve: its arrow points the way that the flow goes.' },
  'bypass-takes-much': { severity: 'attention', hint: 'Take a narrower orifice: the bearings come first.' },
  'coupler-without-bead': { severity: 'attention', hint: 'Roll a bead on the pipe, or take another end.' },
  'no-thermostat': {
    severity: 'advice',
    hint: 'A road car and cold places want one; a pure track car may go without, and warms up longer.',
  },
} as const satisfies Record<string, { severity: FlowSeverity; hint: string }>;
export type FlowRule = keyof typeof flowRules;

export interface FlowFinding {
  readonly rule: FlowRule;
  readonly severity: FlowSeverity;
  readonly lineId: string;
  readonly message: string;
  readonly hint: string;
}

/** Slack that a return through the filler cap needs, so that the cap lifts, %. Common practice. */
const CAP_SLACK_PERCENT = 4;

/** All that the flow of a line complains of, by its sizing. */
export function flowFindings(sizing: LineSizing, question: FlowQuestion): FlowFinding[] {
  const { line } = sizing;
  const say = (rule: FlowRule, message: string): FlowFinding => ({ rule, ...flowRules[rule], lineId: line.line.id, message });
  return [
    ...ofSize(sizing, say),
    ...ofRestrictors(sizing, say),
    ...ofTurbo(sizing, say),
    ...ofDrain(sizing, say),
    ...ofValves(line, say),
    ...ofBypass(sizing, question, say),
    ...ofCoupler(sizing, say),
    ...ofThermostat(line, question, say),
  ];
}

type Say = (rule: FlowRule, message: string) => FlowFinding;

function ofSize({ columns, taken, refusals, line }: LineSizing, say: Say): FlowFinding[] {
  const column = taken === undefined ? undefined : columns[taken];
  const name = line.pieces[0]?.hose?.name ?? '';
  return [
    ...(column && refusals.length > 0 ? [say('hose-refused', `${name}: ${refusals.join('; ')}.`)] : []),
    ...(column?.verdict === 'fails' ? [say('size-fails', `${column.size}: ${column.against.join('; ')}.`)] : []),
    ...(column?.verdict === 'tight' ? [say('size-tight', `${column.size}: ${column.against.join('; ')}.`)] : []),
  ];
}

/** A restrictor that nobody meant to be one: a fitting or another part with a hole of two millimetres. */
function ofRestrictors({ columns, taken, line }: LineSizing, say: Say): FlowFinding[] {
  const path = columns[taken ?? 0]?.path.passed ?? [];
  const holes = path.filter((p) => p.kind === 'restrictor');
  const hidden = holes.filter((p) => p.key !== undefined);
  const words = holes.map((p) => `${p.name} (Ø ${quantity(p.boreMm, 'mm')})`).join(' and ');
  if (holes.length > 1) return [say('two-restrictors', `Two restrictors stand behind one another: ${words}.`)];
  return hidden.length === 1 && line.line.service !== 'bypass-feed' ? [say('restrictor-hidden', `${words} throttles this line.`)] : [];
}

function ofTurbo({ columns, taken, line, duty }: LineSizing, say: Say): FlowFinding[] {
  const hot = taken === undefined ? undefined : outcomeIn(columns[taken]!, 'hottest');
  if (line.line.service !== 'turbo-feed' || !hot || duty.said.bearing === undefined) return [];
  const { lpm, name, source } = turboNeeds[bearingOf(line)];
  const gives = `It gives ${quantity(hot.flowLpm.toFixed(1), 'L/min')} when hot; ${name} take ${quantity(lpm[0], 'L/min', lpm[1])} (${source}).`;
  // too much is overstepped by a fifth before it is told; too little, which hurts, at once
  if (hot.flowLpm > lpm[1] * 1.2) return [say('feed-too-much', gives)];
  return hot.flowLpm < lpm[0] ? [say('feed-too-little', gives)] : [];
}

function ofDrain({ columns, taken, line, duty }: LineSizing, say: Say): FlowFinding[] {
  if (duty.figures.drive !== 'fall') return [];
  const { fallMm, comesBack } = duty.said;
  const step = taken === undefined ? undefined : stepDown(columns[taken]!);
  const last = line.pieces[line.pieces.length - 1];
  const still = comesBack === 'filler cap' && (!last?.endB?.connector.swivel || last.piece.slackPercent < CAP_SLACK_PERCENT);
  return [
    ...(fallMm !== undefined && fallMm <= 0
      ? [
          say(
            'drain-rises',
            `It ${fallMm === 0 ? 'lies flat' : `rises by ${quantity(-fallMm, 'mm')}`}, and nothing but its fall drives it.`,
          ),
        ]
      : []),
    ...(step ? [say('drain-steps-down', `On its way ${step}.`)] : []),
    ...(still
      ? [
          say(
            'cap-must-turn',
            `It comes back through the filler cap: ${last?.endB?.connector.swivel ? `${last.piece.slackPercent} % of slack are too little to lift it` : 'its end there does not turn'}.`,
          ),
        ]
      : []),
  ];
}

function ofValves({ line, ways }: AssembledLine, say: Say): FlowFinding[] {
  const valves = ways.flatMap(({ fittings = [] }) => fittings.filter(({ fitting }) => fitting.oneWay));
  const wrong = valves.filter(({ fitting, inEnd, outEnd }) => !leadsTo(fitting, inEnd, outEnd));
  const whole = ways.every((way) => way.fittings);
  return [
    ...wrong.map(({ fitting }) => say('valve-against-flow', `${fitting.name} lets pass from B to A only, and the line runs from A to B.`)),
    ...(line.service === 'brake-booster' && whole && valves.length === 0
      ? [say('booster-without-valve', 'Nothing keeps the vacuum in the booster when the engine stops.')]
      : []),
  ];
}

function ofBypass(sizing: LineSizing, question: FlowQuestion, say: Say): FlowFinding[] {
  const found = bypassOfLine(sizing, question);
  if (!found?.tooMuch) return [];
  const { idleLpm, shareIdle } = found;
  const share = shareIdle === undefined ? '' : `, ${Math.round(shareIdle * 100)} % of what the pump gives`;
  return [say('bypass-takes-much', `At hot idle it takes ${quantity(idleLpm.toFixed(1), 'L/min')}${share}.`)];
}

function ofCoupler(sizing: LineSizing, say: Say): FlowFinding[] {
  return couplersOfLine(sizing).flatMap(({ holds, where, words }) => (holds ? [] : [say('coupler-without-bead', `${where}: ${words}`)]));
}

function ofThermostat({ line, portB }: AssembledLine, { job, rules }: FlowQuestion, say: Say): FlowFinding[] {
  const toCooler = (line.service === 'cooler' || line.service === 'cooler-back') && portB.component.kind === 'cooler';
  if (!toCooler || rules.thermostat === 'none' || thermostatsOf(job).length > 0) return [];
  return [say('no-thermostat', 'Nothing keeps the oil from the cooler while it is cold.')];
}

import { isMetal, leadsTo } from '../fittings/index.js';
import type { ServiceId } from '../job/index.js';
import type { AssembledLine } from '../lines/index.js';

import { coolantBoilsC } from './boiling.js';
import { bypassOfLine } from './bypass-of-line.js';
import { couplersOfLine } from './coupler-of-line.js';
import type { FlowQuestion } from './duty.js';
import { hoseDutyOf, type LineSizing } from './size-line.js';
import { outcomeIn } from './held.js';
import { stepDown } from './held-by-fall.js';
import { thermostatsOf } from './thermostats.js';
import { turboNeeds } from './turbo.js';
import { headBar } from './run-path.js';
import { bearingOf, hole, orificeOf } from './what-feeds.js';
import { quantity, roundedDown, roundedUp } from '../units/index.js';

export type FlowSeverity = 'attention' | 'advice';

/** What the flow of a line can complain of: one rule a fault. */
export const flowRules = {
  'size-fails': { severity: 'attention', hint: 'Take the size that is recommended, or look at the figures it is reckoned with.' },
  'size-tight': { severity: 'advice', hint: 'It goes; a wider one has more to spare.' },
  'hose-refused': { severity: 'attention', hint: 'Take a construction that bears it: see the list of hoses.' },
  'fitting-refused': { severity: 'attention', hint: 'Take another way there, or look at the figures it is held against.' },
  'two-restrictors': { severity: 'attention', hint: 'Keep one: two behind one another let through less than either.' },
  'restrictor-hidden': { severity: 'advice', hint: 'Keep it in mind when a restrictor is chosen.' },
  'feed-too-much': {
    severity: 'advice',
    hint: "Fit a narrower restrictor: what is too much floods the seals. The turbo maker's figure goes first.",
  },
  'feed-too-little': { severity: 'attention', hint: "Fit a wider restrictor or line. The turbo maker's figure goes first." },
  'restrictor-in-return': { severity: 'attention', hint: 'Take it out: nothing but its fall, or the air, drives what runs here.' },
  'valve-in-drain': { severity: 'attention', hint: 'Take it out: what it asks for before it opens is more than a drain has.' },
  'coolant-boils': { severity: 'attention', hint: 'Fit a cap that holds more, or keep it cooler: steam carries no heat away.' },
  'drain-rises': { severity: 'attention', hint: 'Lead it down all the way, or pump it.' },
  'drain-steps-down': { severity: 'advice', hint: 'Keep the bore, or let it grow on its way: froth stands where it narrows.' },
  'cap-must-turn': {
    severity: 'attention',
    hint: 'Take an end with a swivel at the cap and give the hose slack: the cap must still turn and lift.',
  },
  'booster-without-valve': {
    severity: 'attention',
    hint: 'Put a check valve in, its arrow from the booster to the engine; where it sits in the booster itself, log it as a component of the kind valve.',
  },
  'valve-against-flow': { severity: 'attention', hint: 'Turn the valve: its arrow points the way that the flow goes.' },
  'bypass-takes-much': { severity: 'advice', hint: 'More than is usual: look at the pressure at hot idle.' },
  'bypass-takes-too-much': { severity: 'attention', hint: 'Take a narrower orifice: the bearings come first.' },
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
    ...ofFittings(sizing, question, say),
    ...ofRestrictors(sizing, say),
    ...ofTurbo(sizing, say),
    ...ofDrain(sizing, say),
    ...ofValves(line, say),
    ...ofBypass(sizing, question, say),
    ...ofCoupler(sizing, say),
    ...ofThermostat(line, question, say),
    ...ofCoolant(sizing, say),
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

/** Pressure, heat and cold of what is beside the hose, held against the line as they are for the hose itself. */
function ofFittings({ line, duty }: LineSizing, { rules }: FlowQuestion, say: Say): FlowFinding[] {
  const { pressureBar, hottestC, coldestC } = hoseDutyOf(duty, rules);
  const fittings = line.ways.flatMap(({ fittings = [] }) => fittings.map(({ fitting }) => fitting));
  return [...new Set(fittings)].flatMap((fitting) => {
    const { name, maxBar, minTempC, maxTempC, ends } = fitting;
    // rings go by the cold start by themselves, and the hose over a barb is judged as a hose
    const soft = !isMetal(fitting);
    const over = ends.some(({ family }) => family === 'barb' || family === 'bead');
    const sealed = ends.some(({ family }) => family === 'qc' || family === 'drybreak' || family === 'stub');
    const [ownHeat, ownCold] = [soft || !over, soft || sealed];
    const why = [
      ...(maxBar !== undefined && maxBar < pressureBar
        ? [`it bears ${roundedDown(maxBar, 'bar')}, and ${roundedUp(pressureBar, 'bar')} may stand in it`]
        : []),
      ...(ownHeat && maxTempC !== undefined && maxTempC < hottestC
        ? [`it bears ${roundedDown(maxTempC, '°C')}, and it gets to ${roundedUp(hottestC, '°C')}`]
        : []),
      ...(ownCold && coldestC !== undefined && minTempC !== undefined && coldestC < minTempC
        ? [`it is good to ${roundedUp(minTempC, '°C')}, and it gets to ${roundedDown(coldestC, '°C')}`]
        : []),
    ];
    return why.length > 0 ? [say('fitting-refused', `${name}: ${why.join('; ')}.`)] : [];
  });
}

const RETURNS: readonly ServiceId[] = ['turbo-drain', 'scavenge', 'return', 'tank', 'bypass-return', 'breather'];

/** A restrictor that nobody meant to be one: a fitting or another part with a hole of two millimetres. */
function ofRestrictors({ columns, taken, line, duty }: LineSizing, say: Say): FlowFinding[] {
  const path = columns[taken ?? 0]?.path.passed ?? [];
  const holes = path.filter((p) => p.kind === 'restrictor');
  const hidden = holes.filter((p) => p.key !== undefined);
  const orifice = line.line.service === 'bypass-feed' ? orificeOf(line) : undefined;
  if (orifice !== undefined && holes.length > 0) holes.push(hole(`the orifice of ${line.portB.component.name}`, orifice));
  const words = holes.map((p) => `${p.name} (Ø ${quantity(p.boreMm, 'mm')})`).join(' and ');
  if (holes.length > 0 && (duty.figures.drive === 'fall' || duty.figures.drive === 'suction' || RETURNS.includes(line.line.service)))
    return [
      say(
        'restrictor-in-return',
        `${words}: ${duty.figures.drive === 'suction' ? 'the pump starves behind it' : 'what should run away stands before it'}.`,
      ),
    ];
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
  const { fallMm, comesBack } = duty.said;
  const falls = duty.figures.drive === 'fall';
  if (!falls && comesBack !== 'filler cap') return [];
  const valve = line.ways.flatMap(({ fittings = [] }) => fittings.filter(({ fitting }) => fitting.oneWay))[0]?.fitting;
  const head =
    fallMm === undefined
      ? ''
      : `, and a fall of ${quantity(fallMm, 'mm')} gives ${quantity((headBar(fallMm, 830) * 1000).toFixed(0), 'mbar')}`;
  const step = taken === undefined ? undefined : stepDown(columns[taken]!);
  const last = line.pieces[line.pieces.length - 1];
  const still = comesBack === 'filler cap' && (!last?.endB?.connector.swivel || last.piece.slackPercent < CAP_SLACK_PERCENT);
  return [
    ...(falls && valve ? [say('valve-in-drain', `${valve.name} opens at ${quantity(20, 'mbar')} to some hundreds${head}.`)] : []),
    ...(falls && fallMm !== undefined && fallMm <= 0
      ? [
          say(
            'drain-rises',
            `It ${fallMm === 0 ? 'lies flat' : `rises by ${quantity(-fallMm, 'mm')}`}, and nothing but its fall drives it.`,
          ),
        ]
      : []),
    ...(falls && step ? [say('drain-steps-down', `On its way ${step}.`)] : []),
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

/** A line to a brake booster that was drawn from the engine: its air runs from the booster all the same. */
function drawnFromEngine({ line, portA, portB }: AssembledLine): boolean {
  if (line.service !== 'brake-booster') return false;
  const isBooster = ({ component }: AssembledLine['portA']): boolean => /booster|servo/i.test(component.name);
  if (isBooster(portA) !== isBooster(portB)) return isBooster(portB);
  return portA.component.kind === 'block' && portB.component.kind !== 'block';
}

function ofValves(assembled: AssembledLine, say: Say): FlowFinding[] {
  const { line, ways, portA, portB } = assembled;
  const back = drawnFromEngine(assembled);
  const valves = ways.flatMap(({ fittings = [] }) => fittings.filter(({ fitting }) => fitting.oneWay));
  const wrong = valves.filter(({ fitting, inEnd, outEnd }) => !(back ? leadsTo(fitting, outEnd, inEnd) : leadsTo(fitting, inEnd, outEnd)));
  const whole = ways.every((way) => way.fittings);
  return [
    ...wrong.map(({ fitting }) =>
      say(
        'valve-against-flow',
        back
          ? `${fitting.name} lets air pass to the booster only: it must pass from the booster to the engine.`
          : `${fitting.name} lets pass from B to A only, and the line runs from A to B.`,
      ),
    ),
    ...(line.service === 'brake-booster' &&
    whole &&
    valves.length === 0 &&
    ![portA, portB].some(({ component }) => component.kind === 'valve')
      ? [say('booster-without-valve', 'Nothing keeps the vacuum in the booster when the engine stops.')]
      : []),
  ];
}

function ofBypass(sizing: LineSizing, question: FlowQuestion, say: Say): FlowFinding[] {
  const found = bypassOfLine(sizing, question);
  if (!found?.much) return [];
  const { idleLpm, shareIdle } = found;
  const share = shareIdle === undefined ? '' : `, ${Math.round(shareIdle * 100)} % of what the pump gives`;
  return [
    say(
      found.tooMuch ? 'bypass-takes-too-much' : 'bypass-takes-much',
      `At hot idle it takes ${quantity(idleLpm.toFixed(1), 'L/min')}${share}.`,
    ),
  ];
}

function ofCoupler(sizing: LineSizing, say: Say): FlowFinding[] {
  return couplersOfLine(sizing).flatMap(({ holds, where, words }) => (holds ? [] : [say('coupler-without-bead', `${where}: ${words}`)]));
}

/** Coolant boils by its pressure, which the height takes off: the cap's is what is said of the line, or what is usual. */
function ofCoolant({ duty }: LineSizing, say: Say): FlowFinding[] {
  if (duty.fluid !== 'coolant') return [];
  const boilsC = coolantBoilsC(duty.airBar + duty.pressure.value);
  return duty.hottest.value > boilsC
    ? [
        say(
          'coolant-boils',
          `At ${quantity(duty.pressure.value, 'bar')} half glycol boils at ${roundedDown(boilsC.toFixed(0), '°C')} and plain water sooner; it gets to ${roundedUp(duty.hottest.value, '°C')}.`,
        ),
      ]
    : [];
}

function ofThermostat({ line, portB }: AssembledLine, { job, rules }: FlowQuestion, say: Say): FlowFinding[] {
  const toCooler = (line.service === 'cooler' || line.service === 'cooler-back') && portB.component.kind === 'cooler';
  if (!toCooler || rules.thermostat === 'none' || thermostatsOf(job).length > 0) return [];
  return [say('no-thermostat', 'Nothing keeps the oil from the cooler while it is cold.')];
}

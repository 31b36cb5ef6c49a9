import { bearingOf, bypassOfLine, orificeHole, outcomeIn, turboNeeds, type LineSizing } from '../../flow/index.js';
import type { ServiceId } from '../../job/index.js';
import { quantity } from '../../units/index.js';
import type { FlowFacts } from '../facts.js';
import { PRACTICE, rulesOf, type Say } from '../rule.js';

const RETURNS: readonly ServiceId[] = ['turbo-drain', 'scavenge', 'return', 'tank', 'bypass-return', 'breather'];

/** What holds the flow of a line back on purpose, or by accident: restrictors, bearings, orifices. */
export const feedRules = rulesOf(
  'flow',
  {
    'two-restrictors': {
      title: 'Two restrictors behind one another',
      area: 'flow',
      severity: 'leak',
      before: 'saw',
      why: 'Two let through less than either: what is behind them starves.',
      hint: 'Keep one.',
      source: PRACTICE,
    },
    'restrictor-hidden': {
      title: 'A fitting that throttles',
      area: 'flow',
      severity: 'advice',
      before: 'saw',
      why: 'A hole of two millimetres is a restrictor, whatever the part is called.',
      hint: 'Keep it in mind when a restrictor is chosen.',
      source: PRACTICE,
    },
    'restrictor-in-return': {
      title: 'A restrictor in a return',
      area: 'drain',
      severity: 'leak',
      before: 'saw',
      why: 'What should run away stands before it, or the pump starves behind it.',
      hint: 'Take it out: nothing but its fall, or the air, drives what runs here.',
      source: PRACTICE,
    },
    'feed-too-much': {
      title: 'More than the turbo takes',
      area: 'flow',
      severity: 'advice',
      before: 'saw',
      why: 'What is too much floods the seals, and smokes.',
      hint: "Fit a narrower restrictor. The turbo maker's figure goes first.",
      source: PRACTICE,
    },
    'feed-too-little': {
      title: 'Less than the turbo needs',
      area: 'flow',
      severity: 'leak',
      before: 'saw',
      why: 'Its bearings run dry, and it fails within minutes.',
      hint: "Fit a wider restrictor or line. The turbo maker's figure goes first.",
      source: PRACTICE,
    },
    'bypass-takes-much': {
      title: 'The bypass filter takes much',
      area: 'flow',
      severity: 'advice',
      before: 'start',
      why: 'What it takes, the bearings do not have.',
      hint: 'More than is usual: look at the pressure at hot idle.',
      source: PRACTICE,
    },
    'bypass-takes-too-much': {
      title: 'The bypass filter takes too much',
      area: 'flow',
      severity: 'leak',
      before: 'saw',
      why: 'At hot idle the bearings are left with too little.',
      hint: 'Take a narrower orifice: the bearings come first.',
      source: PRACTICE,
    },
  },
  (facts, say) => {
    ofRestrictors(facts, say);
    ofTurbo(facts.sizing, say);
    const found = bypassOfLine(facts.sizing, facts.question);
    if (!found?.much) return;
    const { idleLpm, shareIdle } = found;
    const share = shareIdle === undefined ? '' : `, ${Math.round(shareIdle * 100)} % of what the pump gives`;
    const message = `At hot idle it takes ${quantity(idleLpm.toFixed(1), 'L/min')}${share}.`;
    say(found.tooMuch ? 'bypass-takes-too-much' : 'bypass-takes-much', { lineId: facts.line.line.id }, message);
  },
);

type FeedSay = Say<keyof typeof feedRules>;

/** A restrictor that nobody meant to be one: a fitting or another part with a hole of two millimetres. */
function ofRestrictors({ sizing: { columns, taken, line, duty } }: FlowFacts, say: FeedSay): void {
  const at = { lineId: line.line.id };
  const path = columns[taken ?? 0]?.path.passed ?? [];
  const holes = path.filter((p) => p.kind === 'restrictor');
  const hidden = holes.filter((p) => p.key !== undefined);
  const orifice = line.line.service === 'bypass-feed' ? orificeHole(line) : undefined;
  if (orifice && holes.length > 0) holes.push(orifice);
  const words = holes.map((p) => `${p.name} (Ø ${quantity(p.boreMm, 'mm')})`).join(' and ');
  const { drive } = duty.figures;
  if (holes.length > 0 && (drive === 'fall' || drive === 'suction' || RETURNS.includes(line.line.service)))
    say(
      'restrictor-in-return',
      at,
      `${words}: ${drive === 'suction' ? 'the pump starves behind it' : 'what should run away stands before it'}.`,
    );
  else if (holes.length > 1) say('two-restrictors', at, `Two restrictors stand behind one another: ${words}.`);
  else if (hidden.length === 1 && line.line.service !== 'bypass-feed') say('restrictor-hidden', at, `${words} throttles this line.`);
}

function ofTurbo({ columns, taken, line, duty }: LineSizing, say: FeedSay): void {
  const hot = taken === undefined ? undefined : outcomeIn(columns[taken]!, 'hottest');
  if (line.line.service !== 'turbo-feed' || !hot || duty.said.bearing === undefined) return;
  const { lpm, name, source } = turboNeeds[bearingOf(line)];
  const gives = `It gives ${quantity(hot.flowLpm.toFixed(1), 'L/min')} when hot; ${name} take ${quantity(lpm[0], 'L/min', lpm[1])} (${source}).`;
  // too much is overstepped by a fifth before it is told; too little, which hurts, at once
  if (hot.flowLpm > lpm[1] * 1.2) say('feed-too-much', { lineId: line.line.id }, gives);
  else if (hot.flowLpm < lpm[0]) say('feed-too-little', { lineId: line.line.id }, gives);
}

import { usualWeights } from '../chains/index.js';
import { usualFlowRules } from '../job/index.js';
import { usualStoreRules } from '../stock/index.js';
import { usualSealRules } from '../supplies/index.js';
import type { RuleForm, RuleGroup, RuleValue, ShopRuleEntry } from './entry.js';
import { usualJudgingRules } from './judging-rules.js';

const PRACTICE = 'Common practice';
const percent = (min: number, max: number): RuleForm => ({ kind: 'quantity', of: 'percent', min, max });
const length = (min: number, max: number): RuleForm => ({ kind: 'quantity', of: 'length', min, max });
const yes: RuleForm = { kind: 'yes' };
const number = (min: number, max: number, step = 1, unit?: string): RuleForm => ({
  kind: 'number',
  min,
  max,
  step,
  ...(unit ? { unit } : {}),
});
const choice = (...names: readonly (readonly [value: string, name: string])[]): RuleForm => ({
  kind: 'choice',
  choices: names.map(([value, name]) => ({ value, name })),
});

type Told = readonly [name: string, form: RuleForm, why: string, otherwise: string, changes: string, source?: string];

/** The entries of a row, one for each of its fields: a field without an entry does not compile. */
function entriesOf<R extends object>(
  group: RuleGroup,
  usual: R,
  perJob: boolean,
  told: { readonly [F in keyof Required<R>]: Told },
): readonly ShopRuleEntry[] {
  return Object.entries<Told>(told).map(([field, [name, form, why, otherwise, changes, source = PRACTICE]]) => ({
    id: `${group}.${field}`,
    group,
    field,
    name,
    form,
    usual: (usual as Record<string, RuleValue | undefined>)[field] ?? 0,
    why,
    otherwise,
    changes,
    source,
    perJob: perJob && form.kind !== 'order',
  }));
}

const judging = entriesOf('judging', usualJudgingRules, true, {
  slackPercent: [
    'Slack of a taped hose',
    percent(0, 20),
    'Pressure shortens a hose by up to 2 %, and an engine moves.',
    'Five per cent where a hose may lie in a bend; none on a bench.',
    'The slack that a new hose begins with.',
    'SAE J1273, from memory',
  ],
  capSlackPercent: [
    'Slack of a return to the filler cap',
    percent(0, 20),
    'The cap must still turn and lift.',
    'Less where the cap has a quick coupling.',
    'The rule "A filler cap that cannot turn".',
  ],
  madeExtraPercent: [
    'A bought hose may be longer by',
    percent(0, 50),
    'What is over hangs in the way, and rubs.',
    'More where there is room for a loop.',
    'The rule "The made hose is too long".',
  ],
  manyAdapters: [
    'Too many adapters at one end, from',
    number(2, 6),
    'Each joint is one more place to leak.',
    'Two are told of by shops that machine their own.',
    'The rule "Many adapters at one end".',
  ],
  retiredHolds: [
    'A retired part holds its line',
    yes,
    'It was mostly taken out because it did not hold or cannot be had.',
    'Shops that use up old stock are told, and go on.',
    'The severity of "A part that is not kept any more": a risk, or advice.',
  ],
  provisionalHolds: [
    'What is provisional holds its line',
    yes,
    'A mock-up is drawn with what lies there; it must be gone before the start.',
    'Shops that build without a mock-up want none of it on a ticket.',
    'The severity of "In for now": advice before the start, or a risk.',
  ],
});

const flow = entriesOf('flow', usualFlowRules, true, {
  heatToOilPercent: [
    'Heat into the oil, of the power',
    percent(1, 40),
    'About 8 % in a road engine; boosted, with piston jets or on the track 10 to 15 % and more: 12 % errs to a larger cooler.',
    'A measured engine has its own figure.',
    'What a cooler must pass on, and how long the oil takes to get warm.',
  ],
  drainFillPercent: [
    'A drain runs quietly to',
    percent(10, 100),
    'Half full, the other half lets air and blow-by past.',
    'Full bore, where the crankcase is vented well.',
    'The quiet line beside the verdict of a drain.',
  ],
  froth: [
    'Froth takes so many times the oil',
    number(1, 5, 0.1),
    'At full bore 1.5 is what practice bears out behind a turbo.',
    'Twice, by the cautious: it refuses most drains that run.',
    'What a drain carries, and its verdict.',
  ],
  hoseSchool: [
    'Hose taken first',
    choice(['ptfe', 'PTFE'], ['rubber', 'rubber']),
    'PTFE bears heat, every fluid, and lasts.',
    'Rubber bends tighter, forgives, and costs less.',
    'The order of constructions in the sizing.',
  ],
  sleeveK: [
    'A heat sleeve takes off',
    number(0, 300, 5, 'K'),
    "Off what is around the hose, not off what is in it; its maker's figure where there is one.",
    'Nothing, by those who trust distance alone.',
    'What a hose bears beside heat.',
  ],
  thermostat: [
    'Oil coolers',
    choice(['thermostat', 'with a thermostat'], ['none', 'without']),
    'Oil that goes through the cooler while it is cold stays cold, and thick.',
    'Pure track cars go without: one part less to fail, and a longer warm-up.',
    'The rule "No thermostat before the cooler".',
  ],
  drainBoreMm: [
    'Bore of a drain, usual from',
    length(6, 25),
    'What the ends of a -10 hose pass.',
    '12.7 mm and up by the cautious.',
    'The rule "Narrower than drains usually are", and which ways a drain is offered.',
  ],
  drainFailsMm: [
    'Bore of a drain, fails under',
    length(5, 20),
    'Under it froth stands: 8 mm fails, -10 does.',
    'None differ by much.',
    'The rule "Too narrow for a drain".',
  ],
  coolerSpareBar: [
    'A cooler circuit may take',
    { kind: 'quantity', of: 'pressure', min: 0.1, max: 5 },
    'What it takes, the gallery does not have; about a bar warm is what practice bears.',
    'More with a pump to spare, less on a worn one.',
    'The rule "The cooler circuit takes much pressure".',
  ],
});

const seals = entriesOf('seals', usualSealRules, true, {
  rings: [
    'Rings, in the order they are tried',
    { kind: 'order' },
    'FKM bears oil and heat; EPDM stands last, since oil takes it apart.',
    'HNBR first where it is cold, nitrile where it is cheap.',
    'Which compound is bought for each ring.',
  ],
  flatWasher: [
    'Flat washers',
    choice(['copper', 'copper'], ['aluminium', 'aluminium']),
    'Copper anneals, and seals again once annealed.',
    'Aluminium needs less torque and is used once.',
    'Which washer is bought.',
  ],
  sealant: [
    'On taper threads',
    choice(['liquid', 'liquid sealant'], ['tape', 'tape']),
    'Liquid shreds into nothing.',
    'Tape, on the male, first threads bare: quick, and comes apart clean.',
    'Which sealant is bought.',
  ],
});

const minor = number(0, 100_000, 10, 'cent');
const ways = entriesOf('ways', { ...usualWeights, metal: usualWeights.metal ?? 'aluminium' }, false, {
  price: ['Price counts', number(0, 10, 0.1, '×'), 'As it is.', 'Not at all where the customer pays.', 'The order of ways.'],
  unpricedMinor: [
    'A part without a price is taken to cost',
    minor,
    'Nobody knows; not nothing.',
    'More, to see priced parts first.',
    'The order of ways.',
  ],
  toOrderMinor: [
    'A part to be ordered costs more',
    minor,
    'The shelf is quicker.',
    'Nothing, where all is ordered anyway.',
    'The order of ways.',
  ],
  leadDayMinor: ['A day of waiting costs', minor, 'A car on the lift costs money.', 'Nothing, where there is time.', 'The order of ways.'],
  stackMmMinor: [
    'A millimetre of stack costs',
    number(0, 100_000, 1, 'cent'),
    'A long stack levers.',
    'Nothing, in the open.',
    'The order of ways.',
  ],
  smallThreadGramMinor: [
    'A gram on a small thread costs',
    minor,
    'It shakes loose or breaks off.',
    'Nothing, where it is held by a bracket.',
    'The order of ways.',
  ],
  boreMmMinor: [
    'A millimetre too narrow costs',
    number(0, 100_000, 10, 'cent'),
    'It throttles the line.',
    'Nothing, on a gauge.',
    'The order of ways.',
  ],
  elbowMinor: ['An elbow more or less costs', minor, 'A hose end is bent instead.', 'Nothing, where it is tight.', 'The order of ways.'],
  elbows: [
    'Elbows are',
    choice(['unwanted', 'unwanted'], ['either', 'either'], ['wanted', 'wanted']),
    'The bend belongs to the hose end.',
    'Wanted, where the hose must leave at once.',
    'The order of ways.',
  ],
  aimMinor: [
    'A bend that cannot be aimed costs',
    minor,
    'It points where its turns end.',
    'Nothing, by those who shim.',
    'The order of ways.',
  ],
  sealantMinor: [
    'A joint with sealant costs',
    minor,
    'A face seals again; sealant is a mess at the next removal.',
    'Nothing, by those who never take it off.',
    'The order of ways.',
  ],
  furtherPartMinor: [
    'A part that nothing else uses costs',
    minor,
    'Fewer different parts are fewer mistakes.',
    'Nothing, for one job.',
    'Solve all ends.',
  ],
  rareMinor: ['A part by order costs more', minor, 'It takes weeks.', 'Nothing, where there is time.', 'The order of ways.'],
  metal: [
    'Metal taken first',
    choice(['aluminium', 'aluminium'], ['steel', 'steel'], ['stainless', 'stainless'], ['brass', 'brass']),
    'Light, and what most of it is.',
    'Steel where it is hot or shaken.',
    'The order of ways.',
  ],
  otherMetalMinor: ['Another metal costs', minor, 'Mixed metals gall and corrode.', 'Nothing, indoors.', 'The order of ways.'],
});

const store = entriesOf('store', usualStoreRules, false, {
  kerfMm: ['The saw takes', length(0, 20), 'A thin disc takes 2 mm.', 'Shears take nothing.', 'The cut plan.'],
  endTrimMm: [
    'Cut off the end first',
    length(0, 200),
    'Frayed, burnt or out of square.',
    'None off an end sawn the same day.',
    'The cut plan.',
  ],
  trimMm: [
    'Cut longer, to trim at the car',
    length(0, 500),
    'None: the tape is trusted.',
    '20 mm where the mock-up is rough.',
    'Cut tickets.',
  ],
  leastOffcutMm: [
    'Shortest that is kept',
    length(0, 5000),
    'Shorter ones are hung up and forgotten.',
    'All, where hose is dear.',
    'The rack.',
  ],
  offcutsFirst: ['Offcuts first', yes, 'They are used up before a reel is touched.', 'Whatever opens least.', 'The cut plan.'],
  spareSealsPercent: ['Seals to spare', percent(0, 500), 'Rings are nicked, washers used once.', 'None, with a full drawer.', 'The order.'],
  spareSealsLeast: ['At least so many of each', number(0, 100), 'One nicked ring stops a job.', 'None, with a full drawer.', 'The order.'],
  spareSmallPercent: [
    'Clamps, clips and caps to spare',
    percent(0, 500),
    'They fall where nobody finds them.',
    'None, with a full drawer.',
    'The order.',
  ],
  spareBentEnds: [
    'Bent hose ends to spare, each',
    number(0, 100),
    'None: they are dear.',
    'One, since the other angle is what stops a job.',
    'The order.',
  ],
  caps: ['Caps for what stands open', yes, 'What lies open fills with chips.', 'Tape and rags.', 'The order.'],
  sleeveBackMm: [
    'Sleeve ends before the hose end',
    length(0, 200),
    'None: it runs from end to end.',
    'Some, where it is tied.',
    'Cut tickets.',
  ],
  clipEveryMm: ['A clip for each length of', length(0, 5000), 'Hose that swings rubs through.', 'Counted at the car.', 'The order.'],
  shrinkMm: ['Heat shrink over each sleeve end', length(0, 200), 'It keeps oil out of the sleeve.', 'Ties or clips.', 'The order.'],
  carryDays: [
    'Carried as a spare, if nobody brings it in',
    number(0, 365, 1, 'days'),
    'A part nobody brings within a week ends a weekend.',
    'Longer, at home.',
    'The spares.',
  ],
  goal: [
    'Orders are planned for',
    choice(['cost', 'cheapest'], ['soonest', 'fastest'], ['fewest', 'fewest suppliers']),
    'Money first, by the date.',
    'Speed, in the season.',
    'The order.',
  ],
  oldYears: [
    'Hose is old after',
    number(1, 50, 1, 'years'),
    'Rubber ages on the shelf.',
    'Six, by the cautious.',
    'Cut tickets and the rack.',
    'SAE J1273, from memory',
  ],
  paper: [
    'Paper',
    choice(['A4', 'A4'], ['Letter', 'Letter']),
    'By where the shop is.',
    'By where the shop is.',
    'Tickets, labels and lists.',
  ],
  shop: ['The shop is called', { kind: 'words' }, 'On its papers.', 'Nothing.', 'Orders and lists.'],
});

/** Every school, limit and habit of the shop: one view is made from it, and one command sets any of it. */
export const shopRules: readonly ShopRuleEntry[] = [...judging, ...flow, ...seals, ...ways, ...store];

/** @throws {RangeError} for one that is not in the table */
export function shopRuleById(id: string): ShopRuleEntry {
  const entry = shopRules.find((e) => e.id === id);
  if (!entry) throw new RangeError(`There is no shop rule "${id}".`);
  return entry;
}

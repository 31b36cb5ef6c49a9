import { fittingKind, kindOf } from '../fittings/index.js';
import type { PartEntry } from '../job/index.js';

/** What is looked at when a part comes in, and why. */
export interface IncomingCheck {
  readonly id: string;
  readonly words: string;
  readonly why: string;
}

const check = (id: string, words: string, why: string): IncomingCheck => ({ id, words, why });
const thread = check(
  'thread',
  'Thread gauged',
  'A thread that starts is not yet the thread: hold a gauge, or run a known part on by hand, full length.',
);
const blown = check('blown', 'Blown out, looked through', 'Chips left from making it go straight to a bearing.');
const seat = check('seat', 'Cone and seat clean, no mark', 'A scratch across a cone leaks, however tight.');
const restrictor = check(
  'restrictor',
  'Restrictor there, its hole measured',
  'A feed without its restrictor floods the turbo; drill shanks measure the hole.',
);
const joints = check('joints', 'Joints made at the factory tightened', 'Plugs and heads of a body come hand tight more often than not.');
const faces = check('faces', 'Faces flat, holes on the flange', 'Laid on the part it goes to, every hole lies open and the bolts pass.');
const holes = check('holes', 'Holes lie on the flange', 'Laid on the flange, no edge stands in the passage.');
const compound = check(
  'compound',
  'Compound as on the bag',
  'Colour proves nothing: the bag or the label says NBR or FKM. Hot oil bakes the wrong one.',
);
const print = check('print', 'Print read: kind, size, date', 'Old hose and the wrong core look alike; the print says which.');
const bore = check('bore', 'Bore open, clean, not kinked', 'A reel that was squeezed in the post stays narrow there.');
const size = check('size', 'Size measured', 'A washer or clamp of the next size passes unseen.');
const date = check('date', 'Not out of date', 'Sealant that has stood too long does not cure.');
const complete = check('complete', 'Kit complete, counted against its list', 'What is missing is found at the car otherwise.');

const bySupply: Readonly<Record<string, readonly IncomingCheck[]>> = {
  'o-ring': [compound, size],
  washer: [size],
  gasket: [holes],
  sealant: [date],
  lubricant: [date],
  clamp: [size],
  bolt: [thread],
  tube: [bore],
};

/** Is there a drilled hole in it that meters. */
function meters(entry: PartEntry): boolean {
  return entry.kind === 'fitting' && /restrict|orifice|jet/i.test(`${kindOf(entry.part)} ${entry.part.name}`);
}

/**
 * What is checked of a part that comes in, by its kind; of a kit that it is complete, first. Common practice.
 * @param inKit it came with others under one code
 */
export function incomingChecks(entry: PartEntry | undefined, inKit = false): readonly IncomingCheck[] {
  const own = (): readonly IncomingCheck[] => {
    if (!entry) return [];
    switch (entry.kind) {
      case 'fitting':
        return [
          thread,
          ...(meters(entry) ? [restrictor] : []),
          blown,
          ...(entry.part.body ? [joints, ...(fittingKind(kindOf(entry.part)).hollow ? [] : [faces])] : []),
        ];
      case 'hose end':
        return [thread, seat, blown];
      case 'hose':
        return [print, bore];
      case 'supply':
        return bySupply[entry.part.kind] ?? [];
    }
  };
  return [...(inKit ? [complete] : []), ...own()];
}

import { connectorKey, type Connector } from '../connectors/index.js';
import { isClosing, kindOf, type Fitting } from '../fittings/index.js';
import { mate } from '../seals/index.js';
import type { ChainLink } from './chain.js';

/** What closes an open end: the parts on it, the last of them a plug, a cap or a valve that is shut. */
export interface Closing {
  readonly name: string;
  readonly links: readonly ChainLink[];
}
type By = 'plug' | 'valve';

type Notes<T> = WeakMap<readonly Fitting[], Map<string, T | undefined>>;
const plugs: Notes<Fitting> = new WeakMap();
const closings: Notes<Closing> = new WeakMap();

/** The cheapest plug or cap that seals on a connector, at no risk where there is one; undefined where the catalogue has none. */
export function closingPart(connector: Connector, fittings: readonly Fitting[]): Fitting | undefined {
  return noted(plugs, connectorKey(connector), fittings, () => cheapest(stepsOn(connector, fittings, isPlug))?.fitting);
}

/** What closes a connector by a plug, or by a valve: on it where one goes, else behind one adapter; undefined where the catalogue has none. */
export function closingOf(connector: Connector, fittings: readonly Fitting[], by: By): Closing | undefined {
  const find = (): Closing | undefined => directly(connector, fittings, by) ?? behindAdapter(connector, fittings, by);
  return noted(closings, `${by} ${connectorKey(connector)}`, fittings, find);
}

function noted<T>(notes: Notes<T>, key: string, fittings: readonly Fitting[], find: () => T | undefined): T | undefined {
  const found = notes.get(fittings) ?? new Map<string, T | undefined>();
  notes.set(fittings, found);
  if (!found.has(key)) found.set(key, find());
  return found.get(key);
}

/** Whether a part at the end of a branch keeps in what is before it. */
export function shutsEnd(fitting: Fitting): boolean {
  return fitting.ends.length === 1 || kindOf(fitting) === 'valve';
}

interface Step {
  readonly fitting: Fitting;
  readonly link: ChainLink;
  readonly risk: boolean;
}

function directly(connector: Connector, fittings: readonly Fitting[], by: By): Closing | undefined {
  const best = cheapest(stepsOn(connector, fittings, by === 'plug' ? isPlug : isValve));
  return best && { name: best.fitting.name, links: [best.link] };
}

function behindAdapter(connector: Connector, fittings: readonly Fitting[], by: By): Closing | undefined {
  const both = stepsOn(connector, fittings, isCommonAdapter).flatMap((step) => {
    const last = cheapest(stepsOn(step.fitting.ends[step.link.outEnd]!, closingParts(fittings, by), () => true));
    return last ? [{ ...step, last, risk: step.risk || last.risk }] : [];
  });
  const best = cheapest(both);
  return best && { name: `${best.fitting.name}, and ${best.last.fitting.name}`, links: [best.link, best.last.link] };
}

const isPlug = (part: Fitting): boolean => part.ends.length === 1 && isClosing(part);
/** With two ends only: what is to be done with a third would have to be asked. */
const isValve = (part: Fitting): boolean => part.ends.length === 2 && kindOf(part) === 'valve';
const isCommonAdapter = (part: Fitting): boolean =>
  part.ends.length === 2 && !part.body && ['adapter', 'union'].includes(kindOf(part)) && (part.rarity ?? 'common') === 'common';

const closers = new WeakMap<readonly Fitting[], Readonly<Record<By, readonly Fitting[]>>>();
function closingParts(fittings: readonly Fitting[], by: By): readonly Fitting[] {
  let found = closers.get(fittings);
  if (!found) closers.set(fittings, (found = { plug: fittings.filter(isPlug), valve: fittings.filter(isValve) }));
  return found[by];
}

/** Parts of a kind that seal on a connector, by each of their ends that does. */
function stepsOn(connector: Connector, fittings: readonly Fitting[], wanted: (part: Fitting) => boolean): Step[] {
  return fittings
    .filter((part) => !part.retired && wanted(part))
    .flatMap((fitting) =>
      fitting.ends.flatMap((end, inEnd): Step[] => {
        const { outcome, risk } = mate(connector, end);
        const outEnd = fitting.ends.length === 1 ? 0 : 1 - inEnd;
        return outcome === 'seals' ? [{ fitting, link: { id: fitting.id, inEnd, outEnd }, risk: risk !== undefined }] : [];
      }),
    );
}

function cheapest<S extends Step>(steps: readonly S[]): S | undefined {
  const price = ({ fitting, risk }: Step): number => (risk ? Number.MAX_VALUE : (fitting.priceMinor ?? 1e15));
  return steps.reduce<S | undefined>((best, step) => (best && price(best) <= price(step) ? best : step), undefined);
}

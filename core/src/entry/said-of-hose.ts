import { constructionById } from '../hose/index.js';

/** How shops call a hose, longer before shorter; each begins what is said of it. */
const CALLED: readonly (readonly [said: string, construction: string])[] = (
  [
    ['convoluted ptfe', 'convoluted-ptfe'],
    ['ptfe convoluted', 'convoluted-ptfe'],
    ['convoluted', 'convoluted-ptfe'],
    ['crimped ptfe', 'crimped-ptfe'],
    ['ptfe crimped', 'crimped-ptfe'],
    ['crimped', 'crimped'],
    ['ptfe', 'ptfe'],
    ['an rubber', 'rubber'],
    ['braided rubber', 'rubber'],
    ['coolant rubber', 'coolant'],
    ['oil rubber', 'oil'],
    ['fuel rubber', 'fuel'],
    ['booster rubber', 'booster'],
    ['truck rubber', 'truck'],
    ['push-on rubber', 'pushon'],
    ['rubber', 'rubber'],
    ['push-on', 'pushon'],
    ['push on', 'pushon'],
    ['pushon', 'pushon'],
    ['coolant silicone', 'silicone'],
    ['charge silicone', 'charge'],
    ['boost silicone', 'charge'],
    ['vacuum silicone', 'vacuum'],
    ['silicone', 'silicone'],
    ['charge', 'charge'],
    ['boost', 'charge'],
    ['vacuum', 'vacuum'],
    ['booster', 'booster'],
    ['coolant', 'coolant'],
    ['truck', 'truck'],
    ['fuel', 'fuel'],
    ['oil', 'oil'],
    ['steel tube', 'steel-tube'],
    ['aluminium tube', 'aluminium-tube'],
    ['aluminum tube', 'aluminium-tube'],
    ['copper-nickel tube', 'copper-nickel-tube'],
    ['copper-nickel', 'copper-nickel-tube'],
    ['copper nickel', 'copper-nickel-tube'],
  ] as const
).toSorted(([a], [b]) => b.length - a.length);

/** A hose as it is called, and what is said after it; undefined where it is no hose. */
export function hoseCalled(text: string): { readonly construction: string; readonly rest: string } | undefined {
  const said = text.trim().toLowerCase();
  const called = CALLED.find(([name]) => said === name || said.startsWith(`${name} `));
  if (!called) return undefined;
  return {
    construction: called[1],
    rest: said
      .slice(called[0].length)
      .trim()
      .replace(/^(hose|tube)\b\s*/, ''),
  };
}

/** What a construction is called here: `ptfe`. */
export const callOf = (construction: string): string =>
  CALLED.toReversed().find(([, id]) => id === construction)?.[0] ?? constructionById(construction).name;

/** A size of hose: a dash size, or the bore of one that is made to a metric one, mm. */
export type SizeSaid = { readonly dash: number } | { readonly metricMm: number };

/** `4`, `-4`, `an4`, `-10 an`, `5/8`, `5/8 in`, `16 mm` at the beginning, and what is said after it; undefined where it is no size. */
export function sizeCalled(text: string): { readonly size: SizeSaid; readonly rest: string } | undefined {
  const dash = /^(?:dash\s*)?(?:an\s*-?\s*|-\s*)?(\d{1,2})(?:\s*an)?(?=$|\s(?!mm|in\\b|\d+\/))/i.exec(text);
  if (dash) return { size: { dash: Number(dash[1]) }, rest: text.slice(dash[0].length).trim() };
  const metric = /^(\d{1,3})\s*mm(?=$|\s)/i.exec(text);
  if (metric) return { size: { metricMm: Number(metric[1]) }, rest: text.slice(metric[0].length).trim() };
  const inches = /^(?:(\d)[ -])?(\d{1,2})\/(\d{1,2})(?:\s*(?:in|"))?(?=$|\s)/.exec(text);
  const sixteenths = inches ? (Number(inches[1] ?? 0) + Number(inches[2]) / Number(inches[3])) * 16 : Number.NaN;
  if (!Number.isInteger(sixteenths) || sixteenths < 1 || sixteenths > 64) return undefined;
  return { size: { dash: sixteenths }, rest: text.slice(inches![0].length).trim() };
}

import { runCommands, type CommandOf } from '../commands/index.js';
import { proposeSize, sizeLine, type FlowQuestion, type LineSizing } from '../flow/index.js';
import { constructionById, fluidProblem, hoseSize, type Hose } from '../hose/index.js';
import { endOfAngle, portCases, serviceById } from '../job/index.js';
import { assembleJob, type AssembledJob } from '../lines/index.js';
import type { LineAsk, LineRead } from './read-line.js';
import { callOf, type SizeSaid } from './said-of-hose.js';

/** A line that was read, as it will be drawn. */
export interface LineDrawn {
  readonly command: CommandOf<'add-line'>;
  readonly hose?: Hose;
  /** How its size was come by: said, by what runs in it, or by its ports and what is usual; a guess in the last case. */
  readonly sizedBy?: 'said' | 'flow' | 'ports';
}

/**
 * What is drawn for a line that was read: its ports, and the hose that was said or that is proposed: by what runs in it where that is
 * known, else by its ports and its service.
 *
 * @param id of the line that is made
 * @returns what still has to be asked, where it cannot be drawn as it was said
 */
export function lineFrom(read: LineRead, question: FlowQuestion, id: string): LineDrawn | { readonly ask: LineAsk } {
  const { service, from, to, name, bare, angles, length } = read;
  const [unclear] = read.asks;
  if (unclear || !service || !from || !to)
    return { ask: unclear ?? { about: 'rest', words: 'Say what it is for, and from where to where.', choices: [] } };
  const line = { do: 'add-line', id, service, fromPortId: from.id, toPortId: to.id, ...(name ? { name } : {}) } as const;
  if (bare) return { command: { ...line, hose: false } };
  const known = length ? { piece: { length } } : {};
  const chosen = hoseFor(read, { ...line, ...known }, question);
  if ('ask' in chosen) return chosen;
  const { hose, sizedBy } = chosen;
  const { catalogue } = question.job;
  const ends = angles?.map((angle) => endOfAngle(catalogue, hose, angle)?.id);
  const missing = angles?.find((_, i) => ends![i] === undefined);
  if (missing !== undefined) return { ask: { about: 'hose', words: `There is no ${missing}° end for ${hose.name}.`, choices: [] } };
  const piece = { hose: hose.id, ...(ends ? { endA: ends[0]!, endB: ends[1]! } : {}), ...(length ? { length } : {}) };
  return { command: { ...line, piece }, hose, sizedBy };
}

type HoseFound = { readonly hose: Hose; readonly sizedBy: NonNullable<LineDrawn['sizedBy']> } | { readonly ask: LineAsk };

function hoseFor(read: LineRead, line: CommandOf<'add-line'>, question: FlowQuestion): HoseFound {
  const { catalogue } = question.job;
  const offered = catalogue.hoses.filter((h) => !h.retired);
  const sizing = sizedAsDrawn(read, line, question);
  const construction = read.construction ?? sizing.columns[0]?.hose.construction;
  // of one size there may be several makes: what bears the fluid is meant
  const { fluid } = serviceById(read.service!);
  const bears = (h: Hose): number => Number(fluidProblem(h, fluid) !== undefined);
  const made = offered.filter((h) => h.construction === construction).sort((a, b) => bears(a) - bears(b));
  if (made.length === 0)
    return {
      ask: {
        about: 'hose',
        words: construction ? `The store has no ${callOf(construction)} hose.` : 'Say which hose: "ptfe 6".',
        choices: [],
      },
    };
  const { size } = read;
  if (size) {
    const hose = made.find((h) => isSize(h, size));
    return hose ? { hose, sizedBy: 'said' } : { ask: notMade(read, size, made) };
  }
  const recommended = sizing.recommended === undefined ? undefined : sizing.columns[sizing.recommended]?.hose;
  if (recommended) return { hose: recommended, sizedBy: 'flow' };
  const ports = [read.from!, read.to!].map(({ port }) => portCases(port)[0] ?? null);
  return { hose: proposeSize(made, read.service!, ports)!, sizedBy: 'ports' };
}

/** What runs in it, as if it were drawn. */
function sizedAsDrawn({ construction }: LineRead, line: CommandOf<'add-line'>, question: FlowQuestion): LineSizing {
  const { job } = question;
  let made = 0;
  const newId = (): string => `drawn-${String(made++).padStart(12, '0')}`;
  const { document } = runCommands(job.document, [line], { newId, parts: job.catalogue, versions: 'ignore' });
  const drawn: AssembledJob = assembleJob(document, job.catalogue, job, job.shop);
  return sizeLine(drawn.lineById.get(line.id!)!, { ...question, job: drawn }, construction);
}

const isSize = (hose: Hose, size: SizeSaid): boolean =>
  'dash' in size ? hose.dash === size.dash && hose.metricMm === undefined : hose.metricMm === size.metricMm;

function notMade({ text, construction }: LineRead, size: SizeSaid, made: readonly Hose[]): LineAsk {
  const said = 'dash' in size ? `-${size.dash}` : `${size.metricMm} mm`;
  const built = constructionById(made[0]!.construction);
  const sizes = [...new Set(made.map(hoseSize))];
  const asked = new RegExp(`(${callOf(built.id)}\\s+)[^,\\s]+`, 'i');
  return {
    about: 'hose',
    words: `${built.name} is not made in ${said}.`,
    choices: construction && asked.test(text) ? sizes.map((s) => ({ words: s, text: text.replace(asked, `$1${s}`) })) : [],
  };
}

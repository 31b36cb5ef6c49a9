import {
  constructionById,
  constructions,
  cutLength,
  CutLengthError,
  fluidProblem,
  hoseEndProblem,
  joinsHose,
  type Hose,
  type HoseEnd,
} from '../hose/index.js';
import { fluidOf, stackOf, type Line, type Piece } from '../job/index.js';
import { formatDash, roundedDown, taped } from '../units/index.js';
import type { AssembledPiece, AssembledWay, CutArithmetic } from './assembled-line.js';
import { finding, type Finding, type LineRule, type Remedy } from './findings.js';
import type { Lookups } from './lookups.js';

type Say = (rule: LineRule, message: string, more?: { hint?: string; remedies?: readonly Remedy[] }) => void;

/** The hose of a piece and its ends as the catalogue has them; what is not chosen or not known goes to `findings`. */
export function pieceParts(
  line: Line,
  piece: Piece,
  around: Pick<Lookups, 'hose' | 'hoseEnd' | 'alikeFor'>,
  findings: Finding[],
): AssembledPiece {
  const say = sayOf(line, piece, findings);
  const which = nameOf(line, piece);
  const hose = around.hose(piece.hose);
  if (!hose) {
    const { construction, dash } = piece.wanted ?? {};
    if (piece.hose !== null) say('hose-not-known', `${which} is no longer in the catalogue (${piece.hose}).`);
    else if (construction !== undefined && dash !== undefined)
      say('hose-not-known', `${constructionName(construction)} hose is not in the catalogue in ${formatDash(dash)}.`, {
        hint: 'Choose another size.',
      });
    else say('hose-not-chosen', line.pieces.length > 1 ? `${which} is not chosen.` : 'No hose chosen.');
  }
  const end = (side: 'A' | 'B'): HoseEnd | undefined => {
    const id = piece[`end${side}`];
    const found = around.hoseEnd(id);
    const problem = found && hose && hoseEndProblem(found, hose);
    if (found) {
      // the joint between the two says it where there is one
      if (problem && !joinsHose(found)) say('end-off-hose', `End ${side}: ${problem}`);
    } else if (id !== null) say('end-not-chosen', `The end "${id}" is no longer in the catalogue (end ${side}).`);
    else if (hose) {
      const angle = piece.wanted?.[`angle${side}`];
      say('end-not-chosen', `No ${angle === undefined ? '' : `${angle}° `}end in the catalogue for this hose (end ${side}).`);
    }
    return found;
  };
  const [endA, endB] = [end('A'), end('B')];
  for (const part of new Set([hose, endA, endB]))
    if (part?.retired) say('part-retired', `${part.name} has been taken out of the catalogue. The line keeps it as it was.`);
  if (hose) checkFluid(line, piece, hose, around, say);
  if (piece.provisional) say('provisional', `${which} is provisional.`);
  return { piece, ...(hose ? { hose } : {}), ...(endA ? { endA } : {}), ...(endB ? { endB } : {}) };
}

/** The cut length of a piece between two ways, with what is wrong with it. */
export function withCut(
  line: Line,
  assembled: AssembledPiece,
  beside: readonly [AssembledWay, AssembledWay],
  findings: Finding[],
): AssembledPiece {
  const { piece, endA, endB } = assembled;
  const say = sayOf(line, piece, findings);
  if (piece.length === null) {
    say('length-not-given', line.pieces.length > 1 ? `${nameOf(line, piece)}: no length taped.` : 'No length taped.');
    return assembled;
  }
  checkSeats(line, piece, beside, say);
  if (!endA || !endB) return assembled;
  try {
    const cut = arithmetic(piece, piece.length, [endA, endB], assembled.hose);
    if (assembled.hose) checkCrimped(line, piece, assembled.hose, cut, say);
    return { ...assembled, cut: { ...cut, ...madeBefore(piece, cut, assembled.hose, say) } };
  } catch (error) {
    if (!(error instanceof CutLengthError)) throw error;
    say('length-too-short', error.message, { hint: error.hint });
    return assembled;
  }
}

function arithmetic(
  piece: Piece,
  length: NonNullable<Piece['length']>,
  [endA, endB]: readonly [HoseEnd, HoseEnd],
  hose: Hose | undefined,
): CutArithmetic {
  const given = { givenMm: length.mm, as: length.as, endAMm: endA.aMm, endBMm: endB.aMm };
  const ends = endA.aMm + endB.aMm;
  // a cut that is given is the hose itself: what the ends take comes on top of it
  const assemblyLengthMm = length.as === 'cut' ? length.mm + ends : length.mm;
  // a tube gives nowhere: it is bent to its length
  const stiff = hose && constructionById(hose.construction).endStyle === 'formed';
  const slackPercent = length.as === 'taped' && !stiff ? piece.slackPercent : 0;
  const exact = cutLength({ assemblyLengthMm, endA, endB, slackPercent });
  const cutMm = Math.ceil(exact - 1e-6);
  const freeMm = assemblyLengthMm - ends;
  return { ...given, freeMm, slackPercent, slackMm: exact - freeMm, cutMm, assemblyMm: cutMm + ends };
}

/** Crimped ends are pressed on by the supplier: the hose is ordered at its length, and not cut here. */
function checkCrimped(line: Line, piece: Piece, hose: Hose, { assemblyMm }: CutArithmetic, say: Say): void {
  if (piece.source !== 'cut' || constructionById(hose.construction).endStyle !== 'crimp') return;
  const mm = Math.round(assemblyMm * 10) / 10;
  const set = { source: 'bought' as const, hasMm: mm };
  say(
    'crimped-by-supplier',
    `Its ends are crimped by the supplier: it is ordered made up, ${taped(mm)} from seat to seat, and not cut here.`,
    {
      remedies: [
        {
          label: `Buy it made up, ${taped(mm)}`,
          commands: [{ do: 'edit-piece', id: line.id, version: line.version, piece: piece.key, set }],
        },
      ],
    },
  );
}

/** Slack that a bought hose may have beyond what is asked for, as a share of it: more hangs in the way (common practice). */
const MOST_EXTRA = 0.06;

/** What is bought made up or on the car already has the length it has. */
function madeBefore(
  { source, hasMm }: Piece,
  { assemblyMm, slackMm }: CutArithmetic,
  hose: Hose | undefined,
  say: Say,
): Pick<CutArithmetic, 'shortenMm'> {
  if (source === 'cut') return {};
  const what = source === 'bought' ? 'The bought hose' : 'The hose that is kept';
  if (hasMm === undefined) {
    say('made-hose-length-not-given', `${what} has no length yet.`);
    return {};
  }
  const over = Math.round((hasMm - assemblyMm) * 10) / 10;
  // from the taped length on it goes on, and has less slack than the shop would give it
  const tapedMm = assemblyMm - slackMm;
  const slackLeft = Math.round((hasMm - tapedMm) * 10) / 10;
  if (slackLeft <= -0.5)
    say(
      'made-hose-too-short',
      `${what} is ${taped(-slackLeft)} too short: ${taped(hasMm)} seat to seat, and ${taped(Math.round(tapedMm * 10) / 10)} were taped.`,
    );
  else if (over < -0.5)
    say(
      'made-hose-little-slack',
      `${what} has ${taped(Math.max(0, slackLeft))} of slack over what was taped; the shop would give it ${taped(Math.round(slackMm * 10) / 10)}.`,
    );
  // what is crimped cannot be opened again
  const final = source === 'bought' || (hose !== undefined && constructionById(hose.construction).endStyle === 'crimp');
  if (!final && over >= 1) return { shortenMm: over };
  if (final && over > assemblyMm * MOST_EXTRA) say('made-hose-too-long', `${what} is ${taped(over)} longer than is needed.`);
  return {};
}

/** A length that was taped over other fittings than stand there now: the seats have moved. */
function checkSeats(line: Line, piece: Piece, beside: readonly [AssembledWay, AssembledWay], say: Say): void {
  const length = piece.length!;
  if (!length.over || !beside[0].fittings || !beside[1].fittings) return;
  const { stackMm, turnDeg } = stackOf(beside.flatMap((way) => way.fittings!));
  const byMm = Math.round((length.over.stackMm - stackMm) * 10) / 10;
  if (Math.abs(byMm) < 0.5 && turnDeg === length.over.turnDeg) return;
  const edit = (mm: number): Remedy['commands'] => [
    { do: 'edit-piece', id: line.id, version: line.version, piece: piece.key, set: { length: { mm, as: 'taped' } } },
  ];
  const keep: Remedy = { label: 'It was taped with these', commands: edit(length.mm) };
  const straight = turnDeg === 0 && length.over.turnDeg === 0 && length.mm + byMm > 0;
  say(
    'taped-over-another-way',
    length.over.stackMm === 0 && length.over.turnDeg === 0
      ? `Taped without the fittings that are beside the hose now: they are ${taped(stackMm)} together.`
      : `Taped with other fittings beside the hose: they were ${taped(length.over.stackMm)} together, and are ${taped(stackMm)} now.`,
    straight
      ? {
          hint: `The seats are ${taped(Math.abs(byMm))} ${byMm < 0 ? 'nearer' : 'farther apart'}: tape again, or correct the length by that.`,
          remedies: [
            {
              label: `Correct by ${byMm < 0 ? '−' : '+'}${taped(Math.abs(byMm))}`,
              commands: edit(Math.round((length.mm + byMm) * 10) / 10),
            },
            keep,
          ],
        }
      : { remedies: [keep] },
  );
}

/** What an engine draws at idle and a brake booster keeps, bar below the air around. Common practice. */
const LEAST_VACUUM_BAR = 0.8;

function checkFluid(line: Line, piece: Piece, hose: Hose, { alikeFor }: Pick<Lookups, 'alikeFor'>, say: Say): void {
  const fluid = fluidOf(line);
  // a service that may be anything has no fluid until the line says it
  const known = line.service !== 'other' || line.fluid !== undefined;
  const unfit = known ? fluidProblem(hose, fluid) : undefined;
  // a hose that is kept is what it is
  const alike = unfit === undefined || piece.source === 'kept' ? undefined : alikeFor({ hose, fluid });
  const instead = alike && {
    label: `Take ${alike.name}`,
    commands: [{ do: 'edit-piece' as const, id: line.id, version: line.version, piece: piece.key, set: { hose: alike.id } }],
  };
  if (unfit) say('hose-not-for-fluid', `${capital(unfit)}.`, instead && { remedies: [instead] });
  else if (known && fluid === 'vacuum' && hose.vacuumBar !== undefined && hose.vacuumBar < LEAST_VACUUM_BAR)
    say(
      'hose-not-for-fluid',
      `${hose.name} collapses under vacuum: it bears ${roundedDown(hose.vacuumBar, 'bar')} below the air around it.`,
    );
}

function sayOf(line: Line, piece: Piece, findings: Finding[]): Say {
  return (rule, message, more) => void findings.push(finding(rule, { lineId: line.id, piece: piece.key }, message, more));
}

/** `The hose`, or `Hose 2` where there are several. */
function nameOf({ pieces }: Line, piece: Piece): string {
  return pieces.length > 1 ? `Hose ${pieces.indexOf(piece) + 1}` : 'The hose';
}

function constructionName(id: string): string {
  const known = constructions.find((c) => c.id === id);
  return known ? capital(known.name) : `"${id}"`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

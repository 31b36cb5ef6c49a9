import type { Remedy } from '../../findings/index.js';
import { constructionById, type Hose } from '../../hose/index.js';
import { stackOf, type Line, type Piece } from '../../job/index.js';
import { isFinal, overBy, type AssembledWay, type CutArithmetic } from '../../lines/index.js';
import { taped } from '../../units/index.js';
import { PRACTICE, rulesOf, type Say } from '../rule.js';
import { hoseName } from '../words.js';

/** How long each piece is, and whether that was taped over what stands there. */
export const lengthRules = rulesOf(
  'line',
  {
    'length-not-given': {
      title: 'No length',
      area: 'length',
      severity: 'open',
      before: 'saw',
      undecided: true,
      why: 'A hose is cut once.',
      hint: 'Tape from seat to seat over the mock-up.',
      source: PRACTICE,
    },
    'length-too-short': {
      title: 'Too short for its ends',
      area: 'length',
      severity: 'risk',
      before: 'saw',
      why: 'Between the two ends no hose is left, or too little to bend or to hold in a vice.',
      hint: 'Tape longer, take shorter ends, or join the ports with adapters alone.',
      source: PRACTICE,
    },
    'taped-over-another-way': {
      title: 'Taped with other fittings',
      area: 'length',
      severity: 'risk',
      before: 'saw',
      why: 'The seats moved with the fittings: a hose cut to the old length is short, or hangs.',
      hint: 'Tape again over the mock-up.',
      source: PRACTICE,
    },
    'made-hose-length-not-given': {
      title: 'The made hose has no length',
      area: 'length',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'Whether it fits cannot be told.',
      hint: 'Measure it from seat to seat.',
      source: PRACTICE,
    },
    'made-hose-too-short': {
      title: 'The made hose is too short',
      area: 'length',
      severity: 'leak',
      before: 'order',
      why: 'A hose that is pulled tight tears at its ends as soon as the engine moves.',
      hint: 'Take a longer one, or cut one from the reel.',
      source: PRACTICE,
    },
    'made-hose-little-slack': {
      title: 'Little slack',
      area: 'length',
      severity: 'advice',
      before: 'order',
      why: 'Pressure shortens a hose a little, and an engine moves.',
      hint: 'It goes where nothing moves and no bend is tight: else take a longer one.',
      source: PRACTICE,
    },
    'made-hose-too-long': {
      title: 'The made hose is too long',
      area: 'length',
      severity: 'risk',
      before: 'order',
      why: 'What is over hangs in the way, and rubs.',
      hint: 'Take a shorter one, or lead it the longer way and tape that.',
      source: PRACTICE,
    },
    'crimped-by-supplier': {
      title: 'Its ends are crimped',
      area: 'length',
      severity: 'risk',
      before: 'saw',
      why: 'A crimped end needs the press and the die of its maker: cut here it cannot be made up.',
      hint: 'Say that it comes from a shop, made up; tell them clocking as well.',
      source: PRACTICE,
    },
  },
  ({ line: { line, pieces, ways }, schools }, say) => {
    for (const [i, { piece, hose, cut, cutProblem }] of pieces.entries()) {
      const at = { lineId: line.id, piece: piece.key };
      if (piece.length === null) {
        say('length-not-given', at, line.pieces.length > 1 ? `${hoseName(line, piece)}: no length taped.` : 'No length taped.');
        continue;
      }
      taking(line, piece, [ways[i]!, ways[i + 1]!], say);
      if (cutProblem) say('length-too-short', at, cutProblem.message, { hint: cutProblem.hint });
      if (!cut) continue;
      crimped(line, piece, hose, cut, say);
      madeBefore(line, piece, hose, cut, schools.limits.madeExtraPercent, say);
    }
  },
);

type LengthSay = Say<keyof typeof lengthRules>;

/** Crimped ends are pressed on by the supplier: the hose is ordered at its length, and not cut here. */
function crimped(line: Line, piece: Piece, hose: Hose | undefined, { assemblyMm }: CutArithmetic, say: LengthSay): void {
  if (!hose || piece.source !== 'cut' || constructionById(hose.construction).endStyle !== 'crimp') return;
  const mm = Math.round(assemblyMm * 10) / 10;
  const set = { source: 'bought' as const, hasMm: mm };
  const remedy: Remedy = {
    label: `Buy it made up, ${taped(mm)}`,
    commands: [{ do: 'edit-piece', id: line.id, version: line.version, piece: piece.key, set }],
    certain: true,
  };
  say(
    'crimped-by-supplier',
    { lineId: line.id, piece: piece.key },
    `Its ends are crimped by the supplier: it is ordered made up, ${taped(mm)} from seat to seat, and not cut here.`,
    { remedies: [remedy] },
  );
}

/** What is bought made up or on the car already has the length it has. */
function madeBefore(line: Line, piece: Piece, hose: Hose | undefined, cut: CutArithmetic, extraPercent: number, say: LengthSay): void {
  const { source, hasMm } = piece;
  if (source === 'cut') return;
  const at = { lineId: line.id, piece: piece.key };
  const what = source === 'bought' ? 'The bought hose' : 'The hose that is kept';
  if (hasMm === undefined) return say('made-hose-length-not-given', at, `${what} has no length yet.`);
  const { assemblyMm, slackMm } = cut;
  const over = overBy(piece, cut)!;
  // from the taped length on it goes on, and has less slack than the shop would give it
  const tapedMm = assemblyMm - slackMm;
  const slackLeft = Math.round((hasMm - tapedMm) * 10) / 10;
  if (slackLeft <= -0.5)
    say(
      'made-hose-too-short',
      at,
      `${what} is ${taped(-slackLeft)} too short: ${taped(hasMm)} seat to seat, and ${taped(Math.round(tapedMm * 10) / 10)} were taped.`,
    );
  else if (over < -0.5)
    say(
      'made-hose-little-slack',
      at,
      `${what} has ${taped(Math.max(0, slackLeft))} of slack over what was taped; the shop would give it ${taped(Math.round(slackMm * 10) / 10)}.`,
    );
  if (isFinal(piece, hose) && over > (assemblyMm * extraPercent) / 100)
    say('made-hose-too-long', at, `${what} is ${taped(over)} longer than is needed.`);
}

/** A length that was taped over other fittings than stand there now: the seats have moved. */
function taking(line: Line, piece: Piece, beside: readonly [AssembledWay, AssembledWay], say: LengthSay): void {
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
    { lineId: line.id, piece: piece.key },
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

import { constructions, hoseEndProblem, joinsHose, type HoseEnd } from '../../hose/index.js';
import { formatDash } from '../../units/index.js';
import { capital, hoseName } from '../words.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Hose and ends of each piece, as far as they are chosen and made for one another. */
export const hoseRules = rulesOf(
  'line',
  {
    'hose-not-chosen': {
      title: 'No hose chosen',
      area: 'hose',
      severity: 'open',
      before: 'saw',
      undecided: true,
      why: 'Ends, cut length and flow follow from the hose.',
      hint: 'Choose construction and size.',
      source: PRACTICE,
    },
    'hose-not-known': {
      title: 'The hose is not in the catalogue',
      area: 'hose',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'What nobody has the figures of cannot be cut, ordered or judged.',
      hint: 'Choose another hose or size.',
      source: PRACTICE,
    },
    'end-not-chosen': {
      title: 'A hose end is missing',
      area: 'hose',
      severity: 'open',
      before: 'order',
      undecided: true,
      why: 'The cut length needs both ends: each takes its share.',
      hint: 'Choose another angle.',
      source: PRACTICE,
    },
    'end-off-hose': {
      title: 'An end that is not made for its hose',
      area: 'hose',
      severity: 'leak',
      before: 'saw',
      why: 'Socket, olive and nipple are made for one construction and one size: on another the hose blows off or leaks.',
      hint: 'Choose an end that is made for this hose.',
      source: PRACTICE,
    },
  },
  ({ line: { line, pieces } }, say) => {
    for (const { piece, hose, endA, endB } of pieces) {
      const at = { lineId: line.id, piece: piece.key };
      const { construction, dash } = piece.wanted ?? {};
      if (!hose && piece.hose !== null)
        say('hose-not-known', at, `${hoseName(line, piece)} is no longer in the catalogue (${piece.hose}).`);
      else if (!hose && construction !== undefined && dash !== undefined)
        say('hose-not-known', at, `${constructionName(construction)} hose is not in the catalogue in ${formatDash(dash)}.`, {
          hint: 'Choose another size.',
        });
      else if (!hose) say('hose-not-chosen', at, line.pieces.length > 1 ? `${hoseName(line, piece)} is not chosen.` : 'No hose chosen.');
      for (const side of ['A', 'B'] as const) {
        const [found, id] = [side === 'A' ? endA : endB, piece[`end${side}`]];
        const problem = found && hose && hoseEndProblem(found, hose);
        // the joint between the two says it where there is one
        if (problem && !joinsHose(found)) say('end-off-hose', at, `End ${side}: ${problem}`);
        else if (!found && id !== null) say('end-not-chosen', at, `The end "${id}" is no longer in the catalogue (end ${side}).`);
        else if (!found && hose) say('end-not-chosen', at, noEnd(piece.wanted?.[`angle${side}`], side));
      }
    }
  },
);

function noEnd(angle: HoseEnd['angleDeg'] | undefined, side: string): string {
  return `No ${angle === undefined ? '' : `${angle}° `}end in the catalogue for this hose (end ${side}).`;
}

function constructionName(id: string): string {
  const known = constructions.find((c) => c.id === id);
  return known ? capital(known.name) : `"${id}"`;
}

import { taped } from '../../units/index.js';
import { PRACTICE, rulesOf } from '../rule.js';

/** Parts, orders and papers: whether it is all there by the day it is needed, and still what was planned. */
export const storeRules = rulesOf(
  'job',
  {
    'comes-too-late': {
      title: 'It comes too late',
      area: 'parts and orders',
      severity: 'risk',
      before: 'order',
      why: 'The car stands on its day with a part missing.',
      hint: 'Order it from whoever has it sooner, take another part, or move the day.',
      source: PRACTICE,
    },
    'nobody-offers-it': {
      title: 'Nobody offers it',
      area: 'parts and orders',
      severity: 'open',
      before: 'order',
      why: 'What has no supplier cannot be ordered in one go with the rest.',
      hint: 'Add an offer in the store, or take another part.',
      source: PRACTICE,
    },
    'length-shared': {
      title: 'Another job plans to cut from it',
      area: 'people and papers',
      severity: 'advice',
      before: 'saw',
      why: 'Whoever comes second finds it gone.',
      hint: 'Reserve it for this job, or plan again.',
      source: PRACTICE,
    },
    'ordered-too-much': {
      title: 'Ordered for what has changed',
      area: 'people and papers',
      severity: 'advice',
      before: 'order',
      why: 'What is not needed any more comes all the same, and is paid.',
      hint: 'Cancel it while it can be, or put it on the shelf.',
      source: PRACTICE,
    },
    'cut-to-another-length': {
      title: 'Cut before it changed',
      area: 'people and papers',
      severity: 'leak',
      before: 'start',
      why: 'The ticket that was sawn by is older than the line: the piece is not the hose that is planned now.',
      hint: 'Measure the piece, and cut it anew where it is short.',
      source: PRACTICE,
    },
  },
  ({ store, job }, say) => {
    if (!store) return;
    const { neededBy } = store;
    const lineOf = (numbers: readonly number[]) => job.lines.find((l) => numbers.includes(l.line.number))?.line.id;
    for (const { part, name, quantity, lines, soonest, due } of store.short) {
      const lineId = lineOf(lines);
      const at = { partId: part, ...(lineId === undefined ? {} : { lineId }) };
      const day = due ?? soonest;
      if (day === undefined) say('nobody-offers-it', at, `${quantity} × ${name}: the shelf has none left, and no supplier offers it.`);
      else if (neededBy !== undefined && day > neededBy)
        say(
          'comes-too-late',
          at,
          `${quantity} × ${name} ${due === undefined ? 'can be there' : 'comes'} on ${day}; the job needs it by ${neededBy}.`,
        );
    }
    for (const { lengthId, words } of store.shared) say('length-shared', { lengthId }, words);
    for (const { orderId, number, name, quantity } of store.overOrdered)
      say('ordered-too-much', { orderId }, `${number} brings ${quantity} × ${name} more than the job needs now.`);
    for (const { lineId, piece, ticket, cutMm, nowMm } of store.offCut)
      say('cut-to-another-length', { lineId, piece }, `${ticket} was cut to ${taped(cutMm)}, and the hose is ${taped(nowMm)} now.`);
  },
);

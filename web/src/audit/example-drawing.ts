import { assembleLine, runSheet, type AnswerOf, type Drawing, type JobDocument, type shopContracts, type UnitSystem } from '@gewinde/core';

export type ShownJob = AnswerOf<typeof shopContracts.readExample>['sound'];

/** The line of a made job that an example or a question is about: its last. */
export function exampleDrawing(
  { document: told, fittings, hoses, hoseEnds }: ShownJob,
  system: UnitSystem,
  { wide = false, unjudged = false } = {},
): Drawing | null {
  const document = told as JobDocument;
  const line = document.lines[document.lines.length - 1];
  if (!line) return null;
  const assembled = assembleLine(line, document, { fittings, hoses, hoseEnds, supplies: [] });
  const [width, height] = wide ? [1000, 360] : [780, 300];
  return runSheet(assembled, { width, height, jobNumber: document.job.number, system, unjudged });
}

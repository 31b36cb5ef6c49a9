import { judgeJob, leakAt, partsBetween, placesForSensor, solveJob, waysAcross, waysByCase, type Catalogue } from '@gewinde/core';
import type { WaysReply, WaysRequest } from './ways-protocol';

type Question = Extract<WaysRequest, { kind: 'ways' | 'cases' | 'parts' | 'places' | 'job' }>;

/** Lets what has come in meanwhile be heard. */
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/**
 * What the worker does with each request. Questions wait in line and are looked at between breaths, so that one that was cancelled
 * meanwhile is never begun, and a whole job is left between two of its ends.
 */
export function answerWays(reply: (message: WaysReply) => void): (request: WaysRequest) => void {
  let catalogue: Catalogue = { fittings: [], hoses: [], hoseEnds: [], supplies: [] };
  let line: Question[] = [];
  const cancelled = new Set<number>();
  let working = false;

  const solve = async (question: Question): Promise<void> => {
    const { id } = question;
    switch (question.kind) {
      case 'ways': {
        const { gap, options } = question.question;
        return reply({ id, kind: 'ways', answer: waysAcross(gap, catalogue, options) });
      }
      case 'cases': {
        const { cases, options } = question.question;
        return reply({ id, kind: 'cases', answer: waysByCase(cases, catalogue, options) });
      }
      case 'parts': {
        const { gap, kind, options } = question.question;
        return reply({ id, kind: 'parts', parts: partsBetween(gap, kind, catalogue, options) });
      }
      case 'places':
        return reply({ id, kind: 'places', places: placesForSensor(question.sensor, question.from, question.document, catalogue) });
      case 'job': {
        const job = judgeJob(question.document, catalogue);
        const steps = solveJob(job, { ...question.query, leakAt: leakAt(job) });
        for (let step = steps.next(); ; step = steps.next()) {
          if (cancelled.has(id)) return;
          if (step.done) return reply({ id, kind: 'job', solved: step.value });
          reply({ id, kind: 'progress', progress: step.value });
          await breath();
        }
      }
    }
  };

  const work = async (): Promise<void> => {
    if (working) return;
    working = true;
    await breath();
    for (let question = line.shift(); question; question = line.shift()) {
      try {
        await solve(question);
      } catch (error) {
        reply({ id: question.id, kind: 'failed', message: error instanceof Error ? error.message : String(error) });
      }
      cancelled.delete(question.id);
      await breath();
    }
    working = false;
  };

  return (request) => {
    switch (request.kind) {
      case 'catalogue':
        catalogue = request.catalogue;
        return;
      case 'cancel':
        if (line.some((q) => q.id === request.id)) line = line.filter((q) => q.id !== request.id);
        else if (working) cancelled.add(request.id);
        return;
      case 'ways':
      case 'cases':
      case 'parts':
      case 'places':
      case 'job':
        line.push(request);
        void work();
    }
  };
}

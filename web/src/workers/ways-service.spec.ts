import { TestBed } from '@angular/core/testing';
import { gapToHoseEnd, parseConnector, usualWeights } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { catalogue, document, withWay } from '../../../core/testing/sample-job';
import { openSampleJob, settle } from '../../test/open-job';
import { workers } from '../../test/worker-factory.stub';
import { answerWays } from './answer-ways';
import type { WaysReply } from './ways-protocol';
import { WaysService } from './ways-service';

const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;
const question = (notation: string) => ({ gap: gapToHoseEnd({ connector: parseConnector(notation) }, hoseEnd), options: {} });

describe('the worker', () => {
  const start = () => {
    const replies: WaysReply[] = [];
    const ask = answerWays((reply) => replies.push(reply));
    ask({ kind: 'catalogue', catalogue });
    return { replies, ask, ids: () => replies.map((r) => r.id) };
  };
  const rest = async () => {
    for (let i = 0; i < 12; i++) await settle();
  };

  it('never begins a question that was cancelled while it waited: only the latest counts', async () => {
    const { ask, ids } = start();
    for (const id of [1, 2, 3]) ask({ kind: 'ways', id, question: question('orb6 f') });
    ask({ kind: 'cancel', id: 1 });
    ask({ kind: 'cancel', id: 2 });
    await rest();
    expect(ids()).toEqual([3]);
  });

  it('leaves a whole job between two of its ends, and a question that fails harms no other', async () => {
    const { ask, ids, replies } = start();
    const open = { ...document, lines: document.lines.map((l) => withWay(withWay(l, 0, null), 1, null)) };
    ask({ kind: 'job', id: 1, document: open, query: { weights: usualWeights } });
    ask({ kind: 'ways', id: 2, question: { ...question('orb6 f'), gap: null as never } });
    ask({ kind: 'ways', id: 3, question: question('orb6 f') });
    await settle();
    await settle();
    ask({ kind: 'cancel', id: 1 });
    await rest();
    expect(replies.filter((r) => r.kind === 'job')).toEqual([]);
    expect(ids().slice(-2)).toEqual([2, 3]);
    expect(replies.find((r) => r.id === 2)!.kind).toBe('failed');
  });
});

describe('questions to the worker', () => {
  it('are answered each by itself', async () => {
    await openSampleJob();
    const ways = TestBed.inject(WaysService);
    const [first, second] = await Promise.all([
      firstValueFrom(ways.ways(question('orb6 f'))),
      firstValueFrom(ways.ways(question('an6 m'))),
    ]);
    expect(first.ways[0]!.fittings).toEqual([{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }]);
    expect(second.ways[0]!.name).toBe('Straight on the port');
  });

  it('are told when it dies, and the next one finds a fresh one with the catalogue', async () => {
    await openSampleJob();
    const ways = TestBed.inject(WaysService);
    const asked = firstValueFrom(ways.ways(question('orb6 f')));
    workers[workers.length - 1]!.die();
    await expect(asked).rejects.toThrow('The solver has stopped.');
    expect((await firstValueFrom(ways.ways(question('orb6 f')))).ways.length).toBeGreaterThan(0);
  });

  it('do not wait for ever for one that says nothing', async () => {
    await openSampleJob();
    const ways = TestBed.inject(WaysService);
    jest.useFakeTimers();
    workers[workers.length - 1]!.silent = true;
    const asked = firstValueFrom(ways.ways(question('orb6 f')));
    const refused = expect(asked).rejects.toThrow('The solver does not answer.');
    await jest.advanceTimersByTimeAsync(31_000);
    await refused;
    jest.useRealTimers();
  });
});

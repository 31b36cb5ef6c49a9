import { TestBed } from '@angular/core/testing';
import { sizeLine, systemOf, usualFlowRules, type Running } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { document } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { JobView } from '../data/job-view';
import { layOutSystem } from '../system/layout-system';
import { EngineForm } from './engine-form';
import { houseFigure, houseTemperature, houseUnit, houseValue } from './figure';
import { FlowRulesDialog } from './flow-rules-dialog';
import { saidWith } from './flow-row';
import { FlowView } from './flow-view';
import { TakeSize } from './take-size';

const running: Running = { oil: { grade: '10w40' }, coldC: 5, hottestC: 120, fullBar: 4, idleBar: 1 };
const running1 = { job: { ...document.job, running } };

describe('figures', () => {
  it('are told in the units of the house', () => {
    expect([houseUnit('bar', 'metric'), houseUnit('bar', 'inch'), houseUnit('bar abs', 'inch'), houseUnit('%', 'inch')]).toEqual([
      'bar',
      'psi',
      'psi abs',
      '%',
    ]);
    expect([houseFigure(1, 'bar', 2, 'metric'), houseFigure(1, 'bar', 2, 'inch'), houseFigure(undefined, 'bar', 2, 'metric')]).toEqual([
      '1.00',
      '14.5',
      '–',
    ]);
    expect([houseFigure(-12.34, '%', 1, 'inch'), houseFigure(12.7, 'mm', 1, 'inch')]).toEqual(['−12.3', '0.5']);
    expect(houseValue(3.785411784, 'L/min', 'inch')).toBeCloseTo(1, 9);
    expect([houseTemperature(100, 'metric'), houseTemperature(100, 'inch')]).toEqual([100, 212]);
  });

  it('that are not said any more are left out', () => expect(saidWith({ a: 1, b: 2 }, { a: null, c: 3 })).toEqual({ b: 2, c: 3 }));
});

describe('a size', () => {
  it('is taken with its ends and the ways it opens, all in one change', async () => {
    const job = await openSampleJob(running1);
    const line = TestBed.inject(JobView).lines()[0]!;
    const sizing = TestBed.inject(FlowView).sizing(line)!;
    const column = sizing.columns.find((c) => c.size === '-4')!;
    const open = await firstValueFrom(TestBed.inject(TakeSize).take(line, column));
    expect(open).toBe(0);
    const { commands } = job.sent();
    expect(commands[0]).toMatchObject({ do: 'edit-piece', set: { hose: 'hose-ptfe-4', endA: 'end-ptfe-4-0', endB: 'end-ptfe-4-45' } });
    expect(commands.slice(1).map((c) => c.do)).toEqual(['take-way', 'take-way']);
    expect(TestBed.inject(JobView).lines()[0]!.pieces[0]!.hose!.id).toBe('hose-ptfe-4');
    expect(job.messages.at(-1)!.text).toBe('L1 is -4 now');
  });
});

describe('what flows in the engine', () => {
  it('is saved field by field, and crossed viscosities stay in their field with the word', async () => {
    const job = await openSampleJob(running1);
    const form = await render(EngineForm);
    await form.choose('Oil', 'by its data sheet');
    expect(job.sent().commands).toMatchObject([{ do: 'edit-job', set: { running: { oil: { name: '10W-40', v40: 96, v100: 14.4 } } } }]);
    await form.type('At 40 °C', '9');
    await form.stable();
    expect(form.text()).toContain('may be crossed');
    expect(TestBed.inject(JobView).document()!.job.running!.oil).toMatchObject({ v40: 96 });
  });
});

describe('what the shop reckons with', () => {
  it('is set, and usual again', async () => {
    const job = await openSampleJob();
    const dialog = await render(FlowRulesDialog);
    await dialog.choose('Hose taken first', 'rubber');
    await dialog.press('button', 'Set');
    const { commands, request } = job.shopSent();
    expect(commands).toEqual([{ do: 'set-flow-rules', version: 0, rules: { ...usualFlowRules, hoseSchool: 'rubber' } }]);
    request.flush({ code: 'conflict', message: 'Somebody else has.', current: { version: 4 } }, { status: 409, statusText: 'stale' });
    await settle();
    await dialog.stable();
    expect(dialog.text()).toContain('Set again to put yours over it');
    await dialog.press('button', 'The usual ones');
    await dialog.press('button', 'Set');
    expect(job.shopSent().commands).toEqual([{ do: 'set-flow-rules', version: 4, rules: usualFlowRules }]);
  });
});

describe('the system', () => {
  it('has every line and every component that a line touches, apart from one another', async () => {
    await openSampleJob(running1);
    const question = TestBed.inject(FlowView).question()!;
    const { components, lines } = layOutSystem(systemOf(question, 'warm', 'hot'));
    expect(components.map((c) => c.name).sort()).toEqual(['block', 'turbo']);
    expect(lines.map((l) => l.line.line.line.number).sort()).toEqual([1, 2, 3]);
    const [a, b] = components as [(typeof components)[0], (typeof components)[0]];
    expect(Math.abs(a.x - b.x) >= a.width || Math.abs(a.y - b.y) >= a.height).toBe(true);
    for (const { points, label } of lines) for (const { x, y } of [...points, label]) expect(x >= 0 && y >= 0).toBe(true);
    expect(sizeLine(question.job.lines[0]!, question).missing.map((m) => m.field)).toEqual(['bearing']);
  });
});

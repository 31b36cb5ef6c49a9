import { TestBed } from '@angular/core/testing';
import { sizingRows, usualFlowRules, workingOf, type JobDocument, type Line, type SizeColumn } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { running } from '../../../core/testing/flow-job';
import { document, drain, feed } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { FlowView } from './flow-view';
import { OilDialog } from './oil-dialog';
import { SizingView } from './sizing-view';
import { WhatFlows } from './what-flows';

const job = { job: { ...document.job, running } };
const withLines = (...lines: Line[]): Partial<JobDocument> => ({ ...job, lines });
const journal: Line = { ...feed, flow: { bearing: 'journal' } };
const falling: Line = { ...drain, flow: { fallMm: 180, flowLpm: 3 } };
const sizingOf = (at = 0) => TestBed.inject(FlowView).sizing(TestBed.inject(JobView).lines()[at]!)!;

describe('sizes side by side', () => {
  const open = async (change: Partial<JobDocument>) => {
    const opened = await openSampleJob(change);
    return { opened, view: await render(SizingView, { sizing: sizingOf() }) };
  };
  const heads = (view: Awaited<ReturnType<typeof open>>['view']) =>
    view
      .all('thead th button')
      .map((b) => `${b.querySelector('strong')!.textContent} ${b.querySelector('small')!.firstChild!.textContent}`.trim());

  it('are columns, the taken one and the recommended one marked, each figure with its unit and its working', async () => {
    const { view } = await open(withLines(journal));
    const sizing = sizingOf();
    expect(heads(view)).toEqual(
      sizing.columns.map((c, i) => `${c.size} ${i === sizing.taken ? 'taken' : i === sizing.recommended ? 'recommended' : ''}`.trim()),
    );
    expect(view.all('tbody tr')).toHaveLength(sizingRows(sizing).length);
    const working = { set: jest.fn() };
    jest.spyOn(TestBed.inject(NgbModal), 'open').mockReturnValue({ componentInstance: { working } } as never);
    await view.press('td.figure button');
    const row = sizingRows(sizing).find((r) => r.values[0] !== undefined)!;
    expect(working.set).toHaveBeenCalledWith(workingOf(sizing, row, sizing.columns[0]!));
  });

  it('paint a figure as far as it goes: amber beyond a rule of thumb, red beyond what will do', async () => {
    const { view } = await open(withLines(journal));
    const rows = sizingRows(sizingOf());
    const tone = (bad: boolean, soft: boolean) => (soft ? 'soft' : bad ? 'bad' : '');
    expect(
      view.all('tbody tr').map((tr) => [...tr.querySelectorAll('td.figure')].map((td) => tone(td.matches('.bad'), td.matches('.soft')))),
    ).toEqual(rows.map((r) => r.bad.map((bad, i) => tone(bad, r.soft[i]!))));
    expect(rows.flatMap((r) => r.bad)).toContain(true);
  });

  it('are told in the units of the house, curves too', async () => {
    const { view } = await open(withLines(journal));
    const curve = () => view.find('canvas').getAttribute('aria-label');
    expect(curve()).toMatch(/^Flow\..* at 5 °C, .* at 120 °C/);
    TestBed.inject(Preferences).system.set('inch');
    await view.stable();
    expect(curve()).toMatch(/ at 41 °F, .* at 248 °F/);
    expect(view.text()).not.toMatch(/\d.(mm|bar|L\/min|m\/s|°C)/);
  });

  it('are looked at one by one, and back at its own when another line comes', async () => {
    const { view } = await open(withLines(journal, falling));
    const other = view.all('thead th button').find((b) => b.getAttribute('aria-pressed') === 'false')!;
    const size = other.querySelector('strong')!.textContent;
    other.click();
    await view.stable();
    const profile = () => view.find('section', 'Pressure along the line').querySelector('.quiet')!.textContent;
    expect([other.getAttribute('aria-pressed'), profile().startsWith(`${size} `)]).toEqual(['true', true]);
    view.fixture.componentRef.setInput('sizing', sizingOf(1));
    await settle();
    await view.stable();
    expect(view.fixture.componentInstance.shown()).toBeNull();
    expect(view.text()).toContain('what falls away, what comes');
    view.fixture.componentRef.setInput('sizing', sizingOf());
    await view.stable();
    expect(profile().startsWith(`${size} `)).toBe(false);
  });

  it('of a drain are set against what comes, and say where it backs up', async () => {
    const { view } = await open(withLines(falling));
    expect(view.find('canvas').getAttribute('aria-label')).toMatch(/carries: .*\. comes: /);
    expect(view.text()).toMatch(
      /it carries what comes at every temperature|more comes than it carries as it should run from \d+ to \d+ °C/,
    );
    expect(view.all('g-pressure-profile')).toEqual([]);
  });

  it('that cannot be reckoned say what is missing; another construction is looked at all the same', async () => {
    const { view } = await open({ lines: [feed] });
    expect(view.find('.g-empty').textContent).toContain('Not to be reckoned yet');
    expect(view.all('canvas')).toEqual([]);
    await view.choose('Construction looked at', view.find('option', /rubber/i).textContent.trim());
    expect(view.fixture.componentInstance.construction()).toBe('rubber');
  });
});

describe('what flows in a line', () => {
  const open = async (change: Partial<JobDocument>, rules = usualFlowRules) => {
    const opened = await openSampleJob(change, undefined, { flowRules: { id: 'flow-rules', rules, version: 0 } });
    const panel = await render(WhatFlows, { sizing: sizingOf() });
    const taken: SizeColumn[] = [];
    panel.fixture.componentInstance.take.subscribe((column) => taken.push(column));
    return { opened, panel, taken };
  };

  it('is answered first: the size, why, and a press that takes it', async () => {
    const { panel, taken } = await open(withLines(journal));
    const { columns, recommended, taken: at, reason } = sizingOf();
    expect(panel.find('.answer').textContent).toContain(`Recommended: ${columns[recommended!]!.size}`);
    expect(panel.text()).toContain(reason.slice(0, 20));
    if (recommended !== at) await panel.press('button', /^ ?Take .*, solve ends/);
    expect(taken.map((c) => c.size)).toEqual(recommended === at ? [] : [columns[recommended!]!.size]);
    panel.fixture.componentRef.setInput('shown', (at! + 1) % columns.length);
    await panel.stable();
    await panel.press('button', /^ ?Take .*, solve ends/);
    expect(taken.at(-1)!.size).toBe(columns[(at! + 1) % columns.length]!.size);
  });

  it('offers the restrictor that gives a turbo what it takes, to the tenth that a drill makes', async () => {
    const { opened, panel } = await open(withLines(journal));
    await panel.press('button', /^ ?Take Ø /);
    const [command] = opened.sent().commands;
    expect(command).toMatchObject({ do: 'edit-line', set: { flow: { bearing: 'journal' } } });
    const { restrictorMm } = (command as { set: { flow: { restrictorMm: number } } }).set.flow;
    expect([restrictorMm > 0.5, restrictorMm < 4, Math.round(restrictorMm * 10) / 10]).toEqual([true, true, restrictorMm]);
  });

  it('says what is missing and what speaks against it, and which hoses of the size would do', async () => {
    const { panel } = await open({ lines: [feed] });
    expect(panel.find('.g-verdict.attention').textContent).toContain('Missing');
    expect(panel.all('.hoses li').length).toBeGreaterThan(3);
    expect(panel.all('.hoses li.refused').length).toBeGreaterThan(0);
    TestBed.inject(Preferences).system.set('inch');
    await panel.stable();
    expect(panel.find('.hoses').textContent).not.toMatch(/°C|\d.bar/);
  });

  it('leads to the rules of the shop', async () => {
    const { panel } = await open(withLines(falling));
    const opened = jest.spyOn(TestBed.inject(NgbModal), 'open').mockReturnValue({} as never);
    await panel.press('button', 'What the shop reckons with');
    expect(opened).toHaveBeenCalledTimes(1);
  });
});

describe('the oil of a job', () => {
  it('is told by what holds it, filled in rounds and bought in cans; what is not known is not in the sum', async () => {
    await openSampleJob(withLines(journal, falling));
    const oil = TestBed.inject(FlowView).oil()!;
    const dialog = await render(OilDialog);
    expect(dialog.all('table tr').length).toBeGreaterThanOrEqual(oil.lines.length + 1);
    expect(dialog.text()).toContain(`Buy ${oil.cans!.number} ×`);
    expect(dialog.all('ol li')).toHaveLength(oil.rounds.length);
    expect(dialog.all('.g-verdict li').map((li) => li.textContent.trim())).toEqual([...oil.missing]);
    TestBed.inject(Preferences).system.set('inch');
    await dialog.stable();
    expect(dialog.text()).toMatch(/qt/);
    expect(dialog.text()).not.toMatch(/\d.L\b/);
  });
});

import { TestBed } from '@angular/core/testing';
import { brokenExample, inHouseUnits, ruleById, type Catalogue, type Component, type JobDocument } from '@gewinde/core';
import { running } from '../../../core/testing/flow-job';
import { document } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { ComponentPanel } from './component-panel';
import { SystemView } from './system-view';

const job = { job: { ...document.job, running } };
const row = (change: Partial<Component> = {}): Component => ({ ...document.components[0]!, ...change });

describe('the system of a job', () => {
  const open = async (change: Partial<JobDocument> = job, catalogue: Partial<Catalogue> = {}) => {
    await openSampleJob(change, undefined, catalogue);
    const view = await render(SystemView, { chosen: 'L1' });
    const told: string[][] = [[], []];
    view.fixture.componentInstance.open.subscribe((id) => told[0]!.push(id));
    view.fixture.componentInstance.component.subscribe((id) => told[1]!.push(id));
    return { view, told };
  };
  const said = (view: Awaited<ReturnType<typeof open>>['view'], line: RegExp) => view.find('g.line', line).getAttribute('aria-description');

  it('says of each line what runs in it, in each state, in the units of the house', async () => {
    const { view } = await open();
    expect(view.all('g.line')).toHaveLength(document.lines.length);
    const warm = said(view, /^ ?L1/)!;
    expect(warm).toMatch(/^L1 .*: [\d.]+\u2009L\/min · [\d.]+\u2009bar/);
    await view.press('button', 'cold start');
    expect(view.find('button', 'cold start').getAttribute('aria-pressed')).toBe('true');
    expect(said(view, /^ ?L1/)).not.toBe(warm);
    TestBed.inject(Preferences).system.set('inch');
    await view.stable();
    expect(said(view, /^ ?L1/)).toMatch(/gal\/min · [\d.]+\u2009psi/);
    expect(view.text()).toContain('no thermostat in this job');
  });

  it('says what the audit says of the circuit, in the same words, and takes the same remedies', async () => {
    const { document: ring, catalogue } = brokenExample('ring-without-drive');
    const { view } = await open(ring, catalogue);
    const found = TestBed.inject(JobView)
      .job()!
      .findings.filter((f) => f.rule === 'runs-against-its-line' || (ruleById(f.rule).area === 'system' && f.severity !== 'open'));
    expect(found.length).toBeGreaterThan(0);
    const list = view.find('[aria-label="What the system complains of"]').textContent;
    for (const { message } of found) expect(list).toContain(inHouseUnits(message, 'metric'));
    expect(view.find('[aria-label="What the system complains of"] a').getAttribute('href')).toBe(`/rules/${found[0]!.rule}`);
    expect(view.all('[aria-label="In this state"] li')).toHaveLength(0);
  });

  it('leads to a line and to a component, by hand and from the keyboard', async () => {
    const { view, told } = await open();
    const line = view.find('g.line', /^ ?L2/);
    line.dispatchEvent(new MouseEvent('click'));
    for (const key of ['Enter', ' ']) line.dispatchEvent(new KeyboardEvent('keydown', { key }));
    view.find('g.component', 'turbo').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(told[0]).toEqual(Array(3).fill(document.lines[1]!.id));
    expect(told[1]).toEqual(['turbo']);
  });

  it('says what is missing, and reckons nothing of what it does not know', async () => {
    const { view } = await open({});
    expect(view.text()).toMatch(/Missing: .*\./);
    expect(said(view, /^ ?L1/)).toContain('not known yet');
  });
});

describe('the figures of a component', () => {
  const open = async (change: Partial<Component> = {}) => {
    const sent = await openSampleJob(job);
    const panel = await render(ComponentPanel, { component: row(change) });
    return { sent, panel };
  };

  it('are saved one by one; what it takes waits for the flow at which it takes it', async () => {
    const { sent, panel } = await open();
    await panel.type('Holds', '2.5');
    expect(sent.sent().commands).toEqual([{ do: 'edit-component', id: 'block', version: 1, set: { flow: { holdsL: 2.5 } } }]);
    panel.fixture.componentRef.setInput('component', row({ flow: { holdsL: 2.5 }, version: 2 }));
    await panel.stable();
    expect(panel.field('Holds').value).toBe('2.5\u2009L');
    expect(panel.all('#cools')).toEqual([]);
  });

  it('follow to another component: nothing of the one before stays in the fields', async () => {
    const { panel } = await open({ flow: { holdsL: 2.5, takesBar: 0.4, atLpm: 20 } });
    expect(['Holds', 'Takes, warm', 'at a flow of'].map((l) => panel.field(l).value)).toEqual([
      '2.5\u2009L',
      '0.4\u2009bar',
      '20\u2009L/min',
    ]);
    panel.fixture.componentRef.setInput('component', { ...document.components[1]!, kind: 'cooler' });
    await settle();
    await panel.stable();
    expect(['Holds', 'Takes, warm', 'at a flow of'].map((l) => panel.field(l).value)).toEqual(['', '', '']);
    expect(panel.all('#cools')).toHaveLength(1);
    panel.fixture.componentRef.setInput('component', row({ flow: { holdsL: 2.5 } }));
    await settle();
    await panel.stable();
    expect([panel.field('Holds').value, panel.field('Takes, warm').value]).toEqual(['2.5\u2009L', '']);
  });

  it('of a cooler say whether it is enough, how long until the oil is warm, and what is missing for that', async () => {
    const { panel } = await open({ kind: 'cooler' });
    const verdict = () => panel.find('.g-verdict h3').textContent.trim();
    expect(verdict()).toMatch(/^Needs \d+ W\/K$/);
    const needs = Number(/\d+/.exec(verdict())![0]);
    for (const [coolsWPerK, words] of [
      [needs + 20, 'Cools enough'],
      [needs - 20, 'Too small'],
    ] as const) {
      panel.fixture.componentRef.setInput('component', row({ kind: 'cooler', flow: { coolsWPerK } }));
      await panel.stable();
      expect(verdict()).toBe(words);
    }
    expect(panel.text()).toContain('Until the oil is warm');
    TestBed.inject(Preferences).system.set('inch');
    await panel.stable();
    expect(panel.text()).not.toContain('°C');
  });

  it('of a cooler wait for what the engine does not say', async () => {
    await openSampleJob({});
    const panel = await render(ComponentPanel, { component: row({ kind: 'cooler' }) });
    expect(panel.find('.g-verdict', 'Missing').textContent).toContain('the power of the engine');
  });
});

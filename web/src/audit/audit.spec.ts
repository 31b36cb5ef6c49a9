import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { judgeJob, parseConnector, ruleIds, shopRuleById, shopRules, type CommandOf, type JobDocument, type Line } from '@gewinde/core';
import { catalogue, document, feed, withWay } from '../../../core/testing/sample-job';
import { openSampleJob, render } from '../../test/open-job';
import { AcceptDialog } from '../shared/accept-dialog';
import { Audit } from './audit';
import { RulePages } from './rule-pages';
import { ShopRule } from './shop-rule';
import { WhatIfPanel } from './what-if-panel';

const withFeed = (line: Line): JobDocument => ({ ...document, lines: [line, ...document.lines.slice(1)] });
/** An adapter of another size at the turbo: nothing screws into it there. */
const leaking = withFeed(withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]));

describe('the audit of a job', () => {
  it('lists what will not do before what is advice, with its line and what puts it right', async () => {
    await openSampleJob(leaking);
    const audit = await render(Audit);
    const rows = audit.all('.rows li').map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(rows[0]).toMatch(/will not do:.*Joint 6 does not join.*L1 · joint 6/);
    expect(rows.join()).not.toContain('not ticked as made up');
    expect(audit.all('.stage').map((s) => s.textContent.replace(/\s+/g, ' ').trim())[0]).toMatch(/^\d+ ?stands? before the saw$/);
    expect(audit.find('g-finding-panel').textContent).toContain('There is nothing for one to hold the other by.');
  });

  it('shows what a remedy would change, and sends it as one change', async () => {
    const job = await openSampleJob(leaking);
    const audit = await render(Audit);
    const first = audit.find('.remedy');
    expect(first.textContent.replace(/\s+/g, ' ')).toMatch(/holding\s*\d+ → \d+/);
    await audit.press('.remedy button', 'Put it right');
    const { commands } = job.sent();
    expect(commands.map((c) => c.do)).toContain('take-way');
    // the list and the finding beside it follow the job
    expect(audit.text()).not.toContain('does not join');
  });

  it('is held to what stands before the start, joints that nobody ticked among it', async () => {
    await openSampleJob({});
    const audit = await render(Audit, { before: 'start' });
    expect(audit.text()).toContain('6 of 6 joints are not ticked as made up.');
    const saw = await render(Audit, { before: 'saw' });
    expect(saw.text()).toContain('Nothing stands there');
  });

  it('leads to the step it is told of, by the address', async () => {
    await openSampleJob(leaking);
    const audit = await render(Audit);
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await audit.press('.looks button', 'By line');
    await audit.press('.stage', /before the order/);
    expect(go.mock.calls.map(([, more]) => more?.queryParams)).toEqual([
      { view: 'lines', at: null },
      { before: 'order', at: null },
    ]);
    const lines = await render(Audit, { view: 'lines' });
    expect(lines.all('h3').map((h) => h.textContent)).toContain('L1 Line 1');
  });

  it('puts right what is certain in one change: a plug in a hole that a sender leaves', async () => {
    const sender = { name: 'sender', connector: parseConnector('npt 1/8 m'), movedTo: { portId: 'gone', fittings: [] } };
    const spare = { ...document.ports[0]!, id: 'spare', label: 'gauge', connector: parseConnector('npt 1/8 f'), sensor: sender };
    const job = await openSampleJob({ ports: [...document.ports, spare] });
    const audit = await render(Audit);
    expect(audit.find('.certain').textContent).toMatch(/Close it: /);
    await audit.press('.certain button', /^ ?Put 1 right/);
    const [command] = job.sent().commands as [CommandOf<'edit-port'>];
    expect(command).toMatchObject({ do: 'edit-port', id: 'spare', set: { closed: { by: 'plug' } } });
  });

  it('accepts with initials and a reason, which are asked for; and takes that back', async () => {
    const job = await openSampleJob(leaking);
    const finding = judgeJob({ ...document, ...leaking }, catalogue).findings[0]!;
    const dialog = await render(AcceptDialog);
    dialog.fixture.componentInstance.finding.set(finding);
    await dialog.press('button', 'Accept it');
    expect(dialog.text()).toContain('Say why it may stay.');
    job.nothingSent();
    await dialog.type('Reason', 'kept for the mock-up');
    await dialog.type('Initials', 'RA');
    await dialog.press('button', 'Accept it');
    const [{ waiver }] = job.sent().commands as [CommandOf<'accept-finding'>];
    expect(waiver).toMatchObject({ rule: finding.rule, by: 'RA', reason: 'kept for the mock-up' });
    await openSampleJob({ ...leaking, job: { ...document.job, waivers: [waiver] } });
    const audit = await render(Audit, { view: 'accepted' });
    expect(audit.text()).toContain('Accepted by RA');
  });
});

describe('what if', () => {
  it('says what would be found for a colder start, and changes nothing', async () => {
    const running = { oil: { grade: '20w50' as const }, coldC: 5, hottestC: 120, fullBar: 4, idleBar: 1.2, pumpLpm: 35, powerKw: 200 };
    const job = await openSampleJob({ job: { ...document.job, running } });
    const whole = { ...document, job: { ...document.job, running } };
    const panel = await render(WhatIfPanel, { job: judgeJob(whole, catalogue) });
    expect(panel.text()).toContain('Nothing is changed.');
    await panel.type('Cold start', '-25');
    expect(panel.text()).toContain('What holds the job');
    job.nothingSent();
  });
});

describe('the pages of the rules', () => {
  it('have each rule with what happens, what to do and its source', async () => {
    await openSampleJob({});
    const pages = await render(RulePages, { rule: 'cone-angles-differ' });
    expect(pages.all('nav li a')).toHaveLength(ruleIds.length);
    expect(pages.find('article').textContent).toContain('SAE J512 (45°)');
    pages.fixture.componentRef.setInput('rule', 'drain-rises');
    await pages.stable();
    expect(pages.find('article h2').textContent).toBe('A drain that does not fall');
  });
});

describe('the rules of the shop', () => {
  const entry = (id: string) => shopRuleById(id);

  it('are set one at a time, from what stood when it was looked at', async () => {
    const job = await openSampleJob({});
    const rule = await render(ShopRule, { entry: entry('flow.thermostat') });
    expect(rule.text()).toContain('Pure track cars go without');
    await rule.choose('Oil coolers', 'without');
    await rule.press('button', 'Set for the shop');
    expect(job.shopSent().commands).toEqual([{ do: 'set-shop-rule', rule: 'flow.thermostat', value: 'none', version: 0 }]);
  });

  it('are done another way by a job with a reason, and followed again', async () => {
    const job = await openSampleJob({});
    const rule = await render(ShopRule, { entry: entry('judging.retiredHolds') });
    const box = rule.find('input[type=checkbox]') as HTMLInputElement;
    box.click();
    await rule.stable();
    await rule.press('button', 'Only in 2403');
    await rule.press('button', 'Only in this job');
    expect(rule.text()).toContain('Say why this job does it another way.');
    await rule.type('Reason', 'old stock is used up');
    await rule.type('Initials', 'RA');
    await rule.press('button', 'Only in this job');
    const { commands } = job.sent();
    const deviation = { rule: 'judging.retiredHolds', value: false, by: 'RA', reason: 'old stock is used up' };
    expect(commands).toEqual([{ do: 'deviate', deviation }]);
    expect(rule.text()).toContain('Job 2403: no, by RA: old stock is used up');
    expect(shopRules.filter((e) => e.group === 'store').some((e) => e.perJob)).toBe(false);
  });
});

import { TestBed } from '@angular/core/testing';
import {
  parseConnector,
  parsePortThread,
  usualWeights,
  type Command,
  type CommandOf,
  type JobDocument,
  type Line,
  type Port,
} from '@gewinde/core';
import { assembleLine } from '@gewinde/core';
import { catalogue, document, feed, withPiece, withWay } from '../../../core/testing/sample-job';
import { answer, openSampleJob, render, settle, type OpenJob, type Rendered } from '../../test/open-job';
import { Preferences } from '../data/preferences';
import { ShopStore } from '../data/shop-store';
import { SolveDialog } from './solve-dialog';
import { WaysTable } from './ways-table';
import { WeightsDialog } from './weights-dialog';

jest.mock('../shared/drawing', () => jest.requireActual<object>('../../test/plain-drawing'));

const assembled = (l: Line = feed, d: JobDocument = document) => assembleLine(l, d, catalogue);
const wishing = (wishes: object): Line => ({ ...feed, ways: [{ ...feed.ways[0]!, wishes }, feed.ways[1]!] });
const open = withWay(withWay(feed, 0, null), 1, null);

describe('the ways', () => {
  let job: OpenJob;
  let ways: Rendered<WaysTable>;
  const show = async (l: Line = feed, d: JobDocument = document) => {
    job = await openSampleJob(d);
    ways = await render(WaysTable, { line: assembled(l, d) });
    await settle();
    await ways.stable();
  };
  let last: Command;
  const command = () => (last = job.sent().commands[0]!);
  const sent = () => {
    expect(command()).toMatchObject({ do: 'edit-way', id: 'line1', version: 3, at: 0 });
    return (last as CommandOf<'edit-way'>).set;
  };

  it('are listed with what decides, and the taken one marked', async () => {
    await show();
    expect(ways.all('tbody').length).toBeGreaterThan(3);
    expect(ways.find('tbody.chosen').textContent).toContain('M14 to -6');
    expect(ways.all('tbody tr')[0]!.querySelectorAll('g-drawing svg')).toHaveLength(1);
    await ways.press('button', /^ ?Take Take way 3/);
    expect(command()).toMatchObject({ do: 'take-way', id: 'line1', version: 3, at: 0, branches: [] });
    expect(job.store.document()!.lines[0]!.ways[0]!.chosen!.fittings.length).toBeGreaterThan(0);
  });

  it('start at the end that is still open', async () => {
    await show(withWay(feed, 1, null));
    expect(ways.find('h3').textContent).toContain('Ways from turbo, port inlet');
    await ways.press('[role=tab]', 'End A');
    expect(ways.find('h3').textContent).toContain('Ways from block, port gallery');
  });

  it('ask for a hose first', async () => {
    await show(withPiece(open, { hose: null, endA: null, endB: null }));
    expect(ways.text()).toContain('Choose the hose and its ends');
  });

  const logged = (notation: string): JobDocument => ({
    ...document,
    ports: document.ports.map((p) => (p.id === 'gallery' ? { ...p, ...parsePortThread(notation) } : p)),
  });

  it('of a port that may be several stand side by side, and each is a button that settles it', async () => {
    await show(withWay(feed, 0, null), logged('m14x1.5 f washer | orb6 f'));
    expect(ways.all('g-case-table tbody tr').map((r) => r.textContent)).toEqual([
      expect.stringMatching(/M14×1\.5, female, washer.*m14x1\.5 m washer to an6 m/s),
      expect.stringMatching(/O-ring boss -6, female.*orb6 m to an6 m/s),
    ]);
    expect(ways.text()).toContain('No way does: nothing goes in before it is settled.');
    expect(ways.text()).toMatch(/must come off, cold.*Pitch gauge/s);
    await ways.press('button', 'It is this');
    const { set } = job.sent().commands[0] as CommandOf<'edit-port'>;
    expect(set.notation).toBe('m14x1.5 f washer');
  });

  it('of a port that may be several may be one that seals whichever it is', async () => {
    await show(withWay(feed, 0, null), logged('rp 1/8 f | rc 1/8 f'));
    await ways.press('button', 'Take it');
    expect(command()).toMatchObject({ do: 'take-way', at: 0, fittings: [{ id: 'r1/8m+an6m' }] });
  });

  it('of a port that is not known wait for it', async () => {
    await show(withWay(feed, 0, null), logged('? about 14 mm'));
    expect(ways.text()).toContain('The thread of block, port gallery is not known');
  });

  it('say so where the catalogue has none, and which part would do', async () => {
    const odd = {
      ...document,
      ports: document.ports.map((p) => (p.id === 'gallery' ? { ...p, connector: parseConnector('m48x2 f washer') } : p)),
    };
    await show(withWay(feed, 0, null), odd);
    expect(ways.find('.attention').textContent).toContain('No chain in the catalogue joins metric parallel M48×2');
    expect(ways.text()).toContain('m48x2 m washer to an6 m');
  });

  it('are compared with the one that is held, in figures and in parts', async () => {
    await show();
    await ways.press('button', 'Hold way 2 to compare');
    const first = ways.all('tbody')[0]!;
    expect(ways.all('tbody')[1]!.classList.contains('held')).toBe(true);
    expect(first.querySelector('.way small:not(.end)')!.textContent).toMatch(/^− /);
    expect(ways.text()).toContain('Compared with the one held');
    await ways.press('button', 'Hold way 2 to compare');
    expect(ways.all('tbody.held')).toHaveLength(0);
  });

  it('are pinned, and stay in sight when wishes leave them out', async () => {
    await show();
    await ways.press('button', 'Pin way 2');
    const pinned = sent().pinned!;
    expect(pinned).toHaveLength(1);
    await show({ ...feed, ways: [{ ...feed.ways[0]!, wishes: { turnDeg: 90 }, pinned }, feed.ways[1]!] });
    expect(ways.all('.g-icon-button[aria-pressed="true"]')).toHaveLength(1);
    expect(ways.all('tbody.chosen')).toHaveLength(1);
  });

  it('go to another end of the hose where that saves a joint, and take it as one change', async () => {
    await show();
    const first = ways.all('tbody')[0]!;
    expect(first.textContent).toContain('Straight on the port');
    expect(first.querySelector('.end')!.textContent).toMatch(/^Olive end -6, straight, m14x1.5 m washer, 15.00 for 15.00; does not turn/);
    // it is not a way to the end that is there: nothing to keep in sight
    expect(first.querySelector('[aria-label^="Pin"]')).toBeNull();
    await ways.press('button', 'Take way 1, Straight on the port');
    const { commands } = job.sent();
    expect(commands.map((c) => c.do)).toEqual(['edit-piece', 'take-way']);
    expect(job.store.document()!.lines[0]!.ways[0]!.chosen!.fittings).toEqual([]);
    const { pieces } = job.store.document()!.lines[0]!;
    expect(pieces[0]!.endA).toBe('end-ptfe-6-0-m14x1.5mwasher');
  });

  it('unfold to their parts, each of which can be asked for or avoided', async () => {
    await show();
    await ways.press('.unfold', 'M14 to -6');
    expect(ways.find('.parts').textContent).toContain('Adapter, m14x1.5 m washer to an6 m');
    await ways.press('.parts button', 'Avoid');
    expect(sent().wishes).toEqual({ avoid: ['m14x1.5mwasher+an6m'] });
  });

  it('keep a way that is taken and does not seal in sight, and say so', async () => {
    await show(withWay(feed, 0, [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }]));
    expect(ways.find('tbody.chosen').textContent).toContain('does not seal');
  });

  it('take wishes, one after another', async () => {
    await show();
    await ways.press('button', 'Wishes');
    await ways.choose('Turns', '90°');
    expect(sent().wishes).toEqual({ turnDeg: 90 });
    await show(wishing({ turnDeg: 90, leastBoreMm: 3 }));
    await ways.press('button', 'Wishes');
    await ways.type('Least bore', '');
    expect(sent().wishes).toEqual({ turnDeg: 90 });
    await show();
    await ways.press('button', 'Wishes');
    await ways.type('Branch for another line', 'an4 f swi');
    job.nothingSent();
    expect(ways.find('[role=alert]', 'swi')).toBeTruthy();
    await ways.type('Branch for another line', 'an4 f swivel');
    expect(sent().wishes).toEqual({ branchFor: parseConnector('an4 f swivel') });
  });

  it('say which wishes contradict one another, and which single one stands in the way', async () => {
    await show(wishing({ use: ['orb6m+an6m'], avoid: ['orb6m+an6m'] }));
    expect(ways.find('.attention').textContent).toContain('both to be used and to be avoided');
    await show(wishing({ mostStackMm: 5 }));
    expect(ways.find('.attention').textContent).toMatch(/Without the limit of 5 mm on the stack there is a way of 2 joints/);
    await ways.press('button', 'Lift that wish');
    expect(sent().wishes).toEqual({});
  });

  it('take a way with a branch for another line, which is a port at once', async () => {
    await show(wishing({ branchFor: parseConnector('an6 f swivel') }));
    await ways.press('button', /^ ?Take Take way 2/);
    const { branches } = command() as { branches: { to: string; portId?: string }[] };
    expect(branches.some((b) => b.to === 'line' && b.portId === undefined)).toBe(true);
    expect(job.store.document()!.ports.find((p) => p.openEnd)).toMatchObject({ label: 'branch of L1, end A' });
    expect(job.messages[0]).toMatchObject({ undo: true });
  });

  it('are not taken by the very press that sets a wish', async () => {
    await show();
    const panel = ways.fixture.componentInstance as unknown as { setWishes: (wishes: object) => void };
    panel.setWishes({ turnDeg: 90 });
    ways.find('button', 'Take way 3').click();
    expect(job.sent().commands).toMatchObject([{ do: 'edit-way' }]);
    expect(job.store.document()!.lines[0]!.ways[0]!.chosen).toEqual(feed.ways[0]!.chosen);
  });

  it('keep the last answer in sight while a new one is worked out, and drop it with the end', async () => {
    await show();
    const count = ways.all('tbody').length;
    ways.fixture.componentRef.setInput('line', assembled(wishing({ turnDeg: 90 })));
    ways.fixture.detectChanges();
    await Promise.resolve();
    expect(ways.all('tbody')).toHaveLength(count);
    ways.fixture.detectChanges();
    const stale = ways.find('button', 'Take way 3');
    expect(stale.getAttribute('aria-disabled')).toBe('true');
    stale.click();
    job.nothingSent();
    await settle();
    await ways.stable();
    expect(ways.all('button[aria-label^="Take way"]')[0]!.getAttribute('aria-label')).toMatch(/Take way 2, Banjo M14/);
  });
});

describe('a sensor in the port', () => {
  const sensor: NonNullable<Port['sensor']> = { name: 'pressure switch', connector: parseConnector('m14x1.5 m washer'), movedTo: null };
  const spare: Port = { ...document.ports[0]!, id: 'spare', label: 'spare', order: 9 };
  const seated: JobDocument = { ...document, ports: [...document.ports.map((p) => (p.id === 'gallery' ? { ...p, sensor } : p)), spare] };

  it('is offered a tee here or a free port that takes it', async () => {
    const job = await openSampleJob(seated);
    const ways = await render(WaysTable, { line: assembled(feed, seated) });
    for (let i = 0; i < 8; i++) await settle();
    await ways.stable();
    expect(ways.find('.places').textContent).toContain('pressure switch');
    const offered = ways.find('option', 'spare').textContent.trim();
    expect(offered).toContain('1 joint');
    await ways.choose('Move the pressure switch to', offered);
    expect(job.sent().commands).toMatchObject([
      {
        do: 'edit-port',
        id: 'gallery',
        version: 1,
        set: { sensor: { name: 'pressure switch', notation: 'm14x1.5 m washer', movedTo: { portId: 'spare', fittings: [] } } },
      },
    ]);
    await ways.press('button', 'Keep it on a tee here');
    await settle();
    expect(job.store.document()!.lines[0]!.ways[0]!.wishes).toEqual({ keepSensor: true });
  });
});

describe('all ends at once', () => {
  it('are solved with progress and taken in one change', async () => {
    const job = await openSampleJob({ lines: [open] });
    const dialog = await render(SolveDialog);
    for (let i = 0; i < 8; i++) await settle();
    await dialog.stable();
    expect(dialog.all('tbody tr')).toHaveLength(2);
    expect(dialog.find('.sum').textContent).toContain('different parts in the whole job');
    await dialog.press('input[aria-label="Take for L1, end B"]');
    await dialog.press('button', 'Take 1 way');
    expect(job.sent().commands).toMatchObject([{ do: 'take-way', id: 'line1', version: 3, at: 0, branches: [] }]);
    expect(job.closed).toEqual([undefined]);
  });

  it('offer an end that leaks as well, with what leaks there', async () => {
    const leaking = withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]);
    const { sent } = await openSampleJob({ lines: [leaking] });
    const dialog = await render(SolveDialog);
    for (let i = 0; i < 8; i++) await settle();
    await dialog.stable();
    expect(dialog.all('tbody tr').map((r) => r.querySelector('.leaks')?.textContent)).toEqual([
      expect.stringMatching(/^Joint 6 does not join/),
    ]);
    await dialog.press('button', 'Take 1 way');
    expect(sent().commands).toMatchObject([{ do: 'take-way', id: 'line1', at: 1 }]);
  });

  it('say so when there is nothing to do', async () => {
    await openSampleJob();
    const dialog = await render(SolveDialog);
    for (let i = 0; i < 4; i++) await settle();
    await dialog.stable();
    expect(dialog.text()).toContain('Every end has its way, and none leaks');
  });
});

describe('what counts', () => {
  it('is shown as money, set by version, and refused in words', async () => {
    const job = await openSampleJob();
    const dialog = await render(WeightsDialog);
    const usual = (usualWeights.aimMinor / 100).toFixed(2);
    expect(dialog.field('An elbow that cannot be aimed, € an elbow').value).toBe(usual);
    await dialog.type('Stack, € a millimetre', 'much');
    expect(dialog.find('[role=alert]').textContent).toContain('"much" is not an amount');
    await dialog.type('Stack, € a millimetre', '0,25');
    await dialog.choose('Elbows are', 'elbows are wanted');
    // what is set elsewhere while the dialog is open is not gone over unasked
    const theirs = { id: 'chain-weights' as const, weights: { ...usualWeights, leadDayMinor: 1 }, version: 1 };
    const change = { ...answer('k'), put: [{ type: 'weights' as const, row: theirs }], removed: [] };
    TestBed.inject(ShopStore).receive(change, true);
    await dialog.press('button', 'Set');
    const { commands, request } = job.shopSent();
    expect(commands).toEqual([{ do: 'set-weights', version: 0, weights: { ...usualWeights, stackMmMinor: 25, elbows: 'wanted' } }]);
    const refused = { code: 'conflict', message: 'Somebody else has changed this in the meantime.', current: theirs };
    request.flush(refused, { status: 409, statusText: 'stale' });
    await settle();
    await dialog.stable();
    expect(dialog.find('p[role=alert]').textContent).toContain('Set again to put yours over it');
    await dialog.press('button', 'Set');
    expect(job.shopSent().commands).toMatchObject([{ version: 1, weights: { stackMmMinor: 25 } }]);
  });

  it('is money an inch where the house works in inches; what is left as it stands is kept to the last digit', async () => {
    const job = await openSampleJob();
    TestBed.inject(Preferences).system.set('inch');
    const dialog = await render(WeightsDialog);
    const stack = dialog.field('Stack, € an inch');
    expect(stack.value).toBe(((usualWeights.stackMmMinor * 25.4) / 100).toFixed(2));
    await dialog.type('Narrower than the hose end, € an inch', '1.27');
    await dialog.press('button', 'Set');
    expect(job.shopSent().commands).toMatchObject([{ weights: { ...usualWeights, boreMmMinor: 5 } }]);
  });
});

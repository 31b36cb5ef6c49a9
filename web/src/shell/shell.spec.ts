import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { feed, withPiece } from '../../../core/testing/sample-job';
import { InSight } from '../data/in-sight';
import { JobStore } from '../data/job-store';
import { Preferences } from '../data/preferences';
import { Messages as Said } from '../data/messages';
import { answer as changed, openSampleJob, render, settle } from '../../test/open-job';
import { ConflictDialog } from './conflict-dialog';
import { FindDialog } from './find-dialog';
import { KeyboardCommands } from './keyboard-commands';
import { KeysDialog } from './keys-dialog';
import { Messages } from './messages';
import { SaveState } from './save-state';
import { StepBar } from './step-bar';
import { TopBar } from './top-bar';
import { Workspace } from './workspace';

const key = (name: string, more: KeyboardEventInit = {}, target: HTMLElement = document.body): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key: name, cancelable: true, bubbles: true, ...more });
  target.dispatchEvent(event);
  return event;
};

describe('the keys', () => {
  it('have each a word of their own and no two the same key', async () => {
    await openSampleJob();
    const { commands } = TestBed.inject(KeyboardCommands);
    expect(new Set(commands.map((c) => c.keys)).size).toBe(commands.length);
    const dialog = await render(KeysDialog);
    for (const c of commands) expect(dialog.text()).toContain(c.words);
  });

  it('go to the steps, walk the rack, swap the units, and undo what is seen', async () => {
    const { request, http, messages } = await openSampleJob();
    const keyboard = TestBed.inject(KeyboardCommands);
    const router = jest.spyOn(TestBed.inject(Router), 'navigate');
    const heard: string[] = [];
    keyboard.toView.subscribe((c) => heard.push(c));
    for (const name of ['1', '5', 'j', 'k']) keyboard.pressed(key(name));
    expect(router.mock.calls.map(([path]) => path)).toEqual([
      ['/job', 'job', 'survey'],
      ['/job', 'job', 'order'],
    ]);
    expect(heard).toEqual(['next', 'previous']);
    keyboard.pressed(key('u'));
    expect(TestBed.inject(Preferences).system()).toBe('inch');
    keyboard.pressed(key('z', { ctrlKey: true }));
    const told = { key: '6f2d6e1c-0000-4000-8000-000000000001', label: 'Edit L1 Feed: length', rows: [{ type: 'line', id: 'line1' }] };
    request('GET', '/api/jobs/job/steps').flush({ undo: told });
    await settle();
    // nothing of it is in sight: it is said first, and the same again does it
    http.expectNone('/api/jobs/job/undo');
    expect(messages.at(-1)).toMatchObject({ text: 'Undo “Edit L1 Feed: length”?', action: { label: 'Undo' } });
    keyboard.pressed(key('z', { ctrlKey: true }));
    request('GET', '/api/jobs/job/steps').flush({ undo: told });
    await settle();
    const undo = request('POST', '/api/jobs/job/undo');
    expect(undo.request.body).toMatchObject({ of: told.key });
    undo.flush({ ...changed('k'), kind: 'undo' });
    await settle();
    // what is in sight is undone at once
    TestBed.inject(InSight).show(keyboard, ['line1']);
    keyboard.pressed(key('z', { ctrlKey: true, shiftKey: true }));
    request('GET', '/api/jobs/job/steps').flush({ redo: told });
    await settle();
    expect(request('POST', '/api/jobs/job/redo').request.body).toMatchObject({ of: told.key });
  });

  it('take back what is not on the server yet by what it is, and say so when nobody knows what would be undone', async () => {
    const { store, sent, messages, request } = await openSampleJob();
    const keyboard = TestBed.inject(KeyboardCommands);
    store.edit('line', 'line1', { name: 'Kept' });
    keyboard.pressed(key('z', { ctrlKey: true }));
    expect(messages.at(-1)).toMatchObject({ text: 'Undo “Edit a line”?' });
    const { key: name, request: edit } = sent();
    edit.flush(changed(name));
    await settle();
    keyboard.pressed(key('z', { ctrlKey: true }));
    request('GET', '/api/jobs/job/steps').flush({ code: 'database-away', message: 'away' }, { status: 503, statusText: 'away' });
    expect(messages.at(-1)).toMatchObject({ tone: 'error', text: expect.stringContaining('not known') as string });
  });

  it('rest while something is typed, while a dialog is open, and for what they do not know', async () => {
    await openSampleJob();
    const keyboard = TestBed.inject(KeyboardCommands);
    const field = document.body.appendChild(document.createElement('input'));
    let inField: KeyboardEvent | undefined;
    field.addEventListener('keydown', (e) => {
      inField = e;
      keyboard.pressed(e);
    });
    key('u', {}, field);
    field.remove();
    expect(inField!.defaultPrevented).toBe(false);
    const unknown = key('q');
    keyboard.pressed(unknown);
    expect(unknown.defaultPrevented).toBe(false);
    jest.spyOn(TestBed.inject(NgbModal), 'hasOpenModals').mockReturnValue(true);
    keyboard.pressed(key('u'));
    expect(TestBed.inject(Preferences).system()).toBe('metric');
  });

  it('open the thread bench: a view of its own, and in the survey at the port', async () => {
    await openSampleJob();
    const keyboard = TestBed.inject(KeyboardCommands);
    const router = TestBed.inject(Router);
    const navigate = jest.spyOn(router, 'navigate');
    const heard: string[] = [];
    keyboard.toView.subscribe((c) => heard.push(c));
    keyboard.pressed(key('t'));
    expect(navigate).toHaveBeenCalledWith(['/bench']);
    jest.spyOn(router, 'url', 'get').mockReturnValue('/job/job/survey?component=block');
    keyboard.pressed(key('t'));
    expect(heard).toEqual(['thread-bench']);
    expect(navigate).toHaveBeenCalledTimes(1);
  });

  it('open a new line from any step', async () => {
    await openSampleJob();
    const router = jest.spyOn(TestBed.inject(Router), 'navigate');
    TestBed.inject(KeyboardCommands).pressed(key('n'));
    expect(router).toHaveBeenCalledWith(['/job', 'job', 'lines'], { queryParams: { new: 1 } });
  });
});

describe('the finder', () => {
  it('finds lines, ports by their notation, components, steps, parts and commands', async () => {
    await openSampleJob();
    const finder = await render(FindDialog);
    const kinds = async (text: string) => {
      await finder.type('Find a line, port, part, job or command', text);
      return finder.all('[role=option]').map((o) => o.querySelector('.kind')!.textContent);
    };
    expect(await kinds('line 1')).toContain('line');
    expect(await kinds('m14x1.5 f')).toContain('port');
    expect(await kinds('swap units')).toEqual(['command']);
    expect(await kinds('elbow 90 npt 1/4')).toContain('part');
    expect(await kinds('thread bench')).toEqual(Array.from({ length: 5 }, () => 'view'));
    expect(await kinds('zzzz')).toEqual([]);
    expect(finder.text()).toContain('Nothing is called that.');
  });

  it('finds other jobs by what they have, and leads to where it is', async () => {
    const { request } = await openSampleJob();
    const finder = await render(FindDialog);
    const router = jest.spyOn(TestBed.inject(Router), 'navigate');
    await finder.type('Find a line, port, part, job or command', 'qqq');
    await new Promise((resolve) => setTimeout(resolve, 170));
    const found = [{ kind: 'line', id: 'l7', name: 'L7 Qqq', detail: 'other' }];
    const job = { id: 'far', number: '1999', name: 'Far', description: '', archived: false, version: 1, updatedAt: '' };
    request('GET', '/api/jobs?find=qqq&most=6').flush({ jobs: [{ job, found }], total: 1, behind: 0 });
    await finder.stable();
    expect(finder.all('[role=option]').map((o) => o.textContent.replace(/\s+/g, ' ').trim())).toEqual(['job1999 Farline L7 Qqq · other']);
    await finder.press('[role=option]');
    expect(router).toHaveBeenCalledWith(['/job', 'far', 'lines', 'l7'], { queryParams: {} });
  });

  it('is worked with arrows and Enter', async () => {
    const { closed } = await openSampleJob();
    const finder = await render(FindDialog);
    const router = jest.spyOn(TestBed.inject(Router), 'navigate');
    await finder.type('Find a line, port, part, job or command', 'line');
    const field = finder.find('input');
    key('ArrowDown', {}, field);
    await finder.stable();
    expect(finder.find('[aria-selected=true]').id).toBe('find-1');
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(closed).toHaveLength(1);
    expect(router).toHaveBeenCalledTimes(1);
  });
});

describe('the conflict dialog', () => {
  it('shows each field of mine against theirs in words', async () => {
    const { closed } = await openSampleJob();
    const dialog = await render(ConflictDialog);
    dialog.fixture.componentInstance.conflict.set({
      key: 'k',
      mine: {
        name: 'Mine',
        checked: { at: null, digest: {} },
        'pieces.p1.length': null,
        'pieces.p1.slackPercent': 4,
        'ways.0.chosen': { fittings: [] },
        'ways.1.wishes': { turnDeg: 90 },
        notation: 'npt 1/8 f|rc 1/8',
        found: [{ joint: 'A>k1', state: 'loose', action: 'cleaned', words: '' }],
        part: { id: 'plate', there: true },
      },
      theirs: { ...feed, name: 'Theirs', version: 4, connector: { family: 'orb', size: '6', gender: 'female' } },
    });
    await dialog.stable();
    const rows = dialog.all('tbody tr').map((r) => [...r.children].map((c) => c.textContent));
    expect(rows).toEqual([
      ['Name', 'Mine', 'Theirs'],
      ['Checked', 'yes', '—'],
      ['Length', '—', '664 mm, taped'],
      ['Slack', '4', '0'],
      ['Way at A', 'no fittings', 'm14x1.5mwasher+an6m'],
      ['Wishes at B', '{"turnDeg":90}', '—'],
      ['Joints as found', 'A>k1: loose, cleaned', '—'],
      ['Part that it is', 'plate, there already', '—'],
      ['Thread', 'npt 1/8 f | rc 1/8 f', 'orb6 f'],
    ]);
    await dialog.press('button', 'Take theirs');
    await dialog.press('button', 'Keep mine');
    expect(closed).toEqual(['theirs', 'mine']);
  });
});

describe('the bars', () => {
  it('count what each step holds, and colour what is open', async () => {
    await openSampleJob({ lines: [withPiece(feed, { length: null })] });
    const bar = await render(StepBar);
    expect(bar.all('a').map((a) => a.textContent.replace(/\s+/g, ' ').trim())).toEqual([
      '1Survey6 ports',
      '2Lines1 open',
      '3Auditclear',
      '4Cut0 tickets',
      '5Order6 parts',
    ]);
    expect(bar.find('.attention').textContent).toContain('1');
  });

  it('tell the job and the units', async () => {
    await openSampleJob();
    const bar = await render(TopBar);
    expect(bar.text()).toContain('2403 Sample');
    await bar.press('button', 'mm · bar');
    expect(bar.text()).toContain('in · psi');
    await bar.press('button', 'Dark theme');
    expect(document.documentElement.dataset['theme']).toBe('dark');
    expect(localStorage.getItem('gewinde.theme')).toBe('dark');
  });

  it('tell whether all is saved; opened, what still waits and why, and what can be done about it', async () => {
    const { store, sent } = await openSampleJob();
    const state = await render(SaveState);
    expect(state.find('.saved').textContent).toMatch(/saved \d\d:\d\d/);
    store.edit('line', 'line1', { name: 'Kept' });
    sent().request.flush({ code: 'database-away', message: 'The database does not answer.' }, { status: 503, statusText: 'away' });
    await state.stable();
    expect(state.find('.saved').textContent).toContain('not saved yet, kept here');
    await state.press('.saved');
    const menu = globalThis.document.querySelector('.g-waiting')!;
    expect(menu.textContent).toContain('The database does not answer. Kept in this browser');
    [...menu.querySelectorAll('button')].find((b) => b.textContent.includes('Try now'))!.click();
    sent();
    menu.querySelector<HTMLButtonElement>('[aria-label="Give up: Edit a line"]')!.click();
    await state.stable();
    expect(store.document()?.lines[0]?.name).toBe('Line 1');
    expect(state.find('.saved').textContent).toMatch(/saved/);
  });
});

describe('messages', () => {
  it('are said once, carry their way back, and errors stay until put away', async () => {
    const { request, store, sent } = await openSampleJob();
    const region = await render(Messages);
    const said = TestBed.inject(Said);
    said.tell('Pan deleted', { undo: true });
    store.attempt(() => store.change({ do: 'delete-line', id: 'line3' }), 'Tank deleted');
    const { key: of, request: deletion } = sent();
    deletion.flush(changed(of));
    await region.stable();
    expect(region.all('.undo')).toHaveLength(1); // undo takes back the newest, so only the newest offers it
    await region.press('button', 'Undo');
    request('GET', '/api/jobs/job/steps').flush({ undo: { key: of, label: 'Delete Tank', rows: [] } });
    // the message said what it is
    request('POST', '/api/jobs/job/undo').flush({ ...changed('k'), label: 'Delete Tank' });
    said.fault(new Error('It went wrong.'));
    await region.stable();
    expect(region.find('.error').textContent).toContain('It went wrong.');
    while (region.all('.close').length > 0) await region.press('button', 'Put the message away');
    expect(region.all('.message')).toHaveLength(0);
  });
});

describe('the workspace', () => {
  it('says when a job does not exist, and tries again when the server was away', async () => {
    const { http } = await openSampleJob();
    const workspace = await render(Workspace, { jobId: 'other' });
    http
      .expectOne('/api/jobs/other')
      .flush({ code: 'not-found', message: 'This job does not exist.' }, { status: 404, statusText: 'none' });
    await settle();
    await workspace.stable();
    expect(workspace.find('h2').textContent).toBe('This job does not exist');
    await workspace.press('button', 'Try again');
    http.expectOne('/api/jobs/other').error(new ProgressEvent('error'));
    await settle();
    await workspace.stable();
    expect(workspace.text()).toContain('The server does not answer.');
    expect(TestBed.inject(JobStore).document()).toBeNull();
  });
});

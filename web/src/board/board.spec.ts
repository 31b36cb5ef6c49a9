import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { document } from '../../../core/testing/sample-job';
import { answer as changed, openSampleJob, render, settle, type OpenJob, type Rendered } from '../../test/open-job';
import { Board } from './board';
import { JobDialog } from './job-dialog';
import { JobPages } from './job-pages';

const summary = {
  job: document.job,
  components: 2,
  ports: 6,
  lines: 3,
  linesThatSeal: 2,
  linesChecked: 1,
  linesThatLeak: 1,
  blockedBy: 'L2: Joint 1 leaks',
  next: 'Put L2 right',
};

describe('the board', () => {
  let job: OpenJob;
  let board: Rendered<Board>;
  const address = (more = '', from = 0, archived = false) => `/api/jobs?archived=${archived}&from=${from}&most=30${more}`;
  const answer = async (jobs: object[], archived = false, page: { total?: number; behind?: number; more?: string; from?: number } = {}) => {
    const { total = jobs.length, behind = 0, more = '', from = 0 } = page;
    job.request('GET', address(more, from, archived)).flush({ jobs, total, behind });
    await settle();
    await board.stable();
  };
  beforeEach(async () => {
    job = await openSampleJob();
    board = await render(Board);
  });

  it('tells for each job how far it is, what blocks it and what comes next', async () => {
    await answer([summary]);
    expect(board.find('.rule').getAttribute('aria-label')).toBe('6 ports, 2 of 3 lines seal, 1 checked');
    expect(board.find('.blocked').textContent).toContain('L2: Joint 1 leaks');
    expect(board.text()).toContain('Next Put L2 right');
    expect(board.find('.tag').getAttribute('href')).toBe('/job/job/lines');
    expect(board.all('.fill').map((e) => Math.round(parseFloat(e.style.width)))).toEqual([100, 67, 33]);
  });

  it('sends a job without ports to the survey, and teaches when there is none', async () => {
    await answer([{ ...summary, ports: 0, lines: 0 }]);
    expect(board.find('.tag').getAttribute('href')).toBe('/job/job/survey');
    await board.press('button', 'Archived');
    await answer([], true);
    expect(board.text()).toContain('Nothing is archived');
  });

  it('archives with a word about where it went', async () => {
    await answer([summary]);
    await board.press('button', 'Archive job 2403');
    const { commands, key, request } = job.sent();
    expect(commands).toEqual([{ do: 'edit-job', version: 1, set: { archived: true } }]);
    request.flush(changed(key));
    await settle();
    await answer([]);
    expect(board.all('.tag')).toHaveLength(0);
    expect(job.messages[0]!.text).toBe('2403 is archived; find it under Archived');
  });

  it('offers to try again when the jobs cannot be read', async () => {
    job.request('GET', address()).error(new ProgressEvent('error'));
    await settle();
    await board.stable();
    expect(board.text()).toContain('The server does not answer.');
    await board.press('button', 'Try again');
    await answer([summary]);
    expect(board.text()).toContain('Sample');
  });

  it('reads what comes into sight, page by page, and keeps what was there while the next is awaited', async () => {
    const many = Array.from({ length: 30 }, (_, i) => ({ ...summary, job: { ...document.job, id: `j${i}`, number: `${100 + i}` } }));
    await answer(many, false, { total: 10_000 });
    expect(board.text()).toContain('10,000 jobs');
    expect(board.find('[role=listitem]').getAttribute('aria-setsize')).toBe('10000');
    board.fixture.debugElement.injector.get(JobPages).show({ start: 55, end: 62 });
    const [second, third] = [30, 60].map((from) => job.request('GET', address('', from)));
    second!.flush({ jobs: many.slice(0, 1), total: 9_999, behind: 0 });
    third!.error(new ProgressEvent('error'));
    await settle();
    await board.stable();
    expect(board.text()).toContain('9,999 jobs');
    expect(job.messages[0]!.text).toContain('The server does not answer.');
    board.fixture.debugElement.injector.get(JobPages).show({ start: 55, end: 62 });
    job.request('GET', address('', 60)).flush({ jobs: [], total: 9_999, behind: 0 });
  });

  it('looks for words, says what it found where, and leads there', async () => {
    await answer([summary]);
    const router = jest.spyOn(TestBed.inject(Router), 'navigate');
    await board.type('Find jobs by number, name, line, port or part', ' gallery ');
    await new Promise((resolve) => setTimeout(resolve, 220));
    expect(router).toHaveBeenCalledWith([], { queryParams: { find: 'gallery' }, replaceUrl: true });
    board.fixture.componentRef.setInput('find', 'gallery');
    await board.stable();
    const found = [{ kind: 'port', id: 'p1', componentId: 'c1', name: 'Block, gallery', detail: 'rc 1/8 f' }];
    await answer([{ ...summary, found }], false, { more: '&find=gallery', behind: 21 });
    expect(board.find('.found a').getAttribute('href')).toBe('/job/job/survey?component=c1&port=p1');
    expect(board.text()).toMatch(/1 found .*being read anew/);
    await new Promise((resolve) => setTimeout(resolve, 1550));
    await answer([{ ...summary, found }], false, { more: '&find=gallery' });
    expect(board.text()).not.toContain('being read anew');
    board.fixture.componentRef.setInput('find', 'nowhere');
    await board.stable();
    await answer([], false, { more: '&find=nowhere' });
    expect(board.text()).toContain('No open job has all of “nowhere”');
    await board.press('button', 'Show all');
    expect(board.field('Find jobs by number, name, line, port or part').value).toBe('');
  });

  it('shows a job whose rows do not hold together as such', async () => {
    await answer([{ ...summary, unsound: 'ways is not a list' }]);
    expect(board.find('.blocked').textContent).toContain('Its rows do not hold together: ways is not a list');
  });

  const give = async (content: string | Uint8Array) => {
    const field = board.find('input[type=file]') as HTMLInputElement;
    const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
    const file = { name: 'job.json', size: bytes.length, lastModified: 1, arrayBuffer: async () => bytes.buffer };
    Object.defineProperty(field, 'files', { value: [file], configurable: true });
    Object.defineProperty(field, 'value', { value: '', writable: true, configurable: true });
    field.dispatchEvent(new Event('change'));
    await settle();
    await board.stable();
  };
  const importing = () => job.http.expectOne(({ url }) => url === '/api/jobs/import');

  it('takes in a job file, and says when it had to be renumbered', async () => {
    await answer([summary]);
    await give('{"format": "gewinde-job"}');
    importing().flush({ summary: { ...summary, job: { ...document.job, id: 'copy', number: '2403-2' } }, renumberedFrom: '2403' });
    await settle();
    await answer([summary, { ...summary, job: { ...document.job, id: 'copy', number: '2403-2' } }]);
    expect(board.all('.tag .number').map((e) => e.textContent)).toEqual(['2403', '2403-2']);
    expect(job.messages[0]!.text).toBe('Number 2403 is taken; the job came in as 2403-2');
  });

  it('refuses a file in place, with what the server says of it', async () => {
    await answer([summary]);
    await give('{"format": ');
    expect(board.find('[role=alert]').textContent).toMatch(/job\.json: this is not JSON/);
    await give('{}');
    importing().flush({ code: 'job-file-format', message: 'This is not a job file.', field: 'format' }, { status: 400, statusText: 'bad' });
    await settle();
    await board.stable();
    expect(board.find('[role=alert]').textContent).toContain('job.json: This is not a job file. (at format) Nothing was changed.');
  });

  it('reads a file that an editor has written as UTF-16, and sends it once more under its key where no answer came', async () => {
    await answer([summary]);
    const text = '\ufeff{"format": "gewinde-job"}';
    await give(new Uint8Array(Uint16Array.from(text, (sign) => sign.charCodeAt(0)).buffer));
    const first = importing();
    expect(first.request.body).toEqual({ format: 'gewinde-job' });
    first.error(new ProgressEvent('error'));
    await settle();
    await give(new Uint8Array(Uint16Array.from(text, (sign) => sign.charCodeAt(0)).buffer));
    const again = importing();
    expect(again.request.params.get('key')).toBe(first.request.params.get('key'));
    again.flush({ summary });
    await settle();
    await answer([summary]);
    await give(new Uint8Array(Uint16Array.from(text, (sign) => sign.charCodeAt(0)).buffer));
    expect(importing().request.params.get('key')).not.toBe(first.request.params.get('key'));
  });

  it('asks whose parts are meant where a file brings others under our names', async () => {
    await answer([summary]);
    const differ = { code: 'parts-differ', message: 'Adapter (1/8 NPT there, 1/4 NPT here).' };
    for (const [pressed, parts] of [
      ['Ours are meant', 'ours'],
      ['Take theirs in beside ours', 'theirs'],
    ] as const) {
      await give('{"format": "gewinde-job"}');
      importing().flush(differ, { status: 409, statusText: 'differ' });
      await settle();
      await board.stable();
      expect(board.find('[role=alert]').textContent).toContain('job.json: Adapter (1/8 NPT there, 1/4 NPT here).');
      await board.press('button', pressed);
      await settle();
      const asked = importing();
      expect(asked.request.params.get('parts')).toBe(parts);
      asked.flush({ summary });
      await settle();
      await answer([summary]);
      expect(board.all('[role=alert]')).toEqual([]);
    }
    await give('{"format": "gewinde-job"}');
    importing().flush(differ, { status: 409, statusText: 'differ' });
    await settle();
    await board.stable();
    await board.press('button', 'Do not take the file in');
    expect(board.all('[role=alert]')).toEqual([]);
  });

  it('opens the dialog for a new job and for one to rename', async () => {
    await answer([summary]);
    const opened: unknown[] = [];
    const instance = { job: { set: (value: unknown) => opened.push(value) } };
    jest
      .spyOn(TestBed.inject(NgbModal), 'open')
      .mockReturnValue({ componentInstance: instance, result: Promise.reject(new Error('closed')) } as never);
    await board.press('button', 'New job');
    await board.press('button', 'Rename job 2403');
    expect(opened).toEqual([null, document.job]);
  });
});

describe('the dialog of a job', () => {
  const submit = async (dialog: Rendered<JobDialog>) => {
    dialog.find('form').dispatchEvent(new Event('submit'));
    await settle();
    await dialog.stable();
  };

  it('asks for what is missing, and makes the job', async () => {
    const { http, request, closed } = await openSampleJob();
    const dialog = await render(JobDialog);
    await submit(dialog);
    http.expectNone({ method: 'POST' });
    expect(dialog.text()).toContain('Give the job a number');
    expect(dialog.text()).toContain('Give the job a name');
    await dialog.type('Number', '2411');
    await dialog.type('Name', 'Kart');
    await submit(dialog);
    const sent = request('POST', '/api/jobs');
    expect(sent.request.body).toMatchObject({ number: '2411', name: 'Kart', description: '' });
    sent.flush({ code: 'internal', message: 'Again.' }, { status: 500, statusText: 'no' });
    await settle();
    await submit(dialog);
    const again = request('POST', '/api/jobs');
    expect(again.request.body).toEqual(sent.request.body); // under one id: however often, one job
    again.flush({ ...document.job, id: 'made' });
    await settle();
    expect(closed).toEqual([{ ...document.job, id: 'made' }]);
  });

  it('shows a taken number at its field', async () => {
    const { sent, closed } = await openSampleJob();
    const dialog = await render(JobDialog);
    dialog.fixture.componentInstance.job.set(document.job);
    await dialog.stable();
    await dialog.type('Number', '2409');
    await submit(dialog);
    sent().request.flush(
      { code: 'number-taken', message: 'Job number 2409 is taken.', field: 'number' },
      { status: 409, statusText: 'taken' },
    );
    await settle();
    await dialog.stable();
    expect(dialog.find('[role=alert]').textContent).toContain('Job number 2409 is taken.');
    expect(closed).toEqual([]);
  });
});

import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { parseConnector } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { document, ports } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { PortForm } from './port-form';
import { PortTable } from './port-table';
import { Survey } from './survey';

const block = document.components[0];

describe('the port form', () => {
  it('adds a port from one line, and is ready for the next', async () => {
    const { request, reread } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.type('What it is called', 'sensor');
    await form.typeNotation('npt 1/8 f');
    await form.press('button', 'Add port');
    const sent = request('POST', '/api/components/block/ports');
    expect(sent.request.body).toEqual({ label: 'sensor', notation: 'npt 1/8 f', note: '' });
    sent.flush({ ...ports.gallery, id: 'new' }, { status: 201, statusText: 'made' });
    await reread();
    await form.stable();
    expect(form.notation().value).toBe('');
  });

  it('names a port itself when it is given no name', async () => {
    const { request } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('orb6 f');
    await form.press('button', 'Add port');
    expect(request('POST', '/api/components/block/ports').request.body).toMatchObject({ label: 'port 4' });
  });

  it('sends nothing while the notation cannot be read', async () => {
    const { http } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('npt 5/8 f');
    await form.press('button', 'Add port');
    http.expectNone({ method: 'POST' });
    expect(form.find('.g-error').textContent).toContain('no size 5/8');
  });

  it('keeps what was typed when the server does not answer, and says so', async () => {
    const { request } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('npt 1/8 f');
    await form.press('button', 'Add port');
    request('POST', '/api/components/block/ports').error(new ProgressEvent('error'));
    await settle();
    await form.stable();
    expect(form.find('.g-error').textContent).toContain('The server does not answer.');
    expect(form.notation().value).toBe('npt 1/8 f');
  });

  it('opens the thread bench for the side of the port, and takes over what it names', async () => {
    await openSampleJob();
    const result = Promise.resolve(parseConnector('rc 1/8 f'));
    const dialog = { componentInstance: { start: signal<unknown>(null) }, result };
    const open = jest.spyOn(TestBed.inject(NgbModal), 'open').mockReturnValue(dialog as never);
    const form = await render(PortForm, { component: block });
    await form.typeNotation('an6 m');
    await form.press('button', 'What thread is this?');
    await settle();
    await form.stable();
    expect(open).toHaveBeenCalledTimes(1);
    expect(dialog.componentInstance.start()).toEqual({ port: 'New port on block', place: 'block.new', side: 'external' });
    expect(form.notation().value).toBe('rc 1/8 f');
  });

  it('fills itself with a port to change, and saves the change', async () => {
    const { request } = await openSampleJob();
    const form = await render(PortForm, { component: block, editing: ports.gallery });
    expect(form.notation().value).toBe('m14x1.5 f washer');
    await form.typeNotation('m16x1.5 f washer');
    await form.press('button', 'Save port');
    expect(request('PATCH', '/api/ports/gallery').request.body).toEqual({
      version: 1,
      label: 'port gallery',
      notation: 'm16x1.5 f washer',
      note: '',
    });
  });
});

describe('the port table', () => {
  it('numbers the ports and tells which line each is used by', async () => {
    await openSampleJob();
    const table = await render(PortTable, { ports: [ports.gallery, ports.pan, { ...ports.vent, id: 'unused', label: 'spare' }] });
    const rows = table
      .all('tbody tr')
      .map((r) => [...r.querySelectorAll('td')].map((c) => c.textContent.replace(/\s+/g, ' ').trim()).slice(0, 4));
    expect(rows[0]).toEqual(['1', 'port gallery', 'm14x1.5 f washermetric parallel M14×1.5, female, washer', 'L1']);
    expect(rows[2]![3]).toBe('free');
  });

  it('duplicates, deletes with a way back, and shows a refusal', async () => {
    const { request, reread, messages } = await openSampleJob();
    const table = await render(PortTable, { ports: [ports.gallery] });
    await table.press('button', 'Duplicate port gallery');
    request('POST', '/api/ports/gallery/duplicate').flush({ ...ports.gallery, id: 'copy' });
    await reread();
    await table.press('button', 'Delete port gallery');
    request('DELETE', '/api/ports/gallery').flush({ code: 'port-in-use', message: 'L1 ends on it.' }, { status: 409, statusText: 'used' });
    await settle();
    expect(messages).toEqual([
      { text: 'port gallery duplicated', tone: 'plain', undo: true },
      { text: 'L1 ends on it.', tone: 'error' },
    ]);
  });
});

describe('the survey', () => {
  it('draws the chosen component with its ports and edits it in place', async () => {
    const { request, http } = await openSampleJob();
    const survey = await render(Survey, { component: 'turbo' });
    expect(survey.find('.side svg').getAttribute('aria-label')).toMatch(/^turbo with 3 ports: 1 port inlet, orb6 f/);
    await survey.type('Name of the component', 'Turbocharger');
    expect(request('PATCH', '/api/components/turbo').request.body).toEqual({ version: 1, name: 'Turbocharger' });
    await survey.type('Name of the component', '');
    http.expectNone({ method: 'PATCH' });
  });

  it('teaches the first step while it is empty', async () => {
    await openSampleJob({ components: [], ports: [], lines: [] });
    expect((await render(Survey)).text()).toContain('Walk round the engine');
  });

  it('adds a component under its kind when it is given no name', async () => {
    const { request } = await openSampleJob();
    const survey = await render(Survey);
    await survey.choose('Kind of the new component', 'cooler');
    survey.find('.add').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(request('POST', '/api/jobs/job/components').request.body).toEqual({ kind: 'cooler', name: 'Cooler' });
  });

  it('shows the port an address names, ready to change', async () => {
    await openSampleJob();
    const survey = await render(Survey, { component: 'turbo', port: 'drain' });
    expect(survey.find('h3').textContent).toBe('Change port drain');
  });
});

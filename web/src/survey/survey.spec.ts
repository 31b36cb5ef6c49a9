import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { parseConnector, type Port } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { document, ports } from '../../../core/testing/sample-job';
import { answer, openSampleJob, render, settle } from '../../test/open-job';
import { KeyboardCommands } from '../shell/keyboard-commands';
import { PortForm } from './port-form';
import { PortTable } from './port-table';
import { Survey } from './survey';

const block = document.components[0];

describe('the port form', () => {
  it('adds a port from one line, and is ready for the next', async () => {
    const { sent, store } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.type('What it is called', 'sensor');
    await form.typeNotation('npt 1/8 f');
    await form.press('button', 'Add port');
    expect(form.notation().value).toBe('');
    await form.typeNotation('orb'); // typed on before the server has answered
    const { commands, key, request } = sent();
    expect(commands).toEqual([{ do: 'add-port', componentId: 'block', label: 'sensor', notation: 'npt 1/8 f', note: '' }]);
    const made = store.document()!.ports.find((p) => p.label === 'sensor')!;
    request.flush(answer(key, { put: [{ type: 'port', row: made }] }));
    await form.stable();
    expect(form.notation().value).toBe('orb');
    expect(store.document()!.ports.filter((p) => p.label === 'sensor')).toEqual([made]);
  });

  it('logs a port that may be several, and shows it as it is', async () => {
    const { sent, store } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('npt 1/8 f | rc 1/8');
    await form.type('Sits in it now, if anything', 'switch');
    await form.type('Its own thread', 'm10x1 m washer');
    expect(form.text()).toContain('m10x1 m washer does not seal in npt 1/8 f');
    await form.type('Its own thread', 'r 1/8 m');
    expect(form.text()).not.toContain('does not seal');
    await form.press('button', 'Add port');
    expect(sent().commands).toMatchObject([{ notation: 'npt 1/8 f | rc 1/8' }]);
    const made = store.document()!.ports.at(-1)!;
    expect(made).toMatchObject({ connector: null, maybe: [{ family: 'npt' }, { family: 'r' }] });
    const table = await render(PortTable, { ports: [made] });
    expect(table.text()).toContain('American taper pipe 1/8, female, or British taper pipe 1/8, female');
    const again = await render(PortForm, { component: block, editing: made });
    expect(again.notation().value).toBe('npt 1/8 f | rc 1/8 f');
  });

  it('keeps what is half typed when it is left, for its own place, until it is saved or given up', async () => {
    await openSampleJob();
    const keyboard = TestBed.inject(KeyboardCommands);
    const rests = () => {
      const key = new KeyboardEvent('keydown', { key: 'u', cancelable: true });
      keyboard.pressed(key);
      return !key.defaultPrevented;
    };
    const form = await render(PortForm, { component: block });
    await form.typeNotation('ntp 1/8');
    await form.type('What it is called', 'sen');
    expect(rests()).toBe(true);
    form.fixture.destroy();
    expect(rests()).toBe(false);
    const other = await render(PortForm, { component: document.components[1] });
    expect([other.notation().value, rests()]).toEqual(['', false]);
    const again = await render(PortForm, { component: block });
    expect([again.notation().value, again.field('What it is called').value]).toEqual(['ntp 1/8', 'sen']);
    await again.typeNotation('npt 1/8 f');
    await again.press('button', 'Add port');
    expect([rests(), (await render(PortForm, { component: block })).notation().value]).toEqual([false, '']);
  });

  it('takes what a slip was meant to be by the arrow, and Tab goes on to the next field', async () => {
    await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('ntp 1/8 f');
    expect(form.find('button', 'Use npt 1/8 f').tabIndex).toBe(-1);
    form.notation().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown' }));
    await form.stable();
    expect(form.notation().value).toBe('npt 1/8 f');
  });

  it('names a port itself when it is given no name', async () => {
    const { sent } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('orb6 f');
    await form.press('button', 'Add port');
    expect(sent().commands).toMatchObject([{ label: 'port 4' }]);
  });

  it('sends nothing while the notation cannot be read', async () => {
    const { nothingSent } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('npt 5/8 f');
    await form.press('button', 'Add port');
    nothingSent();
    expect(form.find('.g-error').textContent).toContain('no size 5/8');
  });

  it('shows the port while the server does not answer, and says that it is kept', async () => {
    const { sent, store } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.type('Sits in it now, if anything', 'switch');
    await form.typeNotation('npt 1/8 f');
    await form.press('button', 'Add port');
    expect(form.find('[role=alert]').textContent).toContain('Say the thread of the switch');
    await form.type('Its own thread', 'r 1/8 m');
    await form.press('button', 'Add port');
    sent().request.error(new ProgressEvent('error'));
    expect(store.document()!.ports.at(-1)).toMatchObject({ label: 'port 4', sensor: { name: 'switch' } });
    expect(store.saveState()).toMatchObject({ at: 'waiting', reason: 'The server does not answer.' });
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

  it('says while it is typed that a sensor does not seal in its port, and logs it all the same', async () => {
    const { sent } = await openSampleJob();
    const form = await render(PortForm, { component: block });
    await form.typeNotation('m14x1.5 f washer');
    await form.type('Sits in it now, if anything', 'oil sender');
    await form.type('Its own thread', 'r 1/8 m');
    expect(form.find('.misfit').textContent).toContain('r 1/8 m does not seal in m14x1.5 f washer');
    await form.type('Its own thread', 'm14x1.5 m washer');
    expect(form.find('.misfit').textContent).toBe('');
    await form.type('Its own thread', 'r 1/8 m');
    await form.press('button', 'Add port');
    expect(sent().commands).toMatchObject([{ do: 'add-port', sensor: { name: 'oil sender', notation: 'r 1/8 m' } }]);
  });

  it('fills itself with a port to change, and saves the change', async () => {
    const { sent } = await openSampleJob();
    const form = await render(PortForm, { component: block, editing: ports.gallery });
    expect(form.notation().value).toBe('m14x1.5 f washer');
    await form.typeNotation('m16x1.5 f washer');
    await form.press('button', 'Save port');
    const set = { label: 'port gallery', notation: 'm16x1.5 f washer', note: '' };
    expect(sent().commands).toEqual([{ do: 'edit-port', id: 'gallery', version: 1, set }]);
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
    expect(rows[2]![3]).toBe('free Close …');
  });

  it('tells of a sensor whose thread is not that of its port, where it has moved, and that its new port is taken', async () => {
    const sender = { name: 'oil sender', connector: parseConnector('r 1/8 m'), movedTo: null };
    const spare = { ...ports.vent, id: 'spare', label: 'spare' };
    const moved = { ...ports.vent, id: 'old', label: 'old', sensor: { ...sender, movedTo: { portId: 'spare', fittings: [] } } };
    const wrong = { ...ports.vent, id: 'wrong', label: 'wrong', connector: parseConnector('npt 1/8 f'), sensor: sender };
    await openSampleJob({ ports: [...document.ports, spare, moved, wrong] });
    const table = await render(PortTable, { ports: [spare, moved, wrong] });
    const cells = table
      .all('tbody tr:not(.found)')
      .map((r) => [...r.querySelectorAll('td')].map((c) => c.textContent.replace(/\s+/g, ' ').trim()));
    expect(cells.map((c) => c[3])).toEqual(['oil sender', 'free Close …', 'oil sender']);
    expect(cells[1]![1]).toContain('oil sender moved to spare');
    const told = table.all('.found').map((r) => r.textContent);
    expect(told[0]).toContain('the oil sender moves away, and nothing closes its hole');
    expect(told[1]).toContain('r 1/8 m does not seal in npt 1/8 f');
  });

  it('closes a port that nothing runs from, by a plug or as it stays, and opens it again', async () => {
    const spare = { ...ports.vent, id: 'spare', label: 'spare', connector: parseConnector('npt 1/8 f') };
    const job = await openSampleJob({ ports: [...document.ports, spare] });
    const table = await render(PortTable, { ports: [spare] });
    await table.press('button', 'Close spare');
    await table.press('.found button', /Close it: Plug/);
    expect(job.sent().commands).toMatchObject([{ do: 'edit-port', id: 'spare', set: { closed: { by: 'plug' } } }]);
    const plugged: Port = { ...spare, closed: { by: 'stays', fittings: [] } };
    const { sent } = await openSampleJob({ ports: [...document.ports, plugged] });
    const again = await render(PortTable, { ports: [plugged] });
    expect(again.text()).toContain('stays as it is');
    await again.press('button', 'Open again: spare');
    expect(sent().commands).toMatchObject([{ do: 'edit-port', id: 'spare', set: { closed: null } }]);
  });

  it('duplicates, deletes with a way back, and shows a refusal', async () => {
    const { sent, messages } = await openSampleJob();
    const table = await render(PortTable, { ports: [ports.gallery] });
    await table.press('button', 'Duplicate port gallery');
    expect(sent().commands).toEqual([{ do: 'duplicate-port', id: 'gallery' }]);
    await table.press('button', 'Delete port gallery');
    expect(messages).toMatchObject([
      { text: 'port gallery duplicated', tone: 'plain', undo: true },
      { text: 'port gallery cannot be deleted: L1 ends on it. Delete or move the line first.', tone: 'error' },
    ]);
  });
});

describe('the survey', () => {
  it('draws the chosen component with its ports and edits it in place', async () => {
    const { sent, nothingSent } = await openSampleJob();
    const survey = await render(Survey, { component: 'turbo' });
    expect(survey.find('.side svg').getAttribute('aria-label')).toMatch(/^turbo with 3 ports: 1 port inlet, orb6 f/);
    await survey.type('Name of the component', 'Turbocharger');
    expect(sent().commands).toEqual([{ do: 'edit-component', id: 'turbo', version: 1, set: { name: 'Turbocharger' } }]);
    await survey.type('Name of the component', '');
    nothingSent();
    expect(survey.find('[role=alert]').textContent).toBe('A component needs a name.');
  });

  it('teaches the first step while it is empty', async () => {
    await openSampleJob({ components: [], ports: [], lines: [] });
    expect((await render(Survey)).text()).toContain('Walk round the engine');
  });

  it('adds a component under its kind when it is given no name', async () => {
    const { sent } = await openSampleJob();
    const survey = await render(Survey);
    await survey.choose('Kind of the new component', 'cooler');
    survey.find('.add').dispatchEvent(new Event('submit', { cancelable: true }));
    await settle();
    expect(sent().commands).toMatchObject([{ do: 'add-component', kind: 'cooler', name: 'Cooler' }]);
  });

  it('shows the port an address names, ready to change', async () => {
    await openSampleJob();
    const survey = await render(Survey, { component: 'turbo', port: 'drain' });
    expect(survey.find('h3').textContent).toBe('Change port drain');
  });
});

import { assembleLine, type Line } from '@gewinde/core';
import { catalogue, document, feed } from '../../../core/testing/sample-job';
import { openSampleJob, render, type OpenJob, type Rendered } from '../../test/open-job';
import { LineForm } from './line-form';

describe('LineForm', () => {
  let job: OpenJob;
  let form: Rendered<LineForm>;
  const open = async (change: Partial<Line> = {}) => {
    job = await openSampleJob();
    form = await render(LineForm, { assembled: assembleLine({ ...feed, ...change }, document, catalogue) });
  };
  /** What of the line is on its way to the server. */
  const sent = (): Partial<Line> => {
    const [command] = job.sent().commands;
    expect(command).toMatchObject({ do: 'edit-line', id: 'line1', version: 3 });
    return (command as { set: Partial<Line> }).set;
  };

  it('shows the arithmetic of the cut length and the advice of the service', async () => {
    await open();
    expect(form.text()).toContain('Restrictor and filter as the turbo maker says');
    const cells = form.all('.sum td').map((e) => e.textContent.trim());
    expect(cells.slice(0, 2)).toEqual(['Taped, seat to seat', '664']);
    expect(cells[3]).toMatch(/^−\d+(\.\d)?$/);
    expect(form.find('.result').textContent).toMatch(/Cut, rounded up\s*\d+/);
  });

  it('saves a service, and a length with its unit', async () => {
    await open({ checked: true });
    await form.choose('Service', 'Return');
    expect(sent()).toEqual({ service: 'return' });
    await open();
    await form.type('Taped length', '26 1/8 in');
    expect(sent().tapedLengthMm).toBeCloseTo(663.575);
    await open();
    await form.type('Taped length', 'long');
    job.nothingSent();
    expect(form.find('[role=alert]').textContent).toContain('not a number');
  });

  it('keeps the chain when only the angle changes', async () => {
    await open();
    await form.choose('End B', '90°');
    expect(sent().endB).toEqual({ ...feed.endB, angleDeg: 90 });
  });

  it('keeps the chain on another hose of the same size, and drops it on another size', async () => {
    await open();
    await form.choose('Hose', 'rubber core, steel braid');
    expect(sent()).toMatchObject({ construction: 'rubber', dash: 6, endA: { fittings: feed.endA.fittings } });
    await open();
    await form.choose('Size', '-8');
    expect(sent()).toMatchObject({ dash: 8, endA: { fittings: null }, endB: { fittings: null } });
  });

  it('goes to the angles that are made when a hose has no such end', async () => {
    await open({ endB: { ...feed.endB, angleDeg: 30 } });
    await form.choose('Hose', 'push-on rubber');
    expect(sent().endB).toMatchObject({ angleDeg: 0 });
  });

  it('moves an end to a free port and forgets the way; a port that is used is refused in place', async () => {
    job = await openSampleJob({ lines: [feed] });
    form = await render(LineForm, { assembled: assembleLine(feed, { ...document, lines: [feed] }, catalogue) });
    await form.pick('From port (end A)', 'port drain');
    expect(sent().endA).toEqual({ portId: 'drain', angleDeg: 0, fittings: null });
    await open();
    await form.pick('From port (end A)', 'port drain');
    job.nothingSent();
    expect(form.find('[role=alert]').textContent).toBe('port drain is already used by L2 Line 2.');
  });

  it('leaves what is being typed alone when somebody else changes the line, and says on which version it was begun', async () => {
    await open();
    const name = form.field('Name of the line');
    name.value = 'Half';
    name.dispatchEvent(new Event('input', { bubbles: true }));
    const theirs = { ...feed, name: 'Theirs', note: 'x', version: 4 };
    form.fixture.componentRef.setInput('assembled', assembleLine(theirs, document, catalogue));
    await form.stable();
    expect(name.value).toBe('Half');
    await form.type('Name of the line', 'Half and half');
    expect(sent()).toEqual({ name: 'Half and half' });
    form.fixture.componentRef.setInput('assembled', assembleLine({ ...theirs, name: 'Again', version: 5 }, document, catalogue));
    await form.stable();
    expect(name.value).toBe('Again');
  });

  it('can be checked only when it seals', async () => {
    await open({ tapedLengthMm: null });
    expect(form.find('button', 'Mark as checked')).toHaveProperty('disabled', true);
    expect(form.find('.problems').textContent).toContain('No length taped.');
    await open();
    await form.press('button', 'Mark as checked');
    expect(sent()).toEqual({ checked: true });
  });

  it('asks for a name when the field is emptied, and Escape brings it back', async () => {
    await open();
    await form.type('Name of the line', '  ');
    job.nothingSent();
    expect(form.find('[role=alert]').textContent).toBe('A line needs a name.');
    form.field('Name of the line').dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await form.stable();
    expect(form.field('Name of the line').value).toBe('Line 1');
    await form.type('Name of the line', 'Feed');
    expect(sent()).toEqual({ name: 'Feed' });
  });

  it('shows the caution of a fuel line', async () => {
    await open({ service: 'fuel' });
    expect(form.find('.attention').textContent).toContain('Fuel burns');
  });

  it('is deleted with a way back', async () => {
    await open();
    await form.press('button', 'Delete line L1');
    expect(job.sent().commands).toEqual([{ do: 'delete-line', id: 'line1', version: 3 }]);
    expect(job.store.document()?.lines.map((l) => l.id)).toEqual(['line2', 'line3']);
    expect(job.messages).toEqual([{ text: 'L1 Line 1 deleted', tone: 'plain', undo: true }]);
  });
});

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
  const sent = () => job.request('PATCH', '/api/lines/line1').request.body as Partial<Line> & { version: number };

  it('shows the arithmetic of the cut length and the advice of the service', async () => {
    await open();
    expect(form.text()).toContain('Restrictor and filter as the turbo maker says');
    const cells = form.all('.sum td').map((e) => e.textContent.trim());
    expect(cells.slice(0, 2)).toEqual(['Taped, seat to seat', '664']);
    expect(cells[3]).toMatch(/^−\d+(\.\d)?$/);
    expect(form.find('.result').textContent).toMatch(/Cut, rounded up\s*\d+/);
  });

  it('saves a service, an angle and a length, and takes the check mark off', async () => {
    await open({ checked: true });
    await form.choose('Service', 'return');
    expect(sent()).toMatchObject({ version: 3, service: 'return', checked: false });
  });

  it('keeps the chain when only the angle changes', async () => {
    await open();
    await form.choose('End B', '90');
    expect(sent().endB).toEqual({ ...feed.endB, angleDeg: 90 });
  });

  it('keeps the chain on another hose of the same size, and drops it on another size', async () => {
    await open();
    await form.choose('Hose', 'rubber');
    expect(sent()).toMatchObject({ construction: 'rubber', dash: 6, endA: { fittings: feed.endA.fittings } });
    await open();
    await form.choose('Size', '8');
    expect(sent()).toMatchObject({ dash: 8, endA: { fittings: null }, endB: { fittings: null } });
  });

  it('goes to the angles that are made when a hose has no such end', async () => {
    await open({ endB: { ...feed.endB, angleDeg: 30 } });
    await form.choose('Hose', 'pushon');
    expect(sent().endB).toMatchObject({ angleDeg: 0 });
  });

  it('moves an end to a free port and forgets the way', async () => {
    await open();
    const free = form
      .all('select')
      .flatMap((s) => [...s.querySelectorAll('option')])
      .map((o) => o.textContent.trim());
    expect(free.some((o) => o.startsWith('turbo, port drain'))).toBe(false);
    await form.choose('From port (end A)', 'inlet');
    expect(sent().endA).toEqual({ portId: 'inlet', angleDeg: 0, fittings: null });
  });

  it('can be checked only when it seals', async () => {
    await open({ tapedLengthMm: null });
    expect(form.find('button', 'Mark as checked')).toHaveProperty('disabled', true);
    expect(form.find('.problems').textContent).toContain('No length taped.');
    await open();
    await form.press('button', 'Mark as checked');
    expect(sent()).toEqual({ version: 3, checked: true });
  });

  it('keeps its name when the field is emptied', async () => {
    await open();
    await form.type('Name of the line', '  ');
    job.http.expectNone({ method: 'PATCH' });
    await form.type('Name of the line', 'Feed');
    expect(sent()).toEqual({ version: 3, name: 'Feed' });
  });

  it('shows the caution of a fuel line', async () => {
    await open({ service: 'fuel' });
    expect(form.find('.attention').textContent).toContain('Fuel burns');
  });

  it('is deleted with a way back', async () => {
    await open();
    await form.press('button', 'Delete line L1');
    job.request('DELETE', '/api/lines/line1').flush(null);
    await job.reread({ lines: [] });
    expect(job.messages).toEqual([{ text: 'L1 Line 1 deleted', tone: 'plain', undo: true }]);
  });
});

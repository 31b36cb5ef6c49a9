import { parseConnector, type CataloguePart, type PartCard as Card } from '@gewinde/core';
import { catalogue } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { PlainPartForm } from './plain-part-form';
import { Store } from './store';

describe('parts of other kinds', () => {
  const ring = catalogue.supplies.find((s) => s.name === 'O-ring FKM AS568-906')!;
  const ringCard: Card = { row: { id: ring.id, version: 3, origin: 'standard', kind: 'supply', part: ring }, usedBy: [] };

  it('have sections of their own, found by words, and a card by the table of their kind', async () => {
    const { request } = await openSampleJob();
    const view = await render(Store);
    await view.choose('Section', 'O-rings');
    await view.type('Words', 'hnbr 906');
    expect(view.find('nav').textContent).toMatch(/1 of \d+ parts/);
    expect(view.all('label').some((l) => l.textContent.includes('Metal'))).toBe(false);
    view.fixture.componentRef.setInput('part', ring.id);
    await view.stable();
    request('GET', `/api/catalogue/parts/${encodeURIComponent(ring.id)}`).flush(ringCard);
    await settle();
    await view.stable();
    const figures = view.all('dl div').map((d) => d.textContent.replace(/\s+/g, ' ').trim());
    expect(figures).toEqual(expect.arrayContaining(['SizeAS568-906', 'Cord1.98 mm', 'Compoundfkm']));
    expect(view.find('.kind').textContent).toContain('O-ring · from the standards');
  });

  it('of an address open in their section', async () => {
    const { request } = await openSampleJob();
    const view = await render(Store, { part: ring.id });
    request('GET', `/api/catalogue/parts/${encodeURIComponent(ring.id)}`).flush(ringCard);
    await settle();
    await view.stable();
    expect((view.field('Section') as unknown as HTMLSelectElement).selectedOptions[0]!.textContent).toContain('O-rings');
  });

  const form = async (section: string, part: CataloguePart | null = null) => {
    const job = await openSampleJob();
    return { job, view: await render(PlainPartForm, { section, part }) };
  };

  it('are written by the table of their kind, refused in place, and kept as they were typed', async () => {
    const { job, view } = await form('hose');
    await view.press('button', 'Add the hose');
    expect(view.text()).toContain('Still to be said: Construction, Bore, Outside diameter');
    expect(view.text()).toContain('A part needs a name.');
    await view.type('Name', 'Stiff hose -6');
    await view.choose('Construction', 'ptfe');
    for (const [label, value] of [
      ['Size, sixteenths', '6'],
      ['Bore', '9'],
      ['Outside diameter', '8'],
      ['Least bend radius', '120'],
      ['Working pressure', '100'],
      ['Lowest temperature', '-40'],
      ['Highest temperature', '200'],
      ['Price € a metre', '18,50'],
    ] as const)
      await view.type(label, value);
    await view.press('button', 'Add the hose');
    expect(view.text()).toContain('A hose of 9 mm bore is wider outside than 8 mm.');
    job.http.expectNone('/api/shop/changes');
    await view.type('Outside diameter', '14');
    await view.press('button', 'Add the hose');
    const part = {
      id: 'own-stiff-hose-6',
      construction: 'ptfe',
      dash: 6,
      boreMm: 9,
      outsideMm: 14,
      workingBar: 100,
      pricePerMetreMinor: 1850,
    };
    expect(job.shopSent().commands).toMatchObject([{ do: 'add-part', entry: { kind: 'hose', part } }]);
  });

  it('are edited by their version; what the form does not ask stays', async () => {
    const { job, view } = await form('o-ring', ringCard.row);
    await view.type('On the shelf', '12');
    await view.choose('Compound', 'hnbr');
    await view.press('button', 'Save');
    const part = { ...ring, shelf: 12, figures: { ...ring.figures, compound: 'hnbr' } };
    expect(job.shopSent().commands).toEqual([{ do: 'edit-part', id: ring.id, version: 3, entry: { kind: 'supply', part } }]);
  });

  it('say what a hose end goes on with, in notation', async () => {
    const end = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;
    const { job, view } = await form('hose end', { id: end.id, version: 1, origin: 'standard', kind: 'hose end', part: end });
    expect(view.field('Goes on with').value).toBe('an6 f swivel');
    await view.type('Goes on with', 'an6 f swi');
    await view.press('button', 'Save');
    job.http.expectNone('/api/shop/changes');
    await view.type('Goes on with', 'banjo m12x1.5');
    await view.press('button', 'Save');
    expect(job.shopSent().commands).toMatchObject([{ entry: { part: { connector: parseConnector('banjo m12x1.5'), aMm: end.aMm } } }]);
  });
});

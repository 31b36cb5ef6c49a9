import { judgeLine, parseConnector, type Command, type Line } from '@gewinde/core';
import { catalogue, document, drain, feed, withPiece } from '../../../core/testing/sample-job';
import { openSampleJob, render, type OpenJob, type Rendered } from '../../test/open-job';
import { LineForm } from './line-form';

describe('LineForm', () => {
  let job: OpenJob;
  let form: Rendered<LineForm>;
  const open = async (change: Partial<Line> = {}) => {
    job = await openSampleJob();
    form = await render(LineForm, { assembled: judgeLine({ ...feed, ...change }, document, catalogue) });
  };
  /** What of the line, or of its hose, is on its way to the server. */
  const sent = (what: 'edit-line' | 'edit-piece' = 'edit-line') => {
    const [command] = job.sent().commands;
    expect(command).toMatchObject({ do: what, id: 'line1', version: 3, ...(what === 'edit-piece' ? { piece: 'p1' } : {}) });
    return (command as Extract<Command, { do: 'edit-piece' | 'edit-line' }>).set;
  };

  it('shows the arithmetic of the cut length and the advice of the service', async () => {
    await open();
    expect(form.text()).toContain('Restrictor and filter as the turbo maker says');
    const cells = form.all('.sum td').map((e) => e.textContent.trim());
    expect(cells.slice(0, 2)).toEqual(['Taped, seat to seat', '664']);
    expect(cells[3]).toMatch(/^−\d+(\.\d)?$/);
    expect(form.find('.result').textContent).toMatch(/Cut\s*\d+/);
    // the column adds up to what is cut
    const figures = cells.filter((_, i) => i % 2 === 1).map((cell) => Number(cell.replace('−', '-').replace(/[^\d.-]/g, '')));
    const cut = figures.pop()!;
    expect(figures.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(cut, 5);
  });

  it('tells what the flow complains of before it is marked as checked, and leads to the figures', async () => {
    await open();
    expect(form.find('[aria-label="What the flow complains of"]').textContent).toContain('Not said: ball or journal bearings');
    expect(form.find('button', 'See the figures')).toBeTruthy();
    expect(form.text()).not.toContain('Nothing keeps the vacuum');
    await open({ service: 'brake-booster' });
    expect(form.find('[aria-label="What is open"]').textContent).toContain('Nothing keeps the vacuum in the booster');
  });

  it('converts a length that was taped round the elbow, once', async () => {
    await open();
    expect(form.find('.taping').textContent).toContain('straight along the hose');
    await form.press('.taping button', 'I taped round the elbow');
    const { length } = sent('edit-piece') as { length: { mm: number; as: string } };
    expect(length.as).toBe('taped');
    expect(length.mm).toBeLessThan(664);
    expect(length.mm).toBeGreaterThan(640);
  });

  it('saves a service, and a length with its unit', async () => {
    await open();
    await form.choose('Service', 'Return');
    expect(sent()).toEqual({ service: 'return' });
    await open();
    await form.type('Taped length', '26 1/8 in');
    expect(sent('edit-piece')).toEqual({ length: { mm: expect.closeTo(663.575) as number, as: 'taped' } });
    await open();
    await form.type('Taped length', 'long');
    job.nothingSent();
    expect(form.find('[role=alert]').textContent).toContain('not a number');
  });

  it('names hose and ends by their ids, and the way beside follows from that', async () => {
    await open();
    await form.choose('End B', '90°');
    expect(sent('edit-piece')).toEqual({ endB: 'end-ptfe-6-90' });
    expect(job.store.document()!.lines[0]!.ways).toEqual(feed.ways);
    await open();
    await form.choose('Hose', 'AN rubber core, steel braid');
    expect(sent('edit-piece')).toEqual({ hose: 'hose-rubber-6' });
    await open();
    await form.choose('Size', '-8');
    expect(sent('edit-piece')).toEqual({ hose: 'hose-ptfe-8' });
    expect(job.store.document()!.lines[0]).toMatchObject({
      pieces: [{ endA: 'end-ptfe-8-0', endB: 'end-ptfe-8-45' }],
      ways: [{ chosen: null }, { chosen: null }],
    });
  });

  it('offers the makes of a size where there are several, and an end by its connector where its angle does not say it', async () => {
    const hose = { ...catalogue.hoses.find((h) => h.id === 'hose-ptfe-6')!, id: 'other-6', name: 'Other hose -6' };
    const banjo = { ...catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!, id: 'eye', connector: parseConnector('banjo m12x1.5') };
    job = await openSampleJob({}, undefined, { hoses: [...catalogue.hoses, hose], hoseEnds: [...catalogue.hoseEnds, banjo] });
    form = await render(LineForm, { assembled: judgeLine(feed, document, catalogue) });
    await form.choose('Make', 'Other hose -6');
    expect(sent('edit-piece')).toEqual({ hose: 'other-6' });
    await form.choose('End A', '0° banjo m12x1.5');
    expect(job.store.document()!.lines[0]!.pieces[0]).toMatchObject({ hose: 'other-6', endA: 'eye' });
  });

  it('takes a length as it was given: taped, assembled, or the cut itself', async () => {
    await open();
    await form.choose('Length is', 'the cut itself');
    expect(sent('edit-piece')).toEqual({ length: { mm: 664, as: 'cut' } });
    form = await render(LineForm, { assembled: judgeLine(withPiece(feed, { length: { mm: 500, as: 'cut' } }), document, catalogue) });
    expect(form.find('.result').textContent).toMatch(/Cut as it was given\s*500/);
    expect(form.field('Cut length').value).toContain('500');
  });

  it('asks how long a hose is that is on the car already, and says what comes off or what is missing', async () => {
    await open();
    await form.choose('Comes from', 'the car, kept');
    expect(sent('edit-piece')).toEqual({ source: 'kept' });
    const kept = (hasMm: number) => judgeLine(withPiece(feed, { source: 'kept', hasMm }), document, catalogue);
    form = await render(LineForm, { assembled: kept(700) });
    expect(form.text()).toMatch(/Comes off the hose that is kept\s*3\d/);
    form.fixture.componentRef.setInput('assembled', kept(600));
    await form.stable();
    expect(form.find('[aria-label="What is open"]').textContent).toMatch(/The hose that is kept is 6\d(\.\d)? mm too short/);
  });

  it('shows one hose of several at a time, and breaks, joins and takes out by command', async () => {
    const two = { ...feed, pieces: [feed.pieces[0]!, { ...drain.pieces[0]!, key: 'p2' }], ways: [...feed.ways, { chosen: null }] };
    job = await openSampleJob({ lines: [two] });
    form = await render(LineForm, { assembled: judgeLine(two, { ...document, lines: [two] }, catalogue) });
    expect((form.field('Size') as unknown as HTMLSelectElement).selectedOptions[0]!.textContent.trim()).toBe('-6');
    await form.press('button', 'Hose 2');
    expect((form.field('Size') as unknown as HTMLSelectElement).selectedOptions[0]!.textContent.trim()).toBe('-10');
    await form.press('button', 'Take out hose 2');
    expect(job.sent().commands).toEqual([{ do: 'remove-piece', id: 'line1', version: 3, piece: 'p2' }]);
    expect(job.store.document()!.lines[0]).toMatchObject({ pieces: [{ key: 'p1' }], ways: [feed.ways[0], { chosen: null }] });
    const bare = { ...feed, pieces: [], ways: [{ chosen: null }] };
    form.fixture.componentRef.setInput('assembled', judgeLine(bare, document, catalogue));
    await form.stable();
    expect(form.text()).toContain('Fittings alone');
  });

  it('offers what puts a finding right, as a change that can be taken back', async () => {
    const over = withPiece(feed, { length: { mm: 664, as: 'taped', over: { stackMm: 20, turnDeg: 0 } } });
    job = await openSampleJob({ lines: [over] });
    form = await render(LineForm, { assembled: judgeLine(over, { ...document, lines: [over] }, catalogue) });
    expect(form.find('[aria-label="What is open"]').textContent).toContain('Taped with other fittings');
    await form.press('[aria-label="What is open"] button', 'Correct by −');
    expect(job.sent().commands).toMatchObject([{ do: 'edit-piece', piece: 'p1', set: { length: { as: 'taped' } } }]);
    expect(job.store.document()!.lines[0]!.pieces[0]!.length!.mm).toBeLessThan(664);
    expect(job.messages).toMatchObject([{ undo: true }]);
  });

  it('moves an end to a free port and forgets the way; a port that is used is refused in place', async () => {
    job = await openSampleJob({ lines: [feed] });
    form = await render(LineForm, { assembled: judgeLine(feed, { ...document, lines: [feed] }, catalogue) });
    await form.pick('From port (end A)', 'port drain');
    expect(sent()).toEqual({ portA: 'drain' });
    expect(job.store.document()!.lines[0]!.ways[0]).toEqual({ chosen: null });
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
    form.fixture.componentRef.setInput('assembled', judgeLine(theirs, document, catalogue));
    await form.stable();
    expect(name.value).toBe('Half');
    await form.type('Name of the line', 'Half and half');
    expect(sent()).toEqual({ name: 'Half and half' });
    form.fixture.componentRef.setInput('assembled', judgeLine({ ...theirs, name: 'Again', version: 5 }, document, catalogue));
    await form.stable();
    expect(name.value).toBe('Again');
  });

  it('can be checked only when it seals', async () => {
    await open(withPiece(feed, { length: null }));
    expect(form.find('button', 'Mark as checked')).toHaveProperty('disabled', true);
    expect(form.find('[aria-label="What is open"]').textContent).toContain('No length taped.');
    await open();
    await form.press('button', 'Mark as checked');
    const { checked } = job.store.document()!.lines[0]!;
    expect(job.sent().commands).toMatchObject([
      { do: 'check-line', id: 'line1', version: 3, checked: { digest: { service: expect.any(String) as string } } },
    ]);
    form.fixture.componentRef.setInput('assembled', judgeLine({ ...feed, checked }, document, catalogue));
    await form.stable();
    expect(form.find('button', 'Checked')).toBeTruthy();
    form.fixture.componentRef.setInput(
      'assembled',
      judgeLine({ ...withPiece(feed, { length: { mm: 700, as: 'taped' } }), checked }, document, catalogue),
    );
    await form.stable();
    expect(form.find('[aria-label="What is open"]').textContent).toContain('Changed since it was checked: length of hose.');
    expect(form.find('button', 'Check it again')).toBeTruthy();
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
    expect(job.messages).toMatchObject([{ text: 'L1 Line 1 deleted', tone: 'plain', undo: true }]);
  });
});

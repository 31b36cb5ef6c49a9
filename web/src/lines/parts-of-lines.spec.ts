import { TestBed } from '@angular/core/testing';
import { judgeLine, type CommandOf, type Line } from '@gewinde/core';
import { catalogue, document, drain, feed, withPiece, withWay } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { Preferences } from '../data/preferences';
import { BreakDialog } from './break-dialog';
import { JointInspector } from './joint-inspector';
import { LineRack } from './line-rack';
import { Lines } from './lines';
import { NewLineDialog } from './new-line-dialog';
import { SealRow } from './seal-row';

const assembled = (l: Line = feed, d = document) => judgeLine(l, d, catalogue);
const leaking = withWay(feed, 1, [{ id: 'orb4m+an6m', inEnd: 1, outEnd: 0 }]);
const bare = withWay(withWay(withPiece(feed, { hose: null, endA: null, endB: null, length: null }), 0, null), 1, null);
const checked = { at: null, digest: {} };

describe('the rack', () => {
  it('tells each state in words as well as in signs', async () => {
    await openSampleJob();
    const rack = await render(LineRack, { lines: [assembled(), assembled({ ...drain, checked }), assembled(leaking), assembled(bare)] });
    expect(rack.all('.state').map((e) => e.textContent.replace(/\s+/g, ' ').trim())).toEqual([
      '○seals, not checked',
      '✓checked',
      '✕will not do',
      '44 open',
    ]);
    expect(rack.text()).toContain('-6 PTFE · 6 joints');
    expect(rack.text()).toContain('no hose yet');
    expect(rack.text()).toMatch(/4 · \d+ joints/);
  });
});

describe('the seal row', () => {
  it('has one cell a joint with seal and make-up, and chooses it', async () => {
    await openSampleJob();
    const row = await render(SealRow, { line: assembled(), chosen: 2 });
    const chosen: number[] = [];
    row.fixture.componentInstance.choose.subscribe((n) => chosen.push(n));
    expect(row.all('.cell')).toHaveLength(6);
    expect(row.all('.cell')[0]!.textContent).toMatch(/25–30/);
    expect(row.all('.cell')[1]!.getAttribute('aria-pressed')).toBe('true');
    await row.press('.cell', 'ring AS568-906');
    expect(chosen).toEqual([6]);
  });

  it('marks what does not join, and says what is missing where nothing is chosen', async () => {
    await openSampleJob();
    expect((await render(SealRow, { line: assembled(leaking) })).find('.cell[data-state="leaks"]').textContent).toContain('does not join');
    expect((await render(SealRow, { line: assembled(bare) })).text()).toContain('The joints appear here');
  });
});

describe('the joint in words', () => {
  it('gives verdict, pair, what it uses, make-up, dressing and source', async () => {
    await openSampleJob();
    const joint = await render(JointInspector, { joint: assembled().joints[0], line: assembled() });
    for (const words of [
      'Joint 1 · port to adapter',
      'Seals',
      'm14x1.5 f washer',
      'Copper washer 14 × 18 × 1.5',
      '25–35',
      'New washer each time',
      'ISO 9974',
    ])
      expect(joint.text()).toContain(words);
  });

  it('draws the two threads over one another, names the look-alike, and leads to the bench', async () => {
    await openSampleJob();
    const joint = await render(JointInspector, { joint: assembled().joints[0], line: assembled() });
    expect(joint.find('figure svg').getAttribute('aria-label')).toContain('M14×1.5 in M14×1.5');
    expect(joint.find('figcaption').textContent).toContain('made for each other');
    expect(joint.find('.alike').textContent).toMatch(/Taken for\s+9\/16-18 UNF/);
    expect(joint.find('a.bench').getAttribute('href')).toBe('/bench/pair?a=m14x1.5%20f%20washer&b=m14x1.5%20m%20washer');
  });

  it('says why a joint fails and what to do', async () => {
    await openSampleJob();
    const joint = await render(JointInspector, { joint: assembled(leaking).joints[5], line: assembled(leaking) });
    expect(joint.find('.leaks').textContent).toContain('Does not join');
    expect(joint.text()).toContain('Take another way at end B');
    expect(joint.text()).not.toContain('Make-up');
  });

  it('names hose and end where there is no thread', async () => {
    await openSampleJob();
    const joint = await render(JointInspector, { joint: assembled().joints[2], line: assembled() });
    expect(joint.text()).toContain('Olive end -6, straight, 37° swivel');
    expect(joint.text()).toContain('gap 1 mm');
    expect(joint.all('figure')).toHaveLength(0);
  });
});

describe('a new line', () => {
  it('asks for two different ports, picked by a few letters', async () => {
    const { sent, closed } = await openSampleJob({ lines: [] });
    const dialog = await render(NewLineDialog);
    await dialog.press('button', 'Draw the line');
    expect(dialog.all('[role=alert]').map((e) => e.textContent)).toEqual(['Choose a port from the list.', 'Choose a port from the list.']);
    await dialog.pick('To port', 'm14x1.5');
    await dialog.pick('From port', 'block gallery');
    await dialog.press('button', 'Draw the line');
    expect(dialog.find('[role=alert]').textContent).toBe('A line cannot run from a port to itself.');
    await dialog.pick('To port', 'orb6');
    await dialog.choose('Service', 'Return');
    await dialog.press('button', 'Draw the line');
    const [command] = sent().commands;
    expect(command).toMatchObject({ do: 'add-line', service: 'return', fromPortId: 'gallery', toPortId: 'inlet' });
    expect(closed).toEqual([(command as { id: string }).id]);
  });

  const inWords = async (lines: string) => {
    const job = await openSampleJob({ lines: [] });
    const dialog = await render(NewLineDialog);
    const text = dialog.find('textarea') as HTMLTextAreaElement;
    const type = async (words: string): Promise<void> => {
      text.value = words;
      text.dispatchEvent(new Event('input'));
      await dialog.stable();
    };
    const press = async (key: object): Promise<void> => {
      text.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', cancelable: true, ...key }));
      await dialog.stable();
    };
    await type(lines);
    const rows = () => dialog.all('ul[aria-label="As it is read"] li').map((li) => li.textContent.replace(/\s+/g, ' ').trim());
    return { ...job, dialog, text, type, press, rows };
  };

  it('is read from a text as it is typed, and drawn with its hose and length by Enter', async () => {
    const { press, rows, sent, closed } = await inWords('turbo feed: gallery > inlet, ptfe 6, 620');
    expect(rows()).toEqual([
      expect.stringMatching(/^Turbo feed: block, port gallery to turbo, port inlet; PTFE hose, steel braid, -6; 620 mm taped$/),
    ]);
    await press({ shiftKey: true });
    expect(closed).toEqual([]);
    await press({});
    const [command] = sent().commands;
    expect(command).toMatchObject({
      do: 'add-line',
      service: 'turbo-feed',
      fromPortId: 'gallery',
      toPortId: 'inlet',
      piece: { length: { mm: 620, as: 'taped' } },
    });
    expect(closed).toEqual([(command as { id: string }).id]);
  });

  it('asks what a text leaves open, takes an answer by a press, and draws several at once', async () => {
    const { dialog, text, press, rows, sent, nothingSent, type } = await inWords('gallery > inlet, ptfe 6');
    await press({});
    nothingSent();
    expect(dialog.find('[role=alert]').textContent).toContain('What is it for?');
    await dialog.press('li button', 'Turbo feed');
    expect(text.value).toBe('turbo feed: gallery > inlet, ptfe 6');
    await type(`${text.value}\nturbo drain: turbo drain > pan`);
    expect(rows()[1]).toMatch(/proposed by/);
    await dialog.press('button', 'Draw 2 lines');
    expect(sent().commands.map((c) => c.do)).toEqual(['add-line', 'add-line']);
  });

  it('follows the units of the house while it is typed, and refuses a length that is none', async () => {
    const { rows, type, press, nothingSent } = await inWords('turbo feed: gallery > inlet, ptfe 6, 24');
    expect(rows()[0]).toContain('24 mm taped');
    TestBed.inject(Preferences).system.set('inch');
    await type('turbo feed: gallery > inlet, ptfe 6, 24 ');
    expect(rows()[0]).toMatch(/; 24.in taped$/);
    await type('turbo feed: gallery > inlet, ptfe 6, 99999999');
    await press({});
    expect(rows()[0]).toContain('Look at its unit.');
    nothingSent();
  });

  it('is of fittings alone where that is said', async () => {
    const { store } = await openSampleJob({ lines: [] });
    const dialog = await render(NewLineDialog);
    await dialog.pick('From port', 'block gallery');
    await dialog.pick('To port', 'orb6');
    await dialog.press('.bare input');
    await dialog.press('button', 'Draw the line');
    expect(store.document()!.lines).toMatchObject([{ pieces: [], ways: [{ chosen: null }] }]);
  });

  it('offers free ports first and says of the others who uses them', async () => {
    await openSampleJob({ lines: [drain] });
    const dialog = await render(NewLineDialog);
    globalThis.document.body.append(dialog.root);
    dialog.field('From port').focus();
    await dialog.stable();
    const offered = dialog.all('.g-picker .dropdown-item').map((e) => e.textContent.replace(/\s+/g, ' ').trim());
    expect(offered[0]).toBe('block, port gallerym14x1.5 f washer');
    expect(offered.slice(-2)).toEqual(['block, port pannpt 1/2 f · used by L2 Line 2', 'turbo, port drainorb10 f · used by L2 Line 2']);
    const tab = new KeyboardEvent('keydown', { key: 'Tab', cancelable: true });
    dialog.field('From port').dispatchEvent(tab);
    await dialog.stable();
    expect(tab.defaultPrevented).toBe(false);
    expect(dialog.field('From port').value).toBe('');
    await dialog.pick('To port', 'port drain');
    expect(dialog.find('[role=alert]').textContent).toBe('port drain is already used by L2 Line 2.');
  });

  it('does not push its buttons away from under a press that leaves a field', async () => {
    const { closed } = await openSampleJob({ lines: [] });
    const dialog = await render(NewLineDialog);
    const pointer = (kind: string) => globalThis.document.dispatchEvent(new Event(kind));
    pointer('pointerdown');
    await dialog.type('From port', 'no such port');
    await dialog.stable();
    expect(dialog.all('[role=alert]')).toHaveLength(0);
    pointer('pointerup');
    await dialog.press('button', 'Cancel');
    await settle();
    await dialog.stable();
    expect([closed, dialog.all('[role=alert]').length]).toEqual([['dismissed'], 1]);
  });
});

describe('breaking a line', () => {
  const open = async () => {
    const job = await openSampleJob();
    const dialog = await render(BreakDialog);
    const line = assembled();
    dialog.fixture.componentInstance.line.set(line);
    dialog.fixture.componentInstance.piece.set(line.pieces[0]!);
    const rest = async () => {
      for (let i = 0; i < 6; i++) await settle();
      await dialog.stable();
    };
    await rest();
    return { job, dialog, rest };
  };

  it('offers the parts of a kind that join up there, and puts the chosen one in, all in one change', async () => {
    const { job, dialog, rest } = await open();
    expect(dialog.all('tbody tr')[0]!.textContent).toContain('Bulkhead, bulkhead an6 m to an6 m');
    await dialog.choose('What goes in', 'inline filter');
    await rest();
    expect(dialog.all('tbody tr')[0]!.textContent).toMatch(/filter/i);
    await dialog.press('input[type=radio]', 'an8 m to an8 m');
    await dialog.press('button', 'Break the line');
    const [broken, way] = job.sent().commands as [CommandOf<'break-line'>, CommandOf<'take-way'>];
    expect(broken).toMatchObject({
      do: 'break-line',
      id: 'line1',
      version: 3,
      piece: 'p1',
      use: [expect.stringContaining('an8m') as string],
    });
    expect([way.do, way.at, way.fittings.length]).toEqual(['take-way', 1, 3]);
    expect(job.store.document()!.lines[0]).toMatchObject({ pieces: [{ key: 'p1' }, {}], ways: [{}, { wishes: { use: broken.use } }, {}] });
    expect([job.closed, job.messages]).toMatchObject([[undefined], [{ undo: true }]]);
  });

  it('joins the two by nothing in particular, and asks which part where it is named', async () => {
    const { job, dialog, rest } = await open();
    await dialog.choose('What goes in', 'a part by its name');
    await rest();
    expect(dialog.text()).toContain('Pick a part');
    expect(dialog.find('button', 'Break the line')).toHaveProperty('disabled', true);
    await dialog.choose('What goes in', 'joiner, nothing else');
    await rest();
    await dialog.press('button', 'Break the line');
    expect(job.sent().commands[0]).not.toHaveProperty('use');
  });
});

describe('the keys along the sheet', () => {
  const arrow = (element: Element, key: string) => element.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));

  it('move from joint to joint, on the sheet and in the row, and round the end', async () => {
    await openSampleJob();
    const view = await render(Lines, { lineId: 'line1' });
    globalThis.document.body.append(view.root);
    const balloons = view.all('.balloon');
    balloons[0]!.focus();
    arrow(balloons[0]!, 'ArrowRight');
    await view.stable();
    expect(view.find('.inspector').textContent).toContain('Joint 2');
    arrow(balloons[1]!, 'ArrowLeft');
    arrow(balloons[0]!, 'ArrowLeft');
    await view.stable();
    expect(view.find('.inspector').textContent).toContain('Joint 6');
    const cells = view.all('.cell');
    cells[5]!.focus();
    arrow(cells[5]!, 'ArrowRight');
    await view.stable();
    expect(view.find('.cell.chosen').textContent).toContain('1');
    view.root.remove();
  });

  it('tick a joint as made, and the sheet says so', async () => {
    const { sent } = await openSampleJob();
    const line = assembled();
    const inspector = await render(JointInspector, { joint: line.joints[0], line });
    await inspector.press('.made input');
    expect(sent().commands).toEqual([{ do: 'edit-line', id: 'line1', version: 3, set: { made: [line.joints[0]!.id] } }]);
  });
});

describe('the view', () => {
  it('draws the chosen line, and a joint chosen on the sheet is chosen in the row and told in words', async () => {
    await openSampleJob();
    const view = await render(Lines, { lineId: 'line2' });
    expect(view.find('.middle').getAttribute('aria-label')).toBe('Line L2, Line 2');
    view.all('.balloon')[5]!.dispatchEvent(new MouseEvent('click'));
    await view.stable();
    expect(view.find('.inspector').textContent).toContain('Joint 6');
    expect(view.find('.cell.chosen').textContent).toContain('6');
    await view.press('.back');
    expect(view.find('.inspector').textContent).toContain('Mark as checked');
  });

  it('teaches the next step while there are no lines', async () => {
    await openSampleJob({ lines: [] });
    expect((await render(Lines)).text()).toContain('Draw the first line');
    await openSampleJob({ lines: [], ports: [] });
    expect((await render(Lines)).text()).toContain('the survey has none free');
  });
});

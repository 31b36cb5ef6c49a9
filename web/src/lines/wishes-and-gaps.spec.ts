import { parseConnector, waysToHoseEnd, type Port, type WaysAnswer, type Wishes } from '@gewinde/core';
import { catalogue, document, withWay } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle, type Rendered } from '../../test/open-job';
import { MissingParts } from './missing-parts';
import { SensorPlaces } from './sensor-places';
import { WishesPanel } from './wishes-panel';

jest.mock('../shared/drawing', () => jest.requireActual<object>('../../test/plain-drawing'));

const gallery = document.ports.find((p) => p.id === 'gallery')!;
const hoseEnd = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-6-0')!;

describe('the wishes', () => {
  let panel: Rendered<WishesPanel>;
  let said: Wishes[];
  const open = async (wishes: Wishes = {}, port: Port = gallery) => {
    await openSampleJob();
    panel = await render(WishesPanel, { wishes, seated: port.sensor ? [port] : [] });
    said = [];
    panel.fixture.componentInstance.changed.subscribe((w) => {
      said.push(w);
      panel.fixture.componentRef.setInput('wishes', w);
    });
  };

  it('are said one by one, each leaving the others as they are', async () => {
    await open({ turnDeg: 90, avoid: ['orb6m+an6m'] });
    await panel.choose('Turns', 'as it comes');
    await panel.choose('Most fittings', '4');
    await panel.type('Longest stack', '1 1/2 in');
    await panel.type('Least bore', '7,5');
    const avoid = ['orb6m+an6m'];
    expect(said).toEqual([
      { avoid },
      { avoid, mostFittings: 4 },
      { avoid, mostFittings: 4, mostStackMm: 38.1 },
      { avoid, mostFittings: 4, mostStackMm: 38.1, leastBoreMm: 7.5 },
    ]);
  });

  it('name a part that must be in the way, picked by a few letters of it', async () => {
    await open({ avoid: ['orb6m+an6m'] });
    const input = panel.field('Must contain part');
    globalThis.document.body.append(panel.root);
    input.value = 'orb6 an6 adapter';
    input.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((resolve) => setTimeout(resolve, 200));
    await panel.stable();
    panel.find('.g-picker .dropdown-item', 'Adapter, orb6 m to an6 m').click();
    await panel.stable();
    expect(said).toEqual([{ use: ['orb6m+an6m'], avoid: [] }]);
    expect(input.value).toBe('');
  });

  it('keep to metals, as many as are ticked', async () => {
    await open({ materials: ['steel'] });
    const boxes = panel.all('fieldset input') as HTMLInputElement[];
    expect(boxes.map((b) => b.checked)).toEqual([false, true, false, false]);
    boxes[0]!.click();
    boxes[1]!.click();
    await panel.stable();
    expect(said).toEqual([{ materials: ['aluminium', 'steel'] }, { materials: ['aluminium'] }]);
  });

  it('name the parts that are asked for or avoided, and drop them with a press', async () => {
    await open({ use: ['orb6m+an6m'], avoid: ['ghost'] });
    expect(panel.find('button', 'use Adapter, orb6 m to an6 m')).toBeTruthy();
    await panel.press('button', 'No longer avoid ghost');
    expect(said).toEqual([{ use: ['orb6m+an6m'], avoid: [] }]);
  });

  it('offer to keep the sensor only where one sits in the port', async () => {
    await open();
    expect(panel.text()).not.toContain('on a tee here');
    const sensor = { name: 'switch', connector: parseConnector('m14x1.5 m washer'), movedTo: null };
    await open({ keepSensor: true }, { ...gallery, sensor });
    await panel.press('.keep input');
    expect(said).toEqual([{}]);
  });

  it('take a branch back when its field is emptied, and point at one that does not read', async () => {
    await open({ branchFor: parseConnector('an4 f swivel') });
    await panel.type('Branch for another line', 'an4 x');
    expect(panel.find('[role=alert]')).toBeTruthy();
    expect(said).toEqual([]);
    await panel.type('Branch for another line', '');
    expect(said).toEqual([{}]);
  });
});

describe('what is missing', () => {
  const show = async (answer: WaysAnswer, wishes: Wishes = {}) => {
    await openSampleJob();
    const view = await render(MissingParts, { answer, wishes });
    const said: Wishes[] = [];
    view.fixture.componentInstance.changed.subscribe((w) => said.push(w));
    return { view, said };
  };
  const ask = (notation: string, wishes: Wishes = {}) =>
    waysToHoseEnd({ connector: parseConnector(notation) }, hoseEnd, catalogue, { wishes });

  it('is named with what it saves and the shop-made way as a risk', async () => {
    const big = catalogue.hoseEnds.find((e) => e.id === 'end-ptfe-12-0')!;
    const { view } = await show(waysToHoseEnd({ connector: parseConnector('npt 1/8 f') }, big, catalogue));
    expect(view.text()).toContain('npt 1/8 m to an12 m saves 1 part and one joint');
    expect(view.find('.risk').textContent).toMatch(/Shop-made, at a risk: Adapter, .* Pressure-test it/);
  });

  it('lifts the one wish that stands in the way', async () => {
    const wishes = { mostStackMm: 4, turnDeg: 0 };
    const { view, said } = await show(ask('m14x1.5 f washer', wishes), wishes);
    await view.press('button', 'Lift that wish');
    expect(said).toEqual([{ turnDeg: 0 }]);
  });

  it('allows more fittings, or lets the branch go', async () => {
    const base: WaysAnswer = { ways: [], missingLinks: [], explanation: 'None.', inTheWay: [] };
    for (const [constraint, left] of [
      ['maxFittings', { keepSensor: true, mostFittings: 4 }],
      ['takeOffs', {}],
    ] as const) {
      const { view, said } = await show({ ...base, inTheWay: [{ constraint, words: 'Without it there is one.' }] }, { keepSensor: true });
      await view.press('button', 'Lift that wish');
      expect(said).toEqual([left]);
    }
  });

  it('tells contradictions as what they are, and says nothing where all is well', async () => {
    const { view } = await show(ask('npt 1/4 f', { use: ['no-such'] }));
    expect(view.find('.g-verdict').textContent).toContain('contradict one another');
    const good = await show(ask('m14x1.5 f washer'));
    expect(good.view.text().trim()).toBe('');
  });
});

describe('the place of a sensor', () => {
  const connector = parseConnector('m14x1.5 m washer');
  const seated = (movedTo: NonNullable<Port['sensor']>['movedTo']): Port => ({
    ...gallery,
    sensor: { name: 'switch', connector, movedTo },
  });
  const show = async (port: Port, change: object = {}) => {
    const job = await openSampleJob({ ports: [port, ...document.ports.slice(1)], ...change });
    const view = await render(SensorPlaces, { port });
    for (let i = 0; i < 3; i++) await settle();
    await view.stable();
    return { view, job };
  };

  it('is told where it has been moved, and taken back', async () => {
    const { view, job } = await show(seated({ portId: 'vent', fittings: [{ id: 'orb6m+an6m', inEnd: 0, outEnd: 1 }] }));
    expect(view.text()).toContain('moves to block, port vent through Adapter, orb6 m to an6 m');
    await view.press('button', 'Not there');
    const set = { sensor: { name: 'switch', movedTo: null, notation: 'm14x1.5 m washer' } };
    expect(job.sent().commands).toEqual([{ do: 'edit-port', id: 'gallery', version: 1, set }]);
  });

  it('says so where no free port takes it, and where it stays on a tee', async () => {
    const { view } = await show(seated(null));
    expect(view.text()).toContain('no free port of the job takes it');
    const line = document.lines[0]!;
    const branches = [{ at: 0, end: 2, to: 'sensor' as const, portId: 'gallery', fittings: [] }];
    const kept = await show(seated(null), { lines: [withWay(line, 0, line.ways[0]!.chosen!.fittings, branches)] });
    expect(kept.view.text()).toContain('stays on a tee');
  });
});

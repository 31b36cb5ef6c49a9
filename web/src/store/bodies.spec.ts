import { parseConnector, type CataloguePart, type Fitting, type PartCard as Card } from '@gewinde/core';
import { plate } from '../../../core/testing/sample-bodies';
import { catalogue, document } from '../../../core/testing/sample-job';
import { openSampleJob, render, settle } from '../../test/open-job';
import { PartCard } from './part-card';
import { PartForm } from './part-form';
import { UseDialog } from './use-dialog';

const rowOf = (part: Fitting): CataloguePart => ({ id: part.id, version: 2, origin: 'own', kind: 'fitting', part });
const cardOf = (part: Fitting, usedBy: Card['usedBy'] = []): Card => ({ row: rowOf(part), usedBy });
const adapter = catalogue.fittings.find((f) => f.id === 'orb6m+an6m')!;

describe('a part with a body being written', () => {
  it('asks for its ends and where they are, and takes what is left empty from them', async () => {
    const { shopSent } = await openSampleJob();
    const form = await render(PartForm);
    await form.choose('Kind', 'plate');
    for (const [i, end] of ['groove 62x71x2.7', 'land 56x84', 'orb10 f'].entries()) await form.type(`End ${i + 1}`, end);
    expect(form.field('Where end 3 is').placeholder).toBe('out 0°');
    await form.type('Where end 3 is', 'to cooler: sideways');
    await form.press('button', 'Add the part');
    expect(form.find('[role=alert]').textContent).toContain('down, up or out');
    await form.type('Where end 3 is', 'to cooler: out 40° h14');
    await form.type('Passages: which end leads to which', '1 - 2; 1 > 9');
    await form.press('button', 'Add the part');
    expect(form.find('p[role=alert]', 'the part has 3 ends').textContent).toContain('The passage from end 1 to end 9');
    await form.type('Passages: which end leads to which', '1 - 2; 1 > 3');
    expect(form.find('g-drawing svg').getAttribute('aria-label')).toContain('3 to cooler, orb10 f');
    await form.press('button', 'Add the part');
    expect(shopSent().commands).toMatchObject([
      {
        do: 'add-part',
        entry: {
          part: {
            kind: 'plate',
            ends: ['groove 62x71x2.7', 'land 56x84', 'orb10 f'].map(parseConnector),
            body: {
              shape: 'round',
              places: [{ faces: 'down' }, { faces: 'up' }, { name: 'to cooler', faces: 'out', clockDeg: 40, heightMm: 14 }],
              passages: [
                { from: 0, to: 1 },
                { from: 0, to: 2, oneWay: true },
              ],
            },
          },
        },
      },
    ]);
  });

  it('comes back into its form whole', async () => {
    const { shopSent } = await openSampleJob();
    const form = await render(PartForm, { part: rowOf(plate) });
    expect(form.field('Where end 4 is').value).toBe('from cooler: out 40°');
    await form.type('On the shelf', '2');
    await form.press('button', 'Save');
    expect(shopSent().commands).toMatchObject([{ entry: { part: { ...plate, shelf: 2 } } }]);
  });
});

describe('the card of a part with a body', () => {
  it('numbers and names its ends, and tells body, passages and the components that are one', async () => {
    await openSampleJob();
    const card = await render(PartCard, { card: cardOf(plate, [{ job: '2403', lineName: 'Plate' }]) });
    expect(card.all('.ends .end').map((e) => e.textContent)).toEqual([
      '1 block face',
      '2 filter face',
      '3 to cooler',
      '4 from cooler',
      '5 gauge',
    ]);
    expect(card.text()).toContain('1 rim > 3; 4 > 2 rim; 2 core - 1 core; 1 rim - 5');
    expect(card.text()).toMatch(/Used by 2403 Plate\./);
  });

  it('offers it to the job that is open; a plug is not offered', async () => {
    await openSampleJob();
    const asked: Fitting[] = [];
    const card = await render(PartCard, { card: cardOf(plate), jobNumber: '2403' });
    card.fixture.componentInstance.use.subscribe((part) => asked.push(part));
    await card.press('button', 'Use in 2403');
    expect(asked).toEqual([plate]);
    const plug = catalogue.fittings.find((f) => f.id === 'orb6m')!;
    for (const [part, jobNumber] of [
      [plug, '2403'],
      [adapter, undefined],
    ] as const) {
      const other = await render(PartCard, { card: cardOf(part), ...(jobNumber ? { jobNumber } : {}) });
      expect(() => other.find('button', 'Use in')).toThrow();
    }
  });
});

describe('a part used in the open job', () => {
  const open = async (part: Fitting, job = openSampleJob({}, undefined, { fittings: [...catalogue.fittings, plate] })) => {
    const opened = await job;
    const dialog = await render(UseDialog);
    dialog.fixture.componentInstance.part.set(part);
    await dialog.stable();
    return { ...opened, dialog };
  };

  it('is wished for in a way, beside what is wished there already, and no longer refused there', async () => {
    const [line, ...rest] = document.lines;
    const wishes = { use: ['an6m+an6m'], avoid: [adapter.id], turnDeg: 0 };
    const lines = [{ ...line!, ways: [{ ...line!.ways[0]!, wishes }, line!.ways[1]!] }, ...rest];
    const { dialog, sent, closed } = await open(adapter, openSampleJob({ lines }));
    expect(dialog.find('button', 'Use it there')).toHaveProperty('disabled', true);
    expect(() => dialog.find('option', 'in the survey')).toThrow();
    await dialog.choose('Where', 'L1 Line 1, at end A');
    await dialog.press('button', 'Use it there');
    expect(sent().commands).toMatchObject([
      { do: 'edit-way', id: 'line1', at: 0, set: { wishes: { use: ['an6m+an6m', adapter.id], turnDeg: 0 } } },
    ]);
    expect(closed).toHaveLength(1);
  });

  it('is a component with its ports where it has a body', async () => {
    const { dialog, sent, store } = await open(plate);
    await dialog.choose('Where', 'in the survey, as a component with its ports');
    await dialog.press('button', 'Use it there');
    expect(sent().commands).toMatchObject([{ do: 'add-component', kind: 'plate', part: { id: 'plate', there: false } }]);
    await settle();
    expect(store.document()!.ports.filter((p) => p.end !== undefined)).toHaveLength(5);
  });
});

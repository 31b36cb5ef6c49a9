import { parseConnector, type JobDocument } from '@gewinde/core';
import { bodies, plate } from '../../../core/testing/sample-bodies';
import { catalogue, document } from '../../../core/testing/sample-job';
import { openSampleJob, render, type Rendered } from '../../test/open-job';
import { ComponentPart } from './component-part';
import { Survey } from './survey';

/** Types into the picker, and takes the first that it offers once it has looked. */
async function pick(view: Pick<Rendered<unknown>, 'field' | 'find' | 'root' | 'stable'>, label: string, words: string): Promise<void> {
  const input = view.field(label);
  globalThis.document.body.append(view.root);
  input.value = words;
  input.dispatchEvent(new Event('input', { bubbles: true }));
  await new Promise((resolve) => setTimeout(resolve, 200));
  await view.stable();
  view.find('.g-picker .dropdown-item').click();
  await view.stable();
}

const fittings = [...catalogue.fittings, ...bodies];
const block = document.components[0]!;
const port = document.ports[0]!;
const platePorts = plate.ends.map((connector, end) => ({
  ...port,
  id: `plate${end}`,
  componentId: 'plate',
  label: plate.body!.places[end]!.name!,
  connector,
  end,
  order: end,
}));
const plateComponent = { ...block, id: 'plate', name: 'Plate', kind: 'plate' as const, order: 5, part: { id: 'plate', there: false } };
const withPlate: Partial<JobDocument> = { components: [...document.components, plateComponent], ports: [...document.ports, ...platePorts] };

describe('what a component is', () => {
  it('is a part of the store once it is chosen there', async () => {
    const { sent } = await openSampleJob({}, undefined, { fittings });
    const view = await render(ComponentPart, { component: block, ports: [] });
    await view.press('button', 'It is a part of the store');
    expect(view.text()).toContain('Which part of the store it is');
    await pick(view, 'Which part of the store it is', 'thermostat');
    expect(sent().commands).toMatchObject([{ do: 'edit-component', id: 'block', set: { part: { id: 'thermostat', there: false } } }]);
  });

  it('says which, whether it is there already, and takes it off', async () => {
    const { sent, store } = await openSampleJob(withPlate, undefined, { fittings });
    const view = await render(ComponentPart, { component: plateComponent, ports: platePorts });
    expect(view.find('a').getAttribute('href')).toBe('/store?part=plate');
    (view.find('input[type=checkbox]') as HTMLInputElement).click();
    const { commands, request } = sent();
    expect(commands).toMatchObject([{ set: { part: { id: 'plate', there: true } } }]);
    expect(store.document()!.ports.filter((p) => p.end !== undefined)).toHaveLength(5);
    request.flush({}, { status: 500, statusText: 'down' });
    await view.press('button', 'Take off the part');
    expect(store.document()!.ports.every((p) => p.end === undefined)).toBe(true);
  });

  it('tells what of it has changed in the store, and takes its threads', async () => {
    const changed = { ...plate, ends: [...plate.ends.slice(0, 4), parseConnector('npt 1/4 f')] };
    const { sent, store } = await openSampleJob(withPlate, undefined, { fittings: fittings.map((f) => (f.id === 'plate' ? changed : f)) });
    const view = await render(ComponentPart, { component: plateComponent, ports: platePorts });
    expect(view.find('[role=status]').textContent).toContain('gauge (npt 1/8 f): gauge is npt 1/4 f in the store now.');
    await view.press('button', 'Take the threads of the part');
    expect(sent().commands).toMatchObject([{ do: 'edit-component', id: 'plate', set: { part: { id: 'plate', there: false } } }]);
    expect(store.document()!.ports.at(-1)!.connector).toEqual(parseConnector('npt 1/4 f'));
  });

  it('is told where the store no longer has it', async () => {
    await openSampleJob(withPlate);
    const view = await render(ComponentPart, { component: plateComponent, ports: platePorts });
    expect(view.text()).toContain('a part “plate” that the store no longer has');
  });
});

describe('the survey', () => {
  it('adds a part of the store as a component with its ports, and draws its section', async () => {
    const { sent } = await openSampleJob({}, undefined, { fittings });
    const survey = await render(Survey);
    await pick(survey, 'or a part of the store', 'exchanger');
    expect(sent().commands).toMatchObject([{ do: 'add-component', kind: 'cooler', name: 'exchanger', part: { id: 'exchanger' } }]);
    await openSampleJob(withPlate, undefined, { fittings });
    const shown = await render(Survey, { component: 'plate' });
    expect(shown.find('.side svg').getAttribute('aria-label')).toContain('Plate with 5 ports: 1 block face, post m20x1.5 f 62x71x2.7');
  });
});

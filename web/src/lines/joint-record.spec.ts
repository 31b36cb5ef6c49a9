import { assembleLine, type CommandOf, type JobDocument, type Line } from '@gewinde/core';
import { catalogue, document, feed } from '../../../core/testing/sample-job';
import { openSampleJob, render } from '../../test/open-job';
import { BeforeStartDialog } from './before-start-dialog';
import { JointRecord } from './joint-record';

const withLine = (change: Partial<Line>): JobDocument => ({ ...document, lines: [{ ...feed, ...change }, ...document.lines.slice(1)] });
const show = async (change: Partial<Line> = {}) => {
  const d = withLine(change);
  const job = await openSampleJob(d);
  const line = assembleLine(d.lines[0]!, d, catalogue);
  const view = await render(JointRecord, { line, joint: line.joints[0]! });
  const set = () => (job.sent().commands[0] as CommandOf<'edit-line'>).set;
  return { job, line, view, set };
};

describe('the record of a joint', () => {
  it('flags the joint, or a fitting that meets in it, as provisional', async () => {
    const { view, line, set } = await show();
    expect(view.all('.flags label').map((l) => l.textContent)).toEqual(['Joint 1', 'Adapter, m14x1.5 m washer to an6 m']);
    view.all('.flags input')[1]!.click();
    expect(set()).toEqual({ provisional: [line.ways[0]!.fittings![0]!.key] });
  });

  it('keeps how it was found, and what was done', async () => {
    const { view, line, set } = await show();
    expect(view.text()).not.toContain('Done about it');
    await view.choose('As found', 'loose');
    view.find('form').dispatchEvent(new Event('change'));
    expect(set()).toEqual({ found: [{ joint: line.joints[0]!.id, state: 'loose', action: 'nothing yet', words: '' }] });
  });

  it('is taken back with "not looked at"; what is sound is not open', async () => {
    const joint = assembleLine(feed, document, catalogue).joints[0]!.id;
    const found = [{ joint, state: 'loose', action: 'nothing yet', words: 'by a turn' } as const];
    const { view, set } = await show({ found: [...found] });
    expect((view.find('form input') as HTMLInputElement).value).toBe('by a turn');
    await view.choose('As found', 'not looked at');
    view.find('form').dispatchEvent(new Event('change'));
    expect(set()).toEqual({ found: [] });
  });

  it('is listed for the whole job, with a button that makes it final', async () => {
    const joint = assembleLine(feed, document, catalogue).joints[0]!.id;
    const job = await openSampleJob(
      withLine({ provisional: [joint], found: [{ joint, state: 'weeping', action: 'nothing yet', words: '' }] }),
    );
    const dialog = await render(BeforeStartDialog);
    expect(dialog.all('[aria-label="Still open"] tbody tr').map((r) => r.textContent)).toEqual([
      expect.stringContaining('Joint 1 is provisional.'),
      expect.stringContaining('Joint 1 was found so: weeping.'),
    ]);
    await dialog.press('button', /^ ?Look/);
    expect(job.closed).toEqual([{ lineId: 'line1', joint }]);
    await dialog.press('button', 'It is final now');
    expect((job.sent().commands[0] as CommandOf<'edit-line'>).set).toEqual({ provisional: [] });
  });

  it('is listed with what the flow complains of, and with the joints that nobody has said to be made up', async () => {
    const made = assembleLine(feed, document, catalogue).joints.map(({ id }) => id);
    const job = await openSampleJob(withLine({ service: 'brake-booster', made: made.slice(1) }));
    const dialog = await render(BeforeStartDialog);
    expect(dialog.text()).toContain('Nothing is provisional');
    expect(dialog.all('[aria-label="What the flow complains of"] tbody tr').map((r) => r.textContent)).toContainEqual(
      expect.stringContaining('Nothing keeps the vacuum in the booster'),
    );
    await dialog.press('button', /^ ?See the figures/);
    await dialog.press('button', `L1: 1 of ${made.length} joints`);
    expect(job.closed).toEqual([{ lineId: 'line1', show: 'sizing' }, { lineId: 'line1' }]);
  });
});

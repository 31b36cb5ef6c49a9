import { assembleLine, type CommandOf, type JobDocument, type Line } from '@gewinde/core';
import { catalogue, document, feed } from '../../../core/testing/sample-job';
import { openSampleJob, render } from '../../test/open-job';
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
});

import { TestBed } from '@angular/core/testing';
import { downDrain, throughHole, usualFlowRules } from '@gewinde/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import { openSampleJob, render, type shopAt0 } from '../../test/open-job';
import { Preferences } from '../data/preferences';
import { FlowBench } from './flow-bench';

/** The three answers as they are read. */
const answers = (bench: Awaited<ReturnType<typeof render>>) =>
  bench.all('.three button').map((b) => [...b.querySelectorAll('small, strong')].map((e) => e.textContent.trim()).slice(0, 2));
/** The curve, as it is told to who does not see it. */
const curve = (bench: Awaited<ReturnType<typeof render>>) => bench.find('canvas').getAttribute('aria-label');
const open = async (shop: Partial<typeof shopAt0> = {}) => {
  await openSampleJob({}, undefined, shop);
  return render(FlowBench);
};

describe('one question of flow', () => {
  it('through a hole is answered cold, between and hottest, and over temperature', async () => {
    const bench = await open();
    const hot = throughHole({ boreMm: 1.2, dropBar: 3, oil: { grade: '10w40' } }, 120);
    expect(answers(bench).map(([when]) => when)).toEqual(['cold, 0\u2009°C', 'between, 60\u2009°C', 'hottest, 120\u2009°C']);
    expect(answers(bench)[2]![1]).toBe(`${hot.value.toFixed(1)}\u2009L/min`);
    expect(curve(bench)).toMatch(/at 0 °C, .* at 120 °C$/);
    await bench.type('Hole', '1.6');
    expect(answers(bench)[2]![1]).toBe(
      `${throughHole({ boreMm: 1.6, dropBar: 3, oil: { grade: '10w40' } }, 120).value.toFixed(1)}\u2009L/min`,
    );
  });

  it('is asked and answered in the units of the house', async () => {
    const bench = await open();
    TestBed.inject(Preferences).system.set('inch');
    await bench.stable();
    expect(answers(bench).map(([when]) => when)).toEqual(['cold, 32\u2009°F', 'between, 140\u2009°F', 'hottest, 248\u2009°F']);
    expect(bench.field('Hole').value).toBe('0.047\u2009in');
    expect(answers(bench)[2]![1]).toMatch(/gal\/min$/);
    expect(curve(bench)).toMatch(/at 32 °F, .* at 248 °F$/);
    await bench.press('button', 'Along a hose');
    expect(answers(bench)[0]![1]).toMatch(/psi$/);
  });

  it('down a drain takes the rules of the shop and the bores of its hoses, and says what does not fall', async () => {
    const rules = { ...usualFlowRules, froth: 1.5 };
    const bench = await open({ flowRules: { id: 'flow-rules', rules, version: 1 } });
    await bench.press('button', 'Down a drain');
    const carries = (boreMm: number) =>
      downDrain(
        { boreMm, fallMm: 150, lengthMm: 400, oil: { grade: '10w40' }, filling: rules.drainFillPercent / 100, froth: 1.5 },
        120,
      ).value.toFixed(1);
    expect(answers(bench)[2]![1]).toBe(`${carries(12.7)}\u2009L/min`);
    const wider = bench.find('.bores button', 'Bore of -12');
    wider.click();
    await bench.stable();
    const bore = parseFloat(bench.field('Narrowest bore').value);
    expect(bore).toBeGreaterThan(12.7);
    expect(answers(bench)[2]![1]).toBe(`${carries(bore)}\u2009L/min`);
    await bench.type('Falls by', '-20');
    expect(bench.find('[role=alert]', 'Cannot be reckoned').textContent).toContain('does not fall');
    expect([answers(bench), bench.all('canvas')]).toEqual([[], []]);
  });

  it('asks for a cold start that is colder than the hottest', async () => {
    const bench = await open();
    await bench.type('Cold', '130');
    expect(bench.find('[role=alert]', 'Cannot be reckoned').textContent).toContain('has to be colder than the hottest');
    await bench.type('Cold', '-20');
    expect(answers(bench)).toHaveLength(3);
    await bench.choose('Oil', '5W-30');
    expect(answers(bench)).toHaveLength(3);
  });

  it('shows its working, and the way back to the job that is open', async () => {
    const bench = await open();
    const working = { set: jest.fn() };
    const opened = jest.spyOn(TestBed.inject(NgbModal), 'open').mockReturnValue({ componentInstance: { working } } as never);
    await bench.press('.three button', 'hottest');
    expect(opened).toHaveBeenCalledTimes(1);
    expect(working.set).toHaveBeenCalledWith(throughHole({ boreMm: 1.2, dropBar: 3, oil: { grade: '10w40' } }, 120).working);
    expect(bench.find('a.back').getAttribute('href')).toBe('/job/job');
  });
});

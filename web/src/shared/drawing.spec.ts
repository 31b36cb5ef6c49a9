import { TestBed } from '@angular/core/testing';
import { assembleLine, runSheet } from '@gewinde/core';
import { catalogue, document, feed } from '../../../core/testing/sample-job';
import { DrawingView } from './drawing';

describe('DrawingView', () => {
  const drawing = runSheet(assembleLine(feed, document, catalogue), { width: 780, height: 362, jobNumber: '2403', system: 'metric' });

  it('renders every shape, hatches the sections, and lets a balloon be chosen by keyboard', async () => {
    const fixture = TestBed.createComponent(DrawingView);
    fixture.componentRef.setInput('drawing', drawing);
    fixture.componentRef.setInput('chosen', 2);
    const chosen: number[] = [];
    fixture.componentInstance.choose.subscribe((n) => chosen.push(n));
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    expect(root.querySelectorAll('text').length).toBe(drawing.shapes.filter((s) => s.kind === 'text' || s.kind === 'balloon').length);
    expect(root.querySelectorAll('polygon[fill^="url"]').length).toBeGreaterThan(5);
    const balloons = [...root.querySelectorAll<SVGElement>('.balloon')];
    expect(balloons.map((b) => b.getAttribute('aria-label'))).toEqual([1, 2, 3, 4, 5, 6].map((n) => `Joint ${n}`));
    expect(balloons[1]!.getAttribute('aria-pressed')).toBe('true');
    balloons[4]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(chosen).toEqual([5]);
    expect(root.querySelector('svg')!.getAttribute('aria-label')).toContain('6 joints, 6 seal');
  });
});

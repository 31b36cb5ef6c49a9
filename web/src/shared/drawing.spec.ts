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
    const strokes = [...root.querySelectorAll('path')].map((path) => path.getAttribute('d')!.split('M').length - 1);
    expect(strokes.reduce((sum, n) => sum + n)).toBe(drawing.shapes.filter((s) => s.kind === 'line').length);
    expect(root.querySelectorAll('polygon[fill^="url"]').length).toBeGreaterThan(5);
    const balloons = [...root.querySelectorAll<SVGElement>('.balloon')];
    expect(balloons.map((b) => b.getAttribute('aria-label'))).toEqual([
      'Joint 1, seals with what it needs',
      'Joint 2, seals',
      'Joint 3, seals',
      'Joint 4, seals',
      'Joint 5, seals',
      'Joint 6, seals with what it needs',
    ]);
    expect(balloons[1]!.getAttribute('aria-pressed')).toBe('true');
    balloons[4]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(chosen).toEqual([5]);
    expect(root.querySelector('svg')!.getAttribute('aria-label')).toContain('6 joints, 6 seal');
  });
});

import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { quantity, taped } from '@gewinde/core';
import { Preferences } from '../data/preferences';

@Component({ template: `<p [title]="said()" [attr.aria-label]="said()">{{ said() }} It is {{ name }}.</p>` })
class Page {
  readonly said = signal(`It bears ${quantity(7, 'bar')} at ${quantity(100, '°C')}.`);
  readonly name = 'Spacer 20 mm';
}

describe('a sentence on the page', () => {
  const shown = () => {
    const page = TestBed.createComponent(Page);
    document.body.append(page.nativeElement as HTMLElement);
    page.detectChanges();
    const p = (page.nativeElement as HTMLElement).querySelector('p')!;
    return { page, p, all: () => [p.textContent, p.title, p.getAttribute('aria-label')] };
  };
  const inUnits = (system: 'metric' | 'inch') => TestBed.inject(Preferences).system.set(system);
  afterEach(() => localStorage.clear());

  it('says its quantities in the units of the house, and nothing else otherwise', () => {
    const { all } = shown();
    expect(all()).toEqual(['It bears 7 bar at 100 °C. It is Spacer 20 mm.', 'It bears 7 bar at 100 °C.', 'It bears 7 bar at 100 °C.']);
  });

  it('follows the house to other units and back, though what it says has not changed', () => {
    const { all } = shown();
    const before = all();
    inUnits('inch');
    TestBed.tick();
    expect(all()).toEqual([
      'It bears 102 psi at 212 °F. It is Spacer 20 mm.',
      'It bears 102 psi at 212 °F.',
      'It bears 102 psi at 212 °F.',
    ]);
    inUnits('metric');
    TestBed.tick();
    expect(all()).toEqual(before);
  });

  it('is written anew where it changes, with quantities or without', () => {
    const { page, p, all } = shown();
    inUnits('inch');
    page.componentInstance.said.set(`Trim to ${taped(664)}.`);
    page.detectChanges();
    expect(p.title).toBe('Trim to 26 1/8 in.');
    page.componentInstance.said.set('Trim it.');
    page.detectChanges();
    inUnits('metric');
    TestBed.tick();
    expect(all()).toEqual(['Trim it. It is Spacer 20 mm.', 'Trim it.', 'Trim it.']);
  });
});

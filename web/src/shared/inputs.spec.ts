import { Component, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Connector, UnitSystem } from '@gewinde/core';
import { NotationInput } from './notation-input';
import { QuantityInput } from './quantity-input';

@Component({
  imports: [QuantityInput, NotationInput, ReactiveFormsModule],
  template: `
    <g-quantity-input label="Taped length" [system]="system()" [min]="1" [max]="30000" [optional]="true" [formControl]="length" />
    <g-notation-input [control]="notation" [ofPort]="ofPort()" (accept)="accepted.set($event)" />
  `,
})
class Host {
  readonly length = new FormControl<number | null>(664);
  readonly system = signal<UnitSystem>('metric');
  readonly notation = new FormControl('', { nonNullable: true });
  readonly ofPort = signal(false);
  readonly accepted = signal<Connector | null>(null);
}

describe('inputs', () => {
  let fixture: ComponentFixture<Host>;
  let host: Host;
  const root = () => fixture.nativeElement as HTMLElement;
  const fields = () => [...root().querySelectorAll('input')];
  const type = async (index: number, text: string, key?: string) => {
    const field = fields()[index]!;
    field.value = text;
    field.dispatchEvent(new Event('input'));
    if (key) field.dispatchEvent(new KeyboardEvent('keydown', { key }));
    else field.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
  };

  beforeEach(async () => {
    fixture = TestBed.createComponent(Host);
    host = fixture.componentInstance;
    await fixture.whenStable();
  });

  it('a quantity is read in any unit and shown in the house unit, the other beside it', async () => {
    expect(fields()[0]!.value).toBe('664\u2009mm');
    expect(root().querySelector('.other')!.textContent).toContain('26 1/8');
    expect(fields()[0]!.getAttribute('aria-describedby')).toBe(root().querySelector('.other')!.id);
    await type(0, '26 1/8 in');
    expect(host.length.value).toBeCloseTo(663.575);
    host.system.set('inch');
    await fixture.whenStable();
    expect(fields()[0]!.value).toBe('26 1/8\u2009in');
  });

  it.each([
    ['-5', /negative/],
    ['0', /at least 1/],
    ['90 m', /Check the unit/],
    ['long', /not a number/],
  ])('a quantity refuses "%s" in place and keeps what was typed', async (text, message) => {
    await type(0, text);
    expect(host.length.value).toBe(664);
    expect(fields()[0]!.value).toBe(text);
    expect(root().querySelector('g-quantity-input .g-error')!.textContent).toMatch(message);
    expect(host.length.errors).toEqual({ quantity: expect.stringMatching(message) as string });
    await type(0, text, 'Escape');
    expect(fields()[0]!.value).toBe('664\u2009mm');
  });

  it('a limit that is told in inches is one that is taken', async () => {
    host.system.set('inch');
    await fixture.whenStable();
    for (const [wrong, limit] of [
      ['2000', /at most ([\d.]+)/],
      ['0.001', /at least ([\d.]+)/],
    ] as const) {
      await type(0, wrong);
      const told = limit.exec(root().querySelector('g-quantity-input .g-error')!.textContent)![1]!;
      await type(0, told);
      expect(root().querySelector('g-quantity-input .g-error')).toBeNull();
      expect(Math.abs(host.length.value! - Number(told) * 25.4)).toBeLessThan(0.01);
    }
  });

  it('a quantity may be emptied where that is allowed', async () => {
    await type(0, '');
    expect(host.length.value).toBeNull();
  });

  it('a quantity that is being typed is not written over by another unit, and knows that a hand is in it', async () => {
    const field = fields()[0]!;
    field.value = '70';
    field.dispatchEvent(new Event('input'));
    expect(host.length.dirty).toBe(true);
    host.system.set('inch');
    await fixture.whenStable();
    expect([field.value, host.length.value]).toEqual(['70', 664]);
  });

  it('a quantity that is taken stands in its unit at once, before the next figure is typed over it', () => {
    const field = fields()[0]!;
    field.value = '730';
    field.dispatchEvent(new Event('input'));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect([field.value, host.length.value]).toEqual(['730\u2009mm', 730]);
  });

  it('a notation is shown back in words, and Enter takes it', async () => {
    await type(1, 'm14x1.5 f washer');
    const text = root().querySelector('g-notation-input')!.textContent;
    expect(text).toContain('Metric parallel M14×1.5, female, washer');
    expect(text).toContain('12.5');
    await type(1, 'm14x1.5 f washer', 'Enter');
    expect(host.accepted()).toEqual({ family: 'metric', size: 'M14x1.5', gender: 'female', seat: 'washer' });
  });

  it('of a port it may be said what it may be, or that it is not known', async () => {
    await type(1, 'npt 1/8 f | rc 1/8 f');
    expect(root().querySelector('g-notation-input .g-error')).not.toBeNull();
    host.ofPort.set(true);
    await type(1, 'npt 1/8 f | rc 1/8 f');
    expect([...root().querySelectorAll('.cases li')].map((li) => li.textContent)).toEqual([
      'American taper pipe 1/8, female',
      'British taper pipe 1/8, female',
    ]);
    await type(1, '? about 14 mm');
    expect(root().querySelector('g-notation-input')!.textContent).toContain('Not known: about 14 mm');
  });

  it('a mistake is marked where it stands, and its suggestion can be taken', async () => {
    await type(1, 'npt 1/8 femlae');
    expect(root().querySelector('mark')!.textContent).toBe('femlae');
    await type(1, 'npt 1/8 femlae', 'Enter');
    expect(host.accepted()).toBeNull();
    root().querySelector<HTMLButtonElement>('g-notation-input button')!.click();
    await fixture.whenStable();
    expect(host.notation.value).toBe('npt 1/8 f');
  });
});

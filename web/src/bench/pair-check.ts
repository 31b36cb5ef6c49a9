import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup } from '@angular/forms';
import { Router } from '@angular/router';
import {
  compounds,
  connectorName,
  connectorThread,
  fit,
  formatConnector,
  formatMakeUp,
  formatQuantity,
  inWords,
  jointDrawing,
  mate,
  ringBed,
  sealants,
  torquesInWords,
  threadPairDrawing,
  type Mating,
} from '@gewinde/core';
import { map } from 'rxjs';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { NotationInput } from '../shared/notation-input';
import { readNotation } from '../shared/read-notation';
import { RingCheck } from '../shared/ring-check';
import { SealGlyph } from '../shared/seal-glyph';

const OIL_WORDS = { good: 'yes', short: 'not for long', never: 'never' } as const;
const VERDICTS: Record<Mating['outcome'], string> = { seals: 'Seals', leaks: 'Screws in and leaks', 'does-not-join': 'Does not join' };

/** Any two connectors side by side: whether they join, whether they seal, and why, with both drawn as far together as they go. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, NotationInput, RingCheck, SealGlyph],
  templateUrl: './pair-check.html',
  styleUrl: './pair-check.scss',
})
export class PairCheck {
  /** From the address. */
  readonly a = input<string>();
  readonly b = input<string>();
  private readonly router = inject(Router);
  protected readonly preferences = inject(Preferences);

  protected readonly form = new FormGroup({
    first: new FormControl('an6 m', { nonNullable: true }),
    second: new FormControl('orb6 f', { nonNullable: true }),
  });
  private readonly typed = toSignal(this.form.valueChanges.pipe(map(() => this.form.getRawValue())), {
    initialValue: this.form.getRawValue(),
  });
  protected readonly pair = computed(() => {
    const [a, b] = [this.typed().first, this.typed().second].map((text) => readNotation(text).connector);
    return a && b ? ([a, b] as const) : null;
  });
  protected readonly mating = computed(() => {
    const pair = this.pair();
    return pair && mate(...pair);
  });
  protected readonly verdict = computed(() => (this.mating() ? VERDICTS[this.mating()!.outcome] : ''));
  protected readonly joint = computed(() => {
    const pair = this.pair();
    return pair && jointDrawing(...pair, { width: 440, height: 360 });
  });
  private readonly threads = computed(() => {
    const pair = this.pair();
    if (!pair) return null;
    const [male, female] = pair[0].gender === 'male' ? pair : [pair[1], pair[0]];
    const [outside, inside] = [connectorThread(male), connectorThread(female)];
    return outside && inside && male.gender !== female.gender ? { outside, inside } : null;
  });
  protected readonly overlay = computed(() => {
    const threads = this.threads();
    return threads && threadPairDrawing(threads.outside, threads.inside, { width: 440, height: 360 }, this.preferences.system());
  });
  protected readonly fitWords = computed(() => {
    const threads = this.threads();
    return threads && inWords(fit(threads.outside, threads.inside), this.preferences.system());
  });
  protected readonly rows = computed(() => {
    const mating = this.mating();
    if (!mating) return [];
    const uses = mating.seal?.consumables.map((c) => `${c.quantity} ${c.item}${c.size ? ` ${c.size}` : ''}`).join(', ');
    return [
      ...(uses ? [['Uses', uses]] : []),
      ...(mating.risk ? [['At a risk', mating.risk]] : []),
      ...(mating.makeUp ? [['Make-up', `${formatMakeUp(mating.makeUp, this.preferences.system())}. ${mating.makeUp.note ?? ''}`]] : []),
      ...(mating.dressing ? [['Threads', mating.dressing]] : []),
    ] as [string, string][];
  });
  /** Torque by the weaker of the two materials, where a torque is a way to make it up. */
  protected readonly torques = computed(() => {
    const mating = this.mating();
    return mating?.outcome === 'seals' && mating.makeUp ? torquesInWords(mating.makeUp, this.preferences.system()) : [];
  });
  /** The groove for a ring, where the two have one between them. */
  protected readonly bed = computed(() => {
    const pair = this.pair();
    return pair && ringBed(...pair);
  });
  /** What the ring may be made of, where a ring seals. */
  protected readonly rings = computed(() =>
    this.mating()?.kind === 'o-ring'
      ? compounds.map((c) => ({
          name: c.name,
          span: `${this.temperature(c.minC, true)} to ${this.temperature(c.maxC)}`,
          oil: OIL_WORDS[c.fluids['hot synthetic oil']],
          note: c.note,
        }))
      : [],
  );
  /** Sealant by place, where a taper seals. */
  protected readonly sealants = computed(() =>
    this.mating()?.kind === 'taper' ? sealants.filter((s) => s.place !== 'parallel or cone') : [],
  );
  protected readonly names = computed(() => this.pair()?.map((c) => connectorName(c)) ?? []);

  constructor() {
    effect(() => {
      const [a, b] = [this.a(), this.b()];
      untracked(() => {
        this.form.patchValue({ ...(a ? { first: a } : {}), ...(b ? { second: b } : {}) });
      });
    });
    // the address holds the pair, so that it can be kept, sent and reloaded
    effect(() => {
      const pair = this.pair();
      if (!pair) return;
      const [a, b] = pair.map((c) => formatConnector(c));
      if (a !== untracked(this.a) || b !== untracked(this.b))
        void untracked(() =>
          this.router.navigate([], { queryParams: { a: this.typed().first, b: this.typed().second }, replaceUrl: true }),
        );
    });
  }

  private temperature(celsius: number, bare = false): string {
    return formatQuantity(celsius, 'temperature', this.preferences.system(), { bare });
  }

  protected swap(): void {
    const { first, second } = this.form.getRawValue();
    this.form.setValue({ first: second, second: first });
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import {
  checkFitting,
  ConnectorSyntaxError,
  fittingDrawing,
  fittingKinds,
  formatConnector,
  materials,
  newPart,
  parseConnector,
  type Connector,
  type Fitting,
} from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { ApiError } from '../data/api';
import { CatalogueApi, type PartRow } from '../data/catalogue-api';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { QuantityInput } from '../shared/quantity-input';

type Figure = 'lengthMm' | 'hexMm' | 'boreMm';

/** A part being written: its ends in notation, drawn as they are typed; what is left empty follows from them. */
@Component({
  selector: 'g-part-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, QuantityInput],
  templateUrl: './part-form.html',
  styleUrl: './part-form.scss',
})
export class PartForm {
  /** Null for a new part. */
  readonly part = input<Fitting | null>(null);
  readonly version = input(0);
  readonly saved = output<PartRow>();
  readonly cancelled = output<void>();
  private readonly api = inject(CatalogueApi);
  protected readonly preferences = inject(Preferences);
  protected readonly kinds = fittingKinds;
  protected readonly metals = materials;
  protected readonly figures: readonly { id: Figure; label: string }[] = [
    { id: 'lengthMm', label: 'Stack, seat to seat' },
    { id: 'hexMm', label: 'Across flats' },
    { id: 'boreMm', label: 'Bore' },
  ];

  protected readonly ends = linkedSignal(() => [...(this.part()?.ends.map(formatConnector) ?? []), '', '', '', ''].slice(0, 4));
  protected readonly fields = linkedSignal((): Partial<Fitting> => ({ ...this.part() }));
  protected readonly error = signal<{ message: string; field?: string } | null>(null);
  protected readonly busy = signal(false);
  /** The newer version that somebody else has saved: the next save goes over it. */
  private readonly over = signal<number | null>(null);
  /** What is wrong with each end as typed. */
  protected readonly endProblems = computed(() => this.ends().map((text) => (text.trim() === '' ? null : problemOf(text))));
  private readonly connectors = computed(() =>
    this.ends()
      .filter((t) => t.trim() !== '')
      .map(read)
      .filter((c): c is Connector => c !== null),
  );
  /** The whole part as it would be saved. */
  protected readonly whole = computed((): Fitting | undefined => {
    if (this.endProblems().some((p) => p !== null) || this.connectors().length === 0) return undefined;
    const given = Object.fromEntries(Object.entries(this.fields()).filter(([, value]) => value !== undefined && value !== ''));
    return newPart({ ...given, ends: this.connectors() });
  });
  protected readonly drawing = computed(() => {
    const part = this.whole();
    return part && checkFitting(part).length === 0 ? fittingDrawing(part, { width: 332, height: 130 }) : null;
  });

  protected setEnd(at: number, text: string): void {
    this.ends.update((ends) => ends.map((end, i) => (i === at ? text : end)));
    // legs and length belong to the ends they were measured with
    this.set({ legsMm: undefined });
  }

  protected set(change: { [K in keyof Fitting]?: Fitting[K] | undefined }): void {
    this.fields.update((fields) => ({ ...fields, ...change }));
    this.error.set(null);
  }

  protected setFigure(field: Figure, value: number | null): void {
    this.set({ [field]: value ?? undefined });
  }

  protected setNumber(field: 'angleDeg' | 'shelf' | 'leadDays' | 'massG' | 'maxBar', text: string): void {
    const value = Number(text.trim().replace(',', '.'));
    if (text.trim() === '') this.set({ [field]: undefined });
    else if (!Number.isFinite(value) || value < 0) this.error.set({ message: `"${text}" is not a figure.`, field });
    else this.set({ [field]: field === 'shelf' || field === 'leadDays' ? Math.round(value) : value });
  }

  protected setPrice(text: string): void {
    const value = Number(text.trim().replace(',', '.'));
    if (text.trim() === '') this.set({ priceMinor: undefined });
    else if (!Number.isFinite(value) || value < 0) this.error.set({ message: `"${text}" is not a price.`, field: 'priceMinor' });
    else this.set({ priceMinor: Math.round(value * 100) });
  }

  protected async save(): Promise<void> {
    const whole = this.whole();
    if (!whole) {
      this.error.set({ message: 'Say its ends first, in notation such as npt 1/8 m.', field: 'ends' });
      return;
    }
    const problem = checkFitting(whole)[0];
    if (problem) {
      this.error.set(problem);
      return;
    }
    this.busy.set(true);
    try {
      const before = this.part();
      const { id, retired: _, ...given } = whole;
      this.saved.emit(
        await firstValueFrom(
          before ? this.api.editPart({ ...whole, id: before.id }, this.over() ?? this.version()) : this.api.addPart({ id, ...given }),
        ),
      );
    } catch (error) {
      const { field, code, current } = error instanceof ApiError ? error : { field: undefined, code: '', current: undefined };
      if (code === 'conflict') this.over.set((current as PartRow).version);
      const hint = code === 'conflict' ? ' Save again to put yours over it, or cancel to see it as it is.' : '';
      this.error.set({ message: (error as Error).message + hint, ...(field ? { field } : {}) });
    } finally {
      this.busy.set(false);
    }
  }
}

function read(text: string): Connector | null {
  try {
    return parseConnector(text);
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return null;
    throw error;
  }
}

function problemOf(text: string): string | null {
  try {
    parseConnector(text);
    return null;
  } catch (error) {
    if (!(error instanceof ConnectorSyntaxError)) throw error;
    return `${error.message} ${error.suggestion ? `Did you mean "${error.suggestion}"?` : error.hint}`;
  }
}

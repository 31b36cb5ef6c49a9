import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { endColumns, formatConnector, partColumns, type ColumnMapping } from '@gewinde/core';
import { NgbActiveModal } from '@ng-bootstrap/ng-bootstrap';
import { firstValueFrom } from 'rxjs';
import { CatalogueApi, type ListPreview } from '../data/catalogue-api';

/** Largest list the server takes. */
const MOST_BYTES = 8 * 1024 * 1024;

/** A supplier's list: which column is which, what it would change, which lines cannot be read; then all of it or nothing. */
@Component({ changeDetection: ChangeDetectionStrategy.OnPush, templateUrl: './import-dialog.html', styleUrl: './import-dialog.scss' })
export class ImportDialog {
  protected readonly modal = inject(NgbActiveModal);
  private readonly api = inject(CatalogueApi);
  private csv = '';
  protected readonly fileName = signal('');
  protected readonly preview = signal<ListPreview | null>(null);
  protected readonly error = signal<string | null>(null);
  protected readonly busy = signal(false);

  protected readonly columns = [
    ...partColumns.map(({ id, name, example }) => ({ id: id, name, example })),
    ...endColumns.map((name) => ({ id: name, name, example: 'npt 1/8 m' })),
  ];
  /** For each heading of the file, the column it is taken for. */
  protected readonly taken = computed(() => {
    const mapping = this.preview()?.mapping ?? {};
    const byIndex = new Map(Object.entries(mapping).map(([id, at]) => [at, id]));
    return (this.preview()?.headings ?? []).map((heading, at) => ({
      heading,
      at,
      id: byIndex.get(at) ?? '',
      sample:
        this.preview()!
          .sample.map((row) => row[at] ?? '')
          .find((cell) => cell !== '') ?? '',
    }));
  });
  protected readonly shown = computed(() => {
    const p = this.preview();
    if (!p) return [];
    const row = (mark: string) => (f: ListPreview['added'][number]) => ({
      mark,
      code: f.code ?? '',
      name: f.name,
      ends: f.ends.map(formatConnector).join(' + '),
      price: f.priceMinor === undefined ? '—' : (f.priceMinor / 100).toFixed(2),
    });
    return [...p.added.slice(0, 8).map(row('new')), ...p.changed.slice(0, 8).map(row('changed'))];
  });

  protected async choose(event: Event): Promise<void> {
    const file = (event.target as HTMLInputElement).files?.[0];
    if (!file) return;
    this.preview.set(null);
    this.fileName.set(file.name);
    if (file.size > MOST_BYTES) {
      this.error.set(`The file is ${(file.size / 1024 / 1024).toFixed(1)} MB, and 8 MB are the most. Split the list.`);
      return;
    }
    this.csv = await file.text();
    await this.look();
  }

  protected async match(at: number, id: string): Promise<void> {
    const others = Object.entries(this.preview()!.mapping).filter(([key, index]) => index !== at && key !== id);
    await this.look(Object.fromEntries([...others, ...(id === '' ? [] : [[id, at]])]) as ColumnMapping);
  }

  protected async take(): Promise<void> {
    const p = this.preview();
    if (!p) return;
    await this.work(async () => this.modal.close(await firstValueFrom(this.api.importList(this.csv, p.mapping))));
  }

  private look(mapping?: ColumnMapping): Promise<void> {
    return this.work(async () => this.preview.set(await firstValueFrom(this.api.preview(this.csv, mapping))));
  }

  private async work(what: () => Promise<void>): Promise<void> {
    this.busy.set(true);
    this.error.set(null);
    try {
      await what();
    } catch (error) {
      this.error.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }
}

import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { findFitting, portOffPart, takeThreads, type Component as EngineComponent, type Fitting, type Port } from '@gewinde/core';
import { JobStore } from '../data/job-store';
import { ShopStore } from '../data/shop-store';
import { PartPicker } from '../shared/part-picker';

/** Which part of the store a component is, whether it is there already, and what of it no longer agrees. */
@Component({
  selector: 'g-component-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PartPicker, ReactiveFormsModule, RouterLink],
  templateUrl: './component-part.html',
  styles: `
    :host {
      display: block;
      margin-bottom: 10px;
    }
    .is {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 14px;
      align-items: center;
      a {
        font-weight: 600;
      }
    }
    label {
      display: inline-flex;
      gap: 6px;
      align-items: center;
    }
    .pick {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 8px;
      align-items: end;
    }
    .g-verdict {
      margin-top: 8px;
    }
  `,
})
export class ComponentPart {
  readonly component = input.required<EngineComponent>();
  readonly ports = input.required<readonly Port[]>();
  private readonly store = inject(JobStore);
  private readonly shop = inject(ShopStore);
  protected readonly choosing = signal(false);
  private readonly chosenId = computed(() => this.component().id);
  protected readonly there = new FormControl(false, { nonNullable: true });
  protected readonly part = computed(() => {
    const { part } = this.component();
    const catalogue = this.shop.catalogue();
    return part && catalogue ? { id: part.id, fitting: findFitting(catalogue, part.id) } : null;
  });
  /** What of the ports no longer agrees with the part. */
  protected readonly off = computed(() => {
    const fitting = this.part()?.fitting;
    return fitting ? this.ports().flatMap((port) => portOffPart(port, fitting) ?? []) : [];
  });

  constructor() {
    effect(() => this.there.setValue(this.component().part?.there ?? false, { emitEvent: false }));
    effect(() => {
      this.chosenId();
      untracked(() => this.choosing.set(false));
    });
  }

  protected choose({ id }: Fitting): void {
    this.choosing.set(false);
    this.set({ id, there: false });
  }

  protected setThere(): void {
    const { part } = this.component();
    if (part) this.set({ ...part, there: this.there.value });
  }

  protected takeOff(): void {
    this.set(null);
  }

  protected takeThreads(): void {
    this.store.attempt(() => this.store.change(takeThreads(this.component())), 'Threads taken from the part');
  }

  private set(part: EngineComponent['part']): void {
    const { id } = this.component();
    this.store.attempt(() => this.store.edit('component', id, { part: part ?? null }));
  }
}

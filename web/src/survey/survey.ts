import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import {
  CommandError,
  componentDrawing,
  componentKindOf,
  componentKinds,
  componentMetals,
  findFitting,
  type Component as EngineComponent,
  type ComponentKind,
  type ComponentMetal,
  type Fitting,
  type Port,
  letters,
} from '@gewinde/core';
import { NgbTooltip } from '@ng-bootstrap/ng-bootstrap';
import { v4 as uuid } from 'uuid';
import { InSight } from '../data/in-sight';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { DrawingView } from '../shared/drawing';
import { type Choice, ChoiceField, plainChoices } from '../shared/choice-field';
import { refuse } from '../shared/field-problem';
import { Icon } from '../shared/icon';
import { PartPicker } from '../shared/part-picker';
import { RowForm } from '../shared/row-form';
import { TextField } from '../shared/text-field';
import { KeyboardCommands } from '../shell/keyboard-commands';
import { ComponentPart } from './component-part';
import { PortForm } from './port-form';
import { PortTable } from './port-table';

/** Walk round the engine: components in the rack, the chosen one drawn with its ports, new ports in one line of notation. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChoiceField, ComponentPart, DrawingView, Icon, NgbTooltip, PartPicker, PortForm, PortTable, ReactiveFormsModule, TextField],
  templateUrl: './survey.html',
  styleUrl: './survey.scss',
  host: { '[class.racked]': 'racked()' },
})
export class Survey {
  /** On a phone the rack slides over, and away with the component that is taken from it. */
  protected readonly racked = signal(false);
  /** From the address: which component and port to show. */
  readonly component = input<string>();
  readonly port = input<string>();

  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly router = inject(Router);
  protected readonly kinds = plainChoices(componentKinds);
  protected readonly metals: readonly Choice<ComponentMetal | null>[] = [
    { value: null, name: 'metal not said' },
    ...componentMetals.map((metal) => ({ value: metal, name: metal })),
  ];
  protected readonly adding = new FormGroup({
    kind: new FormControl<ComponentKind>('turbo', { nonNullable: true }),
    name: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(letters.name)] }),
  });
  private readonly editingId = signal<string | null>(null);
  protected readonly editing = computed(() => this.ports().find((p) => p.id === this.editingId()) ?? null);

  private readonly portForm = viewChild(PortForm);

  /** Where the rack is on its way to, so that keys pressed quickly all count. */
  private heading: string | undefined;

  protected readonly components = computed(() => [...(this.view.document()?.components ?? [])].sort((a, b) => a.order - b.order));
  protected readonly chosen = computed(() => this.components().find((c) => c.id === this.component()) ?? this.components()[0]);
  protected readonly ports = computed(() => this.portsOf(this.chosen()));
  protected readonly drawing = computed(() => {
    const component = this.chosen();
    return component && this.ports().length > 0
      ? componentDrawing(component, this.ports(), { width: 400, height: 430 }, this.partOf(component))
      : null;
  });

  protected readonly nameWords = { required: 'A component needs a name.', pattern: 'A component needs a name.' };
  protected readonly row = new RowForm(
    new FormGroup({
      name: new FormControl('', { nonNullable: true, validators: [Validators.pattern(/\S/), (c) => Validators.required(c)] }),
      kind: new FormControl<ComponentKind>('turbo', { nonNullable: true }),
      metal: new FormControl<ComponentMetal | null>(null),
      note: new FormControl('', { nonNullable: true }),
    }),
    this.chosen,
    ({ name, kind, note, metal = null }) => ({ name, kind, note, metal }),
    ({ id }, set, version) => this.store.edit('component', id, set, version),
    (id) => this.store.versionOf('component', id),
  );

  constructor() {
    inject(KeyboardCommands)
      .toView.pipe(takeUntilDestroyed())
      .subscribe((command) => {
        const form = this.portForm();
        if (command === 'thread-bench') void (form ? form.openBench() : this.router.navigate(['/bench']));
        else if (command !== 'new-line') this.move(command === 'next' ? 1 : -1);
      });
    const sight = inject(InSight);
    effect(() =>
      sight.show(
        this,
        [...this.components(), ...this.ports()].map(({ id }) => id),
      ),
    );
    inject(DestroyRef).onDestroy(() => sight.leave(this));
    effect(() => {
      const port = this.port();
      untracked(() => this.editingId.set(port ?? null));
    });
  }

  protected portsOf(component: EngineComponent | undefined): Port[] {
    return (this.view.document()?.ports ?? []).filter((p) => p.componentId === component?.id).sort((a, b) => a.order - b.order);
  }

  private partOf({ part }: EngineComponent): Fitting | undefined {
    const catalogue = this.view.catalogue();
    return part && catalogue ? findFitting(catalogue, part.id) : undefined;
  }

  protected edit(port: Port | null): void {
    this.editingId.set(port?.id ?? null);
  }

  protected choose(component: EngineComponent): void {
    this.racked.set(false);
    this.goTo(component.id);
  }

  protected add(): void {
    const { kind, name } = this.adding.getRawValue();
    const id = uuid();
    try {
      this.store.change({ do: 'add-component', id, kind, name: name.trim() || capital(kind) });
    } catch (error) {
      refuse(this.adding.controls, error instanceof CommandError ? (error.field ?? 'name') : 'name', (error as Error).message);
      return;
    }
    this.adding.controls.name.reset();
    this.goTo(id);
  }

  /** A part of the store is a component with all its ports at once. */
  protected addPart(fitting: Fitting): void {
    const id = uuid();
    const name = fitting.name.split(',')[0]!.slice(0, 80);
    this.store.attempt(
      () => this.store.change({ do: 'add-component', id, kind: componentKindOf(fitting), name, part: { id: fitting.id, there: false } }),
      `${name} added with its ports`,
    );
    this.goTo(id);
  }

  protected duplicate(component: EngineComponent): void {
    const words = `${component.name} duplicated with its ports`;
    this.store.attempt(() => this.store.change({ do: 'duplicate-component', id: component.id }), words);
  }

  protected remove(component: EngineComponent): void {
    this.store.attempt(() => this.store.change({ do: 'delete-component', id: component.id }), `${component.name} deleted`);
  }

  private goTo(id: string): void {
    this.editingId.set(null);
    this.heading = id;
    void this.router.navigate([], { queryParams: { component: id }, replaceUrl: true }).then(() => (this.heading = undefined));
  }

  private move(by: number): void {
    const list = this.components();
    const from = this.heading ?? this.chosen()?.id;
    const at = list.findIndex((c) => c.id === from);
    const next = list[(at + by + list.length) % list.length];
    if (next) this.choose(next);
  }
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

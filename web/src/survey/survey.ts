import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked, viewChild } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { componentDrawing, componentKinds, type Component as EngineComponent, type ComponentKind, type Port } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { DrawingView } from '../shared/drawing';
import { Icon } from '../shared/icon';
import { KeyboardCommands } from '../shell/keyboard-commands';
import { PortForm } from './port-form';
import { PortTable } from './port-table';

/** Walk round the engine: components in the rack, the chosen one drawn with its ports, new ports in one line of notation. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView, Icon, PortForm, PortTable],
  templateUrl: './survey.html',
  styleUrl: './survey.scss',
})
export class Survey {
  /** From the address: which component and port to show. */
  readonly component = input<string>();
  readonly port = input<string>();

  private readonly api = inject(Api);
  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly router = inject(Router);
  protected readonly kinds = componentKinds;
  protected readonly newKind = signal<ComponentKind>('turbo');
  protected readonly newName = signal('');
  protected readonly nameError = signal<string | null>(null);
  protected readonly editing = signal<Port | null>(null);

  private readonly portForm = viewChild(PortForm);

  /** Where the rack is on its way to, so that keys pressed quickly all count. */
  private heading: string | undefined;

  protected readonly components = computed(() => [...(this.view.document()?.components ?? [])].sort((a, b) => a.position - b.position));
  protected readonly chosen = computed(() => this.components().find((c) => c.id === this.component()) ?? this.components()[0]);
  protected readonly ports = computed(() => this.portsOf(this.chosen()));
  protected readonly drawing = computed(() => {
    const component = this.chosen();
    return component && this.ports().length > 0 ? componentDrawing(component, this.ports(), { width: 400, height: 430 }) : null;
  });

  constructor() {
    inject(KeyboardCommands)
      .toView.pipe(takeUntilDestroyed())
      .subscribe((command) => {
        const form = this.portForm();
        if (command === 'thread-bench') void (form ? form.openBench() : this.router.navigate(['/bench']));
        else if (command !== 'new-line') this.move(command === 'next' ? 1 : -1);
      });
    effect(() => {
      const port = this.port();
      const all = untracked(() => this.view.document()?.ports ?? []);
      this.editing.set(all.find((p) => p.id === port) ?? null);
    });
  }

  protected portsOf(component: EngineComponent | undefined): Port[] {
    return (this.view.document()?.ports ?? []).filter((p) => p.componentId === component?.id).sort((a, b) => a.position - b.position);
  }

  protected choose(component: EngineComponent): void {
    this.editing.set(null);
    this.heading = component.id;
    void this.router.navigate([], { queryParams: { component: component.id }, replaceUrl: true }).then(() => (this.heading = undefined));
  }

  protected edit(component: EngineComponent, patch: Record<string, unknown>): void {
    this.store.edit('component', component.id, patch);
  }

  protected rename(component: EngineComponent, event: Event): void {
    const field = event.target as HTMLInputElement;
    const name = field.value.trim();
    if (name === '') field.value = component.name;
    else if (name !== component.name) this.edit(component, { name });
  }

  protected rewriteNote(component: EngineComponent, event: Event): void {
    const note = (event.target as HTMLInputElement).value;
    if (note !== component.note) this.edit(component, { note });
  }

  protected async add(): Promise<void> {
    const name = this.newName().trim() || capital(this.newKind());
    try {
      const made = await this.store.act(() => firstValueFrom(this.api.addComponent(this.store.jobId()!, { kind: this.newKind(), name })));
      this.newName.set('');
      this.nameError.set(null);
      this.choose(made);
    } catch (error) {
      this.nameError.set((error as Error).message);
    }
  }

  protected async duplicate(component: EngineComponent): Promise<void> {
    await this.attempt(() => firstValueFrom(this.api.duplicate('component', component.id)), `${component.name} duplicated with its ports`);
  }

  protected async remove(component: EngineComponent): Promise<void> {
    await this.attempt(() => firstValueFrom(this.api.remove('component', component.id, component.version)), `${component.name} deleted`);
  }

  private async attempt(what: () => Promise<unknown>, done: string): Promise<void> {
    try {
      await this.store.act(what, () => ({ text: done, tone: 'plain', undo: true }));
    } catch (error) {
      this.store.say(error);
    }
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

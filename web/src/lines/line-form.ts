import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  constructions,
  findHoseEnd,
  formatConnector,
  formatQuantity,
  hoseEndAngles,
  LONGEST_LINE_MM,
  serviceById,
  services,
  type AssembledLine,
  type Line,
} from '@gewinde/core';
import { Router } from '@angular/router';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { Icon } from '../shared/icon';
import { QuantityInput } from '../shared/quantity-input';

/** The line's own data: service, hose, ends, lengths with their arithmetic, and what is still open. */
@Component({
  selector: 'g-line-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityInput, Icon],
  templateUrl: './line-form.html',
  styleUrl: './inspector.scss',
})
export class LineForm {
  readonly assembled = input.required<AssembledLine>();
  readonly choose = output<number>();

  private readonly store = inject(JobStore);
  private readonly view = inject(JobView);
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  protected readonly preferences = inject(Preferences);
  protected readonly services = services;
  protected readonly ends = [
    { field: 'endA', words: 'From port (end A)', angle: 'End A' },
    { field: 'endB', words: 'To port (end B)', angle: 'End B' },
  ] as const;
  protected readonly constructions = constructions;
  protected readonly longest = LONGEST_LINE_MM;
  protected readonly line = computed(() => this.assembled().line);
  protected readonly service = computed(() => serviceById(this.line().service));
  protected readonly construction = computed(() => constructions.find((c) => c.id === this.line().construction));
  protected readonly sizes = computed(() =>
    (this.view.catalogue()?.hoses ?? []).filter((h) => h.construction === this.line().construction).map((h) => h.dash),
  );
  protected readonly angles = computed(() => {
    const catalogue = this.view.catalogue();
    const { construction, dash } = this.line();
    return catalogue && construction !== null && dash !== null
      ? hoseEndAngles.filter((angle) => findHoseEnd(catalogue, construction, dash, angle))
      : [];
  });
  protected readonly ports = computed(() => {
    const document = this.view.document();
    const { id } = this.line();
    const used = new Set(document?.lines.filter((l) => l.id !== id).flatMap((l) => [l.endA.portId, l.endB.portId]));
    return (document?.ports ?? [])
      .filter((p) => !used.has(p.id))
      .map((p) => ({
        id: p.id,
        words: `${document!.components.find((c) => c.id === p.componentId)?.name}, ${p.label} · ${formatConnector(p.connector)}`,
      }));
  });
  protected readonly sum = computed(() => {
    const { cut } = this.assembled();
    if (!cut) return null;
    const show = (mm: number) => formatQuantity(mm, 'length', this.preferences.system(), { bare: true });
    return {
      taped: show(cut.tapedMm),
      endA: show(-cut.endAMm),
      endB: show(-cut.endBMm),
      slack: show(cut.slackMm),
      percent: cut.slackPercent,
      cut: formatQuantity(cut.cutMm, 'length', this.preferences.system()),
    };
  });

  protected edit(patch: Partial<Line>): void {
    this.store.edit(
      'line',
      this.line().id,
      'checked' in patch || 'note' in patch || 'name' in patch ? patch : { ...patch, checked: false },
    );
  }

  /** Another construction keeps the size where it is made in it; chains stay where the hose end has the same connector. */
  protected setConstruction(construction: string): void {
    const { dash } = this.line();
    const sizes = (this.view.catalogue()?.hoses ?? []).filter((h) => h.construction === construction).map((h) => h.dash);
    this.setHose(construction, dash !== null && sizes.includes(dash) ? dash : (sizes[0] ?? null));
  }

  protected setHose(construction: string | null, dash: number | null): void {
    const catalogue = this.view.catalogue();
    const before = this.assembled().ends;
    const end = (i: 0 | 1) => {
      const current = i === 0 ? this.line().endA : this.line().endB;
      const made =
        catalogue && construction !== null && dash !== null ? findHoseEnd(catalogue, construction, dash, current.angleDeg) : undefined;
      const angleDeg = made || construction === null || dash === null ? current.angleDeg : 0;
      const next = catalogue && construction !== null && dash !== null ? findHoseEnd(catalogue, construction, dash, angleDeg) : undefined;
      const same = next && before[i].hoseEnd && formatConnector(next.connector) === formatConnector(before[i].hoseEnd.connector);
      return { ...current, angleDeg, fittings: same ? current.fittings : null };
    };
    this.edit({ construction, dash, endA: end(0), endB: end(1) });
  }

  protected setAngle(side: 'endA' | 'endB', angle: string): void {
    this.edit({ [side]: { ...this.line()[side], angleDeg: Number(angle) as Line['endA']['angleDeg'] } });
  }

  protected setPort(side: 'endA' | 'endB', portId: string): void {
    this.edit({ [side]: { ...this.line()[side], portId, fittings: null } });
  }

  protected portWords(id: string): string {
    return this.ports().find((p) => p.id === id)?.words ?? '';
  }

  protected rename(event: Event): void {
    const field = event.target as HTMLInputElement;
    const name = field.value.trim();
    if (name === '') field.value = this.line().name;
    else if (name !== this.line().name) this.edit({ name });
  }

  protected async remove(): Promise<void> {
    const line = this.line();
    try {
      await this.store.act(
        () => firstValueFrom(this.api.remove('line', line.id, line.version)),
        () => ({ text: `L${line.number} ${line.name} deleted`, tone: 'plain', undo: true }),
      );
      void this.router.navigate(['/job', line.jobId, 'lines']);
    } catch (error) {
      this.store.say(error);
    }
  }
}

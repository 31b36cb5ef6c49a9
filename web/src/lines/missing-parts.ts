import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { findFitting, type ChainLink, type InTheWay, type WaysAnswer, type Wishes } from '@gewinde/core';
import { JobView } from '../data/job-view';

/** Why there is no way, which wish to lift, and the one odd part that would close or shorten the gap. */
@Component({
  selector: 'g-missing-parts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './missing-parts.html',
  styleUrl: './missing-parts.scss',
})
export class MissingParts {
  readonly answer = input.required<WaysAnswer>();
  readonly wishes = input.required<Wishes>();
  readonly changed = output<Wishes>();
  private readonly view = inject(JobView);

  protected readonly links = computed(() =>
    this.answer().missingLinks.map((link) => ({
      notation: link.notation,
      saves: link.saves,
      known: link.known ?? false,
      with: [...link.before, ...link.after].map((l: ChainLink) => this.name(l.id)),
      made: link.shopMade && { ...link.shopMade, parts: link.shopMade.parts.map((id) => this.name(id)) },
    })),
  );

  /** Lifts the one wish that stands in the way. */
  protected lift({ constraint }: InTheWay): void {
    if (constraint === 'maxFittings') {
      this.changed.emit({ ...this.wishes(), mostFittings: 4 });
      return;
    }
    const gone = constraint === 'takeOffs' ? ['keepSensor', 'branchFor'] : [constraint];
    this.changed.emit(Object.fromEntries(Object.entries(this.wishes()).filter(([wish]) => !gone.includes(wish))));
  }

  private name(id: string): string {
    const catalogue = this.view.catalogue();
    return (catalogue && findFitting(catalogue, id)?.name) ?? id;
  }
}

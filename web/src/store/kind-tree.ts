import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { kindGroups } from '@gewinde/core';

/** The kinds of fitting as a tree, each with how many of it are found; one of them narrows the list. */
@Component({
  selector: 'g-kind-tree',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="all" [attr.aria-pressed]="chosen() === null" (click)="pick.emit(null)">
      <span>All kinds</span><span class="g-figure">{{ all() }}</span>
    </button>
    @for (group of groups(); track group.name) {
      <details open>
        <summary>
          <span>{{ group.name }}</span><span class="g-figure">{{ group.count }}</span>
        </summary>
        <ul>
          @for (kind of group.kinds; track kind.id) {
            <li>
              <button
                type="button"
                [attr.aria-pressed]="chosen() === kind.id"
                [disabled]="kind.count === 0 && chosen() !== kind.id"
                (click)="pick.emit(chosen() === kind.id ? null : kind.id)"
              >
                <span>{{ kind.name }}</span><span class="g-figure">{{ kind.count }}</span>
              </button>
            </li>
          }
        </ul>
      </details>
    }
  `,
  styleUrl: './kind-tree.scss',
})
export class KindTree {
  /** How many are found, by kind. */
  readonly counts = input.required<ReadonlyMap<string, number>>();
  readonly chosen = input<string | null>(null);
  readonly pick = output<string | null>();

  protected readonly all = computed(() => [...this.counts().values()].reduce((sum, n) => sum + n, 0));
  protected readonly groups = computed(() =>
    kindGroups.map(({ name, kinds }) => {
      const counted = kinds.map((kind) => ({ id: kind.id, name: kind.name, count: this.counts().get(kind.id) ?? 0 }));
      return { name, kinds: counted, count: counted.reduce((sum, kind) => sum + kind.count, 0) };
    }),
  );
}

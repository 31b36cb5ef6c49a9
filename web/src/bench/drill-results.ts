import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { AnswerOf, benchContracts } from '@gewinde/core';

type Results = AnswerOf<typeof benchContracts.drillResults>;

/** How an apprentice did: how many, how many right, and what was taken for what. */
@Component({
  selector: 'g-drill-results',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl class="count">
      <div>
        <dt>{{ asked() }}</dt>
        <dd class="g-figure">{{ results().asked }}</dd>
      </div>
      <div>
        <dt>right</dt>
        <dd class="g-figure">{{ rightShare() }}</dd>
      </div>
    </dl>
    @if (results().weak.length > 0) {
      <h3>Mixed up</h3>
      <table class="g-table">
        <thead>
          <tr>
            <th scope="col">it was</th>
            <th scope="col">{{ called() }}</th>
            <th scope="col" class="number">times</th>
            <th scope="col" class="number">right since</th>
          </tr>
        </thead>
        <tbody>
          @for (w of results().weak; track w.truth + w.answer) {
            <tr>
              <td [class.g-mono]="mono()">{{ nameOf()(w.truth) }}</td>
              <td [class.g-mono]="mono()">{{ nameOf()(w.answer) }}</td>
              <td class="number">{{ w.times }}</td>
              <td class="number">{{ w.rightSince }}</td>
            </tr>
          }
        </tbody>
      </table>
    }
    @if (results().asked > 0) {
      <button type="button" class="g-button small danger" (click)="forget.emit()">Forget these results</button>
    }
  `,
  styles: `
    .count {
      display: flex;
      gap: 24px;
      margin: 12px 0 4px;
      div {
        display: flex;
        gap: 8px;
        align-items: baseline;
      }
      dt {
        color: var(--quiet);
        font-weight: 400;
      }
      dd {
        margin: 0;
        font-size: 22px;
      }
    }
    h3 {
      margin: 10px 0 4px;
      font: 600 17px/1.2 var(--head);
    }
    td {
      font-size: 13px;
    }
    .danger {
      margin-top: 10px;
    }
  `,
})
export class DrillResults {
  readonly results = input.required<Results>();
  /** What is counted, and what was done with it. */
  readonly asked = input('named');
  readonly called = input('called');
  readonly mono = input(true);
  readonly nameOf = input<(answer: string) => string>((answer) => answer);
  readonly forget = output();
  protected readonly rightShare = computed(() => {
    const { asked, right } = this.results();
    return asked > 0 ? `${Math.round((right / asked) * 100)} %` : '–';
  });
}

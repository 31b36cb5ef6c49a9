import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { shopContracts } from '@gewinde/core';
import { answered } from '../data/answered';
import { Api } from '../data/api';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';
import { exampleDrawing } from './example-drawing';

/** How a rule looks: a job that it has nothing against, and the same with the one thing wrong. */
@Component({
  selector: 'g-rule-example',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView],
  template: `
    @for (s of shown(); track s.title) {
      <figure [attr.aria-label]="s.title">
        <figcaption>
          <strong>{{ s.title }}</strong>
          @if (s.message) {
            <span class="message">{{ s.message }}</span>
          }
        </figcaption>
        @if (s.drawing; as d) {
          <g-drawing [drawing]="d" [squared]="true" />
        }
      </figure>
    }
    @if (example.waiting()) {
      <p class="quiet" role="status">Making the examples …</p>
    } @else if (example.failed()) {
      <p class="quiet" role="status">The examples come from the server, which does not answer. The rule stands all the same.</p>
    }
  `,
  styles: `
    figure {
      max-width: 780px;
      margin: 18px 0;
      border: 1px solid var(--line);
    }
    figcaption {
      padding: 8px 12px;
      border-bottom: 1px solid var(--line);
    }
    .message {
      display: block;
      color: var(--red);
    }
    .quiet {
      color: var(--quiet);
    }
  `,
})
export class RuleExample {
  readonly rule = input.required<string>();
  private readonly api = inject(Api);
  private readonly preferences = inject(Preferences);
  protected readonly example = answered(
    computed(() => ({ rule: this.rule() })),
    (params) => this.api.call(shopContracts.readExample, { params }),
  );
  protected readonly shown = computed(() => {
    const example = this.example.answer();
    if (!example) return [];
    const { words, message, sound, broken } = example;
    const system = this.preferences.system();
    return [
      { title: `Wrong: ${words}`, drawing: exampleDrawing(broken, system), message },
      { title: 'Right', drawing: exampleDrawing(sound, system), message: '' },
    ];
  });
}

import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { brokenExample, examples, runSheet, soundExample, type Drawing, type Finding, type JudgedJob, type RuleId } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';

interface Shown {
  readonly title: string;
  readonly drawing: Drawing | null;
  readonly finding: Finding | undefined;
}

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
          @if (s.finding; as f) {
            <span class="message">{{ f.message }}</span>
          }
        </figcaption>
        @if (s.drawing; as d) {
          <g-drawing [drawing]="d" [squared]="true" />
        }
      </figure>
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
  `,
})
export class RuleExample {
  readonly rule = input.required<string>();
  private readonly preferences = inject(Preferences);
  protected readonly shown = computed((): readonly Shown[] => {
    const id = this.rule() as RuleId;
    const [sound, broken] = [soundExample(id), brokenExample(id)];
    return [
      { title: `Wrong: ${examples[id].words}`, drawing: this.drawn(broken), finding: broken.findings.find((f) => f.rule === id) },
      { title: 'Right', drawing: this.drawn(sound), finding: undefined },
    ];
  });

  private drawn(job: JudgedJob): Drawing | null {
    const line = job.lines[job.lines.length - 1];
    return line ? runSheet(line, { width: 780, height: 300, jobNumber: job.document.job.number, system: this.preferences.system() }) : null;
  }
}

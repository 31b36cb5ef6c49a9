import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { connectorThread, fit, inWords, threadPairDrawing, type LineJoint } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { DrawingView } from '../shared/drawing';

/** The two threads of a joint over one another, with what happens in words; nothing where they have none. */
@Component({
  selector: 'g-rule-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView],
  template: `
    @if (drawn(); as d) {
      <figure>
        <g-drawing [drawing]="d.drawing" />
        <figcaption>{{ d.words }}</figcaption>
      </figure>
    }
  `,
  styles: `
    figure {
      margin: 0 0 8px;
      padding: 6px;
      border: 1px solid var(--line);
    }
    figcaption {
      color: var(--quiet);
      font-size: 12.5px;
    }
  `,
})
export class RuleDrawing {
  readonly joint = input<LineJoint>();
  private readonly preferences = inject(Preferences);
  protected readonly drawn = computed(() => {
    const connectors = this.joint()?.connectors;
    const male = connectors?.find((c) => c.gender === 'male');
    const female = connectors?.find((c) => c.gender === 'female');
    const outside = male && connectorThread(male);
    const inside = female && connectorThread(female);
    if (!outside || !inside || outside.designation === inside.designation) return null;
    const system = this.preferences.system();
    return {
      drawing: threadPairDrawing(outside, inside, { width: 262, height: 118 }, system),
      words: inWords(fit(outside, inside), system),
    };
  });
}

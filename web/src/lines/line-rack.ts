import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { constructionById, formatDash, type AssembledLine } from '@gewinde/core';
import { ServiceGlyph } from '../shared/service-glyph';
import { Whole } from '../shared/whole';

const SHORT: Record<string, string> = {
  ptfe: 'PTFE',
  rubber: 'rubber',
  pushon: 'push-on',
  coolant: 'coolant',
  fuel: 'fuel',
  vacuum: 'vacuum',
};

/** Every line of the job as a tag: number, service, name, hose, joints, state. */
@Component({
  selector: 'g-line-rack',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ServiceGlyph, Whole],
  templateUrl: './line-rack.html',
  styleUrl: './line-rack.scss',
})
export class LineRack {
  readonly lines = input.required<readonly AssembledLine[]>();
  readonly chosen = input<AssembledLine>();
  readonly open = output<AssembledLine>();
  readonly add = output<void>();
  readonly solve = output<void>();

  protected readonly joints = computed(() => this.lines().reduce((sum, l) => sum + l.joints.length, 0));

  protected hose(l: AssembledLine): string {
    const { construction, dash } = l.line;
    const hose =
      construction !== null && dash !== null
        ? `${formatDash(dash)} ${SHORT[construction] ?? constructionById(construction).name}`
        : 'no hose yet';
    return l.joints.length > 0 ? `${hose} · ${l.joints.length} joints` : hose;
  }

  protected stateWords(l: AssembledLine): string {
    switch (l.state) {
      case 'checked':
        return 'checked';
      case 'seals':
        return 'seals, not checked';
      case 'leaks':
        return 'will leak';
      case 'open':
        return `${l.problems.length} open`;
    }
  }
}

import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { constructionById, holds, hoseSize, openBeforeStart, type AssembledLine } from '@gewinde/core';
import { ServiceGlyph } from '../shared/service-glyph';
import { Whole } from '../shared/whole';

const SHORT: Record<string, string> = {
  ptfe: 'PTFE',
  rubber: 'rubber',
  pushon: 'push-on',
  coolant: 'coolant',
  oil: 'oil rubber',
  silicone: 'silicone',
  charge: 'charge air',
  fuel: 'fuel',
  vacuum: 'vacuum',
  crimped: 'crimped rubber',
  'crimped-ptfe': 'crimped PTFE',
  'convoluted-ptfe': 'convoluted PTFE',
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
  readonly beforeStart = output<void>();

  protected readonly joints = computed(() => this.lines().reduce((sum, l) => sum + l.joints.length, 0));

  protected readonly before = computed(() => openBeforeStart({ findings: this.lines().flatMap((l) => l.findings) }).length);

  protected hose(l: AssembledLine): string {
    const names = l.pieces.map(({ hose }) =>
      hose ? `${hoseSize(hose)} ${SHORT[hose.construction] ?? constructionById(hose.construction).name}` : 'no hose yet',
    );
    const hose =
      names.length === 0 ? 'no hose' : names.length > 1 && new Set(names).size === 1 ? `${names.length} × ${names[0]}` : names.join(', ');
    return l.joints.length > 0 ? `${hose} · ${l.joints.length} joints` : hose;
  }

  protected holding(l: AssembledLine): number {
    return l.findings.filter(holds).length;
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
        return `${this.holding(l)} open`;
    }
  }
}

import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { constructionById, holdsLine, hoseSize, standsBefore, type JudgedLine } from '@gewinde/core';
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
  readonly lines = input.required<readonly JudgedLine[]>();
  readonly chosen = input<JudgedLine>();
  readonly open = output<JudgedLine>();
  readonly add = output<void>();
  readonly solve = output<void>();
  readonly beforeStart = output<void>();

  protected readonly joints = computed(() => this.lines().reduce((sum, l) => sum + l.joints.length, 0));

  protected readonly before = computed(
    () =>
      standsBefore(
        this.lines().flatMap((l) => l.findings),
        'start',
      ).length,
  );

  protected hose(l: JudgedLine): string {
    const names = l.pieces.map(({ hose }) =>
      hose ? `${hoseSize(hose)} ${SHORT[hose.construction] ?? constructionById(hose.construction).name}` : 'no hose yet',
    );
    const hose =
      names.length === 0 ? 'no hose' : names.length > 1 && new Set(names).size === 1 ? `${names.length} × ${names[0]}` : names.join(', ');
    return l.joints.length > 0 ? `${hose} · ${l.joints.length} joints` : hose;
  }

  protected holding(l: JudgedLine): number {
    return l.findings.filter(holdsLine).length;
  }

  protected stateWords(l: JudgedLine): string {
    switch (l.state) {
      case 'checked':
        return 'checked';
      case 'seals':
        return 'seals, not checked';
      case 'leaks':
        return 'will not do';
      case 'open':
        return `${this.holding(l)} open`;
    }
  }
}

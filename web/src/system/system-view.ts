import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { formatQuantity, ruleById, systemOf, thermostatsOf, type JobSystem, type StateId, type SystemLine } from '@gewinde/core';
import { JobView } from '../data/job-view';
import { Preferences } from '../data/preferences';
import { FindingList } from '../shared/finding-list';
import { FlowView } from '../sizing/flow-view';
import { LABEL, layOutSystem, type PlacedLine } from './layout-system';

const states: readonly { readonly id: StateId; readonly name: string }[] = [
  { id: 'cold', name: 'cold start' },
  { id: 'warm', name: 'warm' },
  { id: 'hottest', name: 'hottest' },
];

const MOST_LETTERS = 17;

/** The flow of the whole job: components where the oil meets them, lines as thick as their bore, with what runs in them. */
@Component({
  selector: 'g-system-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FindingList],
  templateUrl: './system-view.html',
  styleUrl: './system-view.scss',
})
export class SystemView {
  readonly chosen = input<string | null>(null);
  readonly open = output<string>();
  readonly component = output<string>();
  private readonly flow = inject(FlowView);
  private readonly view = inject(JobView);
  protected readonly preferences = inject(Preferences);
  protected readonly states = states;
  protected readonly label = LABEL;
  protected readonly state = signal<StateId>('warm');
  protected readonly position = signal<'cold' | 'hot'>('hot');
  protected readonly thermostats = computed(() => {
    const question = this.flow.question();
    return question ? thermostatsOf(question.job) : [];
  });
  protected readonly system = computed((): JobSystem | null => {
    const question = this.flow.question();
    return question && systemOf(question, this.state(), this.position());
  });
  protected readonly laid = computed(() => {
    const system = this.system();
    return system && layOutSystem(system);
  });
  /** What the audit says of the circuit as a whole, at its hottest: the same words as everywhere. */
  protected readonly heard = computed(() =>
    (this.view.job()?.findings ?? []).filter(
      ({ rule, severity }) => severity !== 'open' && (rule === 'runs-against-its-line' || ruleById(rule).area === 'system'),
    ),
  );
  /** What is so in the state that is looked at, and not at its hottest. */
  protected readonly here = computed(() => {
    const said = new Set(this.heard().map((f) => f.message));
    return (this.system()?.problems ?? []).filter((p) => !said.has(p.words));
  });
  protected readonly told = computed(
    () => new Map((this.system()?.problems ?? []).flatMap((p) => p.lineIds.map((id) => [id, p.kind] as const))),
  );

  protected path({ points }: PlacedLine): string {
    return points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
  }

  protected title({ line }: SystemLine): string {
    const { number, name } = line.line;
    return `L${number} ${name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name}`;
  }

  /** The arrow in the middle of a line, the way that it runs. */
  protected arrow({ points, line }: PlacedLine): string {
    const last = points[points.length - 1]!;
    const before = points[points.length - 2] ?? last;
    const [tip, from] = (line.flowLpm ?? 0) < 0 ? [points[0]!, points[1] ?? last] : [last, before];
    const angle = (Math.atan2(tip.y - from.y, tip.x - from.x) * 180) / Math.PI;
    return `translate(${tip.x.toFixed(1)} ${tip.y.toFixed(1)}) rotate(${angle.toFixed(1)})`;
  }

  protected figures({ flowLpm, lossBar, tempC, how }: SystemLine): string {
    const system = this.preferences.system();
    if (how === 'face') return 'face on face';
    if (how === 'still') return 'nothing runs';
    if (flowLpm === undefined) return 'not known yet';
    const parts = [formatQuantity(Math.abs(flowLpm), 'flow', system, { decimals: Math.abs(flowLpm) < 10 ? 1 : 0 })];
    if (lossBar !== undefined && lossBar >= 0.005) parts.push(formatQuantity(lossBar, 'pressure', system, { decimals: 2 }));
    if (tempC !== undefined) parts.push(formatQuantity(tempC, 'temperature', system, { decimals: 0 }));
    return parts.join(' · ');
  }

  protected words(line: SystemLine): string {
    const { number, name } = line.line.line;
    const problem = this.told().get(line.line.line.id);
    const unknown = line.unknown ? '; not all of it is chosen' : '';
    return `L${number} ${name}: ${this.figures(line)}${unknown}${problem ? `; ${problem.replace('-', ' ')}` : ''}`;
  }
}

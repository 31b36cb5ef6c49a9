import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  alsoCalled,
  connectorsWithThread,
  drillInWords,
  familyById,
  formatConnector,
  formatQuantity,
  isMetInPlumbing,
  lookAlikesInWords,
  parseThread,
  taperEngagement,
  threadData,
  threadDrawing,
  threadLimits,
  threadSystem,
  type Connector,
  type LookAlike,
  type Side,
  type UnitSystem,
} from '@gewinde/core';
import { DrawingView } from '../shared/drawing';

const SHOWN_ALIKE = 8;

/** All about one thread: its profile to scale, its figures, where it is met, what seals it, what it is taken for. */
@Component({
  selector: 'g-thread-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DrawingView],
  templateUrl: './thread-card.html',
  styleUrl: './thread-card.scss',
})
export class ThreadCard {
  readonly designation = input.required<string>();
  readonly side = input.required<Side>();
  readonly system = input<UnitSystem>('metric');
  /** Whether a connector can be taken over into the survey. */
  readonly usable = input(false);
  readonly pick = output<string>();
  readonly use = output<Connector>();

  private readonly thread = computed(() => parseThread(this.designation()));
  protected readonly also = computed(() => alsoCalled(this.thread()));
  protected readonly entry = computed(() => threadSystem(this.thread().system));
  protected readonly drawing = computed(() => threadDrawing(this.thread(), this.side(), { width: 330, height: 150 }, this.system()));
  protected readonly figures = computed(() => {
    const thread = this.thread();
    const data = threadData(thread.designation);
    const limits = threadLimits(thread);
    const side = this.side() === 'external' ? limits.external.major : limits.internal.minor;
    const mm = (value: number, decimals = 2): string => formatQuantity(value, 'length', this.system(), { decimals, inchDecimals: 4 });
    const engaged = taperEngagement(thread.designation);
    const perInch = 25.4 / thread.pitchMm;
    return [
      [
        'pitch',
        `${formatQuantity(thread.pitchMm, 'length', 'metric', { decimals: 3 })} · ${perInch.toFixed(1).replace(/\.0$/, '')} per inch`,
      ],
      ['tap drill', drillInWords(data, this.system())],
      [this.side() === 'external' ? 'new, over crests' : 'new, across', `${mm(side.min)} to ${mm(side.max)} (${limits.classes})`],
      ...(engaged
        ? [
            [
              'goes in',
              `${engaged.byHandTurns.toFixed(1)} turns by hand, ${engaged.byWrenchTurns.low} to ${engaged.byWrenchTurns.high} by wrench`,
            ],
          ]
        : []),
      ['flanks', `${data.flankAngleDeg}°${thread.taperPerMm > 0 ? ', taper 1 in 16' : ', parallel'}`],
    ] as [string, string][];
  });
  private readonly connectors = computed(() => connectorsWithThread(this.designation(), this.side()));
  /** One line a family: what of it carries this thread, and what seals it. */
  protected readonly seals = computed(() => {
    const byFamily = new Map<string, Connector>();
    for (const c of this.connectors()) {
      const old = byFamily.get(c.family);
      if (!old || (!old.seat && c.seat)) byFamily.set(c.family, c);
    }
    return [...byFamily.values()].map((c) => ({
      name: familyById(c.family).name,
      sealsOn: familyById(c.family).sealsOn(c.gender, c.seat, c.swivel ?? false),
      usedFor: familyById(c.family).usedFor,
    }));
  });
  /** Notations that can be taken over; those whose seat is open are left to typing. */
  protected readonly uses = computed(() => {
    const listed = this.connectors().filter((c) => !(['metric', 'un'].includes(c.family) && !c.seat) && !(c.seat && /^\d/.test(c.seat)));
    return listed.map((connector) => ({ connector, notation: formatConnector(connector) }));
  });
  protected readonly alike = computed(() => {
    const side = this.side();
    const own = nearestFirst(lookAlikesInWords(this.thread(), side, Infinity, this.system()));
    return (own.length > 0 ? own : nearestFirst(lookAlikesInWords(this.thread(), undefined, Infinity, this.system()))).slice(
      0,
      SHOWN_ALIKE,
    );
  });
}

/** Threads that plumbing meets before those of bolts and instruments; the nearest first in both. */
function nearestFirst(list: readonly LookAlike[]): LookAlike[] {
  return [...list.filter((a) => isMetInPlumbing(a.designation)), ...list.filter((a) => !isMetInPlumbing(a.designation))];
}

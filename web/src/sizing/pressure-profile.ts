import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatDecimal, formatQuantity, outcomeIn, type LineSizing, type RunOutcome, type SizeColumn } from '@gewinde/core';
import { Preferences } from '../data/preferences';
import { houseValue } from './figure';

const WIDTH = 760;
const HEIGHT = 224;
const LEFT = 44;
const RIGHT = 14;
const TOP = 22;
const FLOOR = 168;
/** Least width of a part on the axis, px: a hose has what is left. */
const PART = 46;

interface Run {
  readonly name: string;
  readonly cold: boolean;
  readonly points: string;
  readonly labelX: number;
  readonly labelY: number;
}

/** The pressure along a line from its beginning to its end, cold and hot: the part that eats it stands out as the tall step. */
@Component({
  selector: 'g-pressure-profile',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pressure-profile.html',
  styleUrl: './pressure-profile.scss',
})
export class PressureProfile {
  readonly sizing = input.required<LineSizing>();
  readonly column = input.required<SizeColumn>();
  protected readonly view = `0 0 ${WIDTH} ${HEIGHT}`;
  protected readonly floor = FLOOR;
  protected readonly left = LEFT;
  protected readonly right = WIDTH - RIGHT;
  private readonly preferences = inject(Preferences);

  private readonly outcomes = computed(() => {
    const column = this.column();
    return ['cold', 'hottest'].flatMap((id) => outcomeIn(column, id as 'cold' | 'hottest') ?? []);
  });
  /** What stands where on the axis: mouths are no wider than a line. */
  protected readonly parts = computed(() => {
    const elements = this.outcomes()[0]?.loss.elements ?? [];
    const shown = elements.filter((e) => e.kind !== 'mouth');
    const hoses = shown.filter((e) => e.kind === 'hose');
    const others = shown.length - hoses.length;
    const room = WIDTH - LEFT - RIGHT - others * PART;
    const length = hoses.reduce((sum, e) => sum + e.lengthMm, 0) || 1;
    let x = LEFT;
    return shown.map((e) => {
      const width = e.kind === 'hose' ? Math.max(PART, (room * e.lengthMm) / length) : PART;
      const part = {
        name: e.kind === 'hose' ? `hose ${this.length(e.lengthMm)}` : short(e.kind),
        full: `${e.name}, Ø ${this.mm(e.boreMm)}`,
        kind: e.kind,
        x,
        width,
      };
      x += width;
      return part;
    });
  });
  private readonly span = computed(() => {
    const bars = this.outcomes().flatMap((o) => pressuresAlong(o));
    const [min, max] = [Math.min(0, ...bars), Math.max(0.01, ...bars)];
    return { min, max: max + (max - min) * 0.08 };
  });
  protected readonly grid = computed(() => {
    // steps that are round as the house reads them
    const perBar = houseValue(1, 'bar', this.preferences.system());
    const [min, max] = [this.span().min * perBar, this.span().max * perBar];
    const step = niceStep(max - min);
    const first = Math.ceil(min / step) * step;
    const count = Math.floor((max - first) / step) + 1;
    const decimals = step < 0.01 ? 3 : step < 0.1 ? 2 : step < 1 ? 1 : 0;
    return Array.from({ length: count }, (_, i) => first + i * step).map((value) => ({
      y: this.y(value / perBar),
      text: formatDecimal(value, decimals),
    }));
  });
  protected readonly runs = computed((): Run[] =>
    this.outcomes().map((o) => {
      const bars = pressuresAlong(o);
      const parts = this.parts();
      const points: [number, number][] = [[LEFT, bars[0]!]];
      let at = 0;
      o.loss.elements.forEach((e, i) => {
        const after = bars[i + 1]!;
        if (e.kind === 'mouth') {
          points.push([points[points.length - 1]![0], after]);
          return;
        }
        const part = parts[at++]!;
        // a hose takes it all along, all else in one step in its middle
        if (e.kind === 'hose') points.push([part.x + part.width, after]);
        else {
          const middle = part.x + part.width / 2;
          points.push([middle, bars[i]!], [middle, after], [part.x + part.width, after]);
        }
      });
      const cold = o.state.id === 'cold';
      const wide = parts.reduce((a, b) => (b.width > a.width ? b : a), parts[0]!);
      const labelX = wide.x + wide.width * (cold ? 0.3 : 0.72);
      const y = this.y(barAt(points, labelX));
      return {
        name: `${o.state.name}, ${formatQuantity(o.state.tempC, 'temperature', this.preferences.system())}`,
        cold,
        points: points.map(([x, bar]) => `${x.toFixed(1)},${this.y(bar).toFixed(1)}`).join(' '),
        labelX,
        labelY: y < FLOOR - 24 ? y + 20 : y - 8,
      };
    }),
  );
  /** What is seen, for those who do not see it. */
  protected readonly words = computed(() =>
    this.outcomes()
      .map((o) => {
        const bars = pressuresAlong(o);
        return `${o.state.name}: from ${this.bar(bars[0]!)} to ${this.bar(bars[bars.length - 1]!)}, most at ${o.loss.worst.name}`;
      })
      .join('; '),
  );
  protected readonly unit = computed(() => (this.preferences.system() === 'metric' ? 'bar' : 'psi'));
  protected readonly below = FLOOR + 34;

  private y(bar: number): number {
    const { min, max } = this.span();
    return FLOOR - ((bar - min) / (max - min)) * (FLOOR - TOP);
  }

  private bar(value: number, decimals = 2): string {
    return formatQuantity(value, 'pressure', this.preferences.system(), { bare: true, decimals });
  }

  private length(value: number): string {
    return formatQuantity(value, 'length', this.preferences.system(), { decimals: 0, denominator: 2 });
  }

  private mm(value: number): string {
    return formatQuantity(value, 'length', this.preferences.system(), { inchDecimals: 3 });
  }
}

/** Pressures from before the first element to behind the last, bar: down from what is held, or up to nothing at the end. */
function pressuresAlong({ loss, state, absBar }: RunOutcome): number[] {
  const start = state.sourceBar ?? (absBar === undefined ? loss.lossBar : 0);
  let bar = start;
  return [start, ...loss.elements.map((e) => (bar -= e.lossBar))];
}

/** The pressure of a run at a place of the axis, bar. */
function barAt(points: readonly (readonly [number, number])[], x: number): number {
  const after = Math.max(
    1,
    points.findIndex(([px]) => px >= x),
  );
  const [[x0, bar0], [x1, bar1]] = [points[after - 1]!, points[after]!];
  return x1 === x0 ? bar1 : bar0 + ((bar1 - bar0) * (x - x0)) / (x1 - x0);
}

function short(kind: RunOutcome['loss']['elements'][number]['kind']): string {
  if (kind === 'hose end') return 'end';
  return kind === 'restrictor' ? 'restr.' : 'adapter';
}

function niceStep(span: number): number {
  const raw = span / 4;
  const power = 10 ** Math.floor(Math.log10(raw));
  const share = raw / power;
  return (share > 5 ? 10 : share > 2 ? 5 : share > 1 ? 2 : 1) * power;
}

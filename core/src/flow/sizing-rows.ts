import type { Drive } from './service-figures.js';
import type { LineSizing } from './size-line.js';
import { outcomeIn } from './held.js';
import type { SizeColumn } from './judge-sizes.js';
import type { StateId } from './duty.js';

export type SizingRowId =
  | 'bore'
  | 'narrowest'
  | `flow ${StateId}`
  | `speed ${StateId}`
  | `loss ${StateId}`
  | `left ${StateId}`
  | `abs ${StateId}`
  | `carries ${StateId}`
  | `comes ${StateId}`
  | 'fills cold'
  | 'bears'
  | 'burst'
  | 'margin';

/** One figure of every size. */
export interface SizingRow {
  readonly id: SizingRowId;
  readonly label: string;
  /** Of the figures: `mm`, `L/min`, `m/s`, `bar`, `s`, `%`. */
  readonly unit: string;
  readonly decimals: number;
  readonly values: readonly (number | undefined)[];
  /** Which of them go beyond what is asked. */
  readonly bad: readonly boolean[];
  /** Which of those go all the same: beyond a rule of thumb only. */
  readonly soft: readonly boolean[];
}

const names: Record<StateId, string> = { cold: 'cold start', warm: 'warm', idle: 'hot idle', hottest: 'hottest' };

const rowsBy: Record<Drive, readonly SizingRowId[]> = {
  pressure: ['flow hottest', 'flow idle', 'flow cold', 'speed hottest', 'left hottest', 'fills cold'],
  flow: ['speed warm', 'loss warm', 'loss hottest', 'loss cold'],
  suction: ['speed warm', 'abs warm', 'abs hottest', 'abs cold'],
  fall: ['carries hottest', 'comes hottest', 'carries cold', 'comes cold'],
  still: ['bears', 'burst'],
};

/** The rows of a sizing, by what drives its flow; those that nothing is known of are left out. */
export function sizingRows({ columns, duty, brought }: LineSizing): SizingRow[] {
  const ids: SizingRowId[] = ['bore', 'narrowest', ...rowsBy[duty.figures.drive], 'margin'];
  return ids
    .map((id): SizingRow => {
      const values = columns.map((column) => valueOf(id, column, brought));
      const head = headOf(id);
      const tones = columns.map((column, i) => toneOf(id, column, values[i], duty));
      // what is all below one and a half is told to the hundredth
      const small = head.unit === 'L/min' && Math.max(...values.map((v) => v ?? 0)) < 1.5;
      return {
        id,
        ...head,
        ...(small ? { decimals: 2 } : {}),
        values,
        bad: tones.map((tone) => tone !== 'kept'),
        soft: tones.map((tone) => tone === 'soft'),
      };
    })
    .filter(({ values }) => values.some((v) => v !== undefined && Number.isFinite(v)));
}

function split(id: SizingRowId): [what: string, state: StateId] {
  const [what, state] = id.split(' ');
  return [what!, state as StateId];
}

function headOf(id: SizingRowId): Pick<SizingRow, 'label' | 'unit' | 'decimals'> {
  const [what, state] = split(id);
  const of = names[state];
  switch (what) {
    case 'bore':
      return { label: 'bore', unit: 'mm', decimals: 1 };
    case 'narrowest':
      return { label: 'narrowest', unit: 'mm', decimals: 1 };
    case 'flow':
      return { label: `flow, ${of}`, unit: 'L/min', decimals: 1 };
    case 'speed':
      return { label: `speed, ${of}`, unit: 'm/s', decimals: 1 };
    case 'loss':
      return { label: `takes, ${of}`, unit: 'bar', decimals: 2 };
    case 'left':
      return { label: `left, ${of}`, unit: 'bar', decimals: 1 };
    case 'abs':
      return { label: `at pump, ${of}`, unit: 'bar abs', decimals: 2 };
    case 'carries':
      return { label: `carries, full, ${of}`, unit: 'L/min', decimals: 1 };
    case 'comes':
      return { label: `comes, ${of}`, unit: 'L/min', decimals: 1 };
    case 'fills':
      return { label: `arrives, ${of}`, unit: 's', decimals: 0 };
    case 'bears':
      return { label: 'bears, hottest', unit: 'bar', decimals: 0 };
    case 'burst':
      return { label: 'bursts, least', unit: 'bar', decimals: 0 };
    default:
      return { label: 'margin', unit: '%', decimals: 0 };
  }
}

function valueOf(id: SizingRowId, column: SizeColumn, brought: LineSizing['brought']): number | undefined {
  const [what, state] = split(id);
  const outcome = outcomeIn(column, state);
  switch (what) {
    case 'bore':
      return column.hose.boreMm;
    case 'narrowest': {
      const fits = column.path.passed.filter((p) => p.kind !== 'restrictor');
      return fits.length > 0 ? Math.min(...fits.map((p) => p.boreMm)) : undefined;
    }
    case 'flow':
      return outcome?.flowLpm;
    case 'speed':
      return outcome?.hoseMs;
    case 'loss':
      return outcome?.loss.lossBar;
    case 'left':
      return outcome?.endBar;
    case 'abs':
      return outcome?.absBar;
    case 'carries':
      return outcome?.carries?.full;
    case 'comes':
      return brought.find((b) => b.state.id === state)?.lpm;
    case 'fills':
      return outcome?.fillsS;
    case 'bears':
      return column.bearsBar;
    case 'burst':
      return column.hose.burstBar ?? column.hose.workingBar * 4;
    default:
      return column.marginPercent;
  }
}

type Tone = 'kept' | 'soft' | 'bad';

function toneOf(id: SizingRowId, { beyond }: SizeColumn, value: number | undefined, { pressure }: LineSizing['duty']): Tone {
  if (value === undefined) return 'kept';
  if (id === 'bears') return value < pressure.value ? 'bad' : 'kept';
  if (id === 'margin') return value < 0 ? 'bad' : 'kept';
  const here = beyond.filter(({ row }) => row === id);
  return here.length === 0 ? 'kept' : here.every(({ soft }) => soft) ? 'soft' : 'bad';
}

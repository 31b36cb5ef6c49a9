/** A linear expression: coefficients by the names of its variables. */
export type Terms = ReadonlyMap<string, number>;

export interface MipRow {
  readonly name: string;
  readonly terms: Terms;
  readonly is: '<=' | '>=' | '=';
  readonly than: number;
}

/** A mixed-integer program: the least of a sum under rows; every variable is at least 0. */
export interface Mip {
  readonly minimise: Terms;
  readonly rows: readonly MipRow[];
  /** Variables that are whole numbers; none for a linear program. */
  readonly whole: readonly string[];
  readonly most?: Terms;
}

export interface MipAnswer {
  /** `optimal`, or the best that was `found` when the time was over; `infeasible` where there is none, `none` where none was found in time. */
  readonly status: 'optimal' | 'found' | 'infeasible' | 'none';
  readonly objective: number;
  readonly value: (variable: string) => number;
  /** Prices of the rows, of a linear program. */
  readonly price: (row: string) => number;
}

/** Whether an answer has values at all: the best, or one that was found. */
export function hasValues({ status }: Pick<MipAnswer, 'status'>): boolean {
  return status === 'optimal' || status === 'found';
}

/** Who solves it: the HiGHS package in Node, a worker in the browser. */
export interface MipSolver {
  readonly solve: (mip: Mip, seconds: number) => Promise<MipAnswer>;
}

/** In the LP text that solvers read; names are letters and figures. */
export function lpText({ minimise, rows, whole, most = new Map() }: Mip): string {
  const sum = (terms: Terms): string =>
    [...terms]
      .filter(([, factor]) => factor !== 0)
      .map(([name, factor]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`)
      .join('\n ') || '0 zero';
  return [
    'Minimize',
    ` goal: ${sum(minimise)}`,
    'Subject To',
    ...rows.map(({ name, terms, is, than }) => ` ${name}: ${sum(terms)} ${is} ${than}`),
    ...(most.size > 0 ? ['Bounds', ...[...most].map(([name, bound]) => ` 0 <= ${name} <= ${bound}`)] : []),
    ...(whole.length > 0 ? ['General', ` ${whole.join('\n ')}`] : []),
    'End',
  ].join('\n');
}

interface HighsResult {
  readonly Status: string;
  readonly ObjectiveValue: number;
  readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
  readonly Rows: readonly { readonly Name?: string; readonly Dual?: number }[];
}
interface Highs {
  readonly solve: (text: string, options: Readonly<Record<string, unknown>>) => HighsResult;
}

let loading: Promise<Highs> | undefined;

/** The HiGHS package where the core runs by itself; loaded when it is first asked for. */
export const highsSolver: MipSolver = {
  solve: async (mip, seconds) => {
    const highs = await (loading ??= loadHighs());
    return readResult(highs.solve(lpText(mip), { output_flag: false, time_limit: seconds, mip_rel_gap: 0, random_seed: 1 }), mip);
  },
};

async function loadHighs(): Promise<Highs> {
  const { default: load } = (await import('highs')) as unknown as { default: (() => Promise<Highs>) | { default: () => Promise<Highs> } };
  return typeof load === 'function' ? load() : load.default();
}

/** What HiGHS answers, in our words. At the end of its time without a solution its figures mean nothing. */
export function readResult({ Status, ObjectiveValue, Columns, Rows }: HighsResult, { rows }: Mip): MipAnswer {
  const found = Number.isFinite(ObjectiveValue);
  const status = statusOf(Status, found);
  const prices = new Map(rows.map((row, i) => [row.name, Rows.find((r) => r.Name === row.name)?.Dual ?? Rows[i]?.Dual ?? 0]));
  return {
    status,
    objective: hasValues({ status }) ? ObjectiveValue : Infinity,
    value: (variable) => Columns[variable]?.Primal ?? 0,
    price: (row) => prices.get(row) ?? 0,
  };
}

function statusOf(said: string, found: boolean): MipAnswer['status'] {
  if (said === 'Optimal' || said === 'Empty') return 'optimal';
  if (said === 'Infeasible') return 'infeasible';
  return said === 'Time limit reached' && found ? 'found' : 'none';
}

import { Deadline, hasValues, highsSolver, type Mip, type MipRow, type MipSolver } from '../cutting/index.js';
import { firstOrder, type Bought } from './first-order.js';
import { checkOrderProblem, type Offer, type OrderGoal, type OrderProblem, type PriceBreak, type Supplier } from './order-problem.js';

export interface OrderLine {
  readonly offer: string;
  readonly packs: number;
  readonly packMinor: number;
  readonly totalMinor: number;
}

export interface SupplierOrder {
  readonly supplier: string;
  readonly lines: readonly OrderLine[];
  readonly goodsMinor: number;
  readonly carriageMinor: number;
  /** Until the last of it is there. */
  readonly days: number;
}

export interface OrderPlan {
  readonly orders: readonly SupplierOrder[];
  readonly totalMinor: number;
  /** Until all is there. */
  readonly days: number;
  /** No plan does better by the goal. */
  readonly proven: boolean;
  /** Parts that nobody offers. */
  readonly notOffered: readonly string[];
  /** Parts that nobody brings in time: they are ordered all the same, and are late. */
  readonly late: readonly string[];
  /** Bought beyond the need, for packs are whole. */
  readonly left: readonly { readonly part: string; readonly quantity: number }[];
}

/** For a plan, where nobody says. */
const SECONDS = 2.5;

/**
 * Who is ordered what: whole packs, prices that fall with their number, carriage with its free limit, least orders, lead times; exact, by a
 * mixed-integer program. A kit is taken where it pays.
 * @param seconds after which the best that was found is taken: never worse than what is planned at once
 * @throws {OrderFigureError}
 */
export async function planOrder(problem: OrderProblem, solver: MipSolver = highsSolver, seconds = SECONDS): Promise<OrderPlan> {
  checkOrderProblem(problem);
  const needs = problem.needs.filter((n) => n.quantity > 0);
  const soonestOf = (part: string): number =>
    Math.min(...problem.offers.filter((o) => o.holds.some((h) => h.part === part)).map((o) => o.leadDays));
  const notOffered = needs.filter((n) => soonestOf(n.part) === Infinity).map((n) => n.part);
  const wanted = needs.filter((n) => !notOffered.includes(n.part));
  const within = problem.goal === 'soonest' ? Math.max(0, ...wanted.map((n) => soonestOf(n.part))) : (problem.withinDays ?? Infinity);
  const late = wanted.filter((n) => soonestOf(n.part) > within).map((n) => n.part);
  // what nobody brings in time is ordered where it comes first
  const offers = problem.offers.filter(
    (o) => o.leadDays <= within || o.holds.some((h) => late.includes(h.part) && o.leadDays === soonestOf(h.part)),
  );
  if (wanted.length === 0) return { orders: [], totalMinor: 0, days: 0, proven: true, notOffered, late, left: [] };
  const { mip, levels } = programOf({ ...problem, needs: wanted, offers });
  const answer = await solver.solve(mip, seconds);
  const another = oneMore(problem.goal, offers);
  const proven = answer.status === 'optimal';
  // what the time was too short to prove can be worse than what anybody would order
  const plain = proven ? undefined : firstOrder({ ...problem, needs: wanted, offers }, another);
  if (!hasValues(answer) && !plain) {
    // a least order that cannot be reached: planned without it, and refused in words when it is sent
    if (problem.suppliers.some((s) => s.leastOrderMinor !== undefined)) {
      const suppliers = problem.suppliers.map(({ leastOrderMinor: _, ...rest }) => rest);
      return { ...(await planOrder({ ...problem, suppliers }, solver, seconds)), proven: false };
    }
    return { orders: [], totalMinor: 0, days: 0, proven: false, notOffered: [...notOffered, ...wanted.map((n) => n.part)], late, left: [] };
  }
  const solved = levels.flatMap(({ offer, price, name }): Bought[] => {
    const packs = hasValues(answer) ? Math.round(answer.value(name)) : 0;
    return packs > 0 ? [{ offer, packs, packMinor: price.packMinor }] : [];
  });
  const worth = (list: readonly Bought[]): number => {
    const orders = ordersOf(problem, list);
    return totalOf(orders) + orders.length * another;
  };
  const lines = plain && (!hasValues(answer) || worth(plain) < worth(solved)) ? plain : solved;
  const orders = ordersOf(problem, lines);
  const bought = new Map<string, number>();
  for (const { offer, packs } of lines)
    for (const { part, quantity } of offer.holds) bought.set(part, (bought.get(part) ?? 0) + quantity * packs);
  for (const { part, quantity } of wanted) bought.set(part, (bought.get(part) ?? 0) - quantity);
  return {
    orders,
    totalMinor: totalOf(orders),
    days: Math.max(0, ...orders.map((o) => o.days)),
    proven,
    notOffered,
    late,
    left: [...bought].filter(([, quantity]) => quantity > 1e-9).map(([part, quantity]) => ({ part, quantity })),
  };
}

const totalOf = (orders: readonly SupplierOrder[]): number => orders.reduce((sum, o) => sum + o.goodsMinor + o.carriageMinor, 0);

/** What is bought as one order a supplier, with its carriage. */
function ordersOf({ suppliers }: Pick<OrderProblem, 'suppliers'>, bought: readonly Bought[]): SupplierOrder[] {
  return suppliers.flatMap((supplier): SupplierOrder[] => {
    const own = bought.filter((b) => b.offer.supplier === supplier.id);
    if (own.length === 0) return [];
    const lines = own.map(({ offer, packs, packMinor }) => ({ offer: offer.id, packs, packMinor, totalMinor: packs * packMinor }));
    const goodsMinor = lines.reduce((sum, l) => sum + l.totalMinor, 0);
    const free = supplier.freeFromMinor !== undefined && goodsMinor >= supplier.freeFromMinor;
    return [
      {
        supplier: supplier.id,
        lines,
        goodsMinor,
        carriageMinor: free ? 0 : supplier.carriageMinor,
        days: Math.max(...own.map((b) => b.offer.leadDays)),
      },
    ];
  });
}

/** Where as few suppliers as can be are wanted, one more is dearer than anything that could be saved by it. */
function oneMore(goal: OrderGoal, offers: readonly Offer[]): number {
  return goal === 'fewest' ? offers.reduce((sum, o) => sum + o.prices[0]!.packMinor * 10, 1e6) : 0;
}

/**
 * What each supplier alone would cost, where one alone has everything.
 * @param seconds for all of them together
 */
export async function singleSuppliers(
  problem: OrderProblem,
  solver: MipSolver = highsSolver,
  seconds = SECONDS,
): Promise<{ supplier: string; plan: OrderPlan }[]> {
  const plans: { supplier: string; plan: OrderPlan }[] = [];
  const time = new Deadline(seconds);
  for (const [at, { id }] of problem.suppliers.entries()) {
    const share = time.left() / (problem.suppliers.length - at);
    const own = { ...problem, goal: 'cost' as const, offers: problem.offers.filter((o) => o.supplier === id) };
    const plan = await planOrder(own, solver, share);
    if (plan.notOffered.length === 0 && plan.orders.length > 0) plans.push({ supplier: id, plan });
  }
  return plans.sort((a, b) => a.plan.totalMinor - b.plan.totalMinor);
}

/** One price of one offer, with how many packs are bought at it. */
interface Level {
  readonly offer: Offer;
  readonly price: PriceBreak;
  readonly name: string;
}

/**
 * More than is needed is bought where that reaches a least order, or a free carriage: of that never more than the carriage is worth. A wider bound
 * would be no less right, and take much longer to prove.
 */
function maxPacks(needed: number, packMinor: number, supplier: Supplier | undefined): number {
  if (!supplier || packMinor === 0) return needed;
  const { carriageMinor, leastOrderMinor = 0, freeFromMinor = 0 } = supplier;
  const spared = Math.min(Math.ceil(freeFromMinor / packMinor), needed + Math.ceil(carriageMinor / packMinor));
  return Math.max(needed, Math.ceil(leastOrderMinor / packMinor), spared);
}

function programOf({ needs, offers, suppliers, goal }: OrderProblem): { mip: Mip; levels: Level[] } {
  const levels: Level[] = [];
  const rows: MipRow[] = [];
  const minimise = new Map<string, number>();
  const whole: string[] = [];
  const most = new Map<string, number>();
  offers.forEach((offer, o) => {
    const packs = Math.max(1, ...offer.holds.map((h) => Math.ceil((needs.find((n) => n.part === h.part)?.quantity ?? 0) / h.quantity)));
    const supplier = suppliers.find((s) => s.id === offer.supplier);
    const chosen = new Map<string, number>();
    offer.prices.forEach((price, k) => {
      const [name, at] = [`n${o}_${k}`, `z${o}_${k}`];
      const next = offer.prices[k + 1];
      const until = next ? next.fromPacks - 1 : maxPacks(Math.max(packs, price.fromPacks), price.packMinor, supplier);
      levels.push({ offer, price, name });
      whole.push(name, at);
      most.set(at, 1);
      minimise.set(name, price.packMinor);
      chosen.set(at, 1);
      rows.push({
        name: `lo${o}_${k}`,
        terms: new Map([
          [name, 1],
          [at, -price.fromPacks],
        ]),
        is: '>=',
        than: 0,
      });
      rows.push({
        name: `hi${o}_${k}`,
        terms: new Map([
          [name, 1],
          [at, -until],
        ]),
        is: '<=',
        than: 0,
      });
      rows.push({
        name: `op${o}_${k}`,
        terms: new Map([
          [at, 1],
          [`y${suppliers.findIndex((s) => s.id === offer.supplier)}`, -1],
        ]),
        is: '<=',
        than: 0,
      });
    });
    rows.push({ name: `one${o}`, terms: chosen, is: '<=', than: 1 });
  });
  needs.forEach(({ part, quantity }, i) => {
    const terms = new Map(
      levels.flatMap(({ offer, name }) => {
        const holds = offer.holds.filter((h) => h.part === part).reduce((sum, h) => sum + h.quantity, 0);
        return holds > 0 ? [[name, holds] as const] : [];
      }),
    );
    rows.push({ name: `need${i}`, terms, is: '>=', than: quantity });
  });
  const another = oneMore(goal, offers);
  suppliers.forEach(({ id, carriageMinor, freeFromMinor, leastOrderMinor }, s) => {
    const goods = levels.filter((l) => l.offer.supplier === id).map((l) => [l.name, l.price.packMinor] as const);
    if (goods.length === 0) return;
    whole.push(`y${s}`);
    most.set(`y${s}`, 1);
    minimise.set(`y${s}`, carriageMinor + another);
    if (leastOrderMinor) rows.push({ name: `least${s}`, terms: new Map([...goods, [`y${s}`, -leastOrderMinor]]), is: '>=', than: 0 });
    if (freeFromMinor === undefined || carriageMinor === 0) return;
    whole.push(`f${s}`);
    most.set(`f${s}`, 1);
    minimise.set(`f${s}`, -carriageMinor);
    rows.push({ name: `free${s}`, terms: new Map([...goods, [`f${s}`, -freeFromMinor]]), is: '>=', than: 0 });
    rows.push({
      name: `paid${s}`,
      terms: new Map([
        [`f${s}`, 1],
        [`y${s}`, -1],
      ]),
      is: '<=',
      than: 0,
    });
  });
  return { mip: { minimise, rows, whole, most }, levels };
}

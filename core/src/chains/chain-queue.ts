/** A queue that gives the least first; equals in the order they came (a binary heap). */
export class ChainQueue<T> {
  private readonly items: { readonly item: T; readonly order: number }[] = [];
  private count = 0;

  constructor(private readonly compare: (a: T, b: T) => number) {}

  push(item: T): void {
    const entry = { item, order: this.count++ };
    this.items.push(entry);
    let at = this.items.length - 1;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (!this.before(entry, this.items[parent]!)) break;
      this.items[at] = this.items[parent]!;
      at = parent;
    }
    this.items[at] = entry;
  }

  shift(): T | undefined {
    const first = this.items[0];
    const last = this.items.pop();
    if (first && last && first !== last) this.sink(last);
    return first?.item;
  }

  private sink(entry: { readonly item: T; readonly order: number }): void {
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= this.items.length) break;
      if (child + 1 < this.items.length && this.before(this.items[child + 1]!, this.items[child]!)) child += 1;
      if (!this.before(this.items[child]!, entry)) break;
      this.items[at] = this.items[child]!;
      at = child;
    }
    this.items[at] = entry;
  }

  private before(a: { item: T; order: number }, b: { item: T; order: number }): boolean {
    const order = this.compare(a.item, b.item);
    return order < 0 || (order === 0 && a.order < b.order);
  }
}

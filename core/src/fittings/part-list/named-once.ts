import { folded } from '../../schema/index.js';

/** What a part is known by. */
interface Named {
  readonly id: string;
  readonly code?: string | undefined;
  readonly name: string;
}

/** Sees to it that the lines of a list name no id and no code twice, and none that another part of the catalogue has. */
export class NamedOnce<P extends Named> {
  private readonly byId: ReadonlyMap<string, P>;
  private readonly byFoldedId: ReadonlyMap<string, P>;
  private readonly byCode: ReadonlyMap<string, P>;
  private readonly lineOf = new Map<string, number>();

  constructor(known: readonly P[]) {
    this.byId = new Map(known.map((part) => [part.id, part]));
    this.byFoldedId = new Map(known.map((part) => [folded(part.id), part]));
    this.byCode = new Map(known.flatMap((part) => (part.code ? [[folded(part.code), part] as const] : [])));
  }

  /** The part of the catalogue that a line means: by its very id, or by its code. */
  meant({ id, code }: { readonly id?: string | undefined; readonly code?: string | undefined }): P | undefined {
    return (id ? this.byId.get(id) : undefined) ?? (code ? this.byCode.get(folded(code)) : undefined);
  }

  /** What is wrong with the id and the code of the part of a line, by column. `known` says that the catalogue has it. */
  problems(line: number, part: Named, known: boolean): { readonly column: string; readonly message: string }[] {
    const problems: { column: string; message: string }[] = [];
    for (const column of ['id', 'code'] as const) {
      const value = part[column];
      if (value === undefined) continue;
      const key = `${column} ${folded(value)}`;
      const before = this.lineOf.get(key);
      if (before === undefined) this.lineOf.set(key, line);
      else problems.push({ column, message: `The ${column} "${value}" is on line ${before} already.` });
    }
    const taken = known ? undefined : this.byFoldedId.get(folded(part.id));
    if (taken)
      problems.push({
        column: 'id',
        message: `The catalogue has "${taken.id}" already (${taken.name}): name its id or code to change it, or give this one a code of its own.`,
      });
    const owner = part.code ? this.byCode.get(folded(part.code)) : undefined;
    if (owner && owner.id !== part.id) problems.push({ column: 'code', message: `The code "${part.code}" belongs to ${owner.name}.` });
    return problems;
  }
}

/** The same shape, to be read only, all the way down. */
export type Frozen<T> = unknown extends T
  ? T
  : T extends string | number | boolean | null | undefined
    ? T
    : T extends readonly (infer E)[]
      ? readonly Frozen<E>[]
      : { readonly [K in keyof T]: Frozen<T[K]> };

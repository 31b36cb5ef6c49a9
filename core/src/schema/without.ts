/** The properties of a schema less some of them. */
export const without = <T extends object, K extends keyof T>(properties: T, ...names: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(properties).filter(([name]) => !names.includes(name as K))) as Omit<T, K>;

/** Reads a pipe or hose size such as `1/8`, `1 1/4` or `2` as a number. @throws {RangeError} when it is none. */
export function fractionToNumber(text: string): number {
  const match = /^(?:(\d+)\s+)?(\d+)\/(\d+)$|^(\d+(?:\.\d+)?)$/.exec(text.trim());
  if (!match || match[3] === '0') throw new RangeError(`"${text}" is not a fraction`);
  if (match[4] !== undefined) return Number(match[4]);
  return Number(match[1] ?? 0) + Number(match[2]) / Number(match[3]);
}

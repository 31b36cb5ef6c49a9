import type { Checked } from './line-schema.js';

/** Under what a check notes the port at one end of a line. */
export function portDigestKey(side: 'A' | 'B'): string {
  return `port ${side}`;
}

/** A line that was taken to another port was not checked there, whatever that port is. */
export function portMoved(checked: Checked, sides: readonly ('A' | 'B')[]): Checked {
  return { ...checked, digest: { ...checked.digest, ...Object.fromEntries(sides.map((side) => [portDigestKey(side), 'moved'])) } };
}

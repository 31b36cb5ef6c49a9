import type { ThreadSystem } from '@gewinde/core';

/** How a system's strokes stand on the map, as a path about the stroke's middle; told apart without colour. */
export const threadMarks: Readonly<Record<ThreadSystem, string>> = {
  metric: 'M0-5V5',
  UN: 'M-1.5-5V5M1.5-5V5',
  NPT: 'M-2.5 5L2.5-5',
  NPTF: 'M-2.5 5L2.5-5',
  NPSM: 'M0-5V5M-3-5H3',
  R: 'M-2.5 5L2.5-5M-5 5H0',
  Rc: 'M-2.5 5L2.5-5M-5 5H0',
  Rp: 'M0-5V5M-3 5H3',
  G: 'M0-5V5M-3 5H3',
  keg: 'M-2.5 5L2.5-5M0-5H5',
};

/** The systems in the legend, in the order of the trade. */
export const legend: readonly { readonly systems: readonly ThreadSystem[]; readonly name: string }[] = [
  { systems: ['metric'], name: 'metric' },
  { systems: ['UN'], name: 'inch' },
  { systems: ['NPT', 'NPTF'], name: 'NPT' },
  { systems: ['NPSM'], name: 'NPSM' },
  { systems: ['R', 'Rc'], name: 'R' },
  { systems: ['G', 'Rp'], name: 'G' },
  { systems: ['keg'], name: 'keg' },
];

/** A designation without its pitch, which the row already tells: `M14`, `9/16`, `NPT 1/4`. */
export function shortName(designation: string): string {
  const pipe = /^(.+)-[\d.]+ (NPTF?|NPSM)$/.exec(designation);
  if (pipe) return `${pipe[2]} ${pipe[1]}`;
  return designation.replace(/×[\d.]+/, '').replace(/-[\d.]+ UN\w*$/, '');
}

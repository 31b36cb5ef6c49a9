/** `Turbo 2` after `Turbo`, `Turbo 3` after `Turbo 2`; never longer than a name may be. */
export function freeName(name: string, taken: readonly string[]): string {
  const stem = [...name.replace(/ \d+$/, '')].slice(0, 74).join('');
  for (let n = 2; ; n++) if (!taken.includes(`${stem} ${n}`)) return `${stem} ${n}`;
}

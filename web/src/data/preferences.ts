import { effect, Injectable, signal } from '@angular/core';
import type { UnitSystem } from '@gewinde/core';

type Theme = 'light' | 'dark';

/** What this browser likes: theme and house units. */
@Injectable({ providedIn: 'root' })
export class Preferences {
  readonly theme = signal<Theme>(
    read('theme', ['light', 'dark']) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'),
  );
  readonly system = signal<UnitSystem>(read('units', ['metric', 'inch']) ?? 'metric');
  /** Who stands at the bench: on what is cut, moved and received. */
  readonly initials = signal((localStorage.getItem('gewinde.initials') ?? '').slice(0, 12));

  constructor() {
    effect(() => {
      document.documentElement.dataset['theme'] = this.theme();
      localStorage.setItem('gewinde.theme', this.theme());
    });
    effect(() => localStorage.setItem('gewinde.units', this.system()));
    effect(() => localStorage.setItem('gewinde.initials', this.initials()));
  }

  swapTheme(): void {
    this.theme.update((t) => (t === 'light' ? 'dark' : 'light'));
  }

  swapUnits(): void {
    this.system.update((s) => (s === 'metric' ? 'inch' : 'metric'));
  }
}

function read<T extends string>(name: string, allowed: readonly T[]): T | undefined {
  const kept = localStorage.getItem(`gewinde.${name}`);
  return allowed.find((value) => value === kept);
}

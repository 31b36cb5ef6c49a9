import type { Change } from './change.js';
import type { SoundName } from './set-ups.js';

/** A job that a rule has nothing against, and the one change after which it has. */
export interface Example {
  readonly sound: SoundName;
  readonly breaks: Change;
  /** What is made wrong, in a few words. */
  readonly words: string;
}

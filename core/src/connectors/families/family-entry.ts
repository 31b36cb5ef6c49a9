import type { Thread } from '../../threads/index.js';

export type SizeKind = 'dash' | 'pipe' | 'metric' | 'inch' | 'bore' | 'bolt' | 'flange' | 'inner';

/** How the metal of an end looks; the drawings and the stack lengths go by it. */
export type EndShape = 'flare' | 'boss' | 'stud' | 'taper' | 'banjo' | 'post' | 'flange' | 'spigot' | 'coupling' | 'hole' | 'inner';

/** Everything the app knows about a connector family in one entry; notation, words, mating and the guide all read it. */
export interface Family {
  readonly id: string;
  /** As it reads in a sentence: `37° flare`. */
  readonly name: string;
  readonly sizeKind: SizeKind;
  readonly sizes: readonly string[];
  /** Words that name the family when typed; the first is the canonical one. */
  readonly words: readonly string[];
  /** The canonical word of its female end, where that has a name of its own. */
  readonly femaleWord?: string;
  /** Seats it may have; empty where there is only one way to seal. */
  readonly seats: readonly string[];
  /** The seat that is meant when none is named, and is not written. */
  readonly plainSeat?: string;
  /** Which of the seats each size may have, where that differs. */
  readonly seatsOf?: (size: string) => readonly string[];
  readonly genders: readonly ('male' | 'female')[];
  /** The gender meant when none is typed. */
  readonly plainGender?: 'male' | 'female';
  readonly maySwivel: boolean;
  /** The seats a swivel nut may have, where not all of them. */
  readonly swivelSeats?: readonly string[];
  readonly shape: EndShape;
  /** Half angle of the cone it seals on, where it has one. */
  readonly coneHalfAngleDeg?: number;
  readonly thread: (size: string, gender: 'male' | 'female') => Thread | undefined;
  /** What it seals on, in a few words, for each seat. */
  readonly sealsOn: (gender: 'male' | 'female', seat: string | undefined, swivel: boolean) => string;
  readonly standard: string;
  /** Where it is met. */
  readonly usedFor: string;
}

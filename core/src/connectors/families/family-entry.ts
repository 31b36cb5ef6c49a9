import type { Thread } from '../../threads/index.js';
import type { Connector } from '../connector-schema.js';

export type SizeKind = 'dash' | 'pipe' | 'metric' | 'inch' | 'bore' | 'bolt' | 'flange' | 'inner' | 'land';

/** How the metal of an end looks; the drawings and the stack lengths go by it. */
export type EndShape =
  | 'flare'
  | 'boss'
  | 'stud'
  | 'taper'
  | 'banjo'
  | 'post'
  | 'flange'
  | 'face'
  | 'ridged'
  | 'beaded'
  | 'spigot'
  | 'coupling'
  | 'hole'
  | 'inner';

/** Everything the app knows about a connector family in one entry; notation, words, mating and the guide all read it. */
export interface Family {
  readonly id: string;
  /** As it reads in a sentence: `37° flare`. */
  readonly name: string;
  readonly sizeKind: SizeKind;
  readonly sizes: readonly string[];
  /** Sizes beside those listed that can be made all the same. */
  readonly makes?: (size: string) => boolean;
  /** Words that name the family when typed; the first is the canonical one. */
  readonly words: readonly string[];
  /** The canonical word of its female end, where that has a name of its own. */
  readonly femaleWord?: string;
  /** Words that say the gender by themselves, and are written instead of it. */
  readonly genderWords?: Readonly<Record<'male' | 'female', string>>;
  /** What is asked, and how to answer, where the gender is not said; `male or female` where there is nothing here. */
  readonly genderQuestion?: readonly [question: string, hint: string];
  /** What to type instead, where the only gender it has was contradicted. */
  readonly otherGender?: (size: string) => string;
  /** What its dash size is written after: `an`. */
  readonly dashHead?: string;
  /** Its size alone names it: `m14x1.5 f`. */
  readonly namedBySize?: true;
  /** Its name with its size (as read aloud) and gender, where it is not family, size, gender. */
  readonly inWords?: (size: string, gender: 'male' | 'female') => string;
  /** Seats it may have; empty where there is only one way to seal. */
  readonly seats: readonly string[];
  /** The seat that is meant when none is named, and is not written. */
  readonly plainSeat?: string;
  /** Which of the seats each size may have, where that differs. */
  readonly seatsOf?: (size: string, gender: 'male' | 'female') => readonly string[];
  readonly genders: readonly ('male' | 'female')[];
  /** The gender meant when none is typed. */
  readonly plainGender?: 'male' | 'female';
  /** Its female nut may turn on its cone. */
  readonly maySwivel: boolean;
  /** Its male may turn in its own body, as that of a hose end does. */
  readonly maleTurns?: true;
  /** What goes on its male usually has a swivel nut. */
  readonly usuallySwivels?: true;
  /** The seats a swivel nut may have, where not all of them. */
  readonly swivelSeats?: readonly string[];
  readonly shape: EndShape;
  /** Its female end has another shape. */
  readonly femaleShape?: EndShape;
  /** Where it says the land a gasket lies on: in its size, or as the seat round its thread. */
  readonly land?: 'size' | 'seat';
  /** Lies flat on its partner, and is held by bolts: neither gender goes into the other. */
  readonly flat?: true;
  /** Another family may be named beside it: `bulkhead an10`. */
  readonly wraps?: true;
  /** Welded in, it is met on a bung. */
  readonly onBungs?: true;
  /** Met as another connector is, so that it adds nothing to a table of what joins what. */
  readonly metAsAnother?: true;
  /** Is another connector, named by its size, on a piece that is welded in. */
  readonly carries?: true;
  /** Can be aimed before it is tight, as a swivel nut can. */
  readonly aims?: true;
  /** The mouth of its hole is chamfered for a ring, where it seals on one. */
  readonly chamfered?: true;
  /** Comes apart in two halves that shut themselves. */
  readonly comesApart?: true;
  /** Only known here so that it is not taken for something else. */
  readonly recognisedOnly?: true;
  /** What it usually meets, where that is not of its own family. */
  readonly partners?: readonly Partial<Connector>[];
  /** Its ends have the dimensions of SAE J514 pipe ends. */
  readonly americanEnds?: true;
  /** Why its thread alone does not seal, whatever it meets. */
  readonly threadAlone?: string;
  /** Half angle of the cone it seals on, where it has one. */
  readonly coneHalfAngleDeg?: number;
  readonly thread: (size: string, gender: 'male' | 'female') => Thread | undefined;
  /** What it seals on, in a few words, for each seat. */
  readonly sealsOn: (gender: 'male' | 'female', seat: string | undefined, swivel: boolean) => string;
  readonly standard: string;
  /** Where it is met. */
  readonly usedFor: string;
}

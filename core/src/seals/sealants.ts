/** Where on an engine a thread is sealed. */
export type SealantPlace = 'general' | 'turbo feed' | 'fuel' | 'coolant' | 'parallel or cone';

export interface Sealant {
  readonly place: SealantPlace;
  /** What the house takes unless its rules say otherwise. */
  readonly use: string;
  readonly why: string;
  /** What other shops do. */
  readonly otherSchool?: string;
}

/** Sealant by place. Source: common practice; the sealant maker's temperatures and cure times go first. */
export const sealants: readonly Sealant[] = [
  {
    place: 'general',
    use: 'liquid thread sealant with PTFE, on the male, first two threads bare',
    why: 'Nothing can shred into the oil.',
    otherSchool: 'PTFE tape, two turns in the direction of the thread, first two threads bare.',
  },
  {
    place: 'turbo feed',
    use: 'none; a liquid sealant only after a real leak',
    why: 'A shred of tape stops the restrictor and the bearing runs dry.',
    otherSchool: 'A trace of liquid sealant from the third thread on.',
  },
  {
    place: 'fuel',
    use: 'liquid thread sealant rated for fuel',
    why: 'Tape frays into injectors; many pastes dissolve in petrol and alcohol.',
  },
  { place: 'coolant', use: 'liquid thread sealant or tape', why: 'Either holds at coolant temperatures and pressures.' },
  {
    place: 'parallel or cone',
    use: 'none; dry, or a drop of oil for assembly',
    why: 'The thread does not seal here; sealant keeps the faces apart and comes loose.',
  },
];

import type { Line, Piece } from '../job/index.js';

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** `not said: ball or journal bearings`: what is missing, as a sentence. */
export function notSaid(words: string): string {
  return `Not said: ${words.charAt(0).toLowerCase()}${words.slice(1)}.`;
}

/** `The hose`, or `Hose 2` where there are several. */
export function hoseName({ pieces }: Line, piece: Piece): string {
  return pieces.length > 1 ? `Hose ${pieces.indexOf(piece) + 1}` : 'The hose';
}

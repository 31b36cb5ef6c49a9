/** A text as it is compared: without case, accents and blanks at the end, as the database tells ids and codes apart. */
export function folded(text: string): string {
  // most texts have no sign that could be taken apart
  return (isPlain.test(text) ? text : text.normalize('NFKD').replace(/\p{M}/gu, '')).toLowerCase().trimEnd();
}

const isPlain = /^[ -~]*$/;

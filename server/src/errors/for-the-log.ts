/** So many letters of one thing are kept. */
const MOST = 600;

/** A fault as the log keeps it: what it is and where, never the whole of a statement or of what was sent. */
export function forTheLog(thrown: unknown): {
  readonly type: string;
  readonly message: string;
  readonly stack: string;
  readonly code?: unknown;
} {
  if (!(thrown instanceof Error)) return { type: typeof thrown, message: short(String(thrown)), stack: '' };
  const { code } = thrown as { code?: unknown };
  // the message stands at the head of the stack again, whole
  const at = (thrown.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    type: thrown.name,
    message: short(thrown.message),
    stack: short(at.slice(0, 12).join('\n'), MOST * 4),
    ...(code === undefined ? {} : { code }),
  };
}

function short(text: string, most = MOST): string {
  return text.length > most ? `${text.slice(0, most * 0.7)} … ${text.length - most} letters left out … ${text.slice(-most * 0.3)}` : text;
}

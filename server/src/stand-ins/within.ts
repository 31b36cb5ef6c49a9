/** Something outside that did not do what it was asked for, in words for whoever waits for it. */
export class OutsideError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'OutsideError';
  }
}

/**
 * Asks something outside and waits so long for it, ms, whether it heeds the signal or not.
 * @throws {OutsideError} where no answer comes in time, or it fails in its own way
 */
export async function within<T>(ms: number, ask: (signal: AbortSignal) => Promise<T>): Promise<T> {
  const ended = new AbortController();
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => {
      ended.abort();
      reject(new OutsideError(`no answer came within ${Math.round(ms / 100) / 10} s`));
    }, ms);
  });
  try {
    return await Promise.race([ask(ended.signal), late]);
  } catch (error) {
    if (error instanceof OutsideError) throw error;
    throw new OutsideError(`it failed: ${(error instanceof Error ? error.message : String(error)).slice(0, 120)}`);
  } finally {
    clearTimeout(timer);
  }
}

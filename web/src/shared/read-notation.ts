import type { AbstractControl, ValidationErrors } from '@angular/forms';
import { ConnectorSyntaxError, parseConnector, parsePortThread, type Connector, type PortThread } from '@gewinde/core';

/** What a notation says, or what is wrong with it. */
export function readNotation(text: string): { readonly connector: Connector | null; readonly error: ConnectorSyntaxError | null } {
  const { read, error } = reading(() => parseConnector(text));
  return { connector: read, error };
}

/** What is known of a port's thread, or what is wrong with what is typed of it. */
export function readPortThread(text: string): { readonly thread: PortThread | null; readonly error: ConnectorSyntaxError | null } {
  const { read, error } = reading(() => parsePortThread(text));
  return { thread: read, error };
}

function reading<T>(read: () => T): { readonly read: T | null; readonly error: ConnectorSyntaxError | null } {
  try {
    return { read: read(), error: null };
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return { read: null, error };
    throw error;
  }
}

/** An end that may be left empty; what is wrong with it is said, with a suggestion where there is one. */
export function endNotation({ value }: AbstractControl<string>): ValidationErrors | null {
  const { error } = value.trim() === '' ? { error: null } : readNotation(value);
  return error && { said: `${error.message} ${error.advice}` };
}

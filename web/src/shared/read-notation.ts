import type { AbstractControl, ValidationErrors } from '@angular/forms';
import { ConnectorSyntaxError, parseConnector, type Connector } from '@gewinde/core';

/** What a notation says, or what is wrong with it. */
export function readNotation(text: string): { readonly connector: Connector | null; readonly error: ConnectorSyntaxError | null } {
  try {
    return { connector: parseConnector(text), error: null };
  } catch (error) {
    if (error instanceof ConnectorSyntaxError) return { connector: null, error };
    throw error;
  }
}

/** An end that may be left empty; what is wrong with it is said, with a suggestion where there is one. */
export function endNotation({ value }: AbstractControl<string>): ValidationErrors | null {
  const { error } = value.trim() === '' ? { error: null } : readNotation(value);
  return error && { said: `${error.message} ${error.suggestion ? `Did you mean "${error.suggestion}"?` : error.hint}` };
}

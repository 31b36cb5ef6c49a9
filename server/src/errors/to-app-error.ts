import {
  CommandError,
  ConnectorSyntaxError,
  JobFileError,
  limitProblem,
  UnknownThreadError,
  wordsProblem,
  type ErrorBody,
} from '@gewinde/core';
import { isAway, tookTooLong } from './away.js';
import { AppError, errorCatalogue } from './app-error.js';

interface Thrown {
  readonly code?: unknown;
  readonly statusCode?: number;
  readonly message?: string;
  readonly name?: string;
  readonly validation?: readonly { instancePath: string; message?: string; keyword: string; params: Record<string, unknown> }[];
  readonly validationContext?: string;
}

/** Maps whatever was thrown to an error of the catalogue: the one place where that happens. */
export function toAppError(thrown: unknown): AppError {
  if (thrown instanceof AppError) return thrown;
  if (thrown instanceof ConnectorSyntaxError) {
    const { position, length, hint, suggestion } = thrown;
    return new AppError('connector-syntax', `${thrown.message} ${hint}`, {
      field: 'notation',
      position,
      length,
      hint,
      ...(suggestion ? { suggestion } : {}),
    });
  }
  if (thrown instanceof CommandError) {
    const { code, message, field, current } = thrown;
    return new AppError(code, message, { ...(field ? { field } : {}), ...(current ? { current } : {}) });
  }
  if (thrown instanceof UnknownThreadError) return new AppError('unknown-thread', thrown.message, { field: 'answer' });
  if (thrown instanceof JobFileError) return new AppError(thrown.code, thrown.message, thrown.field ? { field: thrown.field } : {});
  const error = thrown as Thrown;
  if (error.validation) return validationError(error);
  if (isAway(thrown)) return new AppError('database-away');
  if (tookTooLong(thrown)) return new AppError('database-busy');
  if (error.code === 'ER_LOCK_DEADLOCK' || error.code === 'ER_LOCK_WAIT_TIMEOUT') return new AppError('database-busy');
  if (error.code === 'FST_ERR_CTP_BODY_TOO_LARGE') return new AppError('too-large');
  if (error.statusCode === 429) return new AppError('too-many-requests');
  if (error.statusCode === 404) return new AppError('not-found');
  if (error.statusCode !== undefined && error.statusCode >= 400 && error.statusCode < 500)
    return new AppError('bad-request', error.message);
  if (thrown instanceof RangeError && /call stack/i.test(thrown.message))
    return new AppError('bad-request', 'The request is nested too deeply to be read. Nothing was changed.');
  return new AppError('internal');
}

function validationError({ validation, validationContext }: Thrown): AppError {
  const first = validation![0]!;
  const path = first.instancePath.replace(/^\//, '');
  const missing = first.keyword === 'required' ? String(first.params['missingProperty']) : '';
  const unknown = first.keyword === 'additionalProperties' ? String(first.params['additionalProperty']) : '';
  const field = [path, missing || unknown].filter(Boolean).join('/');
  const problem = missing
    ? 'is missing'
    : unknown
      ? 'is not known here'
      : (wordsProblem(first.params['pattern']) ?? limitProblem(first.keyword, first.params) ?? first.message ?? 'is not valid');
  return new AppError('bad-value', `${field || (validationContext ?? 'request')} ${problem}.`, field ? { field } : {});
}

/** The body of an error answer. */
export function errorBody(error: AppError): ErrorBody {
  return { code: error.code, message: error.message || errorCatalogue[error.code].message, ...error.details };
}

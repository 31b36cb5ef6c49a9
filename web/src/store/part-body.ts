import { type AbstractControl, FormArray, FormControl, FormGroup, type ValidationErrors } from '@angular/forms';
import {
  commonBody,
  formatPassages,
  formatPlaces,
  MOST_ENDS,
  readPassages,
  readPlaces,
  type Body,
  type Connector,
  type FittingKindId,
} from '@gewinde/core';
import { compact, length, text } from './part-fields';

export const ENDS = Array.from({ length: MOST_ENDS }, (_, i) => i);
/** What a list would take: the same words. */
const readable =
  (parse: (text: string) => unknown) =>
  ({ value }: AbstractControl<string>): ValidationErrors | null => {
    try {
      parse(value);
      return null;
    } catch (error) {
      return { said: (error as Error).message };
    }
  };

/** The fields of a body: what is left empty follows from the ends. */
export function bodyGroup() {
  return new FormGroup({
    shape: new FormControl<Body['shape'] | null>(null),
    acrossMm: length(),
    heightMm: length(),
    places: new FormArray(ENDS.map(() => text(readable(readPlaces)))),
    passages: text(readable(readPassages)),
    opensC: new FormControl<number | null>(null),
    fullOpenC: new FormControl<number | null>(null),
  });
}
type SaidBody = ReturnType<ReturnType<typeof bodyGroup>['getRawValue']>;

/** A body as its fields say it. */
export function bodyAsSaid(body: Body | undefined): SaidBody {
  return {
    shape: body?.shape ?? null,
    acrossMm: body?.acrossMm ?? null,
    heightMm: body?.heightMm ?? null,
    places: ENDS.map((i) => (body?.places[i] ? formatPlaces([body.places[i]]) : '')),
    passages: body ? formatPassages(body.passages) : '',
    opensC: body?.opensC ?? null,
    fullOpenC: body?.fullOpenC ?? null,
  };
}

/** What was said of a body. Where some ends have their place and others not, those are as usual. */
export function givenBody(said: SaidBody, ends: readonly Connector[], kind: FittingKindId): Partial<Body> {
  const parsed = ends.map((_, i) => attempt(() => readPlaces(said.places[i]!)[0]));
  const usual = commonBody(ends, kind).places;
  const passages = said.passages.trim() === '' ? undefined : attempt(() => readPassages(said.passages));
  return compact<Body>({
    shape: said.shape ?? undefined,
    acrossMm: said.acrossMm || undefined,
    heightMm: said.heightMm || undefined,
    places: parsed.some((place) => place) ? parsed.map((place, i) => place ?? usual[i]!) : undefined,
    passages,
    opensC: said.opensC ?? undefined,
    fullOpenC: said.fullOpenC ?? undefined,
  });
}

/** What cannot be read is told at its field; the drawing does without it. */
function attempt<T>(read: () => T): T | undefined {
  try {
    return read();
  } catch {
    return undefined;
  }
}

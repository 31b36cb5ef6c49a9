import { inject, Injectable } from '@angular/core';
import { jobContracts, type AnswerOf } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { v4 as uuid } from 'uuid';
import { Api } from '../data/api';
import { readTextFile } from '../shared/read-text-file';

/** Where a part of the file is another than ours of its name. */
export type OtherParts = 'ours' | 'theirs';

/** Takes in job files. A file whose answer was lost is known again when it is chosen once more: it comes in once. */
@Injectable({ providedIn: 'root' })
export class TakeInJob {
  private readonly api = inject(Api);
  private readonly keys = new Map<string, string>();

  /** @throws {ApiError} `parts-differ` where somebody has to say whose parts are meant */
  async take(file: File, parts?: OtherParts): Promise<AnswerOf<typeof jobContracts.importJob>> {
    const name = `${file.name} ${file.size} ${file.lastModified}`;
    const key = this.keys.get(name) ?? uuid();
    this.keys.set(name, key);
    const body = parseFile(await readTextFile(file));
    const taken = await firstValueFrom(this.api.call(jobContracts.importJob, { query: { key, ...(parts ? { parts } : {}) }, body }));
    // chosen once more after it has come in, a copy is meant
    this.keys.delete(name);
    return taken;
  }
}

function parseFile(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Error(`this is not JSON: ${(error as Error).message}.`);
  }
}

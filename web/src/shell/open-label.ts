import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { jobContracts, readLabelCode } from '@gewinde/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../data/api';
import { JobStore } from '../data/job-store';
import { Messages } from '../data/messages';

/** A scanner that stops in the middle of a code is given up after so long, ms. */
const SILENCE_MS = 1500;

/** Labels as a scanner types them: what follows the first sign of a code, up to Enter, opens its line. */
@Injectable({ providedIn: 'root' })
export class OpenLabel {
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly store = inject(JobStore);
  private readonly messages = inject(Messages);
  private read: string | null = null;
  private last = 0;

  /** @returns whether the key belongs to a code that is being scanned */
  takes({ key, ctrlKey, metaKey, altKey }: KeyboardEvent, now = Date.now()): boolean {
    if (this.read !== null && now - this.last > SILENCE_MS) this.read = null;
    this.last = now;
    if (this.read === null) {
      if (key !== '#' || ctrlKey || metaKey) return false;
      this.read = '#';
      return true;
    }
    if (key === 'Enter') {
      const text = this.read;
      this.read = null;
      void this.open(text);
    } else if (key === 'Escape') this.read = null;
    else if (key.length === 1 && !altKey) this.read += key;
    return true;
  }

  /** The line of a label, in whichever job; says so where there is none. */
  async open(text: string): Promise<boolean> {
    const label = readLabelCode(text);
    if (!label) {
      this.messages.fault(new Error(`"${text}" is no label of this app.`));
      return false;
    }
    try {
      const document = await this.documentOf(label.job);
      const line = document?.lines.find((l) => l.number === label.line);
      if (!document || !line) throw new Error(`There is no line ${label.job}-L${label.line}, or no longer.`);
      return await this.router.navigate(['/job', document.job.id, 'lines', line.id]);
    } catch (error) {
      this.messages.fault(error);
      return false;
    }
  }

  private async documentOf(number: string) {
    const here = this.store.document();
    if (here?.job.number.toLowerCase() === number.toLowerCase()) return here;
    const { jobs } = await firstValueFrom(this.api.call(jobContracts.listJobs, { query: { number } }));
    const job = jobs[0]?.job;
    return job && (await firstValueFrom(this.api.call(jobContracts.readJob, { params: { id: job.id } }))).document;
  }
}

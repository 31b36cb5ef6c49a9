import { inject, Injectable } from '@angular/core';
import { NgbModal } from '@ng-bootstrap/ng-bootstrap';
import type { Finding } from '@gewinde/core';
import { JobStore } from '../data/job-store';

/** Accepts findings with initials and a reason, and takes that back. */
@Injectable({ providedIn: 'root' })
export class Accepting {
  private readonly store = inject(JobStore);
  private readonly modal = inject(NgbModal);

  async ask(finding: Finding): Promise<void> {
    const { AcceptDialog } = await import('./accept-dialog');
    const dialog = this.modal.open(AcceptDialog, { ariaLabelledBy: 'accept-title' });
    (dialog.componentInstance as InstanceType<typeof AcceptDialog>).finding.set(finding);
  }

  withdraw({ accepted }: Finding): void {
    if (!accepted) return;
    const { rule, at } = accepted;
    this.store.attempt(() => this.store.change({ do: 'withdraw-acceptance', rule, at }), 'No longer accepted');
  }
}

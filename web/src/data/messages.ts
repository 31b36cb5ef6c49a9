import { Injectable } from '@angular/core';
import { Subject } from 'rxjs';

export interface Message {
  readonly text: string;
  readonly tone: 'plain' | 'error';
  /** Offers to take back what it tells of. */
  readonly undo?: boolean;
  /** The change that it tells of, by its key. */
  readonly of?: string;
  /** What may be done about it, instead. */
  readonly action?: { readonly label: string; readonly run: () => void };
}

/** What has happened, said once. */
@Injectable({ providedIn: 'root' })
export class Messages {
  private readonly said = new Subject<Message>();
  readonly said$ = this.said.asObservable();

  tell(text: string, more: Partial<Message> = {}): void {
    this.said.next({ text, tone: 'plain', ...more });
  }

  /** Shows an error where no field can show it. */
  fault(error: unknown): void {
    this.said.next({ text: error instanceof Error ? error.message : String(error), tone: 'error' });
  }
}

import { Injectable } from '@angular/core';
import { v4 as uuid } from 'uuid';

const MOST_SEATS = 50;
const HERE = 'gewinde.seat';

/**
 * Which tab of this browser this is. A seat is held while its tab is open; a new tab takes the first free one, so that what was left
 * unsent, and what can be undone, is there again tomorrow. A reload keeps its seat, and a copy of a tab gets one of its own.
 */
@Injectable({ providedIn: 'root' })
export class Seat {
  private seat = uuid();
  /** The seats of this browser that no tab holds just now; none where the browser does not tell. */
  private free: readonly string[] = [];

  get id(): string {
    return this.seat;
  }

  get left(): readonly string[] {
    return this.free;
  }

  /** Takes a seat. Without it, or where the browser has no locks, the tab is nobody in particular. */
  async take(): Promise<void> {
    // not every browser has them, whatever the types say, and none outside loopback and https
    const locks = navigator.locks as LockManager | undefined;
    if (!locks) return;
    const known = readSeats();
    const mine = sessionStorage.getItem(HERE);
    for (const seat of [...(mine ? [mine] : []), ...known.filter((s) => s !== mine), this.seat])
      if (await hold(locks, seat)) {
        this.seat = seat;
        break;
      }
    sessionStorage.setItem(HERE, this.seat);
    localStorage.setItem(HERE, JSON.stringify([...new Set([...known, this.seat])].slice(-MOST_SEATS)));
    const held = new Set(((await locks.query()).held ?? []).map((lock) => lock.name));
    this.free = known.filter((seat) => !held.has(lockOf(seat)));
  }
}

function lockOf(seat: string): string {
  return `${HERE}.${seat}`;
}

/** Holds the seat until the tab is closed; false where another tab has it. */
function hold(locks: LockManager, seat: string): Promise<boolean> {
  return new Promise((resolve) => {
    void locks.request(lockOf(seat), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
  });
}

function readSeats(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(HERE) ?? '[]');
    return Array.isArray(kept) ? kept.filter((seat): seat is string => typeof seat === 'string' && /^[\w-]{1,40}$/.test(seat)) : [];
  } catch {
    return [];
  }
}

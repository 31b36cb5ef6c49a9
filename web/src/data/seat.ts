import { Injectable } from '@angular/core';
import { v4 as uuid } from 'uuid';
import { heldByAsking, heldByLocks, type HoldSeat } from './hold-seat';

const MOST_SEATS = 50;
const HERE = 'gewinde.seat';

/**
 * Which tab of this browser this is. A seat is held while its tab is open; a new tab takes the first free one, so that what was left
 * unsent, and what can be undone, is there again tomorrow. A reload keeps its seat, and a copy of a tab gets one of its own.
 */
@Injectable({ providedIn: 'root' })
export class Seat {
  private seat = uuid();
  /** The seats of this browser that no tab holds just now. */
  private free: readonly string[] = [];

  get id(): string {
    return this.seat;
  }

  get left(): readonly string[] {
    return this.free;
  }

  /** Takes a seat: by locks, and where the browser has none (they are for loopback and https) by asking the other tabs. */
  async take(): Promise<void> {
    const seats: HoldSeat = heldByLocks(HERE) ?? heldByAsking(HERE);
    const known = readSeats();
    const mine = sessionStorage.getItem(HERE);
    for (const seat of [...(mine ? [mine] : []), ...known.filter((s) => s !== mine), this.seat])
      if (await seats.hold(seat)) {
        this.seat = seat;
        break;
      }
    sessionStorage.setItem(HERE, this.seat);
    localStorage.setItem(HERE, JSON.stringify([...new Set([...known, this.seat])].slice(-MOST_SEATS)));
    const held = await seats.held();
    this.free = known.filter((seat) => seat !== this.seat && !held.has(seat));
  }
}

function readSeats(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(HERE) ?? '[]');
    return Array.isArray(kept) ? kept.filter((seat): seat is string => typeof seat === 'string' && /^[\w-]{1,40}$/.test(seat)) : [];
  } catch {
    return [];
  }
}

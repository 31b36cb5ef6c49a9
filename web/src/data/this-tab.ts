import { Injectable } from '@angular/core';
import { v4 as uuid } from 'uuid';
import { heldByAsking, heldByLocks, type HoldTab } from './hold-tab';

const MOST_TABS = 50;
const HERE = 'gewinde.seat';

/**
 * Which tab of this browser this is, by its id. An id is held while its tab is open; a new tab takes the first free one, so that what was
 * left unsent, and what can be undone, is there again tomorrow. A reload keeps its id, and a copy of a tab gets one of its own.
 */
@Injectable({ providedIn: 'root' })
export class ThisTab {
  private tab = uuid();
  /** The ids of this browser that no tab holds just now. */
  private free: readonly string[] = [];

  get id(): string {
    return this.tab;
  }

  get left(): readonly string[] {
    return this.free;
  }

  /** Takes an id: by locks, and where the browser has none (they are for loopback and https) by asking the other tabs. */
  async take(): Promise<void> {
    const tabs: HoldTab = heldByLocks(HERE) ?? heldByAsking(HERE);
    const known = readTabs();
    const mine = sessionStorage.getItem(HERE);
    for (const tab of [...(mine ? [mine] : []), ...known.filter((s) => s !== mine), this.tab])
      if (await tabs.hold(tab)) {
        this.tab = tab;
        break;
      }
    sessionStorage.setItem(HERE, this.tab);
    localStorage.setItem(HERE, JSON.stringify([...new Set([...known, this.tab])].slice(-MOST_TABS)));
    const held = await tabs.held();
    this.free = known.filter((tab) => tab !== this.tab && !held.has(tab));
  }
}

function readTabs(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(HERE) ?? '[]');
    return Array.isArray(kept) ? kept.filter((tab): tab is string => typeof tab === 'string' && /^[\w-]{1,40}$/.test(tab)) : [];
  } catch {
    return [];
  }
}

import type { Command } from '../commands/index.js';
import type { Waiver } from '../job/index.js';
import { contentHash } from '../schema/index.js';

/**
 * `leak`: it leaks, starves, bursts or hurts. `risk`: it may, or does not last. `open`: not decided, or not to be judged yet. `advice`: better
 * practice.
 */
export type Severity = 'leak' | 'risk' | 'open' | 'advice';
/** The worst first. */
export const severities: readonly Severity[] = ['leak', 'risk', 'open', 'advice'];

/** Where a finding is: any of these, or of the whole job where none is named. */
export interface FindingPlace {
  readonly lineId?: string;
  readonly way?: number;
  readonly piece?: string;
  readonly joint?: string;
  readonly portId?: string;
  readonly componentId?: string;
  /** Of the catalogue. */
  readonly partId?: string;
  /** Of the rack. */
  readonly lengthId?: string;
  readonly orderId?: string;
}

/** Something that puts a finding right: commands that make one change. */
export interface Remedy {
  /** What it does, as it stands on its button. */
  readonly label: string;
  readonly commands: readonly Command[];
  /** Nobody has to choose or to measure first: a good hand does it without asking. */
  readonly certain?: true;
}

/** What a check found: its rule says the rest. */
export interface WhatIsFound {
  readonly rule: string;
  readonly at: FindingPlace;
  /** What is found, in words a fabricator would use; quantities are marked, and said in the units of the house. */
  readonly message: string;
  /** Where the shop's school weighs it otherwise than its rule. */
  readonly severity?: Severity;
  /** What to do about it, where the rule does not say it better. */
  readonly hint?: string;
  readonly remedies?: readonly Remedy[];
}

export interface Finding {
  readonly rule: string;
  readonly severity: Severity;
  readonly at: FindingPlace;
  readonly title: string;
  readonly message: string;
  /** What happens. */
  readonly why: string;
  /** What to do about it. */
  readonly hint: string;
  readonly source: string;
  readonly remedies: readonly Remedy[];
  /** Accepted as it is, by somebody, with a reason; what was accepted with other figures is not. */
  readonly accepted?: Waiver;
}

/** Holds a check, a ticket, an order back: only what leaks or is a risk does, and not when it is accepted. */
export function holds({ severity, accepted }: Pick<Finding, 'severity' | 'accepted'>): boolean {
  return (severity === 'leak' || severity === 'risk') && accepted === undefined;
}

/** A place by one name, the same whatever else changes. @example placeKey({ lineId: 'l1', joint: 'A>1' }) // 'joint=A>1;lineId=l1' */
export function placeKey(at: FindingPlace): string {
  return Object.entries(at)
    .filter(([, value]) => value !== undefined)
    .map(([field, value]) => `${field}=${value}`)
    .sort()
    .join(';');
}

/** What a finding says, as one short word: what was accepted counts only as long as it is the same. */
export function figuresOfFinding({ severity, message }: Pick<Finding, 'severity' | 'message'>): string {
  return contentHash([severity, message]);
}

/** The acceptance that holds for a finding; undefined where there is none, or its figures have changed since. */
export function waiverOf(found: Pick<Finding, 'rule' | 'at' | 'severity' | 'message'>, waivers: readonly Waiver[]): Waiver | undefined {
  if (waivers.length === 0) return undefined;
  const at = placeKey(found.at);
  const figures = figuresOfFinding(found);
  return waivers.find((w) => w.rule === found.rule && w.at === at && w.figures === figures);
}

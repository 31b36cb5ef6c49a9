import type { QuantityKind } from '../units/index.js';

/** The rows that shop rules are kept in: each is set, told and taken back by itself, so that two people do not stand in one another's way. */
export const ruleGroups = ['judging', 'flow', 'seals', 'ways', 'store'] as const;
export type RuleGroup = (typeof ruleGroups)[number];

export type RuleValue = number | string | boolean | readonly string[];

/** How a rule is set: a figure with its unit, a plain number, one of a few, yes or no, an order of preference, or words. */
export type RuleForm =
  | { readonly kind: 'quantity'; readonly of: QuantityKind; readonly min: number; readonly max: number }
  | { readonly kind: 'number'; readonly min: number; readonly max: number; readonly step: number; readonly unit?: string }
  | { readonly kind: 'choice'; readonly choices: readonly { readonly value: string; readonly name: string }[] }
  | { readonly kind: 'yes' }
  | { readonly kind: 'order' }
  | { readonly kind: 'words' };

/** A school, a limit or a habit of the shop: all about it in one entry. */
export interface ShopRuleEntry {
  /** `flow.thermostat`: its row and its field. */
  readonly id: string;
  readonly group: RuleGroup;
  readonly field: string;
  readonly name: string;
  readonly form: RuleForm;
  readonly usual: RuleValue;
  /** Why it is usual. */
  readonly why: string;
  /** What other shops do, and why. */
  readonly otherwise: string;
  /** What it changes in the app. */
  readonly changes: string;
  readonly source: string;
  /** A job may do it another way, with a reason. */
  readonly perJob: boolean;
}

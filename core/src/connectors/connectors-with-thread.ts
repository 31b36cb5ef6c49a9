import { fit, parseThread, type Side } from '../threads/index.js';
import { connectorThread } from './describe-connector.js';
import { familyById } from './family.js';
import { everyConnector } from './every-connector.js';
import type { Connector } from './connector.js';

const found = new Map<string, readonly Connector[]>();

/**
 * The connectors of the library that carry a thread on the given side: what an unknown port or fitting with this thread can be.
 * A hole that takes the thread by design counts (an R thread is never inside, its hole is Rc or Rp).
 * @throws {UnknownThreadError}
 */
export function connectorsWithThread(designation: string, side: Side): readonly Connector[] {
  const key = `${side}|${designation}`;
  let list = found.get(key);
  if (!list) {
    const thread = parseThread(designation);
    const gender = side === 'external' ? 'male' : 'female';
    list = everyConnector().filter((c) => {
      if (c.gender !== gender || familyById(c.family).carries) return false;
      const own = connectorThread(c);
      if (!own) return false;
      if (own.designation === thread.designation) return true;
      return side === 'internal' && own.system !== thread.system && fit(thread, own).verdict === 'same';
    });
    found.set(key, list);
  }
  return list;
}

const met = new Map<string, boolean>();

/** Whether engine plumbing meets this thread on some connector, outside or inside. @throws {UnknownThreadError} */
export function isMetInPlumbing(designation: string): boolean {
  let found = met.get(designation);
  if (found === undefined) {
    const all = [...connectorsWithThread(designation, 'external'), ...connectorsWithThread(designation, 'internal')];
    met.set(designation, (found = all.some((c) => !familyById(c.family).recognisedOnly)));
  }
  return found;
}

import { expect, type Page } from '@playwright/test';
import axe, { type AxeResults } from 'axe-core';

declare const window: Window & { axe: { run: (options: object) => Promise<AxeResults> } };

/** Nothing that the guidelines for accessible pages find fault with. */
export async function expectNoFault(page: Page, theme: 'light' | 'dark' = 'light'): Promise<void> {
  // a page that has only just been put there says nothing yet
  await expect(page.locator('g-top-bar')).toContainText(/mm · bar|in · psi/);
  await page.evaluate(axe.source);
  // in the dark theme the page is the same but for its colours
  const rules = theme === 'light' ? ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'] : { type: 'rule', values: ['color-contrast'] };
  // what it finds nothing against is not looked up nor sent
  const violations = await page.evaluate(
    async (runOnly) => (await window.axe.run({ runOnly, resultTypes: ['violations'], preload: false })).violations,
    rules,
  );
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} ${n.failureSummary ?? ''}`).join(' | ')}`)).toEqual(
    [],
  );
}

import { randomUUID } from 'node:crypto';
import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';

interface Summary {
  job: { id: string; number: string };
}
export interface JobDocument {
  job: { id: string; version: number; name: string };
  components: { id: string; name: string }[];
  ports: { id: string; label: string }[];
  lines: {
    id: string;
    number: number;
    name: string;
    version: number;
    pieces: { key: string; length: { mm: number } | null }[];
    ways: { chosen: { fittings: { id: string }[] } | null }[];
  }[];
}

const read = async (request: APIRequestContext, id: string | undefined): Promise<JobDocument> =>
  ((await (await request.get(`/api/jobs/${id}`)).json()) as { document: JobDocument }).document;

export async function jobByNumber(request: APIRequestContext, number: string): Promise<JobDocument> {
  const { jobs } = (await (await request.get('/api/jobs', { params: { number } })).json()) as { jobs: Summary[] };
  return read(request, jobs[0]?.job.id);
}

interface JobFile {
  job: { number: string };
}
let magpie: JobFile | undefined;
async function exported(request: APIRequestContext): Promise<JobFile> {
  const { job } = await jobByNumber(request, '2403');
  return (await (await request.get(`/api/jobs/${job.id}/export`)).json()) as JobFile;
}

/** A fresh copy of the demo job under a number of its own, so that tests do not stand on one another. */
export async function copyOfMagpie(request: APIRequestContext, number: string): Promise<JobDocument> {
  const file = (magpie ??= await exported(request));
  const made = (await (await request.post('/api/jobs/import', { data: { ...file, job: { ...file.job, number } } })).json()) as {
    summary: Summary;
  };
  return read(request, made.summary.job.id);
}

/** What somebody else does to a job meanwhile. */
export async function elsewhere(request: APIRequestContext, jobId: string, ...commands: object[]): Promise<void> {
  const answer = await request.post(`/api/jobs/${jobId}/changes`, {
    data: { key: randomUUID(), commands },
    headers: { 'x-gewinde-client': 'somebody-else' },
  });
  expect(await answer.json()).toHaveProperty('put');
}

/** Picks a port by what it is called. */
export async function pick(field: Locator, words: string): Promise<void> {
  await field.fill(words);
  await expect(field).toHaveAttribute('aria-expanded', 'true');
  await field.press('Enter');
}

export function saved(page: Page): Locator {
  return page.getByRole('status').filter({ hasText: /^\s*saved \d\d:\d\d\s*$/ });
}

/** All that was done on a page is on the server: nothing waits in its outbox any more, and it says so. */
export async function allSaved(page: Page): Promise<void> {
  const waiting = () => page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('gewinde.outbox')));
  await expect.poll(waiting).toEqual([]);
  await expect(saved(page)).toBeVisible();
}

/** Adds a component in the survey, and its ports by their notation. */
export async function addComponent(
  page: Page,
  kind: string,
  name: string,
  ports: readonly (readonly [label: string, notation: string])[],
): Promise<void> {
  await page.getByLabel('Kind of the new component').selectOption(kind);
  await page.getByLabel('Name of the new component').fill(name);
  await page.getByRole('button', { name: 'Add component' }).click();
  await expect(page.getByRole('heading', { name: `New port on ${name}` })).toBeVisible();
  for (const [label, notation] of ports) {
    await page.getByLabel('What it is called').fill(label);
    await page.getByLabel('Port in one line').fill(notation);
    await page.getByLabel('Port in one line').press('Enter');
    await expect(page.getByRole('button', { name: `Change ${label}` })).toBeVisible();
  }
}

/** This tab hears of nothing that others change: the stream of changes is cut before the page opens. Call it before `goto`. */
export async function deaf(page: Page): Promise<void> {
  await page.route('**/api/live*', (route) => route.abort());
}

/** Another address of the app that is open, without loading it again: as the browser's way back leads to one. */
export async function within(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, address);
}

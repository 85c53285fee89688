import AxeBuilder from '@axe-core/playwright';
import { type Cookie, expect, type Page, test as base } from '@playwright/test';

export const HANDSETS = 'http://localhost:8481';
export const DOCK = '+19205550101';
export const YARD = '+19205550102';

let used = 100;
/** A worker that was started anew after a failure uses numbers of its own. */
const AREAS = ['212', '646', '917', '347', '718', '929', '201', '551', '973', '862'];
const area = AREAS[Number(process.env.TEST_WORKER_INDEX ?? 0) % AREAS.length] ?? '212';

/** A number of the reserved block that no customer of the demonstration holds. */
export function freshNumber(): string {
  return `+1${area}5550${used++}`;
}

/** Texts the business from a handset, over the stand-in's own protocol. */
export async function textFrom(page: Page, number: string, to: string, body: string): Promise<void> {
  const answer = await page.request.post(`${HANDSETS}/handsets/${encodeURIComponent(number)}/texts`, { data: { to, body } });
  expect(answer.ok()).toBe(true);
}

/** Moves both clocks forward: the program's and the network's. */
export async function letTimePass(page: Page, minutes: number): Promise<void> {
  for (const clock of [`${HANDSETS}/control/clock`, '/demo/clock']) {
    const answer = await page.request.post(`${clock}?minutes=${minutes}`);
    expect(answer.ok()).toBe(true);
  }
}

/** What has arrived on a handset; looking reads it. */
export async function arrivedOn(page: Page, number: string): Promise<string[]> {
  const answer = await page.request.get(`${HANDSETS}/handsets/${encodeURIComponent(number)}`);
  const script = (await answer.json()) as { arrived: { body: string }[] };
  return script.arrived.map((text) => text.body);
}

export async function misbehave(page: Page, faults: Record<string, unknown>): Promise<void> {
  const good = { down: false, delayMillis: 0, refuse: 0, refuseForGood: 0, loseAnswers: 0, failWith: null, repeat: 0, outOfOrder: false };
  await page.request.put(`${HANDSETS}/control/faults`, { data: { ...good, ...faults } });
}

/** Who is signed in already: a session is begun once and used again. */
const sessions = new Map<string, Cookie[]>();

export async function signIn(page: Page, name = 'maren'): Promise<void> {
  await page.context().addCookies(sessions.get(name) ?? []);
  await page.goto('/');
  const places = page.getByRole('navigation', { name: 'Places' });
  await expect(places.or(page.getByLabel('Name'))).toBeVisible();
  if (await places.isVisible()) return;
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill('quillhaven demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(places).toBeVisible();
  sessions.set(name, await page.context().cookies());
}

/** Opens the conversation of a number through the jump box. */
export async function open(page: Page, number: string): Promise<void> {
  await page.getByLabel('Jump to a customer or number').fill(number.slice(2));
  await page.getByRole('option').first().click();
  await expect(page.getByRole('region', { name: 'Script' })).toBeVisible();
}

export const SCHEMES = ['light', 'dark'] as const;

/** No serious barrier may stand on the page, or on a part of it. Of the dark theme only the colours are looked at: all else is the same. */
export async function withoutBarriers(page: Page, scheme: (typeof SCHEMES)[number], part?: string): Promise<void> {
  const look = new AxeBuilder({ page });
  if (part) look.include(part);
  if (scheme === 'dark') look.withRules(['color-contrast', 'link-in-text-block']);
  const { violations } = await look.analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(serious.map(({ id, nodes }) => `${page.url()} ${id}: ${nodes.map((node) => node.html).join(' | ')}`)).toEqual([]);
}

/** Every journey fails when the page complains on the console. */
export const test = base.extend<{ quietConsole: void }>({
  quietConsole: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('console', (message) => {
        // A stranger's first question is answered 401; Chromium writes every such answer to the console by itself.
        const expected = /status of (401|422|429|0)|ERR_INTERNET_DISCONNECTED|ERR_FAILED/.test(message.text());
        if (message.type() === 'error' && !expected) complaints.push(message.text());
      });
      page.on('pageerror', (error) => complaints.push(error.message));
      await use();
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

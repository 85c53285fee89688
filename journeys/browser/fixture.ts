import { type APIRequestContext, type Browser, type BrowserContext, expect, type Page, test as base } from '@playwright/test';
import axe, { type AxeResults } from 'axe-core';

export const APP = 'http://localhost:8480';
export const HANDSETS = 'http://localhost:8481';
const PASSWORD = 'seven small boats';

/**
 * Each worker has numbers and names of its own, also one that was started anew after a failure. Where programs go on over several runs,
 * FABULUM_RUN counts those.
 */
const block = Number(process.env.FABULUM_RUN ?? 0) * 8 + Number(process.env.TEST_WORKER_INDEX ?? 0);
const AREAS = ['212', '646', '917', '347', '718', '929', '201', '551', '973', '862'];
const area = AREAS[block % AREAS.length] ?? '212';
let used = 100 + 250 * Math.floor(block / AREAS.length);
let offices = 0;

/** A connection for each request: one that is kept may be closed by the server just as the next request leaves. */
const ALONE = { extraHTTPHeaders: { connection: 'close' } };

/** A number nobody else has. */
export const freshNumber = () => `+1${area}555${String(used++).padStart(4, '0')}`;

/** A number as people read it. */
export const shown = (number: string) => `(${number.slice(2, 5)}) ${number.slice(5, 8)}-${number.slice(8)}`;

const letters = (n: number): string => (n < 26 ? '' : letters(Math.floor(n / 26) - 1)) + String.fromCharCode(97 + (n % 26));

export interface Person {
  id: number;
  name: string;
  mail: string;
  /** Asks the server as this person. */
  ask: Ask;
  cookies: Awaited<ReturnType<BrowserContext['cookies']>>;
}

/** A file on a handset. */
interface HandsetFile {
  name: string;
  type: string;
  data: Buffer;
}

type Ask = <T>(method: string, path: string, data?: unknown) => Promise<T>;

/** Asks the server, with what a browser would send beside it. */
function asking(request: APIRequestContext): Ask {
  return async <T>(method: string, path: string, data?: unknown) => {
    const { cookies } = await request.storageState();
    const token = cookies.find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '';
    const answer = await request.fetch(APP + path, { method, data, headers: { 'X-XSRF-TOKEN': token } });
    const words = await answer.text();
    if (!answer.ok()) throw new Error(`${method} ${path}: ${answer.status()} ${words}`);
    return (words === '' ? undefined : JSON.parse(words)) as T;
  };
}

/** One journey's own part of the business: a team, its line, its people and its customers. Nobody else's work is seen or moved there. */
export class Office {
  private readonly contexts: BrowserContext[] = [];
  private readonly requests: APIRequestContext[] = [];
  private readonly complaints: string[] = [];
  readonly tag = letters(26 + 60 * block + offices++);
  readonly line = freshNumber();
  readonly lineName = `Quay ${this.tag}`;
  readonly teamName = `Crew ${this.tag}`;
  lineId = 0;
  teamId = 0;
  lead: Person = undefined as unknown as Person;

  constructor(
    private readonly browser: Browser,
    private readonly founder: Ask,
    private readonly fresh: () => Promise<APIRequestContext>,
  ) {}

  async found(): Promise<void> {
    this.teamId = (await this.founder<{ id: number }>('POST', '/api/setup/teams', { name: this.teamName })).id;
    const [site] = await this.founder<{ id: number }[]>('GET', '/api/setup/sites');
    const line = {
      name: this.lineName,
      number: this.line,
      region: 'US',
      siteId: site?.id,
      teamId: this.teamId,
      zone: 'America/Chicago',
      inUse: true,
      promiseMinutes: 60,
      week: [],
      closedDays: [],
      openHolidays: [],
      narrowed: false,
    };
    this.lineId = (await this.founder<{ id: number }>('POST', '/api/setup/lines', line)).id;
    this.lead = await this.person('Lena', 'LEAD');
  }

  /** Asks somebody in by mail, and they come in by the link. */
  async person(first: string, role: 'LEAD' | 'STAFF' | 'VIEWER' = 'STAFF'): Promise<Person> {
    const name = `${first} Ford ${this.tag}`;
    const mail = `${first}.${this.tag}@quillhaven.example`.toLowerCase();
    const { id } = await this.founder<{ id: number }>('POST', '/api/setup/people', {
      name,
      email: mail,
      setup: { role, permissions: role === 'VIEWER' ? [] : ['TEXT', 'SEND_TO_MANY', 'CHANGE_TEMPLATES'], teams: [this.teamId] },
    });
    const request = await this.fresh();
    this.requests.push(request);
    const link = await this.invitationTo(mail);
    const ask = asking(request);
    const secret = new URL(link).pathname.split('/').pop() ?? '';
    await ask('GET', `/api/invitations/${secret}`);
    await ask('POST', `/api/invitations/${secret}`, {
      name,
      initials: first.slice(0, 2).toUpperCase(),
      mark: { shape: 'BELL', ink: 'PINE' },
      password: PASSWORD,
    });
    return { id, name, mail, ask, cookies: (await request.storageState()).cookies };
  }

  /** The link that was mailed to somebody; waits for the mail. */
  async invitationTo(mail: string): Promise<string> {
    const request = await this.any();
    let link = '';
    await expect(async () => {
      const mails = (await (await request.get(`${HANDSETS}/mailbox`)).json()) as { to: string; words: string }[];
      link = mails.find(({ to }) => to.includes(mail))?.words.match(/https?:\S+/)?.[0] ?? '';
      expect(link).not.toBe('');
    }).toPass({ intervals: [100] });
    return link;
  }

  async change(person: Person, setup: { role?: string; permissions?: string[]; teams?: number[]; secondLook?: boolean }): Promise<void> {
    await this.founder('PUT', `/api/setup/people/${person.id}`, { role: 'STAFF', permissions: ['TEXT'], teams: [this.teamId], ...setup });
  }

  /** A browser of their own for somebody, who is signed in already. */
  async browserOf(person?: Person, options: Parameters<Browser['newContext']>[0] = {}): Promise<BrowserContext> {
    const context = await this.browser.newContext({
      baseURL: APP,
      viewport: { width: 1280, height: 800 },
      timezoneId: 'America/Chicago',
      ...options,
    });
    this.contexts.push(context);
    context.on('page', (page) => this.watch(page));
    if (person) await context.addCookies(person.cookies);
    return context;
  }

  /** The inbox, as somebody sees it in a browser of their own. */
  async pageOf(person: Person = this.lead, options?: Parameters<Browser['newContext']>[0]): Promise<Page> {
    const page = await (await this.browserOf(person, options)).newPage();
    await page.goto('/');
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    return page;
  }

  /** A customer texts a keyword to this office's line, which nobody needs to answer. */
  async keyword(from: string, words: string, files: HandsetFile[] = []): Promise<void> {
    const media = files.map(({ data, ...file }) => ({ ...file, data: data.toString('base64') }));
    const answer = await (
      await this.any()
    ).post(`${HANDSETS}/handsets/${encodeURIComponent(from)}/texts`, { data: { to: this.line, body: words, media } });
    expect(answer.ok()).toBe(true);
  }

  /** A customer texts this office's line; it has come in when this returns. */
  async text(words: string, from = freshNumber(), files: HandsetFile[] = []): Promise<string> {
    await this.keyword(from, words, files);
    await expect(async () => {
      const page = await this.lead.ask<{ conversations: { preview: string; sender: unknown }[] }>(
        'GET',
        '/api/conversations?group=OUR_TURN&limit=100',
      );
      expect(JSON.stringify(page)).toContain(words);
    }).toPass({ intervals: [50, 100, 200] });
    return from;
  }

  /** A customer texts this office's line, and the network keeps it without telling us. */
  async untold(from: string, words: string, at: Date): Promise<void> {
    const data = { to: this.line, body: words, at: at.toISOString(), untold: true };
    const answer = await (await this.any()).post(`${HANDSETS}/handsets/${encodeURIComponent(from)}/texts`, { data });
    expect(answer.ok()).toBe(true);
  }

  /** What time it is where the program runs. */
  async now(): Promise<number> {
    return Date.parse((await this.lead.ask<{ now: string }>('GET', '/api/session')).now);
  }

  /** What has arrived on a handset; looking reads it. */
  async arrivedOn(number: string): Promise<string[]> {
    const answer = await (await this.any()).get(`${HANDSETS}/handsets/${encodeURIComponent(number)}`);
    return ((await answer.json()) as { arrived: { body: string }[] }).arrived.map((text) => text.body);
  }

  /** The names of the files that have arrived on a handset. */
  async filesOn(number: string): Promise<string[]> {
    const answer = await (await this.any()).get(`${HANDSETS}/handsets/${encodeURIComponent(number)}`);
    const { arrived } = (await answer.json()) as { arrived: { media?: { name: string; file?: string }[] }[] };
    return arrived.flatMap(({ media }) => media ?? []).flatMap(({ name, file }) => (file ? [name] : []));
  }

  /** How the network misbehaves towards one handset. */
  async misbehave(number: string, faults: Record<string, unknown>): Promise<void> {
    const good = { down: false, delayMillis: 0, refuse: 0, refuseForGood: 0, loseAnswers: 0, failWith: null, repeat: 0, outOfOrder: false };
    await (await this.any()).put(`${HANDSETS}/control/faults/${encodeURIComponent(number)}`, { data: { ...good, ...faults } });
  }

  private async any(): Promise<APIRequestContext> {
    const made = this.requests[0] ?? (await this.fresh());
    if (this.requests.length === 0) this.requests.push(made);
    return made;
  }

  private watch(page: Page): void {
    page.on('console', (message) => {
      // What a journey provokes Chromium writes to the console by itself.
      const expected = /status of (401|404|409|410|422|429|0)|ERR_INTERNET_DISCONNECTED|ERR_FAILED|ERR_ABORTED/.test(message.text());
      if (message.type() === 'error' && !expected) this.complaints.push(`${message.text()} ${message.location().url}`);
    });
    page.on('pageerror', (error) => this.complaints.push(error.message));
  }

  async close(): Promise<void> {
    await Promise.all([...this.contexts.map((context) => context.close()), ...this.requests.map((request) => request.dispose())]);
    expect(this.complaints).toEqual([]);
  }
}

/** Every journey has an office of its own, and fails when a page complains on the console. */
export const test = base.extend<{ office: Office }, { founder: Ask }>({
  founder: [
    async ({ playwright }, use) => {
      const request = await playwright.request.newContext(ALONE);
      const ask = asking(request);
      await request.get(`${APP}/api/session`);
      await ask('POST', '/api/session', { name: 'maren', password: 'quillhaven demo' });
      await use(ask);
      await request.dispose();
    },
    { scope: 'worker' },
  ],
  office: async ({ browser, founder, playwright }, use) => {
    const office = new Office(browser, founder, () => playwright.request.newContext(ALONE));
    await office.found();
    await use(office);
    await office.close();
  },
});

export const list = (page: Page) => page.getByRole('region', { name: 'Conversations' });
export const script = (page: Page) => page.getByRole('region', { name: 'Script' });
export const reply = (page: Page) => page.getByLabel(/^Reply to/);
export const notices = (page: Page) => page.getByRole('button', { name: /^Notices/ });
export const group = (page: Page, name: string) => page.getByRole('navigation', { name: 'Groups' }).getByRole('button', { name });

/** Opens the conversation of a number through the jump box. */
export async function open(page: Page, number: string): Promise<void> {
  await page.getByLabel('Jump to a customer, a number or words').fill(number.slice(2));
  await page.getByRole('option').first().click();
  await expect(script(page)).toBeVisible();
}

/** Waits until nothing on the page is on its way in or out: half faded, it has colours of its own. */
async function still(page: Page): Promise<void> {
  // What stands under the pointer would still bring its hint.
  await page.mouse.move(0, 0);
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  await page.waitForFunction(() =>
    document.getAnimations().every((one) => one.playState !== 'running' || one.effect?.getComputedTiming().endTime === Infinity),
  );
}

/** Goes to a place without loading the page anew. */
export const goTo = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);

/**
 * No serious barrier may stand on the page, or on a part of it, in light and in dark. In dark only the colours are looked at: all else is
 * the same.
 */
export async function withoutBarriers(page: Page, part = 'html'): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  for (const colorScheme of ['dark', 'light'] as const) {
    await page.emulateMedia({ colorScheme });
    await still(page);
    const violations = await page.evaluate(
      async ({ part, rules }) => {
        const options = { resultTypes: ['violations'], ...(rules && { runOnly: { type: 'rule', values: rules } }) };
        const { violations } = await (window as unknown as { axe: { run: (...all: unknown[]) => Promise<AxeResults> } }).axe.run(
          part,
          options,
        );
        return violations.map(({ id, impact, nodes }) => ({ id, impact, html: nodes.map((node) => node.html).join(' | ') }));
      },
      { part, rules: colorScheme === 'dark' ? ['color-contrast', 'link-in-text-block'] : undefined },
    );
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
    expect(serious.map(({ id, html }) => `${page.url()} ${colorScheme} ${id}: ${html}`)).toEqual([]);
  }
}

export { expect };

// Takes the pictures of docs/screenshots anew, from a demonstration started with
//   bin/demo --fresh --data FOLDER --now 2026-06-09T14:05:00-05:00 --run
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';

const APP = process.argv[2] ?? 'http://localhost:8080';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 780 };

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});

async function signIn(page) {
  await page.goto(APP);
  await page.getByLabel('Name').fill('maren');
  await page.getByLabel('Password').fill('quillhaven demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Groups' }).waitFor();
}

async function picture(name, { viewport = WIDE, colorScheme = 'light', signedIn = true }, act) {
  const page = await browser.newPage({ viewport, colorScheme, timezoneId: 'America/Chicago' });
  await page.goto(APP);
  if (signedIn) {
    await signIn(page);
    // The inbox comes back as the picture before left it.
    await page.goto(`${APP}/inbox?group=our-turn`);
    await page.getByRole('region', { name: 'Conversations' }).getByRole('link').first().waitFor();
  }
  await act(page);
  await page.waitForLoadState('networkidle', { timeout: 1500 }).catch(() => undefined); // the live stream never falls idle
  await page.screenshot({ path: `${folder}${name}.png` });
  await page.close();
}

/** The first page of a PDF that is taken out. */
async function firstPage(name, said) {
  const page = await browser.newPage({ viewport: WIDE });
  await signIn(page);
  const made = async () => (await (await page.request.get(`${APP}/api/exports`)).json())[0];
  const token = (await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN').value;
  const asked = { said, title: 'Everything said with one customer', format: 'PDF', withFiles: false };
  await page.request.post(`${APP}/api/exports`, { data: asked, headers: { 'X-XSRF-TOKEN': token } });
  while ((await made()).state !== 'READY') await page.waitForTimeout(200);
  const file = join(mkdtempSync(join(tmpdir(), 'export-')), 'script.pdf');
  writeFileSync(file, await (await page.request.get(`${APP}/api/exports/${(await made()).id}/file`)).body());
  const program = new URL('PdfPage.java', import.meta.url).pathname;
  const libraries = new URL('../demo/target/run/lib/*', import.meta.url).pathname;
  execFileSync('java', ['-cp', libraries, program, file, `${folder}${name}.png`]);
  await page.close();
}

/** Opens the first conversation whose row says this. */
async function row(page, words) {
  await page.getByRole('region', { name: 'Time ribbon' }).getByRole('link', { name: words }).first().click();
  await page.getByRole('region', { name: 'Script' }).waitFor();
}

async function write(page, key, words) {
  await page.getByRole('region', { name: 'Script' }).focus();
  await page.keyboard.press(key);
  await page.keyboard.type(words);
}

await picture('inbox', {}, (page) => row(page, /club regatta|41 ft/));
await picture('later', { colorScheme: 'dark' }, async (page) => {
  await row(page, /touched ground/);
  await write(page, 'r', 'The lift is free on Friday. Shall we take her out and look at the keel together?');
  await page.getByRole('button', { name: 'Later…' }).click();
  await page.getByRole('dialog').getByRole('textbox', { name: 'When', exact: true }).fill('Friday at opening');
  await page.getByRole('dialog').getByText(/^Fri 12 Jun/).waitFor();
});
await picture('suggestions', {}, async (page) => {
  await row(page, /charged twice/);
  await page.getByRole('group', { name: 'Suggested templates' }).waitFor();
  await page.getByRole('button', { name: 'Templates', exact: true }).click();
  await page.getByRole('complementary', { name: 'Templates' }).getByText('filled for this conversation').waitFor();
});
await picture('attachments', {}, async (page) => {
  await row(page, /sheen of diesel/);
  await page.getByRole('button', { name: /^Open Picture/ }).waitFor();
  await page.getByRole('button', { name: 'Attach', exact: true }).click();
  await page.getByRole('option', { name: /Map of North Dock/ }).waitFor();
});
await picture('templates', {}, async (page) => {
  await page.goto(`${APP}/templates`);
  await page.getByRole('link', { name: /^Winter storage quote/ }).click();
  await page.getByText(/^Used /).waitFor();
});
await picture('office', {}, async (page) => {
  await page.getByRole('link', { name: 'Office', exact: true }).click();
  await page.getByRole('row', { name: /^Nobody’s/ }).waitFor();
  await page
    .getByRole('region', { name: /^On our turn/ })
    .getByRole('listitem')
    .first()
    .waitFor();
});
await picture('report', {}, async (page) => {
  await page.goto(`${APP}/office/reports?show=${encodeURIComponent('by week; last 91')}`);
  await page.getByText('Days are being summed up.').waitFor({ state: 'detached', timeout: 120_000 });
  await page.getByTestId('chart').locator('svg text').first().waitFor();
  await page.getByRole('button', { name: /late, all: show/ }).click();
  await page.getByRole('region', { name: 'Conversations behind this figure' }).getByRole('link').first().waitFor();
  await page.getByText(/answers, half within/).scrollIntoViewIfNeeded();
});
await picture('week', {}, async (page) => {
  await page.goto(`${APP}/office/reports?show=${encodeURIComponent('waits; last 91')}`);
  await page.getByRole('img', { name: /How many customers wait/ }).waitFor();
});
await picture('planned', {}, async (page) => {
  await page.goto(`${APP}/planned`);
  await page.getByRole('region', { name: 'Not sent' }).waitFor();
});
await picture('line-setup', { viewport: { width: 1280, height: 1180 } }, async (page) => {
  await page.goto(`${APP}/setup/lines/2`);
  await page.getByText(/A text now/).waitFor();
  await page.getByRole('button', { name: 'The month after' }).click();
  await page.getByText('United States of America').waitFor();
});
await picture('to-identify', {}, async (page) => {
  await page.getByRole('link', { name: /^To identify/ }).click();
  await page.getByRole('region', { name: 'Conversations' }).getByText('new phone who dis').click();
  await page.getByText(/^Nobody we know/).waitFor();
});
await picture('writing-place', {}, async (page) => {
  await row(page, /charged twice/);
  await write(
    page,
    'r',
    '{first name}, we’ve found it… the “November” invoice was printed twice. Please pay only one, Wen takes the other back',
  );
  await page.getByRole('status', { name: 'Before it is sent' }).getByText('first name').waitFor();
  await page.getByRole('button', { name: /^Use plain characters/ }).waitFor();
});
await picture('customers', {}, async (page) => {
  await page.goto(`${APP}/customers?show=kind+Trade`);
  await page.getByRole('link', { name: 'Kestrel Charter' }).first().waitFor();
});
await picture('customer', {}, async (page) => {
  await page.goto(`${APP}/customers/1`);
  await page
    .getByRole('region', { name: /^All that was said/ })
    .getByText("There's a sheen of diesel")
    .waitFor();
});
await picture('group', {}, async (page) => {
  await row(page, /Greta Eskelin, Ines Hartigan/);
  await write(page, 'r', 'Yes, you can lie together on C dock from Friday at four.');
  await page.getByRole('button', { name: 'Send to 3' }).waitFor();
});
await picture('web-form', { viewport: { width: 900, height: 860 } }, async (page) => {
  await page.goto(`${APP}/setup/forms`);
  const form = page.getByRole('region', { name: 'Ask us on the web site' });
  await page.goto(new URL((await form.getByRole('link').getAttribute('href')) ?? '', APP).href);
  await page.getByLabel('Your name').fill('Ada Pell');
  await page.getByLabel('Your mobile number').fill('(414) 555-0188');
  await page.getByLabel('What is it about?').fill('Is berth C14 free for a week in July? She is 38 ft.');
});
await picture('phone', { viewport: PHONE }, async (page) => {
  await page
    .getByRole('region', { name: 'Conversations' })
    .getByText(/student card/)
    .first()
    .click();
  await page.getByRole('region', { name: 'Script' }).waitFor();
});
await picture('history', {}, async (page) => {
  await page.goto(`${APP}/history?show=${encodeURIComponent('everything; ever; mention lift week*')}`);
  await page.getByRole('region', { name: 'Found' }).getByRole('link').nth(2).click();
  await page.getByRole('region', { name: 'Script' }).locator('[aria-current=true]').waitFor();
});
await firstPage('export', 'everything; ever; customer 1');
await browser.close();

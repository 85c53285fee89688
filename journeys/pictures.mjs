// Takes the pictures of docs/screenshots anew, from a demonstration started with
//   bin/demo --fresh --data FOLDER --now 2026-06-09T14:05:00-05:00 --run
import { chromium } from '@playwright/test';

const APP = process.argv[2] ?? 'http://localhost:8080';
const HANDSETS = process.argv[3] ?? 'http://localhost:8081';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 780 };

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
});

async function picture(name, { viewport = WIDE, colorScheme = 'light', signedIn = true }, act) {
  const page = await browser.newPage({ viewport, colorScheme, timezoneId: 'America/Chicago' });
  await page.goto(APP);
  if (signedIn) {
    await page.getByLabel('Name').fill('maren');
    await page.getByLabel('Password').fill('quillhaven demo');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('region', { name: 'Conversations' }).getByRole('link').first().waitFor();
  }
  await act(page);
  await page.waitForLoadState('networkidle', { timeout: 1500 }).catch(() => undefined); // the live stream never falls idle
  await page.screenshot({ path: `${folder}${name}.png` });
  await page.close();
}

async function jump(page, words) {
  await page.getByLabel('Jump to a customer or number').fill(words);
  await page.getByRole('option').first().click();
  await page.getByRole('region', { name: 'Script' }).waitFor();
}

async function write(page, key, words) {
  await page.getByRole('region', { name: 'Script' }).focus();
  await page.keyboard.press(key);
  await page.keyboard.type(words);
}

await picture('sign-in', { signedIn: false }, (page) => page.getByLabel('Name').waitFor());
await picture('inbox', {}, (page) => jump(page, 'emeka ollerton'));
await picture('inbox-dark', { colorScheme: 'dark' }, async (page) => {
  await jump(page, 'kasper pennyfeather');
  await write(page, 'n', 'Trailer is the blue one behind hall 1.');
});
await picture('to-identify', {}, async (page) => {
  await page.getByRole('link', { name: /^To identify/ }).click();
  await page.getByRole('region', { name: 'Conversations' }).getByText('please take us off auto pay').click();
  await page.getByRole('region', { name: 'Script' }).waitFor();
});
await picture('part-meter', {}, async (page) => {
  await jump(page, 'quentin');
  await write(page, 'r', 'Hello Quentin — we’ve found it… the “November” invoice was printed twice. Please pay only one, Wen takes the other back');
  await page.getByRole('button', { name: /^Plain wording/ }).waitFor();
});
await picture('phone', { viewport: PHONE }, (page) => jump(page, 'kalinda zielinska'));
await picture('handsets', { signedIn: false }, async (page) => {
  await page.goto(HANDSETS);
  await page.getByRole('button', { name: /stranger/ }).first().click();
  await page.getByLabel('Text from this handset').fill('Is the little launch still for sale?');
  await page.getByRole('button', { name: 'Send the text' }).click();
  await page.getByRole('listitem').filter({ hasText: 'Is the little launch still for sale?' }).waitFor();
});
await browser.close();

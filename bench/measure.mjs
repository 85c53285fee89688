// Measures a running demonstration: `node measure.mjs PORT`, started by bench/run.
import { createRequire } from 'node:module';
import { gzipSync } from 'node:zlib';

const require = createRequire(`${process.cwd()}/`);
const { chromium } = require('@playwright/test');

const port = Number(process.argv[2]);
const app = `http://localhost:${port}`;
const network = `http://localhost:${port + 1}`;
const ROUNDS = 400;
const TEXTS = 40;
const PATIENCE_MS = 240_000;

// Whatever never comes must not be waited for for ever.
setTimeout(() => {
  console.error(`Not finished within ${PATIENCE_MS / 1000} s; what was measured until then stands above.`);
  process.exit(1);
}, PATIENCE_MS).unref();

const sorted = (numbers) => [...numbers].sort((a, b) => a - b);
const at = (numbers, share) => sorted(numbers)[Math.min(numbers.length - 1, Math.floor(numbers.length * share))];
const row = (name, ...figures) => console.log(name.padEnd(58), ...figures);

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
let script = 0;
page.on('response', async (response) => {
  if (response.url().endsWith('.js')) script += gzipSync(await response.body()).length;
});
await page.goto(app);
await page.getByLabel('Name').fill('maren');
await page.getByLabel('Password').fill('quillhaven demo');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('region', { name: 'Conversations' }).waitFor();
row('script before the inbox can be used, gzip', `${(script / 1024).toFixed(0).padStart(6)} kB`);

// The server: interleaved, so that a slow moment of the machine touches all alike. The longest script of the first rows is read.
const first = await (await page.request.get(`${app}/api/conversations?group=DONE&limit=50`)).json();
let longest = { id: 0, length: -1 };
for (const each of first.rows) {
  const entries = (await (await page.request.get(`${app}/api/conversations/${each.id}/script?limit=50`)).json()).entries;
  if (entries.length > longest.length) longest = { id: each.id, length: entries.length };
}
const paths = {
  'bare request (lines)': '/api/lines',
  'list of 50, our turn': '/api/conversations?group=OUR_TURN&limit=50',
  'list of 50, done': '/api/conversations?group=DONE&limit=50',
  'counts of all groups': '/api/conversations/counts',
  [`script of ${longest.length}`]: `/api/conversations/${longest.id}/script?limit=50`,
};
const cookies = (await page.context().cookies()).map((cookie) => `${cookie.name}=${cookie.value}`).join('; ');
const token = /XSRF-TOKEN=([^;]*)/.exec(cookies)[1];
const words = JSON.stringify({ words: 'It’s ready… '.repeat(60) });
paths['part count of 720 characters'] = '/api/parts';
const times = Object.fromEntries(Object.keys(paths).map((name) => [name, []]));
for (let i = -100; i < ROUNDS; i++) {
  for (const [name, path] of Object.entries(paths)) {
    const counts = path === '/api/parts';
    const began = performance.now();
    await (
      await fetch(app + path, {
        method: counts ? 'POST' : 'GET',
        headers: { Cookie: cookies, 'X-XSRF-TOKEN': token, 'Content-Type': 'application/json' },
        body: counts ? words : undefined,
      })
    ).text();
    if (i >= 0) times[name].push(performance.now() - began);
  }
}
const bare = at(times['bare request (lines)'], 0.5);
for (const [name, taken] of Object.entries(times)) {
  row(`${name}, request and answer`, `median ${at(taken, 0.5).toFixed(1)} ms  p95 ${at(taken, 0.95).toFixed(1)} ms  ${(at(taken, 0.5) / bare).toFixed(1)} x bare`);
}

// From the network's call of the webhook to the words on the screen of an open script.
const number = '+12125550199';
const send = (body) => page.request.post(`${network}/handsets/${encodeURIComponent(number)}/texts`, { data: { to: '+19205550101', body } });
await send('begin');
let opened = 0;
while (!opened) {
  const { rows } = await (await page.request.get(`${app}/api/conversations?group=OUR_TURN&limit=100`)).json();
  opened = rows.find((each) => each.lastWords === 'begin')?.id ?? 0;
}
await page.goto(`${app}/inbox/${opened}`);
await page.getByRole('region', { name: 'Script' }).getByText('begin', { exact: true }).first().waitFor();
const visible = [];
for (let i = 0; i < TEXTS; i++) {
  const words = `text number ${i} of the measure`;
  const seen = page.evaluate(
    (words) =>
      new Promise((resolve) => {
        const look = () => {
          if (document.querySelector('[aria-label=Script]')?.textContent.includes(words)) requestAnimationFrame(() => resolve(performance.timeOrigin + performance.now()));
          else requestAnimationFrame(look);
        };
        look();
      }),
    words,
  );
  const began = performance.timeOrigin + performance.now();
  await send(words);
  visible.push((await seen) - began);
}
row('handset to open browser, the network between', `median ${at(visible, 0.5).toFixed(0)} ms  p95 ${at(visible, 0.95).toFixed(0)} ms`);
// Templates beside a script: two thousand of them, opened and filtered. The time is taken in the page, from the key to the frame that shows the rows.
const rows = Array.from({ length: 2_000 }, (_, i) => `Bench ${i},b${i},"Hi {first name | there}, answer ${i} about ${['lift', 'mast', 'berth', 'fuel'][i % 4]} is on {line: name}.",Bench\n`);
const file = { name: 'bench.csv', mimeType: 'text/csv', buffer: Buffer.from(`title,short name,words,folder\n${rows.join('')}`) };
const taken = await page.request.post(`${app}/api/templates/import`, { multipart: { file }, headers: { 'X-XSRF-TOKEN': token } });
if (!taken.ok()) throw new Error(await taken.text());
const sheetPaths = {
  'bare request (lines)': '/api/lines',
  '2,000 templates, the first 20 filled': `/api/conversations/${opened}/templates`,
  '2,000 templates, found by “mast 19”': `/api/conversations/${opened}/templates?words=mast%2019`,
};
const sheetTimes = Object.fromEntries(Object.keys(sheetPaths).map((name) => [name, []]));
for (let i = -40; i < ROUNDS / 2; i++) {
  for (const [name, path] of Object.entries(sheetPaths)) {
    const began = performance.now();
    await (await fetch(app + path, { headers: { Cookie: cookies } })).text();
    if (i >= 0) sheetTimes[name].push(performance.now() - began);
  }
}
const plain = at(sheetTimes['bare request (lines)'], 0.5);
for (const [name, time] of Object.entries(sheetTimes)) {
  row(`${name}, request and answer`, `median ${at(time, 0.5).toFixed(1)} ms  p95 ${at(time, 0.95).toFixed(1)} ms  ${(at(time, 0.5) / plain).toFixed(1)} x bare`);
}

/** How long after a key until words stand in the sheet, in milliseconds. */
const shownAfter = async (words, act) => {
  const seen = page.evaluate(
    (words) =>
      new Promise((resolve) => {
        let pressed = 0;
        document.addEventListener('keydown', () => (pressed ||= performance.now()), { capture: true, once: true });
        const look = () => {
          const sheet = document.querySelector('aside[aria-label=Templates]');
          if (pressed > 0 && sheet?.textContent.includes(words)) requestAnimationFrame(() => resolve(performance.now() - pressed));
          else requestAnimationFrame(look);
        };
        look();
      }),
    words,
  );
  await act();
  return seen;
};
const shown = [];
const filtered = [];
for (let i = 0; i < TEXTS; i++) {
  await page.getByLabel(/^Reply to/).focus();
  shown.push(await shownAfter('filled for this conversation', () => page.keyboard.press('Alt+t')));
  const find = page.getByLabel('Find a template');
  await find.fill(`b${10 + i}`);
  await page.getByRole('complementary', { name: 'Templates' }).getByText(`Bench ${10 + i}`, { exact: true }).waitFor();
  filtered.push(await shownAfter(`Bench ${100 + 10 * i + 7}`, () => find.press('7')));
  await page.keyboard.press('Escape');
}
row('sheet of 2,000 templates, from the key until it is shown', `median ${at(shown, 0.5).toFixed(0)} ms  p95 ${at(shown, 0.95).toFixed(0)} ms`);
row('the same, from a letter until its rows are shown', `median ${at(filtered, 0.5).toFixed(0)} ms  p95 ${at(filtered, 0.95).toFixed(0)} ms`);
await browser.close();

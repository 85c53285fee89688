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
const PATIENCE_MS = 420_000;

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
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
let script = 0;
page.on('response', async (response) => {
  if (response.url().endsWith('.js')) script += gzipSync(await response.body().catch(() => '')).length;
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
  row(
    `${name}, request and answer`,
    `median ${at(taken, 0.5).toFixed(1)} ms  p95 ${at(taken, 0.95).toFixed(1)} ms  ${(at(taken, 0.5) / bare).toFixed(1)} x bare`,
  );
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
          if (document.querySelector('[aria-label=Script]')?.textContent.includes(words))
            requestAnimationFrame(() => resolve(performance.timeOrigin + performance.now()));
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

/** How long after a key until a part of the page holds these words, in milliseconds, to the frame that shows them. */
const shownAfter = async (part, words, act) => {
  // The key may be there before a script that is only on its way.
  await page.evaluate(() => {
    window.pressed = new Promise((resolve) =>
      document.addEventListener('keydown', () => resolve(performance.now()), { capture: true, once: true }),
    );
  });
  await act();
  return page.evaluate(
    async ([part, wanted]) => {
      const pressed = await window.pressed;
      for (;;) {
        if (document.querySelector(part)?.textContent.includes(wanted)) return performance.now() - pressed;
        await new Promise((next) => requestAnimationFrame(next));
      }
    },
    [part, words],
  );
};

// What speaks against a text, and its meter, while one types: each key closes another blank that is to be filled.
const reply = page.getByLabel(/^Reply to/);
const reasons = [];
for (let i = 0; i < TEXTS; i++) {
  await reply.fill(`The lift is free at {hour ${i}`);
  await page.getByRole('status', { name: 'Before it is sent' }).filter({ hasText: '{' }).waitFor({ state: 'detached' });
  reasons.push(await shownAfter('[aria-label="Before it is sent"]', `{hour ${i}}`, () => reply.press('}')));
}
await reply.fill('');
row(
  'from a key until meter and reasons are shown',
  `median ${at(reasons, 0.5).toFixed(0)} ms  p95 ${at(reasons, 0.95).toFixed(0)} ms`,
);

// Templates beside a script: two thousand of them, opened and filtered. The time is taken in the page, from the key to the frame that shows the rows.
const rows = Array.from(
  { length: 2_000 },
  (_, i) =>
    `Bench ${i},b${i},"Hi {first name | there}, answer ${i} about ${['lift', 'mast', 'berth', 'fuel'][i % 4]} is on {line: name}.",Bench\n`,
);
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
  row(
    `${name}, request and answer`,
    `median ${at(time, 0.5).toFixed(1)} ms  p95 ${at(time, 0.95).toFixed(1)} ms  ${(at(time, 0.5) / plain).toFixed(1)} x bare`,
  );
}

const SHEET = 'aside[aria-label=Templates]';
const shown = [];
const filtered = [];
for (let i = 0; i < TEXTS; i++) {
  await page.getByLabel(/^Reply to/).focus();
  shown.push(await shownAfter(SHEET, 'filled for this conversation', () => page.keyboard.press('Alt+t')));
  const find = page.getByLabel('Find a template');
  await find.fill(`b${10 + i}`);
  await page
    .getByRole('complementary', { name: 'Templates' })
    .getByText(`Bench ${10 + i}`, { exact: true })
    .waitFor();
  filtered.push(await shownAfter(SHEET, `Bench ${100 + 10 * i + 7}`, () => find.press('7')));
  await page.keyboard.press('Escape');
}
row(
  'sheet of 2,000 templates, from the key until it is shown',
  `median ${at(shown, 0.5).toFixed(0)} ms  p95 ${at(shown, 0.95).toFixed(0)} ms`,
);
row(
  'the same, from a letter until its rows are shown',
  `median ${at(filtered, 0.5).toFixed(0)} ms  p95 ${at(filtered, 0.95).toFixed(0)} ms`,
);

// Attachments. A picture of a large camera, and as many octets that are only kept.
const painted = await page.evaluate(async () => {
  const canvas = new OffscreenCanvas(4000, 3000);
  const pen = canvas.getContext('2d');
  const tile = pen.createImageData(1000, 1000);
  for (let i = 0; i < tile.data.length; i++) tile.data[i] = i % 4 === 3 ? 255 : 90 + Math.random() * 60;
  for (let x = 0; x < 4; x++) for (let y = 0; y < 3; y++) pen.putImageData(tile, x * 1000, y * 1000);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
  return btoa(Array.from(new Uint8Array(await blob.arrayBuffer()), (octet) => String.fromCharCode(octet)).join(''));
});
const picture = Buffer.from(painted, 'base64');
const kept = Buffer.concat([Buffer.from('%PDF-1.4 '), Buffer.alloc(picture.length - 9, 'x')]);
const handed = { picture: [], kept: [] };
const put = async (name, type, buffer) => {
  const began = performance.now();
  const answer = await page.request.post(`${app}/api/conversations/${longest.id}/attachments`, {
    headers: { 'X-XSRF-TOKEN': token },
    multipart: { file: { name, mimeType: type, buffer } },
  });
  const took = performance.now() - began;
  if (!answer.ok()) throw new Error(await answer.text());
  const { id } = await answer.json();
  await page.request.delete(`${app}/api/conversations/${longest.id}/attachments/${id}`, { headers: { 'X-XSRF-TOKEN': token } });
  return took;
};
for (let i = 0; i < 8; i++) {
  const ready = await put('boat.jpg', 'image/jpeg', picture);
  const only = await put('plan.pdf', 'application/pdf', kept);
  if (i > 0) {
    handed.picture.push(ready);
    handed.kept.push(only);
  }
}
const [ready, only] = [at(handed.picture, 0.5), at(handed.kept, 0.5)];
row(
  `picture of 12 megapixels, ${(picture.length / 1e6).toFixed(1)} MB, until it is ready`,
  `median ${ready.toFixed(0)} ms  ${(ready / only).toFixed(1)} x a file only kept`,
);

// Scripts of 200 texts, with a picture each and with none.
const small = await page.evaluate(async () => {
  const canvas = new OffscreenCanvas(640, 480);
  canvas.getContext('2d').fillRect(40, 40, 400, 300);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg' });
  return btoa(Array.from(new Uint8Array(await blob.arrayBuffer()), (octet) => String.fromCharCode(octet)).join(''));
});
const [line] = (await (await page.request.get(`${network}/handsets`)).json()).directory.lines;
const PICTURES = 200;
const scripts = {};
for (const [from, media] of [
  ['+13125550198', [{ name: 'boat.jpg', type: 'image/jpeg', data: small }]],
  ['+13125550199', []],
]) {
  for (let i = 1; i <= PICTURES; i++) {
    await page.request.post(`${network}/handsets/${encodeURIComponent(from)}/texts`, {
      data: { to: line.number, body: `Text ${i} of ${from}.`, media },
    });
  }
  for (;;) {
    const [found] = await (await page.request.get(`${app}/api/conversations/jump?words=${from.slice(1)}`)).json();
    const { entries } = await (await page.request.get(`${app}/api/conversations/${found.id}/script?limit=50`)).json();
    const all = entries.every(({ attachments }) => (attachments ?? []).every(({ state }) => state === 'HERE'));
    if (entries.length === 50 && all && entries.some(({ words }) => words === `Text ${PICTURES} of ${from}.`)) {
      scripts[from] = { id: found.id, ms: [] };
      break;
    }
    await page.waitForTimeout(500);
  }
}
for (let i = 0; i < 12; i++) {
  for (const [from, { id, ms }] of Object.entries(scripts)) {
    await page.goto(`${app}/customers`);
    await page.getByRole('link', { name: /Inbox/ }).waitFor();
    const took = await page.evaluate(
      ([to, last]) =>
        new Promise((resolve) => {
          const began = performance.now();
          history.pushState({}, '', `/inbox/${to}`);
          dispatchEvent(new PopStateEvent('popstate', { state: {} }));
          const look = () =>
            document.querySelector('[aria-label=Script]')?.textContent.includes(last)
              ? requestAnimationFrame(() => resolve(performance.now() - began))
              : requestAnimationFrame(look);
          look();
        }),
      [String(id), `Text ${PICTURES} of ${from}.`],
    );
    if (i > 1) ms.push(took);
  }
}
const [withPictures, without] = Object.values(scripts).map(({ ms }) => at(ms, 0.5));
row(
  `script of ${PICTURES} pictures, until it is shown`,
  `median ${withPictures.toFixed(0)} ms  ${(withPictures / without).toFixed(2)} x one of ${PICTURES} texts without`,
);
await browser.close();

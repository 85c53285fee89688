import { chromium } from '@playwright/test';
const [,, url, out, w='1280', h='800', scheme='light', ...steps] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless','--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const p = await b.newPage({ viewport: { width: +w, height: +h }, colorScheme: scheme });
p.on('console', m => { if (m.type()==='error' || m.type()==='warning') console.log('CONSOLE', m.text()); });
p.on('pageerror', e => console.log('PAGEERROR', e.message));
if (!url.includes('8081')) {
  await p.goto('http://localhost:8080/');
  if (!steps.includes('nosignin')) { await p.getByLabel('Name').fill('maren'); await p.getByLabel('Password').fill('quillhaven demo'); await p.getByRole('button', { name: 'Sign in' }).click(); await p.getByRole('navigation', { name: 'Places' }).waitFor(); }
}
if (!steps.includes('nosignin')) await p.goto(url);
await p.waitForTimeout(700);
for (const s of steps) if (s !== 'nosignin') { await (new Function('p', 'return (async () => {' + s + '})()'))(p); await p.waitForTimeout(500); }
await p.screenshot({ path: out });
await b.close();

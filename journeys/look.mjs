import { chromium } from '@playwright/test';
export async function begin({ dark = false, viewport = { width: 1280, height: 800 }, who = 'maren', app = 'http://localhost:8080' } = {}) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'] });
  const page = await browser.newPage({ viewport, colorScheme: dark ? 'dark' : 'light', timezoneId: 'America/Chicago' });
  page.on('console', (m) => { if (m.type() === 'error' && !/401/.test(m.text())) console.log('CONSOLE', m.text()); });
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
  await page.goto(app);
  await page.getByLabel('Name').fill(who);
  await page.getByLabel('Password').fill('quillhaven demo');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
  await page.waitForTimeout(1200);
  return { browser, page };
}

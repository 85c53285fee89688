import type { Page } from '@playwright/test';
import { arrivedOn, DOCK, expect, freshNumber, letTimePass, open, SCHEMES, signIn, test, textFrom, withoutBarriers, YARD } from './fixture';

const list = (page: Page) => page.getByRole('region', { name: 'Conversations' });
const script = (page: Page) => page.getByRole('region', { name: 'Script' });
const group = (page: Page, name: string) => page.getByRole('navigation', { name: 'Groups' }).getByRole('button', { name });

/** A word that stands in no other text, of another journey or another try. */
const ownWord = (word: string) => `${word}${freshNumber().slice(2)}`;

/** Shows only what says a word, which no other journey uses. */
async function saying(page: Page, word: string): Promise<void> {
  await page.getByRole('button', { name: /^Narrow it further/ }).click();
  await page.getByRole('menuitem', { name: /^saying/ }).click();
  await expect(page.getByRole('textbox', { name: 'Words in the script' })).toBeFocused();
  await page.keyboard.type(word);
  await page.keyboard.press('Enter');
}

test('set aside until later today: out of sight, and back by itself with the reason', async ({ page }, { retry }) => {
  const words = `no hurry at all, ${'really '.repeat(retry)}none`;
  const number = freshNumber();
  await textFrom(page, number, DOCK, words);
  await signIn(page);
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('a');
  await expect(page.getByRole('menuitem', { name: /^Later today/ })).toContainText(/today \d\d:\d\d/);
  await page.keyboard.press('Enter');
  await expect(script(page)).toContainText(/sets it aside until today/);
  await expect(list(page).getByText(words)).toHaveCount(0);
  await group(page, 'Set aside').click();
  await expect(list(page).getByRole('link', { name: words })).toContainText(/until today \d\d:\d\d/);

  await letTimePass(page, 121);
  await expect(script(page)).toContainText('(It is back: its time has come.)');
  await expect(list(page).getByText(words)).toHaveCount(0);
  await group(page, 'Our turn').click();
  await expect(list(page).getByRole('link', { name: words })).toContainText('back: its time');
  await expect(list(page).getByRole('link', { name: words })).toContainText(/late/);
});

test('done leaves the list, can be taken back, and opens again when the customer writes', async ({ page }) => {
  const number = freshNumber();
  const words = `is this settled? ${number.slice(-3)}`;
  await textFrom(page, number, YARD, words);
  await signIn(page);
  await open(page, number);
  const row = list(page).getByRole('link', { name: words });
  await script(page).focus();
  await page.keyboard.press('d');
  await expect(row).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: 'Take back' })).toBeVisible();
  await page.keyboard.press('z');
  await expect(script(page)).toContainText('(Maren Oduya takes back done.)');
  await expect(page.getByRole('button', { name: 'Needs no answer' })).toBeVisible();

  await script(page).focus();
  await page.keyboard.press('d');
  await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible();
  await textFrom(page, number, YARD, 'one thing more');
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await expect(script(page)).toContainText('one thing more');
});

test('a span dragged on the ribbon becomes part of the sentence', async ({ page }) => {
  await signIn(page);
  const ribbon = page.getByRole('region', { name: 'Time ribbon' });
  const box = await ribbon.boundingBox();
  if (!box) throw new Error('no ribbon');
  await page.mouse.move(box.x + 20, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.268, box.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Time left: / })).toBeVisible();
  await expect(page).toHaveURL(/show=left/);
  const rows = list(page).getByRole('link');
  await expect(rows.first()).toContainText('late');
  const shown = page.url();
  await page.reload();
  await expect(rows.first()).toContainText('late');
  expect(page.url()).toBe(shown);
});

test('a sentence is saved for a team, and a colleague finds it with its count', async ({ page, browser }) => {
  const word = ownWord('parcels');
  const saved = `Parcels ${word.slice(-4)}`;
  await textFrom(page, freshNumber(), DOCK, `about the ${word}`);
  await textFrom(page, freshNumber(), DOCK, `more ${word}, please`);
  await signIn(page);
  await saying(page, word);
  await expect(list(page).getByRole('link')).toHaveCount(2);
  await page.getByRole('button', { name: 'Save this sentence…' }).click();
  await page.getByLabel('Name', { exact: true }).fill(saved);
  await page.getByRole('button', { name: /^For whom/ }).click();
  await page.getByRole('menuitem', { name: 'everyone in Harbour office' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: `${saved} 2` })).toBeVisible();

  const other = await browser.newPage();
  await signIn(other, 'priya');
  await other.getByRole('button', { name: `${saved} 2` }).click();
  await expect(list(other).getByRole('link')).toHaveCount(2);
  await expect(other.getByRole('textbox', { name: 'Words in the script' })).toHaveValue(word);
  await textFrom(page, freshNumber(), DOCK, `third of the ${word}`);
  await expect(other.getByRole('button', { name: `${saved} 3` })).toBeVisible();
  await other.close();
});

test('arrows pressed faster than scripts are drawn leave no conversation out', async ({ page }) => {
  await signIn(page);
  const rows = list(page).getByRole('link');
  await expect(rows.nth(11)).toBeAttached();
  const eighth = (await rows.nth(7).getAttribute('href')) ?? '';
  const twelfth = (await rows.nth(11).getAttribute('href')) ?? '';
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowDown');
  await expect(page).toHaveURL(twelfth);
  await page.keyboard.press('s');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByRole('toolbar')).toContainText('4 chosen');
  await page.keyboard.press('ArrowUp');
  await expect(page).toHaveURL(eighth);
});

test('keys faster than scripts are drawn mean the conversation one has gone to', async ({ page }) => {
  const word = ownWord('terns');
  for (let i = 0; i < 3; i++) await textFrom(page, freshNumber(), DOCK, `there are ${word}`);
  await signIn(page);
  await saying(page, word);
  const rows = list(page).getByRole('link');
  await expect(rows).toHaveCount(3);
  for (const key of ['ArrowDown', 't', 'ArrowDown', 't', 'ArrowDown', 'r']) await page.keyboard.press(key);
  await page.keyboard.type('Let them be.');
  await expect(page.getByLabel(/^Reply to/)).toHaveValue('Let them be.');
  await expect(list(page).getByRole('link', { name: /^mine/ })).toHaveCount(2);
  await expect(rows.nth(2)).toHaveAccessibleName(/^nobody’s/);
});

test('several at once by keyboard alone: the skipped are named, the rest get the text', async ({ page }) => {
  const word = ownWord('tides');
  const numbers = [freshNumber(), freshNumber()];
  for (const number of numbers) await textFrom(page, number, DOCK, `what about the ${word}?`);
  await textFrom(page, 'GULLWATCH', DOCK, `${word}, says the gull`);
  await signIn(page);
  await saying(page, word);
  await expect(list(page).getByRole('link')).toHaveCount(3);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('toolbar')).toContainText('3 chosen');
  await page.keyboard.press('r');
  await page.keyboard.type('We will text you on Thursday.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Send the text' });
  await expect(dialog.getByRole('list', { name: 'Skipped' })).toContainText('GULLWATCH: This sender is a name or short code');
  await dialog.getByRole('button', { name: 'Send 2 texts, 2 parts' }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('Done to 2 conversations.');
  await page.keyboard.press('Escape');
  for (const number of numbers) {
    await expect.poll(() => arrivedOn(page, number)).toEqual(['We will text you on Thursday.']);
  }

  await group(page, 'Their turn').click();
  await expect(list(page).getByRole('link')).toHaveCount(2);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await page.getByRole('button', { name: 'All 2' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('toolbar')).toContainText('2 chosen');
  await page.keyboard.press('d');
  await page.getByRole('button', { name: 'Finish 2' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Done to 2 conversations.');
  await page.keyboard.press('Escape');
  await expect(list(page).getByRole('link')).toHaveCount(0);
  await page.keyboard.press('z');
  await expect(list(page).getByRole('link')).toHaveCount(2);
});

test('writing to a new number, and saying what it is about, by keyboard alone', async ({ page }) => {
  const number = freshNumber();
  await signIn(page);
  await page.keyboard.press('w');
  await page.keyboard.type(`(${number.slice(2, 5)}) ${number.slice(5, 8)}-${number.slice(8)}`);
  await expect(page.getByRole('button', { name: /^Write to \(/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Reply to/)).toBeFocused();
  await page.keyboard.type('Your parcel is at the harbour office.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('◑ delivered');
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await expect(page.getByRole('dialog', { name: 'What it is about' })).toBeVisible();
  await page.keyboard.type('visi');
  await page.keyboard.press('Enter');
  await expect(script(page)).toContainText('(About visitors, says Maren Oduya.)');
  expect(await arrivedOn(page, number)).toEqual(['Your parcel is at the harbour office.']);
  await page.keyboard.press('w');
  await page.keyboard.type(number.slice(2));
  await expect(page.getByRole('menuitem')).toContainText('go on in the conversation');
});

test('an arriving text moves nothing under the pointer until a quiet moment', async ({ page }) => {
  await signIn(page);
  await page.getByRole('button', { name: /^Order: / }).click();
  await page.getByRole('menuitem', { name: 'newest first' }).click();
  const first = list(page).getByRole('link').first();
  await first.hover();
  const before = await first.textContent();
  await page.mouse.move(200, 420);
  await textFrom(page, freshNumber(), DOCK, 'in at the top');
  await expect(page.getByRole('button', { name: /waits? for a quiet moment/ })).toBeVisible();
  expect(await first.textContent()).toBe(before);
  await page.getByRole('button', { name: /waits? for a quiet moment/ }).click();
  await expect(first).toContainText('in at the top');
});

test('the list opens where it was, and what comes in above moves nothing one is looking at', async ({ page }) => {
  await signIn(page);
  await group(page, 'Done').click();
  const region = list(page);
  const scrolled = () =>
    region.evaluate((element) => {
      element.scrollTo(0, 4_000);
      return element.scrollTop;
    });
  await expect(group(page, 'Done')).toHaveAttribute('aria-pressed', 'true');
  await expect.poll(scrolled).toBe(4_000);
  const inView = () =>
    region.evaluate((element) => {
      const top = element.getBoundingClientRect().top;
      const rows = [...element.querySelectorAll('a')].sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top);
      const first = rows.find((row) => row.getBoundingClientRect().top >= top);
      return `${first?.getAttribute('href') ?? ''} at ${Math.round((first?.getBoundingClientRect().top ?? 0) - top)}`;
    });
  await expect.poll(inView).toContain('/inbox/');
  const looked = await inView();
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'finished in a moment');
  const other = await page.context().newPage();
  await other.goto('/');
  await open(other, number);
  await script(other).focus();
  await other.keyboard.press('d');
  await expect(other.getByRole('button', { name: 'Open again' })).toBeVisible();
  await expect.poll(inView).toBe(looked);
  await group(page, 'Our turn').click();
  await expect(group(page, 'Our turn')).toHaveAttribute('aria-pressed', 'true');
  await group(page, 'Done').click();
  await expect.poll(async () => (await inView()).split(' ')[0]).toBe(looked.split(' ')[0]);
  await page.reload();
  await expect.poll(inView).toBe(looked);
});

test('a promise is changed in the set-up, and what waits is due otherwise at once', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, '+19205550103', 'a question about storage');
  await signIn(page);
  await page.getByRole('link', { name: 'Set-up' }).click();
  await page.getByRole('link', { name: /^Storage and accounts/ }).click();
  const form = page.getByRole('form', { name: 'Storage and accounts' });
  await expect(form.getByRole('list', { name: 'When a text would be due' })).toContainText(/A text now would be due/);
  await form.getByLabel(/^Working minutes/).fill('0');
  await form.getByRole('button', { name: 'Save, at once for everyone' }).click();
  await expect(form).toContainText('A promise is between 1 minute and 30 days of working time.');
  await form.getByLabel(/^Working minutes/).fill('200');
  await form.getByRole('button', { name: 'Add hours on Sun' }).click();
  await form.getByRole('button', { name: /^Sun 9:00/ }).press('Shift+ArrowRight');
  await expect(form).toContainText('Sun 9:00–17:15');
  await form.getByRole('button', { name: 'Save, at once for everyone' }).click();
  await page.getByRole('link', { name: 'Who changed what' }).click();
  const changes = page.getByRole('list', { name: 'Changes' });
  await expect(changes).toContainText('line Storage and accounts, promise: 4 h → 3 h 20 min');
  await expect(changes).toContainText('Maren Oduya');
});

for (const scheme of SCHEMES) {
  test(`no serious violation of accessibility in lists, dialogs and set-up, ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    await signIn(page);
    const check = () => withoutBarriers(page, scheme);
    await expect(list(page).getByRole('link').first()).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await expect(script(page)).toBeVisible();
    await page.keyboard.press('s');
    await expect(page.getByRole('toolbar')).toBeVisible();
    await check();
    await page.keyboard.press('w');
    await page.keyboard.type('lantern');
    await expect(page.getByRole('menuitem').first()).toBeVisible();
    await check();
    for (const place of ['lines/1', 'topics', 'sites', 'history']) {
      await page.goto(`/setup/${place}`);
      await expect(page.getByRole('navigation', { name: 'Set-up' })).toBeVisible();
      await check();
    }
  });
}

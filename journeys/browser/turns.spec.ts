import type { Page } from '@playwright/test';
import { expect, freshNumber, group, list, open, type Office, reply, script, shown, test } from './fixture';

/** Shows only what says a word. */
async function saying(page: Page, word: string): Promise<void> {
  await page.getByRole('button', { name: /^Add a condition/ }).click();
  await page.getByRole('menuitem', { name: /^saying/ }).click();
  await expect(page.getByRole('textbox', { name: 'Words in the script' })).toBeFocused();
  await page.keyboard.type(word);
  await page.keyboard.press('Enter');
}

async function texts(office: Office, count: number, words: string): Promise<string[]> {
  const numbers: string[] = [];
  for (let i = 0; i < count; i++) numbers.push(await office.text(`${words} ${i + 1}.`));
  return numbers;
}

test('by keyboard alone: taken, set aside, done, taken back, opened again and let go', async ({ office }) => {
  const number = await office.text('no hurry at all');
  const page = await office.pageOf();
  const me = office.lead.name;
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('t');
  await expect(script(page)).toContainText(`(${me} takes it.)`);
  await page.keyboard.press('a');
  await expect(page.getByRole('menuitem', { name: /^Later today/ })).toContainText(/today \d\d:\d\d/);
  await page.keyboard.press('Enter');
  await expect(script(page)).toContainText(/sets it aside until today/);
  await expect(list(page).getByRole('link')).toHaveCount(0);
  await group(page, 'Set aside').click();
  await expect(list(page).getByRole('link', { name: 'no hurry at all' })).toContainText(/until today \d\d:\d\d/);
  await office.text('or perhaps there is', number);
  await expect(list(page).getByRole('link')).toHaveCount(0);
  await group(page, 'Our turn').click();
  await expect(list(page).getByRole('link', { name: 'or perhaps there is' })).toBeVisible();

  await script(page).focus();
  await page.keyboard.press('d');
  await expect(script(page)).toContainText(`(Done without an answer, by ${me}.)`);
  await expect(list(page).getByRole('link')).toHaveCount(0);
  await page.keyboard.press('z');
  await expect(script(page)).toContainText(`(${me} undoes done.)`);
  await page.keyboard.press('d');
  await expect(page.getByRole('button', { name: 'Reopen' })).toBeVisible();
  await office.text('one thing more', number);
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await page.keyboard.press('l');
  await expect(script(page)).toContainText(`(${me} lets it go; it is nobody’s.)`);
  await page.keyboard.press('r');
  await page.keyboard.type('td ok');
  await expect(reply(page)).toHaveValue('td ok');
  await page.keyboard.press('Alt+Enter');
  await expect(script(page)).toContainText(`(Done, by ${me}.)`);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+Tab');
  await expect(page.locator(':focus')).toHaveCSS('outline-style', 'solid');
  await page.keyboard.press('o');
  await expect(script(page)).toContainText(`(${me} reopens it.)`);

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.getByRole('dialog').getByRole('switch').click();
  await expect(page.getByRole('dialog').getByRole('switch')).not.toBeChecked();
  await page.keyboard.press('Escape');
  await script(page).focus();
  await page.keyboard.press('d');
  await expect(page.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
});

test('a sentence is saved for a team, and a colleague finds it with its count', async ({ office }) => {
  const ben = await office.person('Ben');
  await office.text('about the parcels');
  await office.text('more parcels, please');
  await office.text('something else');
  const page = await office.pageOf();
  await saying(page, 'parcels');
  await expect(list(page).getByRole('link')).toHaveCount(2);
  await page.getByRole('button', { name: 'Save this sentence…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Parcels');
  await page.getByRole('button', { name: /^For whom/ }).click();
  await page.getByRole('menuitem', { name: `everyone in ${office.teamName}` }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Parcels 2' })).toBeVisible();

  const other = await office.pageOf(ben);
  await other.getByRole('button', { name: 'Parcels 2' }).click();
  await expect(list(other).getByRole('link')).toHaveCount(2);
  await expect(other.getByRole('textbox', { name: 'Words in the script' })).toHaveValue('parcels');
  await office.text('third of the parcels');
  await expect(other.getByRole('button', { name: 'Parcels 3' })).toBeVisible();
});

test('keys and arrows faster than scripts are drawn leave no conversation out and mean the one that one has gone to', async ({
  office,
}) => {
  await texts(office, 12, 'one of a dozen, number');
  const page = await office.pageOf();
  const rows = list(page).getByRole('link');
  await expect(rows.nth(11)).toBeAttached();
  const eighth = (await rows.nth(7).getAttribute('href')) ?? '';
  const twelfth = (await rows.nth(11).getAttribute('href')) ?? '';
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowDown');
  await expect(page).toHaveURL(twelfth);
  await page.keyboard.press('s');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByRole('toolbar')).toContainText('4 selected');
  await page.keyboard.press('ArrowUp');
  await expect(page).toHaveURL(eighth);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('toolbar')).toHaveCount(0);
  for (const key of ['ArrowUp', 't', 'ArrowUp', 't', 'ArrowUp', 'r']) await page.keyboard.press(key);
  await page.keyboard.type('Let them be.');
  await expect(reply(page)).toHaveValue('Let them be.');
  for (const [row, whose] of [
    [6, /^mine/],
    [5, /^mine/],
    [4, /^nobody’s/],
  ] as const) {
    await expect(rows.nth(row)).toHaveAccessibleName(whose);
  }
});

test('several at once by keyboard alone: the skipped are named, the rest get the text', async ({ office }) => {
  const gull = `GULL${office.tag.toUpperCase()}`;
  const numbers = await texts(office, 2, 'what about the tides');
  await office.text('tides, says the gull', gull);
  await office.text('something else');
  const page = await office.pageOf();
  await saying(page, 'tides');
  await expect(list(page).getByRole('link')).toHaveCount(3);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('toolbar')).toContainText('3 selected');
  await page.keyboard.press('r');
  await page.keyboard.type('We will text you on Thursday.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Send the text' });
  await expect(dialog.getByRole('list', { name: 'Skipped' })).toContainText(`${gull}: This sender is a name or short code`);
  await dialog.getByRole('button', { name: 'Send 2 texts, 2 parts' }).focus();
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('Done for 2 conversations.');
  await page.keyboard.press('Escape');
  for (const number of numbers) {
    await expect.poll(() => office.arrivedOn(number)).toEqual(['We will text you on Thursday.']);
  }

  await group(page, 'Their turn').click();
  await expect(list(page).getByRole('link')).toHaveCount(2);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('s');
  await page.getByRole('button', { name: 'All 2' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('toolbar')).toContainText('2 selected');
  await page.keyboard.press('d');
  await page.getByRole('button', { name: 'Finish 2' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Done for 2 conversations.');
  await page.keyboard.press('Escape');
  await expect(list(page).getByRole('link')).toHaveCount(0);
  await page.keyboard.press('z');
  await expect(list(page).getByRole('link')).toHaveCount(2);
});

test('writing to a new number, and saying what it is about, by keyboard alone', async ({ office }) => {
  const number = freshNumber();
  await office.lead.ask('POST', `/api/setup/teams/${office.teamId}/topics`, { name: 'visits', colour: 'MOSS', retired: false });
  const page = await office.pageOf();
  await page.keyboard.press('w');
  await page.keyboard.type(shown(number));
  await expect(page.getByRole('button', { name: /^Write to \(/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(reply(page)).toBeFocused();
  await page.keyboard.type('Your parcel is at the harbour office.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('◑ delivered');
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await expect(page.getByRole('dialog', { name: 'Topics' })).toBeVisible();
  await page.keyboard.type('visi');
  await page.keyboard.press('Enter');
  await expect(script(page)).toContainText(`(About visits, says ${office.lead.name}.)`);
  expect(await office.arrivedOn(number)).toEqual(['Your parcel is at the harbour office.']);
  await page.keyboard.press('w');
  await page.keyboard.type(number.slice(2));
  await expect(page.getByRole('menuitem')).toContainText('Open conversation');
});

test('the list opens where it was, and what comes in moves nothing one looks at or points to', async ({ office }) => {
  await texts(office, 24, 'a long list, number');
  const { rows } = await office.lead.ask<{ rows: { id: number }[] }>('GET', '/api/conversations?group=OUR_TURN&limit=100');
  for (const { id } of rows) await office.lead.ask('POST', `/api/conversations/${id}/done`, {});
  const page = await office.pageOf();
  await group(page, 'Done').click();
  await expect(group(page, 'Done')).toHaveAttribute('aria-pressed', 'true');
  const region = list(page);
  const scrolled = () =>
    region.evaluate((element) => {
      element.scrollTo(0, 700);
      return element.scrollTop;
    });
  await expect.poll(scrolled).toBe(700);
  await page.mouse.move(900, 30);
  const inView = () =>
    region.evaluate((element) => {
      const top = element.getBoundingClientRect().top;
      const rows = [...element.querySelectorAll('a')].sort((a, b) => a.getBoundingClientRect().top - b.getBoundingClientRect().top);
      const first = rows.find((row) => row.getBoundingClientRect().top >= top);
      return `${first?.getAttribute('href') ?? ''} at ${Math.round((first?.getBoundingClientRect().top ?? 0) - top)}`;
    });
  await expect.poll(inView).toContain('/inbox/');
  const looked = await inView();
  await office.text('finished in a moment');
  const [row] = (await office.lead.ask<{ rows: { id: number }[] }>('GET', '/api/conversations?group=OUR_TURN')).rows;
  await office.lead.ask('POST', `/api/conversations/${row?.id}/done`, {});
  await expect(group(page, 'Done')).toContainText('25');
  await expect.poll(inView).toBe(looked);
  await group(page, 'Our turn').click();
  await expect(group(page, 'Our turn')).toHaveAttribute('aria-pressed', 'true');
  await group(page, 'Done').click();
  await expect.poll(async () => (await inView()).split(' ')[0]).toBe(looked.split(' ')[0]);
  await page.reload();
  await expect.poll(inView).toBe(looked);

  await texts(office, 4, 'there before, number');
  await group(page, 'Our turn').click();
  await page.getByRole('button', { name: /^Order: / }).click();
  await page.getByRole('menuitem', { name: 'newest first' }).click();
  const first = list(page).getByRole('link').first();
  await first.hover();
  const before = await first.textContent();
  await page.mouse.move(200, 420);
  await office.text('in at the top');
  await expect(page.getByRole('button', { name: /new changes?/ })).toBeVisible();
  expect(await first.textContent()).toBe(before);
  await page.getByRole('button', { name: /new changes?/ }).click();
  await expect(first).toContainText('in at the top');
});

test('a promise is changed in the set-up, and what waits is due otherwise at once; what is not saved is asked about', async ({
  office,
}) => {
  await office.text('a question about storage');
  const page = await office.pageOf();
  await page.getByRole('link', { name: 'Office', exact: true }).click();
  await page.getByRole('link', { name: 'Set-up' }).click();
  await page.getByRole('link', { name: new RegExp(`^${office.lineName}`) }).click();
  const form = page.getByRole('form', { name: office.lineName });
  await expect(form.getByRole('list', { name: 'When an answer would be due' })).toContainText(/A text now would be due/);
  await form.getByLabel(/^Answer within/).fill('0');
  await form.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(form).toContainText('A promise is between 1 minute and 30 days of working time.');
  await form.getByLabel(/^Answer within/).fill('200');
  await form.getByRole('button', { name: 'Add hours on Sun' }).click();
  await form.getByRole('button', { name: /^Sun 9:00/ }).press('Shift+ArrowRight');
  await expect(form).toContainText('Sun 9:00–17:15');
  await page.getByRole('link', { name: /^Inbox/ }).click();
  const unsaved = page.getByRole('dialog');
  await expect(unsaved).toContainText(/not saved/i);
  await unsaved.getByRole('button', { name: /^Stay/ }).click();
  await expect(form.getByLabel(/^Answer within/)).toHaveValue('200');
  await form.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('link', { name: 'Change log' }).click();
  const changes = page.getByRole('table', { name: 'Change log' });
  await expect(changes).toContainText(`line ${office.lineName}promise: 1 h → 3 h 20 min`);
  await expect(changes).toContainText(office.lead.name);
});

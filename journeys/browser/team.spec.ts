import type { Browser, Page } from '@playwright/test';
import { DOCK, expect, freshNumber, HANDSETS, letTimePass, open, SCHEMES, signIn, test, textFrom, withoutBarriers, YARD } from './fixture';

const script = (page: Page) => page.getByRole('region', { name: 'Script' });
const notices = (page: Page) => page.getByRole('button', { name: /^Notices/ });

/** A second window, with somebody else in it. */
async function beside(browser: Browser, name: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await signIn(page, name);
  return page;
}

async function arrived(page: Page, words: string, line = DOCK): Promise<string> {
  const number = freshNumber();
  await textFrom(page, number, line, words);
  await expect(async () => {
    const found = await page.request.get(`/api/conversations/jump?words=${number.slice(2)}`);
    expect(((await found.json()) as unknown[]).length).toBe(1);
  }).toPass();
  return number;
}

test('who writes shows to the other, and an answer that crosses a colleague’s stops and keeps its words', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const tobias = await beside(browser, 'tobias');
  const number = await arrived(page, 'Is there a berth tonight?');
  await open(page, number);
  await open(tobias, number);
  await expect(page.getByRole('status', { name: 'Who else is here' })).toContainText('Tobias is looking');
  await script(tobias).focus();
  await tobias.keyboard.press('r');
  await tobias.keyboard.type('Yes, B7 is free');
  await expect(page.getByRole('status', { name: 'Who else is here' })).toContainText('Tobias is writing…');

  await script(page).focus();
  await page.keyboard.press('r');
  await page.keyboard.type('No, we are full');
  await page.keyboard.press('Control+Enter');
  await expect(script(tobias)).toContainText('No, we are full');
  await tobias.getByLabel(/^Reply to/).focus();
  await tobias.keyboard.press('Control+Enter');
  await expect(tobias.getByRole('alert')).toContainText('Maren Oduya answered since you began to write: “No, we are full”');
  await expect(tobias.getByLabel(/^Reply to/)).toHaveValue('Yes, B7 is free');
  await expect(script(tobias)).not.toContainText('B7');
  await tobias.getByRole('button', { name: 'Send mine as well' }).click();
  await expect(script(page)).toContainText('Yes, B7 is free');

  await tobias.context().close();
  await expect(page.getByRole('status', { name: 'Who else is here' })).toBeEmpty({ timeout: 15_000 });
});

test('who writes at once, before the script is there, is not stopped by an answer of long ago', async ({ page, browser }) => {
  const tobias = await beside(browser, 'tobias');
  const number = await arrived(tobias, 'Anybody?');
  await open(tobias, number);
  await tobias.getByLabel(/^Reply to/).fill('An answer of long ago');
  await tobias.keyboard.press('Control+Enter');
  await expect(script(tobias)).toContainText('An answer of long ago');
  await textFrom(tobias, number, DOCK, 'And today?');

  await signIn(page, 'maren');
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/script?**', async (route) => {
    await held;
    await route.continue();
  });
  await open(page, number);
  await page.getByLabel(/^Reply to/).fill('Today as well');
  await page.keyboard.press('Control+Enter');
  letGo();
  await expect(script(page)).toContainText('Today as well');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('handing over by keyboard tells the other, who reads a summary and answers in place', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const tobias = await beside(browser, 'tobias');
  const number = await arrived(page, 'Which pontoon is the pump-out on?');
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('t');
  await expect(script(page)).toContainText('(Maren Oduya takes it.)');
  await page.keyboard.press('h');
  await page.getByLabel('To whom').fill('ren');
  await page.getByLabel('Why, in a word; kept as a note').fill('You were there this morning.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(script(page)).toContainText('(Maren Oduya hands it over to Tobias Renner.)');

  await tobias.keyboard.press('g');
  const list = tobias.getByRole('dialog', { name: 'Notices' });
  await expect(list).toContainText('Maren Oduya handed it to you.');
  await list.getByText('Maren Oduya handed it to you.').first().click();
  const summary = tobias.getByRole('complementary', { name: 'Summary of the handing over' });
  await expect(summary).toContainText('Maren Oduya handed it over');
  await expect(summary).toContainText('Which pontoon is the pump-out on?');
  await expect(summary).toContainText('You were there this morning.');
  await expect(summary).toContainText('an answer by today');

  await page.keyboard.press('z');
  await expect(script(page)).toContainText('(Maren Oduya takes back handing it over.)');
  await expect(summary).toBeHidden();
});

test('taking what was taken a second ago says by whom', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const number = await arrived(page, 'Who takes me?');
  const tobias = await beside(browser, 'tobias');
  await tobias.route('**/api/live**', (route) => route.abort());
  await tobias.reload();
  await open(tobias, number);
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('t');
  await expect(script(page)).toContainText('(Maren Oduya takes it.)');
  await script(tobias).focus();
  await tobias.keyboard.press('t');
  await expect(tobias.getByRole('alert').first()).toContainText('Maren Oduya has it since a moment ago. Nothing was changed');
});

test('a note names a colleague, is changed, and is withdrawn with its trace', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const tobias = await beside(browser, 'tobias');
  const number = await arrived(page, 'About the fenders');
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('n');
  await page.keyboard.type('Do you know more, @Tob');
  await page.keyboard.press('Tab');
  await page.keyboard.type('?');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Do you know more, @Tobias Renner ?');
  await notices(tobias).click();
  await expect(tobias.getByRole('dialog', { name: 'Notices' })).toContainText('Maren Oduya: “Do you know more, @Tobias Renner ?”');

  await script(page).getByText('Do you know more').hover();
  await page.getByRole('button', { name: 'Change this note' }).click();
  await page.getByLabel('The note').fill('Settled.');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await expect(script(page)).toContainText('Settled.');
  await script(page).getByText('Settled.').hover();
  await page.getByRole('button', { name: 'Change this note' }).click();
  await page.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(script(page)).toContainText('withdrawn');
  await page.getByRole('button', { name: /^what it said/ }).click();
  await expect(page.getByRole('list', { name: 'What it said before' })).toContainText('Do you know more');

  await page.keyboard.press('n');
  await page.keyboard.type('@Eli Castellanos could you?');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('alert')).toContainText('Eli Castellanos does not see this conversation');
  await expect(page.getByLabel('Note for the team')).toHaveValue('@Eli Castellanos could you?');
});

test('somebody is asked in by mail, comes in once, and leaves again', async ({ page, browser }, { retry }) => {
  const name = ['Ada', 'Ida'][retry] ?? '';
  await signIn(page, 'maren');
  await page.goto('/setup/people/new');
  await page.getByLabel('Name').fill(`${name} Birch`);
  await page.getByLabel('Mail address; they sign in with it').fill(`${name.toLowerCase()}@quillhaven.example`);
  await page.getByRole('button', { name: 'Mail the invitation' }).click();
  await expect(page.getByRole('note')).toContainText('Asked in, and has not come yet.');

  const ada = await (await browser.newContext()).newPage();
  await ada.goto(`${HANDSETS}/mail`);
  const mail = ada.getByRole('article', { name: 'Join the front office' }).filter({ hasText: `Hello ${name} Birch` });
  await mail.getByRole('link').click();
  await ada.getByLabel('Choose a password').fill('password1234');
  await ada.getByRole('radio', { name: 'bell' }).click();
  await ada.getByRole('button', { name: 'Come in' }).click();
  await expect(ada.getByText('This is among the passwords that are tried first.')).toBeVisible();
  const link = ada.url();
  await ada.getByLabel('Choose a password').fill('seven small boats');
  await ada.getByRole('button', { name: 'Come in' }).click();
  await expect(ada.getByRole('button', { name: `${name} Birch, in` })).toBeVisible();
  await ada.goto(link);
  await expect(ada.getByRole('alert')).toContainText('This link was used already.');

  await page.reload();
  await page.getByRole('button', { name: 'Switch off…' }).click();
  await page.getByRole('button', { name: `Switch ${name} off` }).click();
  await expect(page.getByRole('note')).toContainText('Switched off');
  await page.goto('/setup/record');
  await expect(page.getByRole('list', { name: 'The record' })).toContainText(`${name} Birch, switched off`);
});

test('a lead sees who has what, and moves work by dragging and by key', async ({ page }) => {
  await signIn(page, 'maren');
  const number = await arrived(page, 'For the lead to give away');
  const shown = `(${number.slice(2, 5)}) ${number.slice(5, 8)}-${number.slice(8)}`;
  await page.getByRole('link', { name: 'Front office' }).click();
  const row = (name: string) => page.getByRole('row', { name });
  await expect(row('Hattie Brook')).toContainText('Samir covers');
  const noor = row('Noor Lindqvist').getByRole('cell').nth(1);
  const before = Number(await noor.textContent());
  await page.getByRole('listitem').filter({ hasText: shown }).dragTo(row('Noor Lindqvist'));
  await expect(noor).toHaveText(String(before + 1));

  await row('Noor Lindqvist').click();
  const list = page.getByRole('region', { name: 'On our turn, Noor Lindqvist’s' });
  await expect(list).toContainText('For the lead to give away');
  while (!(await list.locator('[data-here]').textContent())?.includes(shown)) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('h');
  await page.getByRole('menuitem', { name: 'Tobias Renner' }).click();
  await expect(noor).toHaveText(String(before));
  await page.keyboard.press('z');
  await expect(noor).toHaveText(String(before + 1));
});

test('the ladder tells the lead when something is late, once', async ({ page }) => {
  await signIn(page, 'maren');
  const number = await arrived(page, 'Nobody answers me');
  const shown = `(${number.slice(2, 5)}) ${number.slice(5, 8)}-${number.slice(8)}`;
  await letTimePass(page, 61);
  await notices(page).click();
  const late = page.getByRole('dialog', { name: 'Notices' }).getByRole('listitem').filter({ hasText: shown }).filter({ hasText: 'It was due' });
  await expect(late).toHaveCount(1, { timeout: 15_000 });
  await late.getByRole('button', { name: 'Answer here' }).click();
  await page.getByLabel(`Reply to ${shown}`).fill('Sorry for the wait.');
  await page.keyboard.press('Control+Enter');
  await expect(late.getByLabel('not seen')).toHaveCount(0);
});

test('what one may not do is shown, with who can allow it; what one may not see is not there', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const yard = await arrived(page, 'For the yard only', YARD);
  const people = (await (await page.request.get('/api/setup/people')).json()) as { staff: { id: number; name: string } }[];
  const noor = people.find((one) => one.staff.name === 'Noor Lindqvist')?.staff.id ?? 0;
  await page.goto(`/setup/people/${noor}`);
  await page.getByRole('button', { name: /^Role: / }).click();
  await page.getByRole('menuitem', { name: 'viewer' }).click();
  await page.getByRole('button', { name: 'Save, at once' }).click();
  await expect(page.getByRole('link', { name: /Noor Lindqvist/ })).toContainText('viewer');

  const viewer = await beside(browser, 'noor');
  await viewer.getByRole('region', { name: 'Conversations' }).getByRole('link').first().click();
  await expect(viewer.getByRole('button', { name: 'Take', exact: true })).toBeDisabled();
  await viewer.getByRole('button', { name: 'Done', exact: true }).hover();
  await expect(viewer.getByRole('tooltip')).toContainText('You may not change conversations. Maren Oduya can allow it.');
  await expect(viewer.getByRole('button', { name: 'Send', exact: true })).toBeDisabled();
  await expect(viewer.getByRole('link', { name: 'Set-up' })).toHaveCount(0);
  await viewer.getByLabel('Jump to a customer or number').fill(yard.slice(2));
  await expect(viewer.getByText('Nobody here is called so')).toBeVisible();

  await page.getByRole('button', { name: 'Role: viewer' }).click();
  await page.getByRole('menuitem', { name: 'staff' }).click();
  await page.getByRole('button', { name: 'Save, at once' }).click();
  await expect(viewer.getByRole('button', { name: 'Take', exact: true })).toBeEnabled();
});

test('going away shows what one owns and hands over what is picked', async ({ page, browser }) => {
  await signIn(page, 'maren');
  const priya = await beside(browser, 'priya');
  const number = await arrived(page, 'I am Priya’s');
  await open(priya, number);
  await script(priya).focus();
  await priya.keyboard.press('t');
  await expect(script(priya)).toContainText('(Priya Nandakumar takes it.)');
  await priya.getByRole('button', { name: 'Priya Nandakumar, in' }).click();
  await priya.getByRole('menuitem', { name: 'Go away…' }).click();
  await priya.getByRole('button', { name: /^What becomes of it/ }).click();
  await priya.getByRole('menuitem', { name: 'hand it over to Noor Lindqvist' }).click();
  const shown = `(${number.slice(2, 5)}) ${number.slice(5, 8)}-${number.slice(8)}`;
  for (const box of await priya.getByRole('dialog').getByRole('checkbox').all()) await box.uncheck();
  await priya.getByRole('checkbox', { name: shown }).check();
  await priya.getByRole('button', { name: 'Move 1, and go away' }).click();
  await expect(priya.getByRole('button', { name: 'Priya Nandakumar, away' })).toBeVisible();
  await expect(script(priya)).toContainText('(Priya Nandakumar hands it over to Noor Lindqvist.)');
  await priya.getByRole('button', { name: 'Priya Nandakumar, away' }).click();
  await priya.getByRole('menuitem', { name: 'I am in again' }).click();
  await expect(priya.getByRole('button', { name: 'Priya Nandakumar, in' })).toBeVisible();
});

for (const colorScheme of SCHEMES) {
  test(`new places can be used by everybody (${colorScheme})`, async ({ browser }) => {
    const page = await (await browser.newContext({ colorScheme })).newPage();
    await signIn(page, 'maren');
    for (const place of ['/office', '/setup/people', '/setup/teams', '/setup/record', '/setup/sign-ins', '/me/profile', '/me/plan', '/me/notices', '/me/security']) {
      await page.goto(place);
      await expect(page.getByRole('main')).toBeVisible();
      await expect(page.getByRole('button', { name: 'Maren Oduya, in' })).toBeVisible();
      await withoutBarriers(page, colorScheme);
    }
    await notices(page).click();
    await withoutBarriers(page, colorScheme, '[role="dialog"]');
  });
}

import { arrivedOn, DOCK, expect, freshNumber, HANDSETS, misbehave, open, SCHEMES, signIn, test, textFrom, withoutBarriers, YARD } from './fixture';

test.afterEach(async ({ page }) => {
  await misbehave(page, {});
});

test('a customer texts, a colleague answers, and the answer is on the handset', async ({ page }) => {
  const number = freshNumber();
  const asked = `Is there a berth free for tonight? ${number.slice(-3)}`;
  await signIn(page);
  await textFrom(page, number, DOCK, asked);
  const list = page.getByRole('region', { name: 'Conversations' });
  await page.getByRole('button', { name: /^Whose/ }).click();
  await page.getByRole('menuitem', { name: 'nobody’s' }).click();
  await list.getByText(asked).click();
  await expect(page.getByRole('note')).toContainText('Nobody we know holds (');

  await page.getByLabel('Reply to').fill('Yes, V6 with power. Come in.');
  await page.keyboard.press('Control+Enter');

  const script = page.getByRole('region', { name: 'Script' });
  await expect(script).toContainText('Yes, V6 with power. Come in.');
  await expect(page.getByLabel('Reply to')).toHaveValue('');
  await expect(script).toContainText('◑ delivered');
  expect(await arrivedOn(page, number)).toEqual(['Yes, V6 with power. Come in.']);
  await expect(script).toContainText('● read');
});

test('a text appears in the open script and list without anyone’s touch', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, YARD, 'first');
  await signIn(page);
  await open(page, number);
  const before = await page.getByRole('link', { name: /^Inbox/ }).textContent();

  await textFrom(page, number, YARD, 'and a second one, live');
  await expect(page.getByRole('region', { name: 'Script' })).toContainText('and a second one, live');
  await textFrom(page, freshNumber(), YARD, 'somebody else');
  await expect(page.getByRole('link', { name: /^Inbox/ })).not.toHaveText(before ?? '');
});

test('after a break in the line nothing is missing', async ({ page, context }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'before the break');
  await signIn(page);
  await open(page, number);
  await context.setOffline(true);
  await textFrom(page, number, DOCK, 'told while the laptop was closed');
  await context.setOffline(false);
  await expect(page.getByRole('region', { name: 'Script' })).toContainText('told while the laptop was closed', { timeout: 15_000 });
});

test('the part meter counts as one types and offers the plain wording', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'hello');
  await signIn(page);
  await open(page, number);
  const meter = page.getByRole('status', { name: 'Part meter' });
  await page.getByLabel('Reply to').fill('Tuesday at 9.');
  await expect(meter).toContainText('1 part, 147 left');
  await page.getByLabel('Reply to').fill(`It’s ready… ${'x'.repeat(70)}`);
  await expect(meter).toContainText('2 parts');
  await expect(meter).toContainText('’');
  await expect(page.getByRole('button', { name: 'Send 2 parts' })).toBeVisible();
  await meter.getByRole('button', { name: 'Plain wording: saves 1 part' }).click();
  await expect(meter).toContainText('1 part,');
  await expect(page.getByLabel('Reply to')).toHaveValue(/^It's ready\.\.\. /);
});

test('the time ribbon has a mark for everyone who waits, and opens them', async ({ page }) => {
  const number = freshNumber();
  await signIn(page);
  const ribbon = page.getByRole('region', { name: 'Time ribbon' });
  await expect(ribbon).toContainText(/\d+ late, \d+ within the hour, \d+ later, next promise \d\d:\d\d/);
  const words = `a mark on the ribbon ${number.slice(-3)}`;
  await textFrom(page, number, DOCK, words);
  const mark = ribbon.getByRole('link', { name: new RegExp(`(1 h 00|59 min) left, nobody’s: ${words}`) });
  await expect(mark).toBeVisible();
  await mark.click();
  await expect(page.getByRole('region', { name: 'Script' })).toContainText(words);
  await page.getByLabel('Reply to').fill('and off it');
  await page.keyboard.press('Control+Enter');
  await expect(mark).toHaveCount(0);
});

test('a draft survives moving about and a reload, and a note is another paper', async ({ page }) => {
  const [one, two] = [freshNumber(), freshNumber()];
  await textFrom(page, one, DOCK, 'one');
  await textFrom(page, two, DOCK, 'two');
  await signIn(page);
  await open(page, one);
  await page.getByLabel('Reply to').fill('half a thought');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note for the team').fill('ask Eli first');
  await open(page, two);
  await expect(page.getByLabel('Reply to')).toHaveValue('');
  await open(page, one);
  await expect(page.getByLabel('Reply to')).toHaveValue('half a thought');
  await page.reload();
  await expect(page.getByLabel('Reply to')).toHaveValue('half a thought');

  await page.getByRole('button', { name: /Note \(draft\)/ }).click();
  await page.getByRole('button', { name: 'Add the note' }).click();
  const script = page.getByRole('region', { name: 'Script' });
  await expect(script).toContainText('ask Eli first');
  expect(await arrivedOn(page, one)).toEqual([]);
  await page.getByRole('button', { name: /Reply \(draft\)/ }).click();
  await expect(page.getByLabel('Reply to')).toHaveValue('half a thought');
});

test('a text that was not delivered says why and can be written again', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'are you there?');
  await misbehave(page, { failWith: 'undeliverable' });
  await signIn(page);
  await open(page, number);
  await page.getByLabel('Reply to').fill('We are.');
  await page.getByRole('button', { name: 'Send', exact: true }).click();
  const script = page.getByRole('region', { name: 'Script' });
  await expect(script).toContainText('× not delivered: The phone company could not deliver it.');
  await misbehave(page, {});
  await script.getByRole('button', { name: 'Write it again' }).click();
  await expect(page.getByLabel('Reply to')).toHaveValue('We are.');
  await page.keyboard.press('Control+Enter');
  await expect(script).toContainText('◑ delivered');
});

test('a lost answer of the network neither loses nor doubles the text', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'hello?');
  await misbehave(page, { loseAnswers: 1, repeat: 1, outOfOrder: true });
  await signIn(page);
  await open(page, number);
  await page.getByLabel('Reply to').fill('Once and only once.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('region', { name: 'Script' })).toContainText('◑ delivered');
  expect(await arrivedOn(page, number)).toEqual(['Once and only once.']);
});

test('by keyboard alone: take, done, open again, let go', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'keys please');
  await signIn(page);
  await open(page, number);
  const script = page.getByRole('region', { name: 'Script' });
  await script.focus();
  await page.keyboard.press('t');
  await expect(script).toContainText('(Maren Oduya takes it.)');
  await page.keyboard.press('d');
  await expect(script).toContainText('(Done without an answer, by Maren Oduya.)');
  await page.keyboard.press('o');
  await expect(script).toContainText('(Maren Oduya opens it again.)');
  await page.keyboard.press('l');
  await expect(script).toContainText('(Maren Oduya lets it go; it is nobody’s.)');
  await page.keyboard.press('r');
  await page.keyboard.type('td ok');
  await expect(page.getByLabel('Reply to')).toHaveValue('td ok');
  await page.keyboard.press('Control+Shift+Enter');
  await expect(script).toContainText('(Done, by Maren Oduya.)');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+Tab');
  await expect(page.locator(':focus')).toHaveCSS('outline-style', 'solid');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('a wrong password is said plainly, and nobody is let in', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Name').fill('hattie');
  await page.getByLabel('Password').fill('not hers');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('That name and password do not go together.');
  await expect(page.getByLabel('Password')).toHaveValue('');
});

test('the handsets page plays the customer', async ({ page }) => {
  const number = freshNumber();
  await page.goto(HANDSETS);
  await page.getByLabel('Find or type a number').fill(number);
  await page.getByRole('button', { name: `Use this number ${number}` }).click();
  await page.getByRole('button', { name: 'Line: Dock office' }).click();
  await page.getByRole('menuitem', { name: 'Yard and lift' }).click();
  await page.getByLabel('Text from this handset').fill('Do you step masts on Saturdays?');
  await page.getByRole('button', { name: 'Send the text' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Do you step masts on Saturdays?' })).toContainText('to Yard and lift');

  const staff = await page.context().newPage();
  await signIn(staff);
  await open(staff, number);
  await staff.getByLabel('Reply to').fill('We do, from 8.');
  await staff.keyboard.press('Control+Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'We do, from 8.' })).toBeVisible();
});

test('on a phone the list and the script are two pages', async ({ page }) => {
  const number = freshNumber();
  await textFrom(page, number, DOCK, 'from a small window');
  await page.setViewportSize({ width: 390, height: 780 });
  await signIn(page);
  await expect(page.getByRole('region', { name: 'Conversations' })).toBeVisible();
  await open(page, number);
  await expect(page.getByRole('region', { name: 'Conversations' })).toBeHidden();
  await page.getByLabel('Reply to').fill('Seen.');
  await page.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Script' })).toContainText('Seen.');
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: '← List' }).click();
  await expect(page.getByRole('region', { name: 'Conversations' })).toBeVisible();
});

for (const scheme of SCHEMES) {
  test(`no serious violation of accessibility, ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    await page.goto('/');
    await expect(page.getByLabel('Name')).toBeVisible();
    const check = () => withoutBarriers(page, scheme);
    await check();
    await signIn(page);
    await check();
    const number = freshNumber();
    await textFrom(page, number, DOCK, 'look at this');
    await open(page, number);
    await page.getByLabel('Reply to').fill('It’s “dear” …');
    await expect(page.getByRole('status', { name: 'Part meter' })).toContainText('dearer');
    await check();
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await check();
    await page.goto(HANDSETS);
    await page.getByRole('button', { name: new RegExp(number.slice(1)) }).click();
    await check();
  });
}

import { expect, freshNumber, group, HANDSETS, list, notices, open, reply, script, shown, test } from './fixture';

test('a customer texts, a colleague answers, and the answer is on the handset', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('Is there a berth free for tonight?');
  await page.getByRole('button', { name: /^Whose/ }).click();
  await page.getByRole('menuitem', { name: 'nobody’s' }).click();
  await list(page).getByText('Is there a berth free for tonight?').click();
  await expect(page.getByRole('region', { name: 'Who is writing?' })).toContainText('This number is not on file.');

  await reply(page).fill('Yes, V6 with power. Come in.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Yes, V6 with power. Come in.');
  await expect(reply(page)).toHaveValue('');
  await expect(script(page)).toContainText('◑ delivered');
  expect(await office.arrivedOn(number)).toEqual(['Yes, V6 with power. Come in.']);
  await expect(script(page)).toContainText('● read');

  await office.text('and a second one, live', number);
  await expect(script(page)).toContainText('and a second one, live');
  await office.text('somebody else');
  await expect(list(page)).toContainText('somebody else');
});

test('offline is said at once, what is pressed is refused, and afterwards nothing is missing', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('before the break');
  await open(page, number);
  await page.context().setOffline(true);
  await expect(page.getByRole('banner')).toContainText('Offline');
  await reply(page).fill('Written on the train.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('alert').first()).toContainText(/offline/i);
  await expect(reply(page)).toHaveValue('Written on the train.');
  await office.text('told while the laptop was closed', number);
  await page.context().setOffline(false);
  await expect(script(page)).toContainText('told while the laptop was closed');
  await reply(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Written on the train.');
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Written on the train.']);
});

test('a text whose answer got lost is sent once, though the page is loaded anew and Send pressed again', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('hello?');
  await office.misbehave(number, { loseAnswers: 1, repeat: 1, outOfOrder: true });
  await open(page, number);
  await page.route('**/texts', async (route) => {
    await route.fetch();
    await route.abort();
  });
  await reply(page).fill('Once and only once.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('alert').first()).toBeVisible();
  await page.unroute('**/texts');
  await page.reload();
  await expect(reply(page)).toHaveValue('Once and only once.');
  await reply(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(reply(page)).toHaveValue('');
  await expect(script(page).getByText('Once and only once.')).toHaveCount(1);
  await expect(script(page)).toContainText('◑ delivered');
  expect(await office.arrivedOn(number)).toEqual(['Once and only once.']);
});

test('the time ribbon has a mark for everyone who waits, and a span dragged on it becomes part of the sentence', async ({ office }) => {
  const page = await office.pageOf();
  const ribbon = page.getByRole('region', { name: 'Time ribbon' });
  await office.text('a mark on the ribbon');
  await expect(ribbon).toContainText(/nothing late, \d+ within the hour.*, next promise \d\d:\d\d/);
  const mark = ribbon.getByRole('link', { name: /(1 h 00|59 min) left, nobody’s: a mark on the ribbon/ });
  await mark.click();
  await expect(script(page)).toContainText('a mark on the ribbon');
  const box = await ribbon.boundingBox();
  if (!box) throw new Error('no ribbon');
  await page.mouse.move(box.x + box.width * 0.4, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width - 20, box.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Time left: / })).toBeVisible();
  await expect(page).toHaveURL(/show=left/);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Time left: / })).toBeVisible();
  await reply(page).fill('and off it');
  await page.keyboard.press('Control+Enter');
  await expect(mark).toHaveCount(0);
});

test('a text that was not delivered comes back as our turn, is told, and is done with when it is sent again', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('are you there?');
  await office.misbehave(number, { failWith: 'undeliverable' });
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('t');
  await expect(script(page)).toContainText(' takes it.)');
  await reply(page).fill('We are.');
  // Whether the network's report comes before or after it is done.
  await page.keyboard.press('Alt+Enter');
  await expect(script(page)).toContainText('× not delivered: The phone company could not deliver it.');
  await expect(list(page).getByRole('link', { name: 'We are.' })).toContainText('not delivered');
  await expect(page.getByRole('button', { name: '× Needs a hand: 1 not delivered' })).toBeVisible();
  await notices(page).click();
  await expect(page.getByRole('dialog', { name: 'Notices' })).toContainText(/not delivered/i);
  await page.keyboard.press('Escape');
  await office.misbehave(number, {});
  await script(page).getByRole('button', { name: 'Send again' }).click();
  await expect(script(page)).toContainText('◑ delivered');
  await expect(page.getByRole('button', { name: /Needs a hand/ })).toHaveCount(0);
  expect(await office.arrivedOn(number)).toEqual(['We are.']);
  await group(page, 'Their turn').click();
  await expect(list(page).getByRole('link', { name: 'We are.' })).toBeVisible();
});

test('who signs in after somebody else starts from nothing, and the one before finds the draft again', async ({ office }) => {
  const ben = await office.person('Ben');
  const number = await office.text('A secret between us');
  const page = await office.pageOf();
  await open(page, number);
  await reply(page).fill('For Lena’s eyes only');
  await expect(async () => {
    const { ask } = office.lead;
    expect(JSON.stringify(await ask('GET', `/api/conversations/${page.url().split('/').pop()?.split('?')[0]}`))).toContain('eyes only');
  }).toPass();
  const other = await page.context().newPage();
  await other.goto(page.url());
  await expect(reply(other)).toHaveValue('For Lena’s eyes only');
  await other.getByRole('button', { name: `${office.lead.name}, in` }).click();
  await other.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(other.getByLabel('Password')).toBeVisible();
  await expect(page.getByLabel('Password')).toBeVisible();
  await expect(page.getByText('A secret between us')).toHaveCount(0);
  expect(await page.evaluate(() => JSON.stringify({ ...window.localStorage, ...window.sessionStorage }))).not.toContain('eyes only');

  await page.getByLabel('Name').fill(ben.mail);
  await page.getByLabel('Password').fill('seven small boats');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('button', { name: `${ben.name}, in` })).toBeVisible();
  await open(page, number);
  await expect(reply(page)).toHaveValue('');

  const again = await office.browserOf();
  const lena = await again.newPage();
  await lena.goto('/');
  await lena.getByLabel('Name').fill(office.lead.mail);
  await lena.getByLabel('Password').fill('seven small boats');
  await lena.getByRole('button', { name: 'Sign in' }).click();
  await open(lena, number);
  await expect(reply(lena)).toHaveValue('For Lena’s eyes only');
});

test('tabs of a browser are all told at once by one stream, and another takes it over when its tab is closed', async ({ office }) => {
  const number = await office.text('to all tabs');
  const browser = await office.browserOf(office.lead);
  let streams = 0;
  browser.on('request', (request) => (streams += request.url().includes('/api/live') ? 1 : 0));
  const first = await browser.newPage();
  await first.goto('/');
  await open(first, number);
  const tabs = [first];
  for (let i = 1; i < 3; i++) {
    const tab = await browser.newPage();
    await tab.goto(first.url());
    await expect(script(tab)).toContainText('to all tabs');
    tabs.push(tab);
  }
  await office.text('and once more', number);
  for (const tab of tabs) await expect(script(tab)).toContainText('and once more');
  // A browser opens six connections to one address: with a stream for each tab the seventh would wait for ever.
  expect(streams).toBe(1);
  const [, , last] = tabs;
  await last?.getByLabel(/^Reply to/).fill('From the last.');
  await last?.keyboard.press('Control+Enter');
  for (const tab of tabs) await expect(script(tab)).toContainText('From the last.');
  await first.close();
  await office.text('without the first', number);
  for (const tab of tabs.slice(1)) await expect(script(tab)).toContainText('without the first');
  expect(streams).toBe(2);
});

test('the handsets page plays the customer, whose number is typed as one likes', async ({ office }) => {
  const number = freshNumber();
  await office.text('already here');
  const page = await (await office.browserOf()).newPage();
  await page.goto(HANDSETS);
  await page.getByLabel('Find or type a number').fill(shown(number));
  await page.keyboard.press('Enter');
  await page.getByLabel('Text from this handset').waitFor();
  const to = await page.request.post(`${HANDSETS}/handsets/${encodeURIComponent(shown(number))}/texts`, {
    data: { to: office.line, body: 'Do you step masts on Saturdays?' },
  });
  expect(to.ok()).toBe(true);
  await expect(page.getByRole('listitem').filter({ hasText: 'Do you step masts on Saturdays?' })).toBeVisible();
  const staff = await office.pageOf();
  await list(staff).getByText('Do you step masts on Saturdays?').click();
  await reply(staff).fill('We do, from 8.');
  await staff.keyboard.press('Control+Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'We do, from 8.' })).toBeVisible();
});

test('on a phone the list and the script are two pages', async ({ office }) => {
  const number = await office.text('from a small window');
  await office.text('and another');
  const page = await office.pageOf(office.lead, { viewport: { width: 390, height: 780 } });
  await expect(list(page)).toBeVisible();
  await open(page, number);
  await expect(list(page)).toBeHidden();
  await reply(page).fill('Seen.');
  await page.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(script(page)).toContainText('Seen.');
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(overflow).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: '← List' }).click();
  await expect(list(page)).toBeVisible();
});

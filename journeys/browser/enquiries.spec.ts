import { expect, freshNumber, goTo, list, open, reply, script, test, withoutBarriers } from './fixture';

test('a form of the web site, set up by a lead, becomes a conversation once its number is confirmed, and is answered', async ({
  office,
}) => {
  const page = await office.pageOf();
  await goTo(page, '/setup/forms');
  await page.getByRole('button', { name: 'Add a form' }).click();
  await page.getByLabel('Name, for the staff').fill(`Web ${office.tag}`);
  await page.getByLabel('Name of the business, as customers know it').fill('Quillhaven Boatyard');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Choose at least one line.')).toBeVisible();
  await page.getByLabel(office.lineName).check();
  await page.getByRole('button', { name: 'Save' }).click();
  const form = page.getByRole('region', { name: `Web ${office.tag}` });
  const address = await form.getByRole('link').getAttribute('href');
  await form.getByRole('button', { name: 'Show the code for your web site' }).click();
  await expect(form.getByLabel('Code for your web site')).toContainText(`/form/`);
  await withoutBarriers(page);

  // Somebody on the web, whose browser runs no scripts.
  const visitor = await (await office.browserOf(undefined, { javaScriptEnabled: false, viewport: { width: 390, height: 800 } })).newPage();
  const number = freshNumber();
  await visitor.goto(address ?? '');
  await visitor.getByLabel('Your name').fill('Ada Pell');
  await visitor.getByLabel('Your mobile number').fill('12');
  await visitor.getByLabel('What is it about?').fill('Is C14 free in July?');
  await visitor.getByRole('button', { name: 'Send' }).click();
  await expect(visitor.getByText('We can answer by text only if you agree.')).toBeVisible();
  await expect(visitor.getByLabel('What is it about?')).toHaveValue('Is C14 free in July?');
  await visitor.getByLabel('Your mobile number').fill(number);
  await visitor.getByRole('checkbox').check();
  await visitor.getByRole('button', { name: 'Send' }).click();
  await expect(visitor.getByLabel('Code')).toBeVisible();
  let code = '';
  await expect(async () => {
    code = (await office.arrivedOn(number)).join(' ').match(/\d{6}/)?.[0] ?? '';
    expect(code).not.toBe('');
  }).toPass({ intervals: [100] });
  await visitor.getByLabel('Code').fill(code);
  await visitor.getByRole('button', { name: 'Confirm' }).click();
  await expect(visitor.getByText(/^Thank you\. We have your message/)).toBeVisible();

  await goTo(page, '/');
  await expect(list(page)).toContainText('Is C14 free in July?');
  await open(page, number);
  await expect(script(page)).toContainText(`Sent by the form “Web ${office.tag}” on the web site.`);
  await reply(page).fill('It is, from the 3rd.');
  await page.keyboard.press('Control+Enter');
  await expect.poll(async () => (await office.arrivedOn(number)).at(-1)).toBe('It is, from the 3rd.');
});

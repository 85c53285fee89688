import { expect, freshNumber, goTo, open, script, shown, test, type Office } from './fixture';

/** A family name nobody else has. */
function familyName(office: Office): string {
  return `K${office.tag.toLowerCase()}stone`;
}

/** A customer of whom only the name and a number are on file. */
async function customer(office: Office, name: string, number: string): Promise<number> {
  const { id } = await office.lead.ask<{ id: number }>('POST', '/api/customers', { name });
  await office.lead.ask('POST', `/api/customers/${id}/numbers`, { number, kind: 'mobile', word: '' });
  return id;
}

test('a customer’s page has the whole story, and the writing place stays open with its draft', async ({ office }) => {
  const name = `Vera ${familyName(office)}`;
  const [first, second] = [freshNumber(), freshNumber()];
  const id = await customer(office, name, first);
  await office.lead.ask('POST', `/api/customers/${id}/numbers`, { number: second, kind: 'work', word: '' });
  await office.text('From the first phone', first);
  await office.text('From the second phone', second);
  const page = await office.pageOf();
  await page.getByRole('link', { name: 'Customers', exact: true }).click();
  await page.getByLabel('Find').fill(familyName(office));
  await page.getByRole('link', { name }).click();
  const story = page.getByRole('region', { name: `All that was said with ${name}` });
  await expect(story).toContainText(`${office.lineName}, ${shown(first)}`);
  await expect(story).toContainText('From the second phone');

  await page.getByRole('button', { name: 'Add an appointment' }).click();
  await page.getByLabel('What', { exact: true }).fill('Lift-out');
  await page.getByLabel('When', { exact: true }).fill('in 3 days');
  await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeEnabled();
  await page.getByLabel('Where', { exact: true }).press('Enter');
  await expect(page.getByRole('region', { name: 'Appointments' })).toContainText('Lift-out');

  await page.getByRole('button', { name: `Write to ${name}` }).click();
  const strip = page.getByRole('region', { name: `Writing to ${name}` });
  await strip.getByRole('textbox').first().fill('See you at the lift');
  await page.getByRole('link', { name: 'To identify' }).click();
  await expect(strip.getByRole('textbox').first()).toHaveValue('See you at the lift');
  await page.reload();
  await expect(strip.getByRole('textbox').first()).toHaveValue('See you at the lift');
  await strip.getByRole('button', { name: 'Send', exact: true }).click();
  await expect.poll(() => office.arrivedOn(first)).toContain('See you at the lift');
});

test('an import is looked at row by row, taken, and taken back', async ({ office }) => {
  const family = familyName(office);
  const number = freshNumber();
  await customer(office, `Ada ${family}`, number);
  const page = await office.pageOf();
  await goTo(page, '/customers/import');
  const file = `Name;Phone;Note\nAda ${family};${number};keeps the key\nZita ${family};${freshNumber()};\nNobody;12;\n`;
  await page.locator('input[type=file]').setInputFiles({ name: `${family}.csv`, mimeType: 'text/csv', buffer: Buffer.from(file) });
  const rows = page.getByRole('region', { name: 'Rows of the file' });
  await expect(rows).toContainText(`on file, changes: Ada ${family}`);
  await expect(rows).toContainText('Number “12”');
  const take = page.getByRole('button', { name: 'Add 1 customer and change 1' });
  await expect(take).toBeDisabled();
  await page.getByLabel(/^Import only the good rows/).check();
  await take.click();
  await expect(page.getByText('1 customer added, 1 changed').first()).toBeVisible();
  const found = async () =>
    (await office.lead.ask<{ customers: { name: string }[] }>('GET', `/api/customers?sentence=called+${family}`)).customers.map(
      (one) => one.name,
    );
  expect(await found()).toEqual([`Ada ${family}`, `Zita ${family}`]);
  await page.getByRole('button', { name: `Take ${family}.csv back` }).click();
  await expect.poll(found).toEqual([`Ada ${family}`]);
});

test('a wrong number: from the text that says so to the thanks for the right one', async ({ office }) => {
  const name = `Vera ${familyName(office)}`;
  const [wrong, other, right] = [freshNumber(), freshNumber(), freshNumber()];
  const id = await customer(office, name, wrong);
  await office.lead.ask('POST', `/api/customers/${id}/numbers`, { number: other, kind: 'home', word: '' });
  await office.text('About Friday', wrong);
  const page = await office.pageOf();
  await open(page, name);
  await script(page).focus();
  await page.keyboard.press('r');
  await page.keyboard.type('Friday at ten then.');
  await page.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(wrong)).toContain('Friday at ten then.');
  await office.keyword(wrong, 'Sorry, you have the wrong number');
  await page.getByRole('button', { name: 'Stop texting it and ask them on their other number' }).click();
  await expect(script(page)).toContainText('marks the number as wrong');
  await expect.poll(async () => (await office.arrivedOn(other)).join(' ')).toContain('from the phone we should use');
  const asking = (await office.arrivedOn(other)).join(' ');
  expect(asking).not.toContain(name);
  const code = /Text (\w{4}) to/.exec(asking)?.[1] ?? '';
  await office.keyword(right, code.toLowerCase());
  await expect.poll(() => office.arrivedOn(right)).toEqual(['Thank you. We will text you on this number from now on.']);
  await goTo(page, `/customers/${id}`);
  await expect(page.getByRole('region', { name: 'Numbers' })).toContainText(shown(right));
  await expect(page.getByRole('region', { name: 'Numbers' })).toContainText(`${shown(wrong)}, until`);
});

import { expect, freshNumber, goTo, open, script, shown, test, type Office } from './fixture';

/** A family name nobody else has. */
function familyName(office: Office): string {
  return `Q${office.tag.toLowerCase()}wick`;
}

async function conversationOf(office: Office, number: string): Promise<number> {
  const page = await office.lead.ask<{ rows: { id: number; address: string }[] }>('GET', '/api/conversations?group=OUR_TURN&limit=100');
  const row = page.rows.find((each) => each.address === number);
  if (!row) throw new Error(`No conversation with ${number}`);
  return row.id;
}

/** A customer with a number of their own. */
async function customer(office: Office, name: string, number = freshNumber(), seen: number[] = []): Promise<number> {
  await office.text(`About the berth, ${name}`, number);
  const id = await conversationOf(office, number);
  await office.lead.ask('POST', `/api/conversations/${id}/identify/new`, { name, seen });
  const likely = await office.lead.ask<{ candidates: { name: string; customerId: number }[] }>('GET', `/api/conversations/${id}/likely`);
  return likely.candidates.find((each) => each.name === name)?.customerId ?? 0;
}

test('a stranger is identified with one key, everywhere at once, and that is taken back with another', async ({ office }) => {
  const name = `Zita ${familyName(office)}`;
  await customer(office, name);
  const number = await office.text(`${name} here, this is my new phone`);
  const page = await office.pageOf();
  await goTo(page, '/identify');
  await open(page, number);
  const band = page.getByRole('region', { name: 'Who is writing?' });
  await expect(band.getByRole('listitem', { name }).first()).toContainText(`Says “${name}”.`);
  await script(page).focus();
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name, level: 2 })).toBeVisible();
  await expect(band).toBeHidden();
  await expect(script(page)).toContainText(`says it is ${name}.`);
  await page.keyboard.press('z');
  await expect(page.getByRole('heading', { name: shown(number), level: 2 })).toBeVisible();
  await expect(band.getByRole('listitem', { name }).first()).toBeVisible();

  await script(page).focus();
  await page.keyboard.press('p');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
  await page.getByLabel('Name', { exact: true }).fill(`Zita ${familyName(office)} the Younger`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: `${name} the Younger`, level: 2 })).toBeVisible();
});

test('of two who share a number one wrote one text', async ({ office }) => {
  const family = familyName(office);
  const number = freshNumber();
  const first = await customer(office, `Ada ${family}`, number);
  await customer(office, `Ben ${family}`, number, [first]);
  await office.text('Can we come at nine?', number);
  const page = await office.pageOf();
  await open(page, number);
  const band = page.getByRole('region', { name: 'Who is writing?' });
  await band.getByLabel('the last text only').check();
  await band.getByRole('button', { name: `It is Ben ${family}` }).click();
  await expect(script(page)).toContainText(`says it is Ben ${family}.`);
  await expect(script(page).getByText('Ben', { exact: true })).toBeVisible();
  await expect(band).toBeVisible();
  await band.getByLabel('all texts from this number').check();
  await band.getByRole('button', { name: `It is Ada ${family}` }).click();
  await expect(page.getByRole('heading', { name: `Ada ${family}`, level: 2 })).toBeVisible();
});

test('what is not for us leaves the inbox and can be had back', async ({ office }) => {
  const number = await office.text('Congratulations! Click to claim your prize');
  const page = await office.pageOf();
  await open(page, number);
  await expect(page.getByText('Nobody we know')).toBeVisible();
  await script(page).focus();
  await page.keyboard.press('-');
  await page.getByRole('button', { name: 'Junk' }).click();
  await expect(page.getByRole('link', { name: shown(number) })).toHaveCount(0);
  await office.keyword(number, 'Click again');
  await open(page, number);
  await expect(page.getByText('Texts from this number stay out of the inbox.')).toBeVisible();
  await page.getByRole('button', { name: 'It is for us after all' }).click();
  await expect(page.getByRole('region', { name: 'Who is writing?' })).toBeVisible();
});

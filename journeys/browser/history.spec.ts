import { readFileSync } from 'node:fs';
import { expect, reply, script, test } from './fixture';

test('a sentence of long ago is found by its words, answered at its place, linked to, and its conversation exported', async ({
  office,
}) => {
  const word = `${office.tag}keelbolt`.toLowerCase();
  await office.change(office.lead, { role: 'LEAD', permissions: ['TEXT', 'EXPORT'] });
  const page = await office.pageOf();
  const number = await office.text(`My ${word}s are rusty, can you look?`);
  for (let i = 0; i < 60; i++) await office.text(`Something else, ${i}`, number);
  await office.text(`Another ${word}`);

  await page.getByRole('link', { name: 'History' }).click();
  await page.getByRole('textbox', { name: 'Words' }).fill(`${word} rusti`);
  await page.getByRole('textbox', { name: 'Words' }).fill(`${word} rusty -loose`);
  const found = page.getByRole('region', { name: 'Found' });
  await expect(found.getByRole('link')).toHaveCount(1);
  await expect(found.locator('mark')).toHaveText([`${word}s`, 'rusty']);
  // From the words the arrows go into what was found, and the script opens at that very place.
  await page.keyboard.press('ArrowDown');
  const line = script(page).locator('[aria-current=true]');
  await expect(line).toContainText(`My ${word}s are rusty`);
  await expect(line).toBeInViewport();
  await expect(line.locator('mark')).toHaveText([`${word}s`, 'rusty']);
  await script(page).focus();
  await page.keyboard.press('r');
  await expect(reply(page)).toBeFocused();
  await page.keyboard.type('Bring her in on Monday.');
  await page.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Bring her in on Monday.']);
  await expect(page.getByRole('textbox', { name: 'Words' })).toHaveValue(`${word} rusty -loose`);

  // What is typed right after the key goes into the field, and is no key of the script.
  await script(page).focus();
  await page.keyboard.press('Control+f');
  await page.keyboard.type('else');
  const finding = page.getByRole('search', { name: 'Find in this conversation' });
  await expect(finding.getByRole('status')).toHaveText('1 of 60');
  await page.keyboard.press('Enter');
  await expect(finding.getByRole('status')).toHaveText('2 of 60');
  await expect(script(page).locator('[aria-current=true]')).toContainText('Something else, 58');

  await finding.getByRole('button', { name: 'Export…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Export' });
  await dialog.getByLabel('CSV, for a spreadsheet').check();
  await dialog.getByRole('button', { name: 'Export', exact: true }).click();
  const coming = page.waitForEvent('download');
  await dialog.getByRole('link', { name: 'Download' }).click();
  const csv = readFileSync(await (await coming).path(), 'utf8');
  expect(csv).toContain(`"My ${word}s are rusty, can you look?"`);
  expect(csv).toContain('"Bring her in on Monday."');
  expect(csv).not.toContain(`Another ${word}`);
  await dialog.getByRole('button', { name: 'Close' }).click();

  const link = (await found.getByRole('link').getAttribute('href')) ?? '';
  await page.goto(link);
  await expect(script(page).locator('[aria-current=true]')).toContainText(`My ${word}s are rusty`);
  await expect(script(page).locator('[aria-current=true]')).toBeInViewport();
});

test('who wrote is said from what was found, and their story is looked through', async ({ office }) => {
  const word = `${office.tag}thwart`.toLowerCase();
  const name = `Zita Q${office.tag.toLowerCase()}wick`;
  const before = await office.text(`${name}: the ${word} is loose`);
  const known = await office.lead.ask<{ rows: { id: number; address: string }[] }>('GET', '/api/conversations?group=OUR_TURN&limit=100');
  const { id } = known.rows.find(({ address }) => address === before) ?? { id: 0 };
  await office.lead.ask('POST', `/api/conversations/${id}/identify/new`, { name, seen: [] });
  await office.text('Unheard of: nobody else has one', before);
  await office.text(`${name} here, with another phone. Is the ${word} mended?`);

  const page = await office.pageOf();
  await page.getByRole('link', { name: 'History' }).click();
  await page.getByRole('textbox', { name: 'Words' }).fill(`${word} mended`);
  const found = page.getByRole('region', { name: 'Found' });
  await expect(found.getByRole('link')).toHaveCount(1);
  await page.keyboard.press('ArrowDown');
  const band = page.getByRole('region', { name: 'Who is writing?' });
  await expect(band.getByRole('listitem', { name }).first()).toBeVisible();
  await script(page).focus();
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name, level: 2 })).toBeVisible();
  await expect(found).toContainText(name);
  await expect(page.getByRole('textbox', { name: 'Words' })).toHaveValue(`${word} mended`);

  await page.getByRole('link', { name: 'Customers' }).click();
  await page.getByRole('textbox', { name: 'Find' }).fill(name);
  await page.getByRole('link', { name }).first().click();
  const story = page.getByRole('region', { name: `All that was said with ${name}` });
  await expect(story).toContainText('Unheard of');
  await story.focus();
  await page.keyboard.press('Control+f');
  await page.keyboard.type(word);
  const finding = page.getByRole('search', { name: 'Find in this story' });
  await expect(finding.getByRole('status')).toHaveText('1 of 2');
  await page.keyboard.press('Enter');
  await expect(finding.getByRole('status')).toHaveText('2 of 2');
  await expect(story.locator('[aria-current=true]')).toContainText(`the ${word} is loose`);
  await expect(story.locator('[aria-current=true] mark')).toHaveText([word]);
});

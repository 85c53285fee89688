import type { Page } from '@playwright/test';
import { expect, goTo, HANDSETS, open, reply, script, test, withoutBarriers } from './fixture';

/** A small picture, painted in the page itself. */
async function picture(page: Page, words: string): Promise<Buffer> {
  const data = await page.evaluate((said) => {
    const canvas = document.createElement('canvas');
    canvas.width = 320;
    canvas.height = 200;
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#1f5c50';
    pen.fillRect(0, 0, 320, 200);
    pen.fillStyle = '#ffffff';
    pen.font = '40px serif';
    pen.fillText(said, 30, 110);
    return canvas.toDataURL('image/png').split(',')[1]!;
  }, words);
  return Buffer.from(data, 'base64');
}

const PDF = Buffer.from('%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n');

test('a picture comes in, is looked at and described, and others go back with and without words', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('The keel looks like this', undefined, [
    { name: 'keel.png', type: 'image/png', data: await picture(page, 'keel') },
    { name: 'sail.png', type: 'image/png', data: await picture(page, 'sail') },
  ]);
  await open(page, number);
  const keel = script(page).getByRole('button', { name: 'Open Picture keel.png' });
  await expect(script(page).getByRole('button', { name: 'Open Picture sail.png' })).toBeVisible();
  await keel.click();
  const large = page.getByRole('dialog', { name: 'Picture keel.png' });
  await expect(large.getByRole('img', { name: 'Picture keel.png' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('dialog', { name: 'Picture sail.png' })).toBeVisible();
  await withoutBarriers(page, '[role=dialog]');
  await page.getByLabel('What it shows').fill('The sail, torn');
  await page.getByRole('button', { name: 'Save description' }).click();
  await expect(page.getByRole('button', { name: 'Description saved' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(script(page).getByRole('button', { name: 'Open The sail, torn' })).toBeVisible();

  await page.getByLabel('Files to attach').setInputFiles([
    { name: 'berth C14.png', mimeType: 'image/png', buffer: await picture(page, 'C14') },
    { name: 'estimate.pdf', mimeType: 'application/pdf', buffer: PDF },
  ]);
  await expect(page.getByRole('button', { name: 'Remove estimate.pdf' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Remove berth C14.png' })).toBeVisible();
  await page
    .getByLabel('Files to attach')
    .setInputFiles([{ name: 'holiday.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('PK\x03\x04') }]);
  await expect(page.getByRole('alert')).toContainText('“holiday.jpg” is');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await reply(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(script(page).getByRole('link', { name: 'estimate.pdf' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Remove estimate.pdf' })).toHaveCount(0);
  await expect(async () => expect((await office.filesOn(number)).sort()).toEqual(['berth C14.png', 'estimate.pdf'])).toPass({
    intervals: [100, 200],
  });
  await expect(script(page)).toContainText(/delivered|read/);
});

test('a file of the shelf goes with a text by keys alone, and a voice that was recorded is heard first', async ({ office }) => {
  const page = await office.pageOf(undefined, { permissions: ['microphone'] });
  await goTo(page, '/templates/shelf');
  const title = `Rules ${office.tag}`;
  await page
    .getByLabel('Add files')
    .last()
    .setInputFiles([{ name: `${title}.pdf`, mimeType: 'application/pdf', buffer: PDF }]);
  await expect(page.getByRole('link', { name: title })).toBeVisible();

  const number = await office.text('What are the rules here?');
  await goTo(page, '/');
  await open(page, number);
  await reply(page).focus();
  await page.keyboard.press('Alt+a');
  await page.getByRole('combobox', { name: 'Find a file' }).fill(title.toLowerCase());
  await expect(page.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: `Remove ${title}.pdf` })).toBeVisible();
  await expect(reply(page)).toBeFocused();

  await page.keyboard.press('Alt+a');
  await page.getByRole('option', { name: 'Record a voice message' }).click();
  await expect(page.getByRole('timer')).toContainText('0:01');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByLabel('The voice message, as it will be heard')).toBeVisible();
  await page.getByRole('button', { name: 'Attach it' }).click();
  await expect(page.getByRole('button', { name: 'Remove Voice message.wav' })).toBeVisible();
  await reply(page).fill('Here are our rules, and a word about them.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page).getByLabel('Sound Voice message.wav')).toBeVisible();
  await expect(async () => expect(await office.filesOn(number)).toContain('Voice message.wav')).toPass({ intervals: [100, 200] });

  // The customer's phone shows both.
  const handset = await (await office.browserOf()).newPage();
  await handset.goto(HANDSETS);
  await handset.getByText(number).click();
  await expect(handset.getByRole('link', { name: `${title}.pdf` })).toBeVisible();
  await expect(handset.getByLabel('Voice message.wav')).toBeVisible();
});

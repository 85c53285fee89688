import { expect, open, reply, script, test } from './fixture';

test('a colleague of another team is brought into one conversation, writes a note, and is out when it is done', async ({ office }) => {
  const page = await office.pageOf();
  const ines = await office.person('Ines');
  await office.change(ines, { teams: [] });
  const theirs = await office.pageOf(ines);
  const number = await office.text('Does the surveyor come with the crane?');
  const listed = theirs.getByRole('region', { name: 'List' });
  await expect(listed).toContainText('You are not on a line yet');

  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('+');
  const dialog = page.getByRole('dialog', { name: /^Bring a colleague into/ });
  await dialog.getByLabel('Colleague', { exact: true }).fill(`ines ford ${office.tag}`);
  await dialog.getByRole('button', { name: `Bring in ${ines.name}` }).click();
  await expect(script(page)).toContainText(`brings ${ines.name} in.`);

  await expect(listed).toContainText('Does the surveyor come with the crane?');
  await open(theirs, number);
  await expect(theirs.getByRole('region', { name: 'Colleagues brought in' })).toContainText('you can read it and write notes');
  await expect(reply(theirs)).toHaveAttribute('placeholder', /You were brought in for notes/);
  await theirs.getByRole('button', { name: 'Note', exact: true }).click();
  await theirs.getByLabel('Note for the team').fill('He comes the day before.');
  await theirs.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('He comes the day before.');

  await script(page).focus();
  await page.keyboard.press('d');
  await expect(theirs.getByText('You were brought in until it is done, or were let out again.')).toBeVisible();
  await expect(listed).not.toContainText('surveyor');
});

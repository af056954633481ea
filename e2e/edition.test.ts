/** A new edition of the document: reviewed word by word, brought in with all work on the deck, taken back. */
import { bringInPlain, expect, kept, slide, test, station } from './alvex.ts';

const FIRST = `# Tide

- The pond holds eleven thousand cubic metres of water behind the wall
- Neap

# Gates

The north gate has been seized since the flood and does not open.
`;
const SECOND = `# Tide

- The pond holds twelve thousand cubic metres of water behind the wall
- Neap

# Money

- A grant

# The gates

The north gate has been seized since the flood and does not open.
`;
const file = (name: string, content: string | Buffer) => ({
  name,
  mimeType: 'text/markdown',
  buffer: Buffer.from(content),
});

test.beforeEach(async ({ page, alvex }) => {
  await bringInPlain(page, alvex, { name: 'first.md', content: FIRST });
  await slide(page, 1)
    .getByLabel(/Write: (• )?The pond/)
    .dblclick();
  await page.getByRole('textbox', { name: 'Text' }).fill('Eleven thousand');
  await page.keyboard.press('Enter');
  await slide(page, 2).getByRole('button', { name: 'Hide this slide' }).click();
  await slide(page, 1).locator('[data-block]').filter({ hasText: 'Neap' }).click();
  await page.keyboard.press('s');
  await station(page, 'Document').click();
});

test('work stays, changes are seen by word and decided one by one, and all of it is undone at once', async ({
  page,
}) => {
  await page.getByLabel('New edition of the document').setInputFiles(file('second.md', SECOND));
  await expect(page.getByTestId('edition-sum')).toHaveText(
    '2 passages changed, 2 new, 0 gone, 0 moved, 3 as before. It makes 3 slides.',
  );
  const items = page.getByRole('list', { name: 'Passages' }).getByRole('listitem');
  await expect(items.first().locator('del')).toHaveText('eleven');
  await expect(items.first().locator('ins')).toHaveText('twelve');
  await expect(items.first()).toContainText('Your wording:Eleven thousand');
  await page.getByRole('button', { name: 'With work of yours 1' }).click();
  await expect(items).toHaveCount(1);
  await page.getByRole('button', { name: /^All/ }).click();
  await items.filter({ hasText: 'A grant' }).getByRole('button', { name: 'Leave it out' }).click();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('3 slides');
  await expect(slide(page, 1).getByLabel(/Write: (• )?Eleven thousand/)).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('Neap');
  await expect(slide(page, 2).getByLabel(/Write: (• )?A grant/)).toHaveCount(0);
  await expect(slide(page, 3).getByText('hidden', { exact: true })).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(slide(page, 3).getByLabel('Write: The gates')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  await expect(slide(page, 2).getByLabel('Write: Gates')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(slide(page, 3).getByLabel('Write: The gates')).toBeVisible();
});

test('one’s own wording gives way where one wants the new text; edits without a place are told', async ({ page }) => {
  await page.getByLabel('New edition of the document').setInputFiles(file('third.md', SECOND.replace('- Neap\n', '')));
  await expect(page.getByText('1 edit of yours would have no place')).toBeVisible();
  await page.getByRole('button', { name: 'Take the new text instead' }).click();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(slide(page, 1).getByLabel(/Write: (• )?The pond holds twelve/)).toBeVisible();
  await station(page, 'Check').click();
  await expect(page.getByText('1 edit of yours has no place now')).toBeVisible();
});

test('everything can be kept as it was, the deck is the same then', async ({ page }) => {
  await page.getByLabel('New edition of the document').setInputFiles(file('second.md', SECOND));
  await page.getByRole('button', { name: 'Keep all as it was' }).click();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  await expect(slide(page, 2).getByLabel('Write: Gates')).toBeVisible();
  await station(page, 'Document').click();
  await expect(page.getByText('second.md, kept byte for byte')).toBeVisible();
});

test('a file that cannot be read changes nothing; the same text is told as such', async ({ page }) => {
  const chooser = page.getByLabel('New edition of the document');
  await chooser.setInputFiles(file('broken.docx', Buffer.from([0x50, 0x4b, 3, 4, 1, 2])));
  await expect(page.getByRole('alert')).toContainText('broken.docx');
  await chooser.setInputFiles(file('copy.md', FIRST));
  await expect(page.getByText('The text is the same.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the document as it is' }).click();
  await expect(page.getByText('first.md, kept byte for byte')).toBeVisible();
});

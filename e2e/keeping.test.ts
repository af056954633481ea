/** Work is kept: across a restart, two windows, and a server that is away for a while. */
import { bringIn, expect, kept, slide, test } from './alvex.ts';

const SOURCE = '# One\n\n- a point\n- another\n\n# Two\n\nSome words.\n';

test('everything is there after a restart of server and database', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'restart.md', content: SOURCE });
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Kept over a restart');
  await page.keyboard.press('Enter');
  await kept(page);
  await alvex.stop();
  await alvex.start();
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Kept over a restart')).toBeVisible();
});

test('edits of two windows are both kept', async ({ page, alvex, context }) => {
  await bringIn(page, alvex, { name: 'two.md', content: SOURCE });
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(slide(other, 2).getByLabel('Write: Two')).toBeVisible();
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('First window');
  await page.keyboard.press('Enter');
  await kept(page);
  await slide(other, 2).getByLabel('Write: Two').dblclick();
  await other.getByRole('textbox', { name: 'Title' }).fill('Second window');
  await other.keyboard.press('Enter');
  await expect(slide(other, 1).getByLabel('Write: First window')).toBeVisible();
  await expect(other.getByRole('banner').getByRole('status')).toContainText('1 edit from another window');
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: First window')).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write: Second window')).toBeVisible();
});

test('edits made while the server is away are sent when it is back', async ({ page, alvex, context }) => {
  await bringIn(page, alvex, { name: 'away.md', content: SOURCE });
  await context.setOffline(true);
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Made offline');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 edit not kept yet')).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write: Made offline')).toBeVisible();
  await context.setOffline(false);
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Made offline')).toBeVisible();
});

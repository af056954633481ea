/** Work is kept: across a restart, two windows, and a server that is away for a while. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { bringIn, expect, kept, slide, test, station } from './alvex.ts';

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
  await expect(page.getByText('1 edit kept in this browser only')).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write: Made offline')).toBeVisible();
  await context.setOffline(false);
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Made offline')).toBeVisible();
});

test('edits of a window that was closed while the server was away are sent by the next one, once', async ({
  page,
  alvex,
  context,
}) => {
  await bringIn(page, alvex, { name: 'closed.md', content: SOURCE });
  const address = page.url();
  await page.route('**/entries', (route) => route.abort());
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Left behind');
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 edit kept in this browser only')).toBeVisible();
  await page.close();
  const next = await context.newPage();
  await next.goto(address);
  await expect(slide(next, 1).getByLabel('Write: Left behind')).toBeVisible();
  await kept(next);
  await next.reload();
  await expect(slide(next, 1).getByLabel('Write: Left behind')).toBeVisible();
  await next.getByRole('button', { name: 'History' }).click();
  await expect(next.getByRole('complementary', { name: 'History' }).getByText('Title “Left behind”')).toHaveCount(1);
});

test('an answer that is lost does not double the edit, and another window hears of it by itself', async ({
  page,
  alvex,
  context,
}) => {
  await bringIn(page, alvex, { name: 'lost.md', content: SOURCE });
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(slide(other, 2).getByLabel('Write: Two')).toBeVisible();
  let lost = false;
  await page.route('**/entries', async (route) => {
    if (lost) return route.continue();
    lost = true;
    await route.fetch();
    await route.abort();
  });
  await slide(page, 1).getByRole('button', { name: 'Copy this slide' }).click();
  await kept(page);
  await expect(page.getByTestId('slide-count')).toHaveText('3 slides');
  await other.bringToFront();
  await other.evaluate(() => window.dispatchEvent(new Event('focus')));
  await expect(other.getByTestId('slide-count')).toHaveText('3 slides');
  await page.reload();
  await expect(page.getByTestId('slide-count')).toHaveText('3 slides');
});

test('work goes on through a restart of the server in the middle', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'middle.md', content: SOURCE });
  await alvex.stop();
  await slide(page, 1).getByRole('button', { name: 'Hide this slide' }).click();
  await slide(page, 2).getByLabel('Write: Two').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('While it was down');
  await page.keyboard.press('Enter');
  await expect(page.getByText('2 edits kept in this browser only')).toBeVisible();
  await alvex.start();
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByText('hidden', { exact: true })).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write: While it was down')).toBeVisible();
});

test('every station can be gone to, and every editor opened, while the server is down', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'stations.md', content: SOURCE });
  await page.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('pace-page')),
  );
  await alvex.stop();
  for (const name of ['Document', 'Map', 'Look', 'Check', 'Hand over', 'Overview', 'Slides']) {
    await station(page, name).click();
    await expect(station(page, name)).toHaveAttribute('aria-current', 'page');
    await expect(page.getByRole('main')).not.toContainText('could not be shown');
  }
  await slide(page, 1).getByLabel('Write speaker notes').click();
  await page.getByRole('textbox', { name: 'Speaker notes' }).click();
  await page.keyboard.type('Said without a network. ');
  await station(page, 'Document').click();
  await page.getByRole('main').getByText('Some words.').first().dblclick();
  await expect(page.getByRole('textbox', { name: 'Text of the document' })).toBeVisible();
  await alvex.start();
  await kept(page);
  await page.reload();
  await station(page, 'Slides').click();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('Said without a network.');
});

test('undo takes back one’s own, not what another person wrote since', async ({ page, alvex, browser }) => {
  await bringIn(page, alvex, { name: 'persons.md', content: SOURCE });
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  await other.goto(page.url());
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Mine');
  await page.keyboard.press('Enter');
  await kept(page);
  await slide(other, 2).getByLabel('Write: Two').dblclick();
  await other.getByRole('textbox', { name: 'Title' }).fill('Theirs');
  await other.keyboard.press('Enter');
  await kept(other);
  await page.reload();
  await expect(slide(page, 2).getByLabel('Write: Theirs')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slide(page, 1).getByLabel('Write: One')).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write: Theirs')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.getByRole('button', { name: 'History' }).click();
  await expect(page.getByLabel('History').getByText('another person')).toBeVisible();
  await elsewhere.close();
});

test('a deck that was deleted in another window says so, and is restored with what waits', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'gone.md', content: SOURCE });
  const id = page.url().split('/')[4]!;
  await page.request.delete(`${alvex.address}/api/decks/${id}`);
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Written after');
  await page.keyboard.press('Enter');
  await expect(page.getByText('This deck was deleted: 1 edit kept in this browser only')).toBeVisible();
  await page.getByRole('button', { name: 'Restore the deck' }).click();
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Written after')).toBeVisible();
});

test('Escape keeps what was written, and keys typed while an editor is fetched are in it', async ({ page, alvex }) => {
  await page.route(/notes-editor/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await bringIn(page, alvex, { name: 'escape.md', content: SOURCE });
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Kept by Escape');
  await page.keyboard.press('Escape');
  await expect(slide(page, 1).getByLabel('Write: Kept by Escape')).toBeVisible();
  await slide(page, 1).getByLabel('Write speaker notes').click();
  await page.keyboard.type('Say this');
  const notes = page.getByRole('textbox', { name: 'Speaker notes' });
  await expect(notes).toHaveText('Say this');
  await page.keyboard.type(' aloud');
  await page.keyboard.press('Escape');
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toHaveText('Say this aloud');
});

test('what stands in a field is kept when one leaves by the browser’s way back', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'leaving.md', content: SOURCE });
  await station(page, 'Check').click();
  await page.waitForURL(/check/);
  await station(page, 'Slides').click();
  await slide(page, 1).getByLabel('Write: One').dblclick();
  const title = page.getByRole('textbox', { name: 'Title' });
  await title.fill('Written while leaving');
  await page.goBack();
  await expect(page).toHaveURL(/check/);
  await page.goForward();
  await expect(slide(page, 1).getByLabel('Write: Written while leaving')).toBeVisible();
  const pace = page.getByLabel('Words a minute');
  await pace.fill('90');
  const address = page.url();
  await page.close({ runBeforeUnload: true });
  const again = await page.context().newPage();
  await again.goto(address);
  await expect(again.getByLabel('Words a minute')).toHaveValue('90');
});

test('a server that was put back to an older state gets this window’s work again', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'older.md', content: SOURCE });
  for (const [from, to] of [
    ['One', 'First change'],
    ['First change', 'Second change'],
  ] as const) {
    await slide(page, 1).getByLabel(`Write: ${from}`).dblclick();
    await page.getByRole('textbox', { name: 'Title' }).fill(to);
    await page.keyboard.press('Enter');
    await kept(page);
  }
  // As if the backup of an hour ago had been put back.
  const id = page.url().split('/')[4]!;
  alvex.query(`DELETE FROM entries WHERE deck_id = '${id}' AND version > 1`);
  alvex.query(`UPDATE decks SET version = 1 WHERE id = '${id}'`);
  await slide(page, 2).getByLabel('Write: Two').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Third change');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The server has an older state of this deck')).toBeVisible();
  await page.getByRole('button', { name: 'Send my work to it' }).click();
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Second change')).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write: Third change')).toBeVisible();
});

test('a server or a database that dies is started again, and nothing is lost', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'dies.md', content: SOURCE });
  let title = 'One';
  for (const what of ['server', 'database', 'server'] as const) {
    alvex.kill(what);
    await slide(page, 1).getByLabel(`Write: ${title}`).dblclick();
    await page.getByRole('textbox', { name: 'Title' }).fill(`${title}.`);
    await page.keyboard.press('Enter');
    title += '.';
    await expect(page.getByRole('banner').getByRole('status')).toHaveText(/^(kept|all kept)/, { timeout: 60_000 });
  }
  await page.reload();
  await expect(slide(page, 1).getByLabel(`Write: ${title}`)).toBeVisible();
});

test('a deck is saved as one file and comes back with its edits; a deleted one is restored from the list', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'whole.md', content: SOURCE });
  await slide(page, 1).getByLabel('Write: One').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Written by hand');
  await page.keyboard.press('Enter');
  await kept(page);
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByText('Save the deck').click()]);
  expect(download.suggestedFilename()).toMatch(/\.alvex$/);
  const file = await download.path();
  await page.goto(alvex.address);
  await page.getByRole('listitem').filter({ hasText: 'whole.md' }).getByText('Delete').click();
  await page.getByLabel('Document').setInputFiles({
    name: download.suggestedFilename(),
    mimeType: 'application/zip',
    buffer: readFileSync(file),
  });
  await expect(slide(page, 1).getByLabel('Write: Written by hand')).toBeVisible();
  // What was made elsewhere can be taken back here.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slide(page, 1).getByLabel('Write: One')).toBeVisible();
  await kept(page);
  await page.goto(alvex.address);
  await page.getByRole('button', { name: /deleted deck/ }).click();
  const list = page.getByRole('region', { name: 'Deleted decks' });
  await list.getByRole('listitem').filter({ hasText: 'whole.md' }).getByText('Restore').click();
  await expect(list).toBeHidden();
  const decks = page.getByRole('region', { name: 'Decks', exact: true });
  await expect(decks.getByRole('listitem').filter({ hasText: 'whole.md' })).toHaveCount(2);
});

test('the rules of a deck are saved, and the command line makes decks by them', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await station(page, 'Map').click();
  await page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'text on the slide' }).click();
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByText('Save the rules').click()]);
  const folder = info.outputPath('project');
  await download.saveAs(join(folder, download.suggestedFilename()));
  writeFileSync(join(folder, 'mill.md'), SOURCE);
  const alvexCommand = join(import.meta.dirname, '../bin/alvex');
  execFileSync(alvexCommand, ['build', folder]);
  const said = execFileSync(alvexCommand, ['outline', join(folder, 'decks/mill.pptx')], { encoding: 'utf8' });
  // What was spoken stands on the slide.
  expect(said).toMatch(/"kind": "listItem",\s*"text": "Some words\."/);
});

test('nothing in Hand over moves under a hand when the last edits have been kept', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await station(page, 'Map').click();
  let go = (): void => undefined;
  const held = new Promise<void>((resolve) => (go = resolve));
  await page.route('**/api/decks/*/entries', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'text on the slide' }).click();
  await station(page, 'Hand over').click();
  const card = page.getByRole('region', { name: 'Whole deck' });
  await expect(card.getByText('1 edit must be kept on the server first.')).toBeVisible();
  const rules = card.getByText('Save the rules');
  const before = await rules.boundingBox();
  go();
  await expect(card.getByRole('link', { name: 'Save the deck' })).toBeVisible();
  expect(await rules.boundingBox()).toEqual(before);
});

test('rules of a deck hold its logo', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await station(page, 'Look').click();
  await page.getByRole('button', { name: 'Foot and logo' }).click();
  const template = unzipSync(
    readFileSync(join(import.meta.dirname, '../packages/demo/files/sallow-quay-trust-template.pptx')),
  );
  const logo = Buffer.from(template['ppt/media/logo.png']!);
  await page.getByLabel('File of the logo').setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: logo });
  await expect(page.getByRole('button', { name: 'No logo' })).toBeVisible();
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByText('Save the rules').click()]);
  const folder = info.outputPath('with-logo');
  await download.saveAs(join(folder, download.suggestedFilename()));
  writeFileSync(join(folder, 'mill.md'), SOURCE);
  execFileSync(join(import.meta.dirname, '../bin/alvex'), ['build', folder]);
  const made = unzipSync(readFileSync(join(folder, 'decks/mill.pptx')));
  const media = Object.keys(made).filter((name) => name.startsWith('ppt/media/'));
  expect(media.map((name) => Buffer.from(made[name]!))).toEqual([logo]);
});

test('rules of a deck on a template name it, and make decks on it', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await station(page, 'Look').click();
  await page.getByRole('button', { name: 'Template', exact: true }).click();
  const template = join(import.meta.dirname, '../packages/demo/files/sallow-quay-trust-template.pptx');
  await page.getByLabel('File of the template').setInputFiles(template);
  await expect(page.getByText('6 layouts on 1 master')).toBeVisible();
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByText('Save the rules').click()]);
  await expect(
    page.getByText('It names the template sallow-quay-trust-template.pptx: put that file beside it.'),
  ).toBeVisible();
  const folder = info.outputPath('templated');
  await download.saveAs(join(folder, download.suggestedFilename()));
  writeFileSync(join(folder, 'mill.md'), SOURCE);
  writeFileSync(join(folder, 'sallow-quay-trust-template.pptx'), readFileSync(template));
  execFileSync(join(import.meta.dirname, '../bin/alvex'), ['build', folder]);
  const made = unzipSync(readFileSync(join(folder, 'decks/mill.pptx')));
  const theirs = unzipSync(readFileSync(template));
  const master = Object.keys(theirs).find((name) => /slideMasters\/[^/]+\.xml$/.test(name))!;
  expect(made[master]).toEqual(theirs[master]);
});

test('text that is written from the right begins at the right, and says its language', async ({ page, alvex }) => {
  const content = '# The mill\n\nThe mill stands at the mouth of the creek and it is old.\n\nطاحونة المد والجزر\n';
  await bringIn(page, alvex, { name: 'right.md', content });
  await station(page, 'Document').click();
  await page.waitForURL(/document$/);
  const arabic = page.getByText('طاحونة المد والجزر').first();
  await expect(arabic).toBeVisible();
  const around = arabic.locator('xpath=ancestor-or-self::*[@dir][1]');
  await expect(around).toHaveAttribute('dir', 'rtl');
  await expect(around).toHaveAttribute('lang', 'ar');
  await expect(arabic).toHaveCSS('text-align', 'start');
});

/** The map: running text, rules below one heading, matter, target and suggestion, own maps, takes, the ledger. */
import { readFileSync } from 'node:fs';
import { bringInPlain, expect, kept, slide, test, station, everyWord } from './alvex.ts';

const SOURCE = `# The tide

The pond holds eleven thousand cubic metres. It was measured in 1811. The marks are worn.

## Neap

At neap tide the wheel turns for three hours. Nobody likes it.

# The gates

The north gate is seized, see [the plan](https://mill.example/plan).
`;

test.beforeEach(async ({ page, alvex }) => {
  await bringInPlain(page, alvex, { name: 'map.md', content: SOURCE });
  await station(page, 'Map').click();
});

test('first sentences become points, and shortened text tells what it kept', async ({ page }) => {
  await page.getByRole('button', { name: 'first sentence a point' }).click();
  await station(page, 'Slides').click();
  await expect(slide(page, 1).getByLabel(/Write: (• )?The pond holds eleven thousand cubic metres./)).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText(
    'It was measured in 1811. The marks are worn.',
  );
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'shortened on slides, the whole spoken' }).click();
  await page.getByLabel('How much of the body text').press('End');
  await expect(page.getByText('key words, in your own sentences')).toBeVisible();
  await station(page, 'Slides').click();
  await expect(slide(page, 1).getByLabel(/Write: (• )?.*eleven thousand cubic metres/)).toBeVisible();
  await expect(slide(page, 1).locator('[data-block] b').first()).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('The marks are worn.');
});

test('a rule below one heading sends its text elsewhere', async ({ page }) => {
  await page.getByRole('button', { name: 'Add a rule' }).click();
  await page.getByLabel('Heading', { exact: true }).selectOption({ label: 'The gates' });
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await station(page, 'Slides').click();
  await expect(slide(page, 2).locator('[data-block]').last()).toHaveAttribute('data-destination', 'slide');
  await expect(slide(page, 1).locator('[data-block]').nth(1)).toHaveAttribute('data-destination', 'notes');
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Take back' }).click();
  await station(page, 'Slides').click();
  await expect(slide(page, 2).locator('[data-block]').last()).toHaveAttribute('data-destination', 'notes');
});

test('plugs that are moved quickly one after another are all moved', async ({ page }) => {
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  const plugs = page.getByRole('radiogroup', { name: 'Body text' });
  await plugs.getByRole('radio', { name: 'speaker notes' }).focus();
  // As many steps as keys, the focus going along; and another kind of text before the deck has answered.
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.getByRole('radiogroup', { name: 'Heading 2' }).getByRole('radio', { name: 'slide title' }).click();
  await expect(plugs.getByRole('radio', { name: 'point, level 5' })).toBeChecked();
  await kept(page);
  await page.reload();
  await expect(plugs.getByRole('radio', { name: 'point, level 5' })).toBeChecked();
  await expect(
    page.getByRole('radiogroup', { name: 'Heading 2' }).getByRole('radio', { name: 'slide title' }),
  ).toBeChecked();
});

test('an agenda keeps step with the slides; sources come from links; section openers are turned on', async ({
  page,
}) => {
  for (const name of ['Agenda', 'Key points', 'Sources']) await page.getByRole('button', { name, exact: true }).click();
  await station(page, 'Slides').click();
  await expect(slide(page, 1).getByLabel(/Write: (• )?The gates/)).toBeVisible();
  await slide(page, 3).getByLabel('Write: The gates').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Two gates');
  await page.keyboard.press('Enter');
  await expect(slide(page, 1).getByLabel(/Write: (• )?Two gates/)).toBeVisible();
  await slide(page, 1).getByRole('button', { name: 'Make this slide my own' }).click();
  await slide(page, 1)
    .getByLabel(/Write: (• )?Two gates/)
    .dblclick();
  await page.getByRole('textbox', { name: 'Text' }).fill('The gates, twice');
  await page.keyboard.press('Enter');
  await expect(slide(page, 1).getByLabel(/Write: (• )?The gates, twice/)).toBeVisible();
  await page.getByTestId('facing-pages').evaluate((element) => element.scrollTo(0, element.scrollHeight));
  await expect(page.getByLabel('Write: • the plan: mill.example/plan')).toBeVisible();
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Section openers' }).click();
  await expect(
    page.getByRole('radiogroup', { name: 'Heading 1' }).getByRole('radio', { name: 'section opener' }),
  ).toBeChecked();
});

test('a map is suggested for a target, with its reason, and used', async ({ page }) => {
  await page.getByRole('spinbutton', { name: 'Target' }).fill('3');
  await page.getByLabel('Unit of the target').selectOption('slides');
  await page.getByRole('button', { name: 'Suggest a map' }).click();
  const offer = page.getByTestId('suggestion');
  await expect(offer).toContainText(/Suggested because it makes \d+ slides?, for the 3 you want/);
  await offer.getByRole('button', { name: 'Use' }).nth(1).click();
  await expect(page.getByTestId('map-sums')).toContainText('of 3 slides wanted');
  await kept(page);
  await page.reload();
  await expect(page.getByRole('spinbutton', { name: 'Target' })).toHaveValue('3');
});

test('own maps are kept, renamed, used in another deck, saved as a file and read from one', async ({ page, alvex }) => {
  await page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'left out' }).click();
  await page.getByRole('button', { name: 'Own maps' }).click();
  const panel = page.getByRole('region', { name: 'Own maps' });
  await panel.getByRole('button', { name: 'Keep the map as it is now' }).click();
  await panel.getByLabel('Name of the map').fill('Without prose');
  await page.keyboard.press('Enter');
  await expect(panel.getByText('Without prose')).toBeVisible();
  const download = page.waitForEvent('download');
  await panel.getByRole('button', { name: 'Save as a file' }).click();
  const saved = readFileSync(await (await download).path(), 'utf8');
  expect(JSON.parse(saved)).toMatchObject({ name: 'Without prose', map: { body: 'out' }, prose: { as: 'whole' } });
  await bringInPlain(page, alvex, { name: 'other.md', content: SOURCE });
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Own maps' }).click();
  await panel.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(
    page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'left out' }),
  ).toBeChecked();
  const file = (content: string) => ({
    name: 'guild.json',
    mimeType: 'application/json',
    buffer: Buffer.from(content),
  });
  await panel.getByLabel('Map as a file').setInputFiles(file('{"map":{"body":"nowhere"}}'));
  await expect(panel.getByRole('alert')).toHaveText('guild.json is no map. Nothing was changed.');
  await panel.getByLabel('Map as a file').setInputFiles(file(saved.replace('Without prose', 'From a file')));
  await expect(panel.locator('b', { hasText: 'From a file' })).toBeVisible();
  for (let left = 1; left >= 0; left--) {
    await panel.getByRole('button', { name: 'Delete' }).first().click();
    await expect(panel.getByRole('button', { name: 'Delete' })).toHaveCount(left);
  }
});

test('takes stand side by side, differences are marked, one is used, the others stay', async ({ page }) => {
  await page.getByRole('button', { name: 'Compare takes' }).click();
  await page.getByRole('button', { name: 'Keep this way as a take' }).click();
  await expect(page.getByRole('button', { name: 'Keep this way as a take' })).toBeDisabled();
  await page.getByRole('button', { name: 'Back to the map' }).click();
  await page.getByRole('radiogroup', { name: 'Heading 2' }).getByRole('radio', { name: 'slide title' }).click();
  await expect(page.getByTestId('map-slides')).toHaveText('3');
  await page.getByRole('button', { name: 'Compare takes (1)' }).click();
  await expect(page.getByText('no slide of its own')).toHaveCount(1);
  await expect(page.getByText('otherwise')).toHaveCount(1);
  // One slide of it alone, and back.
  await page.getByRole('button', { name: /: use this slide in the deck$/ }).click();
  await expect(page.getByText('otherwise')).toHaveCount(0);
  await expect(page.getByText('no slide of its own')).toHaveCount(0);
  await page.getByRole('button', { name: /: as the map has it$/ }).click();
  await expect(page.getByText('otherwise')).toHaveCount(1);
  await page.getByRole('button', { name: 'Use this one' }).click();
  await page.getByRole('button', { name: 'Back to the map' }).click();
  await expect(page.getByTestId('map-slides')).toHaveText('2');
  await kept(page);
  await page.reload();
  await page.getByRole('button', { name: 'Compare takes (1)' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('button', { name: 'Delete' })).toHaveCount(0);
});

test('the ledger counts what is shown and what is spoken of one passage, and moves passages', async ({ page }) => {
  await page.getByRole('button', { name: 'first sentence a point' }).click();
  await everyWord(page);
  const lines = page.getByTestId('ledger').getByRole('link', { name: /slide/ });
  await page.getByRole('button', { name: /^Spoken/ }).click();
  await expect(lines).toHaveCount(2);
  await page.getByRole('button', { name: /^All/ }).click();
  const gate = page.getByTestId('ledger').getByText('The north gate is seized').locator('..');
  await gate.getByRole('button', { name: /: slide title$|: / }).click();
  await page.getByRole('menuitemradio', { name: 'left out' }).click();
  await page.getByRole('button', { name: /^Left out/ }).click();
  await expect(page.getByTestId('ledger').getByText('The north gate is seized')).toBeVisible();
  await expect(page.getByTestId('ledger-sum')).toContainText('Nothing is lost.');
  await page.getByRole('button', { name: /^All/ }).click();
  await page.getByLabel('Mark').selectOption('slide title');
  await expect(lines).toHaveCount(2);
});

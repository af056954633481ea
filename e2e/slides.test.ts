/** The facing pages: keys, several at once, dragging, slides of one's own, what was taken out, advice, notes, two outlines. */
import { bringInPlain, drawn, expect, kept, slide, test, station } from './alvex.ts';

const SOURCE = `# Tide

- spring
- neap
- head

# Gates

- north
- south

# Roof

Slates came off in the storm.

# Pond
`;
const titles = async (page: Parameters<typeof slide>[0], count: number): Promise<readonly string[]> =>
  Promise.all(
    Array.from({ length: count }, async (_, i) =>
      (await slide(page, i + 1)
        .locator('g[data-target="title"]')
        .getAttribute('aria-label'))!.replace('Write: ', ''),
    ),
  );

test.beforeEach(async ({ page, alvex }) => {
  await bringInPlain(page, alvex, { name: 'slides.md', content: SOURCE });
});

test('slides are chosen, moved, hidden, copied, taken out and brought back', async ({ page }) => {
  await slide(page, 2).getByRole('button', { name: 'Choose slide 2' }).click();
  await slide(page, 3)
    .getByRole('button', { name: 'Choose slide 3' })
    .click({ modifiers: ['Shift'] });
  await expect(page.getByText('2 slides chosen')).toBeVisible();
  await page.getByRole('button', { name: 'Move up' }).click();
  await expect.poll(() => titles(page, 4)).toEqual(['Gates', 'Roof', 'Tide', 'Pond']);
  await page.getByRole('button', { name: 'Hide', exact: true }).click();
  await expect(slide(page, 1).getByText('hidden', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take out', exact: true }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  await expect(page.getByTestId('removed')).toHaveCount(2);
  await page.getByTestId('removed').filter({ hasText: 'Roof' }).getByRole('button', { name: 'Bring back' }).click();
  await expect.poll(() => titles(page, 3)).toEqual(['Roof', 'Tide', 'Pond']);
  await slide(page, 2).getByRole('button', { name: 'Copy this slide' }).click();
  await expect.poll(() => titles(page, 4)).toEqual(['Roof', 'Tide', 'Tide', 'Pond']);
  // The copy is worked on by itself.
  await slide(page, 3)
    .getByLabel(/^Write: (• )?neap$/)
    .dblclick();
  await page.getByRole('textbox', { name: 'Text' }).fill('nip');
  await page.keyboard.press('Enter');
  await expect(drawn(page, 3).filter({ hasText: 'nip' })).toHaveCount(1);
  await expect(drawn(page, 2).filter({ hasText: 'neap' })).toHaveCount(1);
  await kept(page);
  await page.reload();
  await expect.poll(() => titles(page, 4)).toEqual(['Roof', 'Tide', 'Tide', 'Pond']);
});

test('everything goes by the keyboard', async ({ page }) => {
  const at = (text: string) => page.locator('[data-block]').filter({ hasText: text });
  await at('neap').click();
  await page.keyboard.press('>');
  await expect(at('neap')).toHaveAttribute('data-destination', 'point2');
  await expect(slide(page, 1).getByLabel('Write: – neap')).toBeVisible();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(slide(page, 1).getByLabel(/^Write: (• )?neap$/)).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-block][aria-current="true"]')).toHaveText(/head/);
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('ArrowRight');
  await expect(at('head')).toHaveAttribute('data-destination', 'point2');
  await page.keyboard.press('Escape');
  await at('south').click();
  await page.keyboard.press('c');
  await expect(page.getByTestId('slide-count')).toHaveText('5 slides');
  // One goes on with the passage, on the slide that it starts.
  await expect(at('south').getByRole('button')).toBeFocused();
  await page.keyboard.press('j');
  await expect(page.getByTestId('slide-count')).toHaveText('4 slides');
  await at('north').click();
  await page.keyboard.press('s');
  await expect(slide(page, 2).getByLabel('Write speaker notes')).toContainText('north');
  await page.keyboard.press('Delete');
  await expect(at('north')).toHaveAttribute('data-destination', 'out');
  await page.keyboard.press('h');
  await expect(slide(page, 2).getByText('hidden', { exact: true })).toBeVisible();
  await page.keyboard.press('d');
  await page.keyboard.press('a');
  await expect(page.getByTestId('slide-count')).toHaveText('6 slides');
  await expect.poll(() => titles(page, 4)).toEqual(['Tide', 'Gates', 'New slide', 'Gates']);
  await page.getByRole('button', { name: 'Keys' }).click();
  const keys = page.getByRole('complementary', { name: 'Keys' });
  await expect(keys.getByText('split: a slide starts at this passage')).toBeVisible();
  await keys.getByRole('searchbox').fill('slides copy');
  await expect(keys.getByRole('term')).toHaveText(['d']);
  // Who speaks to the computer turns single letters off.
  await keys.getByRole('checkbox').uncheck();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Keys' })).toBeFocused();
  await at('north').first().focus();
  await page.keyboard.press('d');
  await page.keyboard.press('?');
  await page.keyboard.press('ArrowDown');
  await expect(keys).toBeHidden();
  await expect(page.getByTestId('slide-count')).toHaveText('6 slides');
});

test('keys that come faster than slides are made are all done, in order', async ({ page }) => {
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: 8 });
  await page.locator('[data-block]').filter({ hasText: 'south' }).click();
  // Split and joined again twice; then split, the second half hidden, and a slide of one's own behind it.
  for (const key of 'cjcjcha') await page.keyboard.press(key);
  await expect(page.getByTestId('slide-count')).toHaveText('6 slides');
  await expect(slide(page, 3).getByText('hidden', { exact: true })).toBeVisible();
  await expect.poll(() => titles(page, 4)).toEqual(['Tide', 'Gates', 'Gates', 'New slide']);
});

test('a point, a passage and a slide are dragged', async ({ page }) => {
  const north = slide(page, 2).locator('[data-block]').filter({ hasText: 'north' });
  await north.dragTo(slide(page, 1).locator('[data-block]').filter({ hasText: 'neap' }));
  await expect(slide(page, 1).locator('g[data-target]').nth(2)).toHaveAttribute('aria-label', /^Write: (• )?north$/);
  await expect(slide(page, 1).locator('[data-block]')).toHaveCount(5);
  const grip = slide(page, 1).locator('[data-grip]').first();
  await grip.hover();
  await grip.dragTo(slide(page, 2).locator('g[data-target="title"]'), { force: true });
  await expect(slide(page, 2).getByLabel(/^Write: (• )?spring$/)).toBeVisible();
  await slide(page, 2)
    .getByRole('button', { name: 'Choose slide 2' })
    .dragTo(slide(page, 1).locator('[data-block]').first());
  await expect.poll(() => titles(page, 3)).toEqual(['Gates', 'Tide', 'Roof']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => titles(page, 3)).toEqual(['Tide', 'Gates', 'Roof']);
});

test('slides of one’s own are written, filled, parted and joined', async ({ page }) => {
  await slide(page, 1).locator('[data-block]').first().click();
  await page.getByRole('button', { name: 'Add a slide' }).click();
  await expect(slide(page, 2).getByText('A slide of your own')).toBeVisible();
  for (const text of ['one', 'two']) {
    await slide(page, 2).getByRole('button', { name: 'Add a point' }).click();
    await slide(page, 2)
      .getByLabel(/^Write: (• )?New point$/)
      .dblclick();
    await page.getByRole('textbox', { name: 'Text' }).fill(text);
    await page.keyboard.press('Enter');
  }
  await slide(page, 2)
    .getByLabel(/^Write: (• )?two$/)
    .click();
  await page.keyboard.press('c');
  await expect(page.getByTestId('slide-count')).toHaveText('6 slides');
  await slide(page, 2).getByTestId('join').click();
  await expect(slide(page, 1).getByLabel(/^Write: (• )?New slide$/)).toBeVisible();
  await expect(page.getByTestId('slide-count')).toHaveText('5 slides');
});

test('the outline of the deck beside the document’s tells what is different', async ({ page }) => {
  await slide(page, 4).getByRole('button', { name: 'Choose slide 4' }).click();
  await page.getByRole('button', { name: 'Move up' }).click();
  await slide(page, 1).getByLabel('Write: Tide').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Two tides');
  await page.keyboard.press('Enter');
  await slide(page, 2).getByRole('button', { name: 'Take out this slide' }).click();
  await page.getByRole('button', { name: 'Two outlines' }).click();
  const deck = page.getByRole('list', { name: 'Outline of the deck' });
  await expect(deck.getByRole('button', { name: /Two tides.*retitled/ })).toBeVisible();
  await expect(deck.getByText('moved', { exact: true })).toHaveCount(1);
  const source = page.getByRole('list', { name: 'Outline of the document' });
  await expect(source.getByRole('button', { name: /Gates.*left out/ })).toBeVisible();
  await deck.getByRole('button', { name: 'Bring back' }).click();
  await expect(source.getByText('left out')).toHaveCount(0);
  await source.getByRole('button', { name: /Roof/ }).click();
  await expect(page.locator('[data-block][aria-current="true"]')).toHaveText(/Roof/);
});

test('fewer points, points that begin alike, a title, shorter text: seen first, then done', async ({ page, alvex }) => {
  await bringInPlain(page, alvex, {
    name: 'advice.md',
    content: `# Repairs

- Mending the sluice gate
- Replacing eleven floats
- Train the volunteers
- Painting the door
- However, the roof leaks (as roofs do) in the north corner. It rains in.
`,
  });
  await slide(page, 1).getByRole('button', { name: 'Improve this slide' }).click();
  const panel = page.getByTestId('improve');
  await expect(panel.getByText('3 of 5 points begin with a form in -ing')).toBeVisible();
  await panel.getByText('Training the volunteers').locator('../..').getByRole('button', { name: 'Take it' }).click();
  await expect(slide(page, 1).getByLabel(/^Write: (• )?Training the volunteers$/)).toBeVisible();
  await panel.getByRole('button', { name: 'a sentence of each paragraph' }).click();
  await expect(panel.getByText('The roof leaks in the north corner.')).toBeVisible();
  await panel.getByRole('button', { name: '3 points' }).click();
  await expect(panel.getByRole('checkbox', { checked: true })).toHaveCount(3);
  await panel.getByRole('button', { name: 'Speak 2 points' }).click();
  await expect(slide(page, 1).locator('g[data-target]')).toHaveCount(4);
  await expect(slide(page, 1).getByLabel('Write speaker notes').locator('div')).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slide(page, 1).locator('g[data-target]')).toHaveCount(6);
});

test('notes have lists and bold, are timed at one’s own pace, and are thinned when they are too long', async ({
  page,
  alvex,
}) => {
  const long = Array.from(
    { length: 40 },
    (_, i) => `The pond holds the water of tide number ${i} until it is let out.`,
  );
  await bringInPlain(page, alvex, {
    name: 'notes.md',
    content: `# One\n\n- The gate leaks at the sill\n\nThe gate leaks at the sill.\n\n${long.join(' ')}\n`,
  });
  await expect(slide(page, 1).getByText('too long to be spoken over one slide')).toBeVisible();
  await slide(page, 1).getByRole('button', { name: 'Take it out' }).click();
  await expect(slide(page, 1).getByText('says what the slide shows')).toHaveCount(0);
  await slide(page, 1).getByRole('button', { name: 'Shorten to a third' }).click();
  await expect(slide(page, 1).getByText('too long to be spoken over one slide')).toHaveCount(0);
  await slide(page, 1).getByLabel('Write speaker notes').click();
  await page.getByRole('textbox', { name: 'Speaker notes' }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Say ');
  await page.getByRole('button', { name: 'Bold' }).click();
  await page.keyboard.type('slowly');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Numbered list' }).click();
  await page.keyboard.type('and twice');
  await page.getByRole('button', { name: 'Done' }).click();
  const notes = slide(page, 1).getByLabel('Write speaker notes');
  await expect(notes.locator('b')).toHaveText(/slowly/);
  await expect(notes).toContainText('1. and twice');
  await expect(slide(page, 1).getByText('4 words · 2 s')).toBeVisible();
  await page.getByLabel('Words a minute').fill('60');
  await page.keyboard.press('Enter');
  await expect(slide(page, 1).getByText('4 words · 4 s')).toBeVisible();
});

test('what was done is read in the history, and one goes back in it after a reload', async ({ page }) => {
  await slide(page, 1).getByRole('button', { name: 'Hide this slide' }).click();
  await slide(page, 2).getByRole('button', { name: 'Copy this slide' }).click();
  await kept(page);
  await page.reload();
  await page.getByRole('button', { name: 'History' }).click();
  const history = page.getByRole('complementary', { name: 'History' });
  await expect(history.getByRole('listitem')).toHaveText([/A slide copied/, /1 slide hidden/, /as it was brought in/]);
  await history.getByRole('listitem').last().click();
  await expect(page.getByTestId('slide-count')).toHaveText('4 slides');
  await history.getByRole('listitem').filter({ hasText: 'A slide copied' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('5 slides');
});

test('a slide that holds too much takes its own way out, which can become the deck’s', async ({ page, alvex }) => {
  const prose = 'The pond behind the wall holds the water of two spring tides until the wheel needs it. '.repeat(8);
  await bringInPlain(page, alvex, {
    name: 'full.md',
    content: `# A\n\n- x\n\n${prose}\n\n${prose}\n\n# B\n\n- y\n\n${prose}\n\n${prose}\n`,
  });
  await station(page, 'Map').click();
  await page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'text on the slide' }).click();
  await page.getByRole('button', { name: 'made smaller, and marked' }).click();
  await station(page, 'Slides').click();
  await page.getByRole('button', { name: 'Next of 2 slides too full' }).click();
  await slide(page, 1).getByRole('button', { name: 'Text to the notes' }).click();
  await expect(slide(page, 1).getByText(/too long$/)).toHaveCount(0);
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('The pond behind the wall');
  await expect(page.getByRole('button', { name: 'Next of 1 slide too full' })).toBeVisible();
  await slide(page, 1).getByRole('button', { name: 'the same for all slides' }).click();
  await expect(page.getByRole('button', { name: /Next of/ })).toHaveCount(0);
});

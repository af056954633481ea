/** Templates, pictures and fonts of a deck's look: on a real server and database. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { DeckSummary, ErrorBody, KeptTemplate, OpenDeck } from '@alvex/contract';
import { isShipped, type LogEntry, type Picture, type TemplateModel } from '@alvex/core';
import { encode } from 'fast-png';
import { strFromU8, unzipSync, zipSync } from 'fflate';
import { usualTemplate } from '../../../demo/src/templates.ts';
import { RealServer } from '../test/real.ts';

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start();
}, 60_000);
afterAll(() => real.stop());

const call = (path: string, init?: RequestInit): Promise<Response> => fetch(`${real.address}${path}`, init);
const answer = async <T>(response: Promise<Response>, status = 200): Promise<T> => {
  const found = await response;
  expect(found.status).toBe(status);
  return (await found.json()) as T;
};
const post = (path: string, body: BodyInit): Promise<Response> => call(path, { method: 'POST', body });
const newDeck = async (): Promise<string> =>
  (await answer<{ deck: DeckSummary }>(post('/api/decks?name=mill.md', '# Mill\n\n## Gates\n\n- Oak\n'), 201)).deck.id;
const append = (deck: string, base: number, ...entries: LogEntry[]): Promise<Response> =>
  call(`/api/decks/${deck}/entries`, {
    method: 'POST',
    body: JSON.stringify({ base, entries }),
    headers: { 'Content-Type': 'application/json' },
  });
const exported = async (deck: string): Promise<Record<string, Uint8Array>> => {
  const response = await call(`/api/decks/${deck}/deck.pptx`);
  expect(response.status).toBe(200);
  return unzipSync(new Uint8Array(await response.arrayBuffer()));
};

test('a template is kept, read, and the deck is exported into it; undone, it wears its theme', async () => {
  const deck = await newDeck();
  const bytes = usualTemplate();
  const {
    removed,
    made: _,
    ...use
  } = await answer<KeptTemplate>(post(`/api/decks/${deck}/templates?name=trust.pptx`, bytes as BodyInit), 201);
  expect(use.fileName).toBe('trust.pptx');
  expect(removed).toEqual({ macros: false, objects: 0, links: 0 });
  const model = await answer<TemplateModel>(call(`/api/decks/${deck}/templates/${use.hash}`));
  expect(model.layouts).toHaveLength(6);
  // The logo of its master can be shown.
  expect((await call(`/api/decks/${deck}/pictures/${model.pictures[0]!.id}`)).status).toBe(200);
  await answer(append(deck, 0, { kind: 'template', template: { ...use, layouts: {}, keep: 'after' } }));
  const parts = await exported(deck);
  const before = unzipSync(bytes);
  expect(parts['ppt/slideMasters/slideMaster1.xml']).toEqual(before['ppt/slideMasters/slideMaster1.xml']);
  expect(
    Object.keys(parts)
      .filter((name) => /slides\/[^/]*\.xml$/.test(name))
      .sort(),
  ).toEqual([
    'ppt/slides/deck1-slide1.xml',
    'ppt/slides/deck1-slide2.xml',
    'ppt/slides/slide1.xml',
    'ppt/slides/slide2.xml',
  ]);
  // Brought in once more, what was made is known by the document's name, and its slides are drawn with their pictures.
  const again = await answer<KeptTemplate>(
    post(`/api/decks/${deck}/templates?name=again.pptx`, zipSync(parts) as BodyInit),
    201,
  );
  const { deck: about } = await answer<OpenDeck>(call(`/api/decks/${deck}`));
  const { fileName } = about;
  expect(again.made).toEqual([{ document: fileName, slides: [0, 1], changed: [] }]);
  const drawn = await answer<TemplateModel>(call(`/api/decks/${deck}/templates/${again.hash}`));
  expect(drawn.drawings).toHaveLength(4);
  const { made: __, removed: ___, ...file } = again;
  await answer(
    append(deck, 1, { kind: 'template', template: { ...file, layouts: {}, keep: 'before', replaces: fileName } }),
  );
  const replaced = Object.keys(await exported(deck)).filter((name) => /slides\/[^/]*\.xml$/.test(name));
  expect(replaced.sort()).toEqual([
    'ppt/slides/deck2-slide1.xml',
    'ppt/slides/deck2-slide2.xml',
    'ppt/slides/slide1.xml',
    'ppt/slides/slide2.xml',
  ]);
  await answer(append(deck, 2, { kind: 'undo' }));
  await answer(append(deck, 3, { kind: 'undo' }));
  expect(Object.keys(await exported(deck))).toContain('ppt/slides/slide2.xml');
});

test('what is no template is refused with a reason, and one of another deck is not given', async () => {
  const [deck, other] = [await newDeck(), await newDeck()];
  const refused = await answer<ErrorBody>(post(`/api/decks/${deck}/templates?name=x.pptx`, 'just words'), 422);
  expect(refused.error).toMatchObject({ code: 'template-unusable', kept: 'Nothing was changed.' });
  const use = await answer<{ hash: string }>(
    post(`/api/decks/${other}/templates?name=t.pptx`, usualTemplate() as BodyInit),
    201,
  );
  expect((await call(`/api/decks/${deck}/templates/${use.hash}`)).status).toBe(404);
});

test('pictures that were put on slides, and logos, are shown and exported', async () => {
  const deck = await newDeck();
  const png = encode({ width: 6, height: 4, data: new Uint8Array(6 * 4 * 3).fill(90), channels: 3 });
  const picture = await answer<Picture>(post(`/api/decks/${deck}/pictures?name=a.png`, png as BodyInit), 201);
  // Also before the edit that shows it is kept.
  expect((await call(`/api/decks/${deck}/pictures/${picture.id}`)).status).toBe(200);
  await answer(
    append(deck, 0, {
      kind: 'foot',
      foot: {
        number: [],
        footer: { text: '', on: [] },
        date: { text: '', on: [] },
        logo: { picture, alt: 'Mark', on: ['content'] },
      },
    }),
  );
  expect((await call(`/api/decks/${deck}/pictures/${picture.id}`)).status).toBe(200);
  const parts = await exported(deck);
  expect(strFromU8(parts['ppt/slideMasters/slideMaster1.xml']!)).toContain('descr="Mark"');
  expect(parts['ppt/media/image1.png']).toEqual(png);
});

test('an edit that is not as it should be is refused', async () => {
  const deck = await newDeck();
  for (const entry of [
    { kind: 'palette', palette: { from: 'colors', colors: ['red'], scheme: 'near', paper: 'warm' } },
    { kind: 'layout', slides: ['s'], layout: 'nonsense' },
    { kind: 'icon', part: 'p', icon: { name: 'x', paths: ['M0 0"/><script>'] } },
    { kind: 'frame', part: 'p', dress: { as: 'stretch' } },
  ])
    expect([entry.kind, (await append(deck, 0, entry as never)).status]).toEqual([entry.kind, 400]);
});

test('fonts that ship are given with their licence, others are not', async () => {
  const response = await call('/api/fonts/Source%20Serif%204.zip');
  expect(response.headers.get('content-disposition')).toContain('Source Serif 4.zip');
  const files = Object.keys(unzipSync(new Uint8Array(await response.arrayBuffer())));
  expect(files.filter((name) => name.endsWith('.ttf'))).toHaveLength(4);
  expect(files).toContain('LICENCE.txt');
  expect(isShipped('Comic Relief')).toBe(false);
  expect((await call('/api/fonts/Comic%20Relief.zip')).status).toBe(404);
  expect((await call('/api/fonts/..%2F..%2Fpackage.zip')).status).toBe(404);
});

test('pages are written as PDF, with its template; what is asked for wrongly is told', async () => {
  const deck = await newDeck();
  const {
    removed: _,
    made: _made,
    ...use
  } = await answer<KeptTemplate>(
    post(`/api/decks/${deck}/templates?name=trust.pptx`, usualTemplate() as BodyInit),
    201,
  );
  const pdf = async (query = ''): Promise<string> => {
    const response = await call(`/api/decks/${deck}/deck.pdf${query}`);
    expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    expect(response.headers.get('content-disposition')).toContain('.pdf');
    return Buffer.from(await response.arrayBuffer()).toString('latin1');
  };
  const plain = await pdf();
  expect(plain).toMatch(/^%PDF-1\.7/);
  expect(plain).toContain('/MediaBox [0 0 960 540]');
  expect(await pdf('?pages=six&paper=letter')).toContain('/MediaBox [0 0 612 792]');
  await answer(append(deck, 0, { kind: 'template', template: { ...use, layouts: {}, keep: 'none' } }));
  const built = await pdf();
  expect(built).not.toBe(plain);
  // Its logo is drawn on the pages.
  expect(built).toContain('/Subtype /Image');
  for (const wrong of ['?pages=seven', '?paper=a5', '?paper=toString', '?pages=six&pages=nine'])
    expect(await answer<ErrorBody>(call(`/api/decks/${deck}/deck.pdf${wrong}`), 400)).toMatchObject({
      error: { code: 'bad-request' },
    });
});

test('slides are written as pictures and as text; a width that is none is told', async () => {
  const deck = await newDeck();
  const file = async (path: string, type: string): Promise<Buffer> => {
    const response = await call(`/api/decks/${deck}/${path}`);
    expect([response.status, response.headers.get('content-type')]).toEqual([200, type]);
    return Buffer.from(await response.arrayBuffer());
  };
  const zip = await file('deck.zip?width=320', 'application/zip');
  expect(zip.includes(Buffer.from('.png'))).toBe(true);
  expect((await file('deck.md', 'text/markdown; charset=utf-8')).toString('utf8')).toMatch(/^(---\n[^#]*---\n\n)?# /);
  expect((await file('deck.html?notes=0', 'text/html; charset=utf-8')).toString('utf8')).not.toContain('class="notes"');
  const odp = await file('deck.odp', 'application/vnd.oasis.opendocument.presentation');
  expect(odp.subarray(30, 38).toString('latin1')).toBe('mimetype');
  expect((await file('deck.odt', 'application/vnd.oasis.opendocument.text')).subarray(0, 2).toString()).toBe('PK');
  expect((await file('deck.html?source=1', 'text/html; charset=utf-8')).toString('utf8')).toContain('<main>');
  expect((await file('deck.md?source=1', 'text/markdown; charset=utf-8')).toString('utf8')).not.toContain('slides-at');
  expect((await file('deck.txt', 'text/plain; charset=utf-8')).length).toBeGreaterThan(10);
  const word = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
  expect((await file('deck.docx?handout=1', word)).length).toBeGreaterThan((await file('deck.docx', word)).length);
  expect((await file('deck.opml', 'text/x-opml; charset=utf-8')).toString('utf8')).toContain('<outline text=');
  for (const wrong of ['?width=12', '?width=', '?width=320&width=640', '?width=wide'])
    expect(await answer<ErrorBody>(call(`/api/decks/${deck}/deck.zip${wrong}`), 400)).toMatchObject({
      error: { code: 'bad-request' },
    });
});

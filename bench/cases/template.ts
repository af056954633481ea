/** A presentation of 50 MB as template: read, read with its slides drawn, written into; beside unpacking the same bytes. And fonts that go along. */
import { deflateRawSync } from 'node:zlib';
import { encode } from 'fast-png';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { templateOf } from '../../packages/demo/src/templates.ts';
import {
  convert,
  DEFLATE_SETTINGS,
  fontsUsed,
  readDocument,
  readTemplate,
  writeDeck,
  type TemplateUse,
} from '../../packages/core/src/index.ts';
import { embeddableFonts } from '../../packages/font-files/src/index.ts';
import { deckSource } from '../deck-source.ts';
import { best, sentence, tell } from '../measure.ts';

const SLIDES = 200;
const [, , subject] = process.argv;
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** 200 slides with words, each with a photograph of a quarter of a megabyte. */
function large(): Uint8Array {
  const words = (i: number): string =>
    Array.from(
      { length: 8 },
      (_, k) => `<a:p><a:r><a:rPr lang="en-GB"/><a:t>${sentence(i + k, 9)}</a:t></a:r></a:p>`,
    ).join('');
  const xfrm = (y: number) => `<a:xfrm><a:off x="900000" y="${y}"/><a:ext cx="5000000" cy="2500000"/></a:xfrm>`;
  const slides = Array.from({ length: SLIDES }, (_, i) => ({
    layout: 1,
    shapes: `<p:sp><p:nvSpPr><p:cNvPr id="2" name="T"/><p:cNvSpPr/><p:nvPr><p:ph type="title"/></p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/>${words(i)}</p:txBody></p:sp><p:pic><p:nvPicPr><p:cNvPr id="3" name="P" descr="A pond"/><p:cNvPicPr/><p:nvPr/></p:nvPicPr><p:blipFill><a:blip r:embed="rId2"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>${xfrm(3_000_000)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>`,
  }));
  const files = unzipSync(
    templateOf({
      size: [1333.3, 750],
      slides,
      masters: [
        {
          name: 'Large',
          colors: { dk1: '102030', lt1: 'FFFFFF', accent1: '14596E' },
          fonts: ['Arial', 'Arial'],
          phs: [{ type: 'title', box: [80, 40, 1070, 110] }],
          layouts: [{ name: 'Content', phs: [{ type: 'title' }, { idx: 1, box: [80, 180, 1170, 490] }] }],
        },
      ],
    }),
  );
  for (let i = 1; i <= SLIDES; i++) {
    // Noise, which no compression makes smaller.
    let seed = i;
    const data = new Uint8Array(340 * 250 * 3).map(() => (seed = Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 24);
    files[`ppt/media/p${i}.png`] = new Uint8Array(encode({ width: 340, height: 250, channels: 3, data }));
    const rels = `ppt/slides/_rels/slide${i}.xml.rels`;
    files[rels] = strToU8(
      strFromU8(files[rels]!).replace(
        '</Relationships>',
        `<Relationship Id="rId2" Type="${REL}/image" Target="../media/p${i}.png"/></Relationships>`,
      ),
    );
  }
  files['[Content_Types].xml'] = strToU8(
    strFromU8(files['[Content_Types].xml']!).replace(
      '<Override',
      '<Default Extension="png" ContentType="image/png"/><Override',
    ),
  );
  return zipSync(files, { level: 1 });
}

const { document } = await readDocument(new TextEncoder().encode(deckSource(100)), 'markdown');
const deflate = (part: Uint8Array) => deflateRawSync(part, DEFLATE_SETTINGS);

if (subject === 'plain' || subject === 'fonts') {
  const made = convert(document, []);
  let size = 0;
  const ms = await best(3, async () => {
    const fonts = subject === 'fonts' ? { fonts: await embeddableFonts(fontsUsed(made.pages, made.theme)) } : {};
    size = writeDeck('pptx', made, [], { deflate, ...fonts }).length;
  });
  tell(ms, { bytes: size });
} else {
  const bytes = large();
  const use: TemplateUse = { hash: 'large', fileName: 'large.pptx', layouts: {}, keep: 'before' };
  const work = {
    floor: () => unzipSync(bytes),
    read: () => readTemplate(bytes),
    slides: () => readTemplate(bytes, { slides: true }),
    write: () => {
      const models = new Map([['large', readTemplate(bytes).model]]);
      const made = convert(document, [{ kind: 'template', template: use }], undefined, models);
      return writeDeck('pptx', made, [], { deflate, template: bytes });
    },
  }[subject as 'floor' | 'read' | 'slides' | 'write'];
  tell(await best(3, work), { bytes: bytes.length });
}

/** Made-up organisations' presentations of three builds: the trust's own, a plain one, and an awkward one. */
import { encode } from 'fast-png';
import { strToU8, zipSync } from 'fflate';

const NS =
  'xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main"';
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const TYPES = 'application/vnd.openxmlformats-officedocument.presentationml';

/** Left, top, width, height in hundredths of an inch. */
type Box = readonly [number, number, number, number];
interface Ph {
  readonly type?: string;
  readonly idx?: number;
  readonly box?: Box;
  readonly size?: number;
}
interface LayoutSource {
  readonly name: string;
  readonly type?: string;
  readonly phs: readonly Ph[];
  readonly extra?: string;
  /** `p:bg`, where it has its own; `rId2` in it and in `extra` is the picture. */
  readonly ground?: string;
  readonly picture?: Uint8Array;
}
interface MasterSource {
  readonly name: string;
  readonly colors: Readonly<Record<string, string>>;
  readonly fonts: readonly [string, string];
  readonly phs: readonly Ph[];
  readonly layouts: readonly LayoutSource[];
  readonly extra?: string;
  readonly dark?: boolean;
  readonly ground?: string;
  /** In the place of those of its theme, for shapes; each shade is `phClr`. */
  readonly fills?: string;
  readonly logo?: Box;
}
export interface Source {
  readonly size: readonly [number, number] /* hundredths of an inch */;
  readonly masters: readonly MasterSource[];
  /** So many, or what stands on each. */
  readonly slides?: number | readonly OwnSlideSource[];
  readonly notes?: boolean;
}

const emu = (hundredths: number): number => Math.round(hundredths * 9144);
const xfrm = ([x, y, w, h]: Box): string =>
  `<a:xfrm><a:off x="${emu(x)}" y="${emu(y)}"/><a:ext cx="${emu(w)}" cy="${emu(h)}"/></a:xfrm>`;

const shape = ({ type, idx, box, size }: Ph, id: number): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Holder ${id}"/><p:cNvSpPr/><p:nvPr><p:ph${type === undefined ? '' : ` type="${type}"`}${idx === undefined ? '' : ` idx="${idx}"`}/></p:nvPr></p:nvSpPr><p:spPr>${box === undefined ? '' : xfrm(box)}</p:spPr><p:txBody><a:bodyPr/><a:lstStyle>${size === undefined ? '' : `<a:lvl1pPr><a:defRPr sz="${size * 100}"/></a:lvl1pPr>`}</a:lstStyle><a:p><a:endParaRPr lang="en-GB"/></a:p></p:txBody></p:sp>`;
const tree = (inner: string): string =>
  `<p:spTree><p:nvGrpSpPr><p:cNvPr id="1" name=""/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr/>${inner}</p:spTree>`;

export const bar = (box: Box, color: string): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="90" name="Bar"/><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${xfrm(box)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom><a:solidFill><a:schemeClr val="${color}"/></a:solidFill></p:spPr></p:sp>`;

interface OwnSlideSource {
  /** Of the file, from 1. */
  readonly layout: number;
  readonly shapes: string;
  readonly ground?: string;
}

/** Parts of a package, with their types and relationships. */
class Parts {
  readonly files: Record<string, Uint8Array> = {};
  readonly #overrides: string[] = [];

  put(name: string, content: string): void {
    this.files[name] = strToU8(content);
  }

  add(name: string, content: string, type: string, rels: readonly (readonly [string, string])[] = []): void {
    this.put(name, XML + content);
    this.#overrides.push(`<Override PartName="/${name}" ContentType="${type}"/>`);
    if (rels.length === 0) return;
    const slash = name.lastIndexOf('/');
    const rows = rels.map(
      ([kind, target], i) => `<Relationship Id="rId${i + 1}" Type="${REL}/${kind}" Target="${target}"/>`,
    );
    this.put(
      `${name.slice(0, slash)}/_rels/${name.slice(slash + 1)}.rels`,
      `${XML}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${rows.join('')}</Relationships>`,
    );
  }

  /** @param main Of the relationship of the package. */
  zip(main: string): Uint8Array {
    const png = Object.keys(this.files).some((name) => name.endsWith('.png'));
    this.put(
      '[Content_Types].xml',
      `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/>${png ? '<Default Extension="png" ContentType="image/png"/>' : ''}${this.#overrides.join('')}</Types>`,
    );
    this.put(
      '_rels/.rels',
      `${XML}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="${REL}/officeDocument" Target="${main}"/></Relationships>`,
    );
    const order = ['[Content_Types].xml', '_rels/.rels', ...Object.keys(this.files)];
    const sorted = Object.fromEntries([...new Set(order)].map((name) => [name, this.files[name]!]));
    return zipSync(sorted, { level: 6, mtime: new Date('1980-01-01T00:00:00') });
  }
}

/** A presentation file of the parts that it must have, and what is given. */
export function templateOf({ size, masters, slides: own = 0, notes = false }: Source): Uint8Array {
  const slides = typeof own === 'number' ? Array.from({ length: own }, (_, i) => usualSlide(i + 1)) : own;
  const parts = new Parts();
  let layouts = 0;
  let id = 2_147_483_648;
  const masterIds: string[] = [];
  masters.forEach((master, m) => {
    masterIds.push(`<p:sldMasterId id="${++id}" r:id="rId${m + 1}"/>`);
    addMaster(parts, master, m + 1, layouts, id);
    layouts += master.layouts.length;
    id += master.layouts.length;
  });
  if (masters.some(({ logo }) => logo !== undefined)) {
    const data = new Uint8Array(24 * 12 * 4).map((_, i) => [20, 90, 110, 255][i % 4]!);
    parts.files['ppt/media/logo.png'] = encode({ width: 24, height: 12, data, channels: 4 });
  }
  if (notes)
    parts.add(
      'ppt/notesMasters/notesMaster1.xml',
      `<p:notesMaster ${NS}><p:cSld>${tree(shape({ type: 'body', idx: 1, box: [75, 480, 600, 390] }, 2))}</p:cSld><p:clrMap bg1="lt1" tx1="dk1" bg2="lt2" tx2="dk2" accent1="accent1" accent2="accent2" accent3="accent3" accent4="accent4" accent5="accent5" accent6="accent6" hlink="hlink" folHlink="folHlink"/></p:notesMaster>`,
      `${TYPES}.notesMaster+xml`,
      [['theme', '../theme/theme1.xml']],
    );
  slides.forEach(({ layout, shapes, ground = '' }, i) =>
    parts.add(
      `ppt/slides/slide${i + 1}.xml`,
      `<p:sld ${NS}><p:cSld>${ground}${tree(shapes)}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sld>`,
      `${TYPES}.slide+xml`,
      [['slideLayout', `../slideLayouts/slideLayout${layout}.xml`]],
    ),
  );
  const slideIds = slides.map((_, i) => `<p:sldId id="${256 + i}" r:id="rId${masters.length + i + 1}"/>`).join('');
  const notesId = `rId${masters.length + slides.length + 1}`;
  parts.add(
    'ppt/presentation.xml',
    `<p:presentation ${NS}><p:sldMasterIdLst>${masterIds.join('')}</p:sldMasterIdLst>${notes ? `<p:notesMasterIdLst><p:notesMasterId r:id="${notesId}"/></p:notesMasterIdLst>` : ''}${slides.length > 0 ? `<p:sldIdLst>${slideIds}</p:sldIdLst>` : ''}<p:sldSz cx="${emu(size[0])}" cy="${emu(size[1])}"/><p:notesSz cx="6858000" cy="9144000"/></p:presentation>`,
    `${TYPES}.presentation.main+xml`,
    [
      ...masters.map((_, i) => ['slideMaster', `slideMasters/slideMaster${i + 1}.xml`] as const),
      ...slides.map((_, i) => ['slide', `slides/slide${i + 1}.xml`] as const),
      ...(notes ? [['notesMaster', 'notesMasters/notesMaster1.xml'] as const] : []),
    ],
  );
  return parts.zip('ppt/presentation.xml');
}

/** A master with its theme and layouts. @param number From 1. @param before Layouts of the masters before it. @param id Of the master; those of its layouts follow. */
function addMaster(parts: Parts, master: MasterSource, number: number, before: number, id: number): void {
  const names = master.layouts.map((_, i) => `slideLayout${before + i + 1}.xml`);
  parts.add(
    `ppt/theme/theme${number}.xml`,
    themeXml(master),
    'application/vnd.openxmlformats-officedocument.theme+xml',
  );
  const list = names.map((_, i) => `<p:sldLayoutId id="${id + i + 1}" r:id="rId${i + 1}"/>`).join('');
  parts.add(`ppt/slideMasters/slideMaster${number}.xml`, masterXml(master, list), `${TYPES}.slideMaster+xml`, [
    ...names.map((name) => ['slideLayout', `../slideLayouts/${name}`] as const),
    ['theme', `../theme/theme${number}.xml`],
    ...(master.logo === undefined ? [] : [['image', '../media/logo.png'] as const]),
  ]);
  master.layouts.forEach((layout, i) => {
    const media = `layout${before + i + 1}.png`;
    if (layout.picture !== undefined) parts.files[`ppt/media/${media}`] = layout.picture;
    parts.add(
      `ppt/slideLayouts/${names[i]}`,
      `<p:sldLayout ${NS}${layout.type === undefined ? '' : ` type="${layout.type}"`}><p:cSld name="${layout.name}">${layout.ground ?? ''}${tree((layout.extra ?? '') + layout.phs.map((ph, k) => shape(ph, k + 2)).join(''))}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sldLayout>`,
      `${TYPES}.slideLayout+xml`,
      [
        ['slideMaster', `../slideMasters/slideMaster${number}.xml`],
        ...(layout.picture === undefined ? [] : [['image', `../media/${media}`] as const]),
      ],
    );
  });
}

const themeXml = (master: MasterSource): string =>
  `<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="${master.name}"><a:themeElements><a:clrScheme name="c">${['dk1', 'lt1', 'dk2', 'lt2', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6', 'hlink', 'folHlink'].map((name) => `<a:${name}><a:srgbClr val="${master.colors[name] ?? '336699'}"/></a:${name}>`).join('')}</a:clrScheme><a:fontScheme name="f"><a:majorFont><a:latin typeface="${master.fonts[0]}"/><a:ea typeface=""/><a:cs typeface=""/></a:majorFont><a:minorFont><a:latin typeface="${master.fonts[1]}"/><a:ea typeface=""/><a:cs typeface=""/></a:minorFont></a:fontScheme><a:fmtScheme name="x"><a:fillStyleLst>${master.fills ?? FILL.repeat(3)}</a:fillStyleLst><a:lnStyleLst>${`<a:ln w="6350">${FILL}</a:ln>`.repeat(3)}</a:lnStyleLst><a:effectStyleLst>${'<a:effectStyle><a:effectLst/></a:effectStyle>'.repeat(3)}</a:effectStyleLst><a:bgFillStyleLst>${FILL.repeat(3)}</a:bgFillStyleLst></a:fmtScheme></a:themeElements></a:theme>`;

/** @param list Its layouts. */
function masterXml(master: MasterSource, list: string): string {
  const map = master.dark ? 'bg1="dk1" tx1="lt1" bg2="dk2" tx2="lt2"' : 'bg1="lt1" tx1="dk1" bg2="lt2" tx2="dk2"';
  const level = (n: number, sz: number): string =>
    `<a:lvl${n}pPr marL="${n * 228_600}" indent="-228600"><a:spcBef><a:spcPts val="600"/></a:spcBef><a:buChar char="•"/><a:defRPr sz="${sz * 100}"><a:solidFill><a:schemeClr val="tx1"/></a:solidFill><a:latin typeface="+mn-lt"/></a:defRPr></a:lvl${n}pPr>`;
  const logo =
    master.logo === undefined
      ? ''
      : `<p:pic><p:nvPicPr><p:cNvPr id="80" name="Logo" descr="Mark of the trust"/><p:cNvPicPr/><p:nvPr/></p:nvPicPr><p:blipFill><a:blip r:embed="rId${master.layouts.length + 2}"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>${xfrm(master.logo)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>`;
  return `<p:sldMaster ${NS}><p:cSld>${master.ground ?? PLAIN_GROUND}${tree((master.extra ?? '') + logo + master.phs.map((ph, i) => shape(ph, i + 2)).join(''))}</p:cSld><p:clrMap ${map} accent1="accent1" accent2="accent2" accent3="accent3" accent4="accent4" accent5="accent5" accent6="accent6" hlink="hlink" folHlink="folHlink"/><p:sldLayoutIdLst>${list}</p:sldLayoutIdLst><p:txStyles><p:titleStyle><a:lvl1pPr><a:lnSpc><a:spcPct val="90000"/></a:lnSpc><a:defRPr sz="3600" b="1"><a:solidFill><a:schemeClr val="accent1"/></a:solidFill><a:latin typeface="+mj-lt"/></a:defRPr></a:lvl1pPr></p:titleStyle><p:bodyStyle>${level(1, 24)}${level(2, 20)}${level(3, 18)}</p:bodyStyle><p:otherStyle><a:lvl1pPr><a:defRPr sz="1200"/></a:lvl1pPr></p:otherStyle></p:txStyles></p:sldMaster>`;
}

const usualSlide = (number: number): OwnSlideSource => ({
  layout: 1,
  shapes: `<p:sp><p:nvSpPr><p:cNvPr id="2" name="Own ${number}"/><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${xfrm([100, 100, 400, 100])}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody><a:bodyPr/><a:lstStyle/><a:p><a:r><a:rPr lang="en-GB"/><a:t>Their slide ${number}</a:t></a:r></a:p></p:txBody></p:sp>`,
});

const PLAIN_GROUND = '<p:bg><p:bgPr><a:solidFill><a:schemeClr val="bg1"/></a:solidFill><a:effectLst/></p:bgPr></p:bg>';
const FILL = '<a:solidFill><a:schemeClr val="phClr"/></a:solidFill>';

const FEET: readonly Ph[] = [
  { type: 'dt', idx: 10, box: [80, 690, 200, 35] },
  { type: 'ftr', idx: 11, box: [400, 690, 500, 35] },
  { type: 'sldNum', idx: 12, box: [1050, 690, 200, 35] },
];

/** As most organisations have it: one master, layouts with types, a logo, slides of its own, a notes master. */
export const usualTemplate = (): Uint8Array =>
  templateOf({
    size: [1333.3, 750],
    slides: 2,
    notes: true,
    masters: [
      {
        name: 'Sallow Quay Trust',
        colors: {
          dk1: '1B2A33',
          lt1: 'FFFFFF',
          dk2: '40525C',
          lt2: 'EEF3F5',
          accent1: '14596E',
          accent2: 'F2C14E',
          accent3: '7A9E3B',
        },
        fonts: ['Georgia', 'Calibri'],
        logo: [1180, 20, 120, 60],
        extra: bar([0, 0, 30, 750], 'accent1'),
        phs: [
          { type: 'title', box: [80, 40, 1070, 110] },
          { type: 'body', idx: 1, box: [80, 180, 1170, 490] },
          ...FEET,
        ],
        layouts: [
          {
            name: 'Front page',
            type: 'title',
            phs: [
              { type: 'ctrTitle', box: [120, 200, 1000, 200], size: 54 },
              { type: 'subTitle', idx: 1, box: [120, 420, 1000, 120] },
            ],
          },
          { name: 'Heading and text', type: 'obj', phs: [{ type: 'title' }, { idx: 1 }, ...FEET] },
          {
            name: 'Divider',
            type: 'secHead',
            phs: [
              { type: 'title', box: [120, 260, 1000, 150] },
              { type: 'body', idx: 1, box: [120, 430, 1000, 100] },
            ],
            extra: bar([0, 600, 1333, 150], 'accent2'),
          },
          {
            name: 'Two texts',
            type: 'twoObj',
            phs: [
              { type: 'title' },
              { idx: 1, box: [80, 180, 570, 490] },
              { idx: 2, box: [680, 180, 570, 490] },
              ...FEET,
            ],
          },
          {
            name: 'Text and picture',
            type: 'picTx',
            phs: [
              { type: 'title' },
              { type: 'body', idx: 2, box: [80, 180, 570, 490] },
              { type: 'pic', idx: 13, box: [680, 180, 570, 490] },
              ...FEET,
            ],
          },
          { name: 'Heading only', type: 'titleOnly', phs: [{ type: 'title' }, ...FEET] },
        ],
      },
    ],
  });

/** Little of everything: two layouts without types, no foot, no notes master, dark. */
export const plainTemplate = (): Uint8Array =>
  templateOf({
    size: [1333.3, 750],
    masters: [
      {
        name: 'Night',
        dark: true,
        colors: { dk1: '101820', lt1: 'F4F4F0', dk2: '22303C', lt2: 'B8C4CC', accent1: 'F2A541', accent2: '5BC0BE' },
        fonts: ['Odd Grotesk', 'Odd Grotesk Text'],
        phs: [
          { type: 'title', box: [100, 60, 1130, 100] },
          { type: 'body', idx: 1, box: [100, 190, 1130, 480] },
        ],
        layouts: [
          { name: 'A', phs: [{ type: 'title' }, { type: 'body', idx: 1 }] },
          { name: 'B', phs: [{ type: 'title', box: [100, 300, 1130, 150] }] },
        ],
      },
    ],
  });

/** Awkward: 4:3, two masters, odd names, no body placeholder on the first, a title at the bottom, a layout without any placeholder. */
export const awkwardTemplate = (): Uint8Array =>
  templateOf({
    size: [1000, 750],
    slides: 1,
    masters: [
      {
        name: 'x1',
        colors: { dk1: '000000', lt1: 'FFFFFF', lt2: '1A1A1A', accent1: 'FFE600', accent2: 'FFD0D0' },
        fonts: ['Times New Roman', 'Arial'],
        phs: [{ type: 'title', box: [50, 600, 900, 110] }],
        layouts: [
          { name: '%&amp;/ 1', phs: [] },
          { name: 'zz', phs: [{ type: 'title' }] },
        ],
      },
      {
        name: 'x2',
        colors: { dk1: '102030', lt1: 'FAFAF0', accent1: '993311' },
        fonts: ['Arial', 'Arial'],
        phs: [
          { type: 'title', box: [50, 30, 900, 100] },
          { type: 'body', idx: 1, box: [50, 150, 900, 560] },
        ],
        layouts: [
          {
            name: 'äöü "2"'.replaceAll('"', '&quot;'),
            phs: [
              { type: 'title' },
              { type: 'pic', idx: 30, box: [50, 150, 400, 500] },
              { type: 'pic', idx: 31, box: [500, 150, 400, 500] },
            ],
          },
        ],
      },
    ],
  });

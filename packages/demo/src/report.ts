/** The feasibility report of the made-up Sallow Quay tide mill, as DOCX with real styles. All people, places and figures are invented. */
import {
  Document,
  ExternalHyperlink,
  FootnoteReferenceRun,
  HeadingLevel,
  ImageRun,
  LevelFormat,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
  WidthType,
  type ParagraphChild,
} from 'docx';
import { pictures } from './pictures.ts';

const art = pictures();

type Text = string | readonly (string | ParagraphChild)[];
const children = (text: Text): ParagraphChild[] =>
  typeof text === 'string'
    ? [new TextRun(text)]
    : text.map((part) => (typeof part === 'string' ? new TextRun(part) : part));
const strong = (text: string) => new TextRun({ text, bold: true });
const note = (id: number) => new FootnoteReferenceRun(id);

const h1 = (text: string) => new Paragraph({ text, heading: HeadingLevel.HEADING_1 });
const h2 = (text: string) => new Paragraph({ text, heading: HeadingLevel.HEADING_2 });
const h3 = (text: string) => new Paragraph({ text, heading: HeadingLevel.HEADING_3 });
const p = (text: Text) => new Paragraph({ children: children(text) });
const bullet = (text: Text, level = 0) => new Paragraph({ children: children(text), bullet: { level } });
const step = (text: Text, instance: number) =>
  new Paragraph({ children: children(text), numbering: { reference: 'steps', level: 0, instance } });
const quote = (text: string) => new Paragraph({ text, style: 'Quote' });
const caption = (text: string) => new Paragraph({ text, style: 'Caption' });

const picture = ({ bytes, width, height }: (typeof art)['mill'], description: string) =>
  new Paragraph({
    children: [
      new ImageRun({
        type: 'png',
        data: bytes,
        transformation: { width: 480, height: (480 * height) / width },
        altText: { name: 'Picture', title: '', description },
      }),
    ],
  });

const table = (rows: readonly (readonly string[])[]) =>
  new Table({
    width: { size: 100, type: WidthType.PERCENTAGE },
    rows: rows.map(
      (cells, r) =>
        new TableRow({
          tableHeader: r === 0,
          children: cells.map((text) => new TableCell({ children: [new Paragraph(text)] })),
        }),
    ),
  });

const body = [
  new Paragraph({ text: 'Reopening the Sallow Quay tide mill', heading: HeadingLevel.TITLE }),
  new Paragraph({ text: 'Feasibility report for the Sallow Quay Trust, spring meeting', style: 'Subtitle' }),

  h1('What the tide gives us'),
  p([
    'The pond holds roughly eleven thousand cubic metres, measured from the level marks cut into the sluice wall and checked again in March.',
    note(1),
    ' On a spring tide the water outside falls far enough to leave us five hours of useful head; on a neap it is barely three.',
  ]),
  h2('Two working tides a day'),
  bullet('Five hours of head on a spring tide'),
  bullet('Barely three on a neap'),
  bullet('No work within an hour of low water'),
  p(
    'The two tides drift by about fifty minutes each day, so the working hours move around the clock in a fortnight. Volunteers will need a printed table, not a habit.',
  ),
  h2('Enough for one pair of stones'),
  p(
    'The wheel gives at most nine kilowatts at the shaft. One pair of stones takes five, the hoist and the sifter together take two, and the rest is lost in the gearing.',
  ),
  bullet('Nine kilowatts at the shaft'),
  bullet('Five for the stones', 1),
  bullet('Two for hoist and sifter', 1),
  bullet('Forty kilograms of flour an hour'),
  picture(
    art.tide,
    'Two curves over one day: the tide outside, and below it the level of the pond, which falls only while the mill works',
  ),
  caption('Tide and pond over one day of springs'),

  h1('What has to be mended first'),
  p('The survey took two days in February. The walls are sound; almost everything that moves is not.'),
  h2('Sluice gates'),
  bullet('North gate seized since the flood'),
  bullet('South gate leaks at the sill'),
  p(
    'Both gates are elm on iron straps. The straps can be kept. The surveyor advises new boards of green oak and a sill of recycled plastic, which does not move with the wet.',
  ),
  h2('Wheel and pit'),
  bullet('Eleven of forty floats rotten'),
  bullet('Shaft sound, bearings to be recast'),
  bullet('Pit half full of silt'),
  picture(
    art.pit,
    'A section through the wheel pit: the wheel hangs between two sluices, its lower third in the water',
  ),
  caption('The wheel pit, looking north'),
  h2('Roof over the stone floor'),
  p([
    'Rain comes in at the valley between the mill and the house. ',
    strong('The roof must be closed before the stones are lifted'),
    ', or the new dressing will be lost in one winter.',
  ]),

  h1('What it costs'),
  p(
    'All prices are from the second round of offers and stand until the end of September. Labour by volunteers is not counted.',
  ),
  table([
    ['Work', 'Year 1', 'Year 2', 'Year 3', 'Total'],
    ['Sluice gates', '31,000', '0', '0', '31,000'],
    ['Wheel and bearings', '12,500', '44,000', '0', '56,500'],
    ['Silt and pit', '18,200', '0', '0', '18,200'],
    ['Roof', '27,400', '6,000', '0', '33,400'],
    ['Stones and gearing', '0', '22,000', '15,500', '37,500'],
    ['Safety and access', '4,000', '9,500', '8,000', '21,500'],
    ['Sum', '93,100', '81,500', '23,500', '198,100'],
  ]),
  h2('Where the money comes from'),
  step('The county heritage fund pays half, once the lease is signed', 1),
  step('The Trust brings forty thousand from the sale of the boat shed', 1),
  step('Flour and visits carry the third year', 1),
  p(
    'A third of a year without visitors would leave a gap of about eleven thousand, which the reserve can bear once but not twice.',
  ),
  h2('What it costs to run'),
  table([
    ['Item', 'A month'],
    ['Insurance', '310'],
    ['Grease, belts, small parts', '95'],
    ['Grain', '420'],
    ['Electricity for light', '60'],
  ]),

  h1('Who does the work'),
  h2('The Trust'),
  bullet('Holds the lease and the insurance'),
  bullet('Keeps the accounts'),
  h2('The millwright'),
  bullet('Two days a week in the first year'),
  bullet('Trains four volunteers to dress stones'),
  h2('The volunteers'),
  bullet('Twenty are needed, fourteen have signed'),
  bullet('Nobody works a gate alone'),
  h3('Who may work the gates'),
  p('Only those who have done the induction course and three tides beside someone who has.'),
  quote(
    'You could hear the stones from the ferry. When they stopped, people looked up. From the memories of a ferryman, collected by the Trust',
  ),

  h1('When'),
  p(
    'The order follows the weather and the breeding season of the terns on the spit, when no heavy machine may cross the dam.',
  ),
  p(
    'In the autumn of the first year the gates are lifted and the pit is pumped out. By the following April the roof is closed. The wheel turns without load in the summer of the second year. In May of the third year the first flour is ground in public, and from September the mill is open on two days a week.',
  ),
  h2('Dates that cannot move'),
  table([
    ['Date', 'What', 'Why'],
    ['31 March', 'Machines off the dam', 'Terns on the spit'],
    ['30 September', 'Offers run out', 'Prices bind until then'],
    ['First spring tide in May', 'Trial of the gates', 'Highest water of the year'],
  ]),

  h1('Risks'),
  bullet('Silt comes back faster than it is dug out'),
  bullet('A hard frost before the roof is closed'),
  bullet('The fund decides a year late'),
  p([
    'The silt is the one we know least about. Two winters of soundings by the harbour office',
    note(2),
    ' give between four and nine centimetres a year, and the difference decides whether the pond has to be dredged every fifth year or every twelfth. ',
    'The soundings are on ',
    new ExternalHyperlink({
      link: 'https://sallow-quay.example/soundings',
      children: [new TextRun({ text: 'the Trust’s pages', style: 'Hyperlink' })],
    }),
    '.',
  ]),

  h1('What we ask of the meeting'),
  bullet('Agree to the lease for thirty years'),
  bullet('Release forty thousand for the first year'),
  bullet('Name two members for the building group'),
  picture(
    art.mill,
    'The mill from the quay at half tide: a tall gabled house of stone over the dam, its wheel to the right',
  ),

  h1('For the chair only'),
  p(
    'The surveyor has not signed the figure for the bearings. If it is asked about, say that it is an offer, not a measurement.',
  ),
  p('The owner of the lower meadow has not been told of the silt lagoon. Please do not show the map.'),
];

export function buildReport(): Promise<Buffer> {
  const document = new Document({
    title: 'Reopening the Sallow Quay tide mill',
    creator: 'Sallow Quay Trust',
    styles: {
      paragraphStyles: [
        { id: 'Quote', name: 'Quote', basedOn: 'Normal', run: { italics: true } },
        { id: 'Subtitle', name: 'Subtitle', basedOn: 'Normal', run: { size: 28 } },
        { id: 'Caption', name: 'caption', basedOn: 'Normal', run: { size: 18, italics: true } },
      ],
    },
    numbering: { config: [{ reference: 'steps', levels: [{ level: 0, format: LevelFormat.DECIMAL, text: '%1.' }] }] },
    footnotes: {
      1: { children: [new Paragraph('Level book of the Trust, entries for 14 and 15 March.')] },
      2: { children: [new Paragraph('Harbour office, bundle 14, soundings at twelve stations.')] },
    },
    sections: [{ children: body }],
  });
  return Packer.toBuffer(document);
}

/** Minutes of a meeting of the made-up trust, as DOCX whose headings are only bold or larger, as many people write. */
import { AlignmentType, Document, Packer, Paragraph, TextRun } from 'docx';

const line = (text: string, look: { size?: number; bold?: boolean; centred?: boolean } = {}) =>
  new Paragraph({
    ...(look.centred ? { alignment: AlignmentType.CENTER } : {}),
    spacing: { before: look.bold ? 240 : 0, after: 120 },
    children: [new TextRun({ text, size: (look.size ?? 11) * 2, ...(look.bold ? { bold: true } : {}) })],
  });
const title = (text: string) => line(text, { size: 20, bold: true, centred: true });
const head = (text: string) => line(text, { size: 14, bold: true });
const sub = (text: string) => line(text, { bold: true });
const p = (text: string) => line(text);
const dash = (text: string) => line(`–\u00a0\u00a0${text}`);

const lines = [
  title('Sallow Quay Tide Mill Trust'),
  p('Minutes of the meeting held in the Granary on the second Tuesday of October 2026, beginning at high water.'),
  p('Present: the chair, the warden of the quay, the treasurer, four trustees and two volunteers.'),
  head('Minutes of the last meeting'),
  p(
    'The minutes of September were read and agreed. The treasurer asked that the cost of the survey be given with its tax, which had been left out.',
  ),
  head('The sluice gate'),
  p(
    'The warden reported that the gate holds at neap tides and leaks at springs. A diver looked at the sill in low water and found two stones gone.',
  ),
  sub('Repair before winter'),
  p(
    'Two quotations were laid on the table. The trustees preferred the one that keeps the old oak frame, although it costs 1,850 more.',
  ),
  dash('The frame stays, the boards are renewed.'),
  dash('Work begins at the neap tide of 9 November.'),
  dash('The pond stays empty for eleven days.'),
  sub('Who looks after it'),
  p(
    'Volunteers will read the level twice a day and write it in the book by the door. A list of names hangs in the Granary.',
  ),
  head('The wheel'),
  p(
    'The millwright has finished the drawings. She asks for a decision on the floats before January, because elm of that length has to be ordered.',
  ),
  sub('Elm or larch'),
  p(
    'Elm lasts longer under water and costs twice as much. Larch can be had from the next valley. The meeting leaned towards larch for the first set.',
  ),
  sub('Money in hand'),
  p('The wheel fund holds 23,400. The treasurer expects 6,000 more from the open day, if the weather is kind.'),
  head('Open day'),
  p(
    'The open day will be on the first Sunday of May. The school will bring its model of the mill, and the ferry will run every half hour.',
  ),
  head('Any other business'),
  p(
    'The heron that nests on the pond wall was discussed at length and without result. The meeting closed at half ebb.',
  ),
];

export async function buildMinutes(): Promise<Uint8Array> {
  const document = new Document({
    title: 'Minutes, October 2026',
    creator: 'Sallow Quay Tide Mill Trust',
    sections: [{ children: lines }],
  });
  return Packer.toBuffer(document);
}

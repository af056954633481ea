/** What charts, tables and pictures say to those who do not see them, in the document's own words. */
import { writeNumber, type Chart } from '../charts/index.ts';
import { cellText, runsText, type Table } from '../content/index.ts';
import type { PictureBox } from '../layout/index.ts';
import type { SceneSlide } from './scene.ts';

const LONGEST = 300; // characters

const short = (text: string): string => {
  const line = text.replace(/\s+/g, ' ').trim();
  return line.length <= LONGEST ? line : `${line.slice(0, line.lastIndexOf(' ', LONGEST - 1)).replace(/[,;:]$/, '')} …`;
};
const led = (title: string, text: string): string =>
  short(title === '' ? text : text === '' ? title : `${title}: ${text}`);

/** Its title, and the heads of its columns. @param title Of the slide. */
export function describeTable({ rows }: Table, title: string): string {
  const heads = rows[0]?.cells.map(cellText).filter((text) => text.trim() !== '') ?? [];
  return led(title, heads.join(', '));
}

/** Its title, and its numbers, as many as are said in a breath. @param title Of the slide. */
export function describeChart({ settings, categories, series, format }: Chart, title: string): string {
  const said = series.map(({ name, values }) => {
    const numbers = values.flatMap((value, i) =>
      value === null ? [] : [`${categories[i] ?? ''} ${writeNumber(value, format)}`.trim()],
    );
    return led(series.length > 1 ? name : '', numbers.join(', '));
  });
  return led(settings.title ?? title, said.join('; '));
}

/** What a picture says: its description, its caption, or at least what its slide is about; null where it was said to be decoration. */
export function describePicture(
  { alt, part }: PictureBox,
  { boxes, title }: Pick<SceneSlide, 'boxes' | 'title'>,
): string | null {
  if (alt !== null) return alt.trim() === '' ? null : alt;
  const at = boxes.findIndex((box) => box.kind === 'picture' && box.part === part);
  const below = boxes[at + 1];
  const caption =
    below?.kind === 'text' && below.free === true ? below.paras.map(({ runs }) => runsText(runs)).join(' ') : '';
  return caption === '' ? title : caption;
}

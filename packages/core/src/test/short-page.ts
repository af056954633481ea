/** Shows a page as lines, so that a golden file of it can be read: all measures in points. */
import { ptFromEmu, unreachable, type Emu } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import type { Box, Page, SetLine, SetParagraph } from '../layout/index.ts';
import type { Rect } from '../theme/index.ts';

const pt = (length: Emu | number): string => String(Math.round(ptFromEmu(length as Emu) * 10) / 10);
const at = ({ x, y, width, height }: Rect): string => `${pt(x)},${pt(y)} ${pt(width)}×${pt(height)}`;
const share = (value: number): string => value.toFixed(3);
const MOST_LINES = 3;

export const shortPage = (page: Page): readonly string[] => [
  [
    `${page.layout} ${page.index + 1} of ${page.count}: ${page.fit.state} at ${page.fit.points}`,
    ...(page.fit.linesOver === 0 ? [] : [`${page.fit.linesOver} lines over`]),
    ...(page.longTitle === true ? ['long title'] : []),
    ...(page.notes.length === 0 ? [] : [`${page.notes.length} notes`]),
    ...(page.passages.length === 0 ? [] : [`${page.passages.length} passages`]),
  ].join(', '),
  ...page.boxes.flatMap(shortBox),
];

function shortBox(box: Box): readonly string[] {
  const item = 'item' in box && box.item !== undefined ? ` of ${box.item}` : '';
  switch (box.kind) {
    case 'text':
      return [
        `  text ${box.frame.role}${item} ${at(box.frame)}${box.scale === 1 ? '' : ` scale ${share(box.scale)}`}${box.spread === 1 ? '' : ` spread ${share(box.spread)}`}${box.free === true ? ' free' : ''}`,
        ...box.paragraphs.map(shortParagraph),
      ];
    case 'picture':
      return [`  picture ${at(box.rect)} in ${at(box.frame)}, cut ${box.cut.map(share).join(' ')}`];
    case 'chart':
      return [`  chart ${box.chart.settings.kind} ${at(box.frame)}`];
    case 'shape':
      return [
        `  ${box.geometry}${item} ${at(box.rect)} ${box.fill ?? 'empty'}${box.line === null ? '' : `, line ${box.line.color} ${box.line.width}`}${box.turned === 0 ? '' : `, turned ${box.turned}`}${box.inset === 0 ? '' : `, inset ${share(box.inset)}`}${box.upsideDown ? ', upside down' : ''}${box.mirrored === true ? ', mirrored' : ''}`,
      ];
    case 'connector':
      return [
        `  line ${box.from.item} ${box.from.side} ${pt(box.from.x)},${pt(box.from.y)} → ${box.to.item} ${box.to.side} ${pt(box.to.x)},${pt(box.to.y)} ${box.color} ${box.width}${box.arrow ? ', arrow' : ''}`,
      ];
    case 'icon':
      return [`  icon ${box.icon.name}${item} ${at(box.rect)} ${box.color}`];
    case 'table':
      return [
        `  table ${at(box.frame)} at ${box.size}; columns ${box.columnWidths.map(pt).join(' ')}; rows ${box.rowHeights.map(pt).join(' ')}`,
        ...box.cells.map(
          (cell) =>
            `    ${cell.row},${cell.column}${cell.rows * cell.columns === 1 ? '' : ` ${cell.rows}×${cell.columns}`}${cell.header ? ' head' : ''} ${cell.align}${cell.pad === undefined ? '' : ` pad ${pt(cell.pad)}`} ${at(cell.rect)} "${runsText(cell.runs)}" ${shortLines(cell.lines)}`,
        ),
      ];
    default:
      return unreachable(box);
  }
}

const shortParagraph = (one: SetParagraph): string =>
  `    ${one.style}${one.level === 1 ? '' : ` ${one.level}`} ${one.size} pt${one.bulletX === null ? '' : ` bullet ${pt(one.bulletX)}`}${one.rtl === true ? ' rtl' : ''}${one.fromRight === true ? ' from right' : ''}${one.repeated === true ? ' repeated' : ''} "${beginning(runsText(one.runs))}" ${shortLines(one.lines)}`;

const beginning = (text: string): string => (text.length > 24 ? `${text.slice(0, 24)}…` : text).replace(/\n/g, ' / ');

const shortLines = (lines: readonly SetLine[]): string =>
  [
    ...lines
      .slice(0, MOST_LINES)
      .map(({ x, baseline, width, start, end }) => `${start}-${end} at ${pt(x)},${pt(baseline)} ${pt(width)}`),
    ...(lines.length > MOST_LINES ? [`${lines.length} lines`] : []),
  ].join('; ');

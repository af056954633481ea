/** Which placeholder of PresentationML a frame of ours is (ECMA-376-1 §19.3.1.36). */
import { xmlText } from '../../container/index.ts';
import type { FootRole, Frame, LayoutName, Role } from '../../theme/index.ts';

/** Type, index and size of the placeholders of our own layouts; a figure has none, its shapes stand free. */
const PLACEHOLDERS: Readonly<Record<Exclude<Role, 'figure' | 'title'>, readonly [type: string | null, index: number]>> =
  {
    subtitle: ['subTitle', 1],
    body: [null, 1],
    body2: [null, 2],
    body3: [null, 3],
    head: ['body', 15],
    head2: ['body', 16],
    quote: ['body', 17],
    big: ['body', 18],
    caption: ['body', 19],
    picture: ['pic', 13],
    picture2: ['pic', 20],
    picture3: ['pic', 21],
    picture4: ['pic', 22],
    table: ['tbl', 14],
    chart: ['chart', 23],
    date: ['dt', 10],
    footer: ['ftr', 11],
    number: ['sldNum', 12],
  };
const HALF: ReadonlySet<LayoutName> = new Set(['columns', 'columns-3', 'picture-right', 'picture-left', 'comparison']);
const QUARTER: ReadonlySet<Role> = new Set(['date', 'footer', 'number']);
/** Their body is text alone, beside a picture. */
const TEXT_BODY: ReadonlySet<LayoutName> = new Set(['picture-right', 'picture-left', 'picture-top', 'picture-bleed']);

/** Empty for a frame that is no placeholder. */
export function placeholder({ role, placeholder: own }: Frame, layout: LayoutName): string {
  if (own === null) return '';
  if (own !== undefined) return `<p:ph${attribute('type', own.type)}${attribute('idx', own.index)}/>`;
  if (role === 'figure') return '';
  if (role === 'title') return layout === 'cover' ? '<p:ph type="ctrTitle"/>' : '<p:ph type="title"/>';
  const [type, index] = PLACEHOLDERS[role];
  const kind = role === 'body' && TEXT_BODY.has(layout) ? 'body' : type;
  const size = QUARTER.has(role) ? 'quarter' : HALF.has(layout) && role.startsWith('body') ? 'half' : null;
  return `<p:ph${attribute('type', kind)}${attribute('sz', size)} idx="${index}"/>`;
}

/** Of the master, whose foot has numbers of its own; layouts are matched to it by type. */
const MASTER_FOOT: Readonly<Record<FootRole, string>> = {
  date: '<p:ph type="dt" sz="quarter" idx="2"/>',
  footer: '<p:ph type="ftr" sz="quarter" idx="3"/>',
  number: '<p:ph type="sldNum" sz="quarter" idx="4"/>',
};
export const masterFoot = (role: FootRole): string => MASTER_FOOT[role];

const attribute = (name: string, value: string | null): string =>
  value === null ? '' : ` ${name}="${xmlText(value)}"`;

/** Layout types (§19.7.15); receivers use them to match layouts of another master. */
export const LAYOUT_TYPES: Readonly<Partial<Record<LayoutName, string>>> = {
  cover: 'title',
  section: 'secHead',
  points: 'obj',
  columns: 'twoObj',
  comparison: 'twoTxTwoObj',
  'picture-right': 'picTx',
  picture: 'objOnly',
  table: 'tbl',
  chart: 'chart',
  'chart-points': 'chartAndTx',
  'gallery-4': 'fourObj',
  'title-only': 'titleOnly',
};

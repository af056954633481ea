/** Which placeholder of PresentationML a frame of ours is (ECMA-376-1 §19.3.1.36). */
import type { LayoutName, Role } from '../../theme/index.ts';

export function placeholder(role: Role, layout: LayoutName): string {
  switch (role) {
    case 'title':
      return layout === 'cover' ? '<p:ph type="ctrTitle"/>' : '<p:ph type="title"/>';
    case 'subtitle':
      return '<p:ph type="subTitle" idx="1"/>';
    case 'body':
      return layout === 'columns'
        ? '<p:ph sz="half" idx="1"/>'
        : layout === 'picture-text'
          ? '<p:ph type="body" sz="half" idx="1"/>'
          : '<p:ph idx="1"/>';
    case 'body2':
      return '<p:ph sz="half" idx="2"/>';
    case 'picture':
      return '<p:ph type="pic" idx="13"/>';
    case 'table':
      return '<p:ph type="tbl" idx="14"/>';
    case 'number':
      return '<p:ph type="sldNum" sz="quarter" idx="12"/>';
  }
}

export const FRAME_NAMES: Readonly<Record<Role, string>> = {
  title: 'Title',
  subtitle: 'Subtitle',
  body: 'Content',
  body2: 'Content right',
  picture: 'Picture',
  table: 'Table',
  number: 'Slide number',
};

/** Layout types (§19.7.15); receivers use them to match layouts of another master. */
export const LAYOUT_TYPES: Readonly<Record<LayoutName, string>> = {
  cover: 'title',
  section: 'secHead',
  points: 'obj',
  columns: 'twoObj',
  'picture-text': 'picTx',
  picture: 'objOnly',
  table: 'tbl',
  'title-only': 'titleOnly',
};

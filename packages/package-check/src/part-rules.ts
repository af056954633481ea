/** What any part says of others: references in its markup, and what its relationships lead to. */
import { XmlAttribute, XmlElement } from 'libxml2-wasm';
import type { Package } from './open-package.ts';
import { attribute, elements, NAMESPACES, repeated, values } from './xml.ts';

const PRESENTATION = 'application/vnd.openxmlformats-officedocument.presentationml.';
/** Content types that relationships must lead to (ECMA-376-1 §13.3, §14.2, §15.2). */
const LEADS_TO: Readonly<Record<string, (type: string) => boolean>> = {
  slide: (type) => type === `${PRESENTATION}slide+xml`,
  slideLayout: (type) => type === `${PRESENTATION}slideLayout+xml`,
  slideMaster: (type) => type === `${PRESENTATION}slideMaster+xml`,
  notesSlide: (type) => type === `${PRESENTATION}notesSlide+xml`,
  notesMaster: (type) => type === `${PRESENTATION}notesMaster+xml`,
  handoutMaster: (type) => type === `${PRESENTATION}handoutMaster+xml`,
  comments: (type) => /(presentationml|wordprocessingml)\.comments\+xml$/.test(type),
  commentAuthors: (type) => type === `${PRESENTATION}commentAuthors+xml`,
  presProps: (type) => type === `${PRESENTATION}presProps+xml`,
  viewProps: (type) => type === `${PRESENTATION}viewProps+xml`,
  tableStyles: (type) => type === `${PRESENTATION}tableStyles+xml`,
  tags: (type) => type === `${PRESENTATION}tags+xml`,
  theme: (type) => type === 'application/vnd.openxmlformats-officedocument.theme+xml',
  chart: (type) => type === 'application/vnd.openxmlformats-officedocument.drawingml.chart+xml',
  chartStyle: (type) => type === 'application/vnd.ms-office.chartstyle+xml',
  chartColorStyle: (type) => type === 'application/vnd.ms-office.chartcolorstyle+xml',
  font: (type) => type === 'application/x-fontdata',
  image: (type) => type.startsWith('image/'),
  customXmlProps: (type) => type === 'application/vnd.openxmlformats-officedocument.customXmlProperties+xml',
};
/** Types of the relationships that references of some elements must go by; of all others any. */
const GOES_BY: Readonly<Record<string, readonly string[]>> = {
  blip: ['image'],
  sldId: ['slide'],
  sldMasterId: ['slideMaster'],
  sldLayoutId: ['slideLayout'],
  notesMasterId: ['notesMaster'],
  handoutMasterId: ['handoutMaster'],
  chart: ['chart'],
  regular: ['font'],
  bold: ['font'],
  italic: ['font'],
  boldItalic: ['font'],
  externalData: ['package', 'oleObject'],
};

/** First bytes of pictures, by content type. */
const SIGNATURES: Readonly<Record<string, readonly number[]>> = {
  'image/png': [0x89, 0x50, 0x4e, 0x47],
  'image/jpeg': [0xff, 0xd8, 0xff],
  'image/gif': [0x47, 0x49, 0x46],
};

export function partRules(opened: Package): void {
  for (const part of opened.names) {
    checkRelationships(opened, part);
    const type = opened.typeOf(part) ?? '';
    const signature = SIGNATURES[type];
    if (signature?.some((byte, i) => opened.parts.get(part)?.[i] !== byte)) opened.fault(part, `this is no ${type}`);
    if (/[+/]xml$/.test(type)) checkReferences(opened, part);
  }
  checkCustomXml(opened);
}

function checkRelationships(opened: Package, part: string): void {
  for (const { id, type, target, external } of opened.relationships(part).values()) {
    if (external || !opened.parts.has(target)) continue;
    const found = opened.typeOf(target) ?? '';
    if (LEADS_TO[type]?.(found) === false) opened.fault(part, `${id} says ${type}, but ${target} is ${found}`);
  }
}

function checkReferences(opened: Package, part: string): void {
  const tree = opened.tree(part);
  if (tree === undefined) return;
  const relationships = opened.relationships(part);
  for (const node of tree.find('//@r:*', NAMESPACES)) {
    if (!(node instanceof XmlAttribute) || node.value === '') continue;
    const relationship = relationships.get(node.value);
    const element = node.parent;
    if (relationship === undefined) opened.fault(part, `${node.value} has no relationship`);
    else if (element instanceof XmlElement && GOES_BY[element.name]?.includes(relationship.type) === false)
      opened.fault(part, `${element.name} goes by ${relationship.id}, which says ${relationship.type}`);
  }
  for (const link of elements(tree, '//a:hlinkClick[starts-with(@action, "ppaction://hlinksldjump")]')) {
    const target = relationships.get(attribute(link, 'id', 'r') ?? '');
    if (target?.type !== 'slide') opened.fault(part, 'a link to a slide leads to none');
  }
  // BCP 47 (RFC 5646 §2.1), as far as shape goes.
  for (const language of values(tree, '//a:rPr/@lang | //a:endParaRPr/@lang | //a:defRPr/@lang | //@altLang'))
    if (!/^[a-z]{2,8}(-[a-z0-9]{1,8})*$/i.test(language)) opened.fault(part, `this is no language: ${language}`);
}

/** Data of others' (ECMA-376-1 §15.2.5, §22.5): each has an id of its own, by which it is found. */
function checkCustomXml(opened: Package): void {
  const ids = opened.names.flatMap((part) => {
    if (!opened.typeOf(part)?.endsWith('customXmlProperties+xml')) return [];
    const tree = opened.tree(part);
    const [id] = tree === undefined ? [] : values(tree, '/ds:datastoreItem/@ds:itemID');
    if (id === undefined) opened.fault(part, 'it names no item');
    return id === undefined ? [] : [id];
  });
  for (const id of repeated(ids)) opened.fault('', `two items of custom XML have the id ${id}`);
}

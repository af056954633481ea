/** The own slides of a file, drawn well enough to know them: what they have beyond their layouts. */
import { emu } from '../../base/index.ts';
import { nodeAt, readRelationships, type XmlNode, type ZipReader } from '../../container/index.ts';
import { mapped } from '../colors.ts';
import { isTitle, USUAL_INSETS } from '../placeholders.ts';
import { flagIn } from '../values.ts';
import type {
  SlideBackdrop,
  TemplateLayout,
  TemplateMaster,
  TemplateModel,
  TemplatePlaceholder,
} from '../template-model.ts';
import { drawGround, drawTree, type TreeContext } from './draw-tree.ts';
import type { WordSetting } from './words.ts';

/** All slides together have no more things than that; those after them are not drawn. */
const MOST_ITEMS = 60_000;

/** @param contextOf What the things on a part mean, by the index of its layout. @returns What draws a slide; null for one that it cannot. */
export function slideDrawer(
  zip: ZipReader,
  layouts: readonly TemplateLayout[],
  masters: readonly TemplateMaster[],
  contextOf: (part: string, layout: number) => TreeContext,
  size: TemplateModel['size'],
): (part: string, slide: XmlNode) => SlideBackdrop | null {
  let left = MOST_ITEMS;
  return (part, slide) => {
    const target = [...readRelationships(zip, part).values()].find(({ type }) => type === 'slideLayout')?.target;
    const layout = layouts.findIndex((one) => one.part === target);
    if (left <= 0 || layout < 0) return null;
    const { placeholders, master } = layouts[layout]!;
    const plain = contextOf(part, layout);
    const override = nodeAt(slide, 'p:clrMapOvr', 'a:overrideClrMapping');
    const context: TreeContext = {
      ...plain,
      ...(override === undefined ? {} : { scheme: mapped(plain.scheme, override) }),
      placeholder: (ph) => settingOf(ph, placeholders, masters[master]!),
    };
    const background = nodeAt(slide, 'p:cSld', 'p:bg');
    const ground = background === undefined ? undefined : drawGround(background, size, context);
    const own = drawTree(nodeAt(slide, 'p:cSld', 'p:spTree'), context);
    left -= own.length;
    return {
      layout,
      bare: flagIn(slide.attributes.showMasterSp) === false,
      ground: ground === undefined ? null : { color: ground.color ?? layouts[layout]!.ground, items: ground.items },
      items: own,
    };
  };
}

/** How words of a slide's placeholder are set: as its layout's is, which is that of its number, or of its type (§19.3.1.36). */
function settingOf(ph: XmlNode, all: readonly TemplatePlaceholder[], master: TemplateMaster): WordSetting {
  const { type = null, idx = null } = ph.attributes;
  const found =
    (idx === null ? undefined : all.find(({ index }) => index === idx)) ??
    all.find((one) => (isTitle(type) ? isTitle(one.type) : one.type === type));
  if (found === undefined) return {};
  const { rect, size, bold, caps, heading, paint, anchor, align } = found;
  const { lIns, tIns, rIns, bIns } = USUAL_INSETS;
  const isBody = found.type === null || found.type === 'body' || found.type === 'obj';
  return {
    box: [rect.x - lIns, rect.y - tIns, emu(rect.width + lIns + rIns), emu(rect.height + tIns + bIns)],
    size,
    bold,
    caps,
    heading,
    ink: paint,
    anchor: { top: 't', middle: 'ctr', bottom: 'b' }[anchor],
    align: { left: 'l', center: 'ctr', right: 'r' }[align],
    ...(isBody ? { levels: master.levels } : {}),
  };
}

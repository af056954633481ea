/** How a slide comes, and its points one after the other (OASIS ODF 1.3 part 3, §20 and §15). */
import type { Motion } from '../../scene/index.ts';
import { element, type Attributes } from '../odf/xml.ts';

/** Of a page's properties (§20.234 and on), by the types of SMIL 2.0 (§12.8). */
const TRANSITIONS: Readonly<Record<Motion['transition'], Attributes>> = {
  none: {},
  fade: { 'smil:type': 'fade', 'smil:subtype': 'crossfade' },
  push: { 'smil:type': 'pushWipe', 'smil:subtype': 'fromRight' },
  wipe: { 'smil:type': 'barWipe', 'smil:subtype': 'leftToRight', 'smil:direction': 'reverse' },
};
export const transition = ({ transition: kind }: Motion): Attributes =>
  kind === 'none'
    ? {}
    : {
        'presentation:transition-type': 'manual',
        'presentation:transition-speed': 'medium',
        ...TRANSITIONS[kind],
      };

/** @param steps Ids of the paragraphs that come together, in their order; nothing is written where none do. */
export function timeline(steps: readonly (readonly string[])[]): string {
  if (steps.length === 0) return '';
  const par = (attributes: Attributes, inner: string): string => element('anim:par', attributes, inner);
  const clicks = steps.map((ids) => {
    const effects = ids.map((id, i) =>
      par(
        {
          'smil:begin': '0s',
          'smil:fill': 'hold',
          'presentation:node-type': i === 0 ? 'on-click' : 'with-previous',
          'presentation:preset-class': 'entrance',
        },
        element('anim:set', {
          'smil:begin': '0s',
          'smil:dur': '0.001s',
          'smil:fill': 'hold',
          'smil:targetElement': id,
          'smil:attributeName': 'visibility',
          'smil:to': 'visible',
        }),
      ),
    );
    const hold = { 'smil:fill': 'hold' };
    return par({ 'smil:begin': 'next', ...hold }, par({ 'smil:begin': '0s', ...hold }, effects.join('')));
  });
  return par(
    { 'presentation:node-type': 'timing-root' },
    element('anim:seq', { 'presentation:node-type': 'main-sequence' }, clicks.join('')),
  );
}

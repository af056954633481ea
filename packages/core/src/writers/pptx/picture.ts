/** A picture in its frame (ECMA-376-1 §19.3.1.37): what of it is seen, and how it is toned, as properties that stay editable. */
import { pictureGround, type PictureBox, type PictureDress, type SlideColors } from '../../scene/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { presetGeometry } from './shapes.ts';
import { xfrm } from './xml.ts';

const thousandths = (share: number): number => Math.round(share * 100_000);

export function pictureXml(box: PictureBox, slide: SlideColors, named: string, ph: string, rel: string): string {
  const { cut, dress, rect } = box;
  const [left, top, right, bottom] = cut.map(thousandths) as [number, number, number, number];
  const source =
    left + top + right + bottom === 0 ? '' : `<a:srcRect l="${left}" t="${top}" r="${right}" b="${bottom}"/>`;
  const ground = pictureGround(box, slide);
  const effects = toned(dress);
  const blip = effects === '' ? `<a:blip r:embed="${rel}"/>` : `<a:blip r:embed="${rel}">${effects}</a:blip>`;
  const outline =
    dress.corners === 'round' ? presetGeometry('round', rect) : ph === '' ? presetGeometry('rect', rect) : '';
  return `<p:pic><p:nvPicPr>${named}<p:cNvPicPr><a:picLocks noGrp="1" noChangeAspect="1"/></p:cNvPicPr><p:nvPr>${ph}</p:nvPr></p:nvPicPr><p:blipFill>${blip}${source}<a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>${xfrm(rect)}${outline}${ground === undefined ? '' : solidFill(ground)}</p:spPr></p:pic>`;
}

/** Effects of a picture (§20.1.8.13). */
function toned({ filter, brightness, contrast }: PictureDress): string {
  const tone =
    filter === 'grey'
      ? '<a:grayscl/>'
      : filter === 'tint'
        ? `<a:duotone>${schemeColor('accent1')}${schemeColor('ground')}</a:duotone>`
        : '';
  const light =
    brightness === 0 && contrast === 0
      ? ''
      : `<a:lum bright="${thousandths(brightness)}" contrast="${thousandths(contrast)}"/>`;
  return tone + light;
}

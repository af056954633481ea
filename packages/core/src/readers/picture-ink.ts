/** Whether a picture without a ground of its own is drawn in dark or in light: it is lost on a ground that is the same. */
import { convertIndexedToRgb, decode } from 'fast-png';
import type { Picture, PictureMime } from '../content/index.ts';

/** More take too long to look at. */
const MOST_PIXELS = 1_500_000;
const SAMPLES = 40_000;
/** Least share of pixels through which the ground is seen. */
const THROUGH = 0.02;
/** Of the greatest: what is darker is dark ink, what is lighter is light ink. */
const [DARK, LIGHT] = [0.35, 0.8];
/** Least share of what is seen that is ink of one kind, and how many times as much as of the other. */
const [LEAST, TIMES] = [0.2, 3];

export function inkOf(bytes: Uint8Array, mime: PictureMime, width: number, height: number): Picture['ink'] {
  if (mime !== 'image/png' || width * height > MOST_PIXELS || !hasAlpha(bytes)) return undefined;
  try {
    return inkIn(decode(bytes));
  } catch {
    // Whoever draws it may be able to.
    return undefined;
  }
}

/** PNG (ISO/IEC 15948): colour types 4 and 6, or indexed colours with a chunk tRNS before the data. */
function hasAlpha(bytes: Uint8Array): boolean {
  const type = bytes[25];
  if (type === 4 || type === 6) return true;
  if (type !== 3) return false;
  const head = String.fromCharCode(...bytes.subarray(0, 4096));
  const [transparency, data] = [head.indexOf('tRNS'), head.indexOf('IDAT')];
  return transparency > 0 && (data < 0 || transparency < data);
}

function inkIn(png: ReturnType<typeof decode>): Picture['ink'] {
  const { width, height, depth, palette } = png;
  const data = palette === undefined ? png.data : convertIndexedToRgb(png);
  const channels = palette?.[0]?.length ?? png.channels;
  const most = palette === undefined && depth === 16 ? 65_535 : 255;
  const step = Math.max(1, Math.floor((width * height) / SAMPLES));
  let [count, through, dark, light] = [0, 0, 0, 0];
  for (let i = 0; i < width * height; i += step) {
    count++;
    const at = (channel: number): number => data[i * channels + channel]! / most;
    if (channels % 2 === 0 && at(channels - 1) < 0.5) {
      through++;
      continue;
    }
    const bright = channels < 3 ? at(0) : 0.299 * at(0) + 0.587 * at(1) + 0.114 * at(2);
    if (bright < DARK) dark++;
    else if (bright > LIGHT) light++;
  }
  const seen = count - through;
  if (through < count * THROUGH || seen === 0) return undefined;
  if (dark > seen * LEAST && dark > TIMES * light) return 'dark';
  return light > seen * LEAST && light > TIMES * dark ? 'light' : undefined;
}

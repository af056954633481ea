/** The demo's pictures, drawn for it: SVG source and its PNG. */
import { Resvg } from '@resvg/resvg-js';

const svg = (width: number, height: number, body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${body}</svg>`;

/** The mill from the quay at half tide. */
const MILL = svg(
  1200,
  750,
  `<rect width="1200" height="750" fill="#dfe7e6"/><rect y="430" width="1200" height="320" fill="#8fa9a6"/>
<path d="M0 430 Q300 410 600 432 T1200 425 V470 H0Z" fill="#b7c8bf"/>
<rect x="430" y="170" width="340" height="300" fill="#c9b48f"/><path d="M405 175 L600 60 L795 175Z" fill="#5c4a3d"/>
<rect x="470" y="220" width="52" height="70" fill="#40534f"/><rect x="574" y="220" width="52" height="70" fill="#40534f"/><rect x="678" y="220" width="52" height="70" fill="#40534f"/>
<rect x="470" y="340" width="52" height="70" fill="#40534f"/><rect x="678" y="340" width="52" height="70" fill="#40534f"/>
<rect x="560" y="360" width="80" height="110" fill="#33413e"/>
<circle cx="835" cy="455" r="92" fill="none" stroke="#4a3a2e" stroke-width="16"/>
${Array.from({ length: 12 }, (_, i) => `<line x1="835" y1="455" x2="${(835 + 100 * Math.cos((i * Math.PI) / 6)).toFixed(1)}" y2="${(455 + 100 * Math.sin((i * Math.PI) / 6)).toFixed(1)}" stroke="#4a3a2e" stroke-width="9"/>`).join('')}
<rect x="0" y="462" width="1200" height="26" fill="#6d746c"/><path d="M0 520 H1200 M60 570 H1100 M0 640 H900" stroke="#a9bfbb" stroke-width="5" stroke-dasharray="90 46"/>`,
);

/** Section through the wheel pit. */
const PIT = svg(
  900,
  700,
  `<rect width="900" height="700" fill="#f3efe4"/><path d="M0 230 H240 V620 H660 V230 H900 V700 H0Z" fill="#b9a88a"/>
<path d="M240 330 H660 V620 H240Z" fill="#9fc0c4"/><circle cx="450" cy="380" r="200" fill="none" stroke="#4a3a2e" stroke-width="16"/><circle cx="450" cy="380" r="26" fill="#4a3a2e"/>
${Array.from({ length: 16 }, (_, i) => {
  const a = (i * Math.PI) / 8;
  return `<line x1="${(450 + 26 * Math.cos(a)).toFixed(1)}" y1="${(380 + 26 * Math.sin(a)).toFixed(1)}" x2="${(450 + 215 * Math.cos(a)).toFixed(1)}" y2="${(380 + 215 * Math.sin(a)).toFixed(1)}" stroke="#6b5846" stroke-width="10"/>`;
}).join('')}
<rect x="222" y="150" width="18" height="240" fill="#1f5a4a"/><rect x="660" y="150" width="18" height="240" fill="#1f5a4a"/><path d="M60 290 H220" stroke="#1f5a4a" stroke-width="8"/><path d="M200 270 L226 290 L200 310Z" fill="#1f5a4a"/>`,
);

/** Head of water over one spring tide. */
const TIDE = svg(
  1100,
  520,
  `<rect width="1100" height="520" fill="#ffffff"/><path d="M70 30 V460 H1060" fill="none" stroke="#1c2622" stroke-width="4"/>
<path d="M70 250 ${Array.from({ length: 100 }, (_, i) => `L${70 + i * 9.9} ${(250 - 190 * Math.sin(i / 8)).toFixed(1)}`).join(' ')}" fill="none" stroke="#2f5d8a" stroke-width="6"/>
<path d="M70 250 ${Array.from({ length: 100 }, (_, i) => `L${70 + i * 9.9} ${(170 - 110 * Math.abs(Math.sin(i / 16))).toFixed(1)}`).join(' ')}" fill="none" stroke="#b4632b" stroke-width="6" stroke-dasharray="18 10"/>`,
);

const png = (source: string): Uint8Array => new Resvg(source, { font: { loadSystemFonts: false } }).render().asPng();

export const pictures = () => ({
  mill: { bytes: png(MILL), width: 1200, height: 750 },
  pit: { bytes: png(PIT), width: 900, height: 700 },
  tide: { bytes: png(TIDE), width: 1100, height: 520 },
});

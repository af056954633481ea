/** Outlines of the shapes that presentations use most, of those that the standard names (ECMA-376-1 §20.1.10.56), in its own formulas. */
import { getOrMake } from '../../base/index.ts';
import type { Guide, Outline, OutlinePath } from './guides.ts';

/**
 * Formulas, parted by `;`, then after `|` paths, each after another `|`: steps with their points; `A` is an arc by radii, start
 * and swing. `nofill` and `noline` before a path say how it is drawn.
 */
const DEFINITIONS: Readonly<Record<string, string>> = {
  rect: '|M l t L r t L r b L l b Z',
  roundRect:
    'adj=val 16667;a=pin 0 adj 50000;x1=*/ ss a 100000;x2=+- r 0 x1;y2=+- b 0 x1|M l x1 A x1 x1 cd2 cd4 L x2 t A x1 x1 3cd4 cd4 L r y2 A x1 x1 0 cd4 L x1 b A x1 x1 cd4 cd4 Z',
  round1Rect:
    'adj=val 16667;a=pin 0 adj 50000;dx=*/ ss a 100000;x1=+- r 0 dx|M l t L x1 t A dx dx 3cd4 cd4 L r b L l b Z',
  round2SameRect:
    'adj1=val 16667;adj2=val 0;a1=pin 0 adj1 50000;a2=pin 0 adj2 50000;tx=*/ ss a1 100000;tx2=+- r 0 tx;bx=*/ ss a2 100000;bx2=+- r 0 bx;by=+- b 0 bx|M tx t L tx2 t A tx tx 3cd4 cd4 L r by A bx bx 0 cd4 L bx b A bx bx cd4 cd4 L l tx A tx tx cd2 cd4 Z',
  round2DiagRect:
    'adj1=val 16667;adj2=val 0;a1=pin 0 adj1 50000;a2=pin 0 adj2 50000;x1=*/ ss a1 100000;y1=+- b 0 x1;a=*/ ss a2 100000;x2=+- r 0 a;y2=+- b 0 a;x3=+- r 0 x1|M x1 t L x2 t A a a 3cd4 cd4 L r y1 A x1 x1 0 cd4 L a b A a a cd4 cd4 L l x1 A x1 x1 cd2 cd4 Z',
  snip1Rect: 'adj=val 16667;a=pin 0 adj 50000;dx=*/ ss a 100000;x1=+- r 0 dx|M l t L x1 t L r dx L r b L l b Z',
  snip2SameRect:
    'adj1=val 16667;adj2=val 0;a1=pin 0 adj1 50000;a2=pin 0 adj2 50000;tx=*/ ss a1 100000;tx2=+- r 0 tx;bx=*/ ss a2 100000;bx2=+- r 0 bx;by=+- b 0 bx|M tx t L tx2 t L r tx L r by L bx2 b L bx b L l by L l tx Z',
  snip2DiagRect:
    'adj1=val 0;adj2=val 16667;a1=pin 0 adj1 50000;a2=pin 0 adj2 50000;lx=*/ ss a1 100000;lx2=+- r 0 lx;ly=+- b 0 lx;rx=*/ ss a2 100000;rx2=+- r 0 rx;ry=+- b 0 rx|M lx t L rx2 t L r rx L r ly L lx2 b L rx b L l ry L l lx Z',
  ellipse: '|M l vc A wd2 hd2 cd2 cd4 A wd2 hd2 3cd4 cd4 A wd2 hd2 0 cd4 A wd2 hd2 cd4 cd4 Z',
  triangle: 'adj=val 50000;a=pin 0 adj 100000;x=*/ w a 100000|M l b L x t L r b Z',
  rtTriangle: '|M l b L l t L r b Z',
  diamond: '|M l vc L hc t L r vc L hc b Z',
  parallelogram:
    'adj=val 25000;m=*/ 100000 w ss;a=pin 0 adj m;x1=*/ ss a 100000;x2=+- r 0 x1|M l b L x1 t L r t L x2 b Z',
  trapezoid: 'adj=val 25000;m=*/ 50000 w ss;a=pin 0 adj m;x1=*/ ss a 100000;x2=+- r 0 x1|M l b L x1 t L x2 t L r b Z',
  pentagon: 'y1=*/ h 381966 1000000;x2=*/ w 190983 1000000;x3=+- r 0 x2|M l y1 L hc t L r y1 L x3 b L x2 b Z',
  hexagon:
    'adj=val 25000;m=*/ 50000 w ss;a=pin 0 adj m;x1=*/ ss a 100000;x2=+- r 0 x1|M l vc L x1 t L x2 t L r vc L x2 b L x1 b Z',
  heptagon:
    'x1=*/ w 9903 100000;x2=*/ w 27748 100000;x3=+- r 0 x2;x4=+- r 0 x1;y1=*/ h 19806 100000;y2=*/ h 64310 100000|M l y2 L x1 y1 L hc t L x4 y1 L r y2 L x3 b L x2 b Z',
  octagon:
    'adj=val 29289;a=pin 0 adj 50000;x1=*/ ss a 100000;x2=+- r 0 x1;y2=+- b 0 x1|M l x1 L x1 t L x2 t L r x1 L r y2 L x2 b L x1 b L l y2 Z',
  homePlate:
    'adj=val 50000;m=*/ 100000 w ss;a=pin 0 adj m;d=*/ ss a 100000;x1=+- r 0 d|M l t L x1 t L r vc L x1 b L l b Z',
  chevron:
    'adj=val 50000;m=*/ 100000 w ss;a=pin 0 adj m;x1=*/ ss a 100000;x2=+- r 0 x1|M l t L x2 t L r vc L x2 b L l b L x1 vc Z',
  rightArrow:
    'adj1=val 50000;adj2=val 50000;m=*/ 100000 w ss;a1=pin 0 adj1 100000;a2=pin 0 adj2 m;d=*/ ss a2 100000;x1=+- r 0 d;dy=*/ h a1 200000;y1=+- vc 0 dy;y2=+- vc dy 0|M l y1 L x1 y1 L x1 t L r vc L x1 b L x1 y2 L l y2 Z',
  leftArrow:
    'adj1=val 50000;adj2=val 50000;m=*/ 100000 w ss;a1=pin 0 adj1 100000;a2=pin 0 adj2 m;x1=*/ ss a2 100000;dy=*/ h a1 200000;y1=+- vc 0 dy;y2=+- vc dy 0|M l vc L x1 t L x1 y1 L r y1 L r y2 L x1 y2 L x1 b Z',
  upArrow:
    'adj1=val 50000;adj2=val 50000;m=*/ 100000 h ss;a1=pin 0 adj1 100000;a2=pin 0 adj2 m;y1=*/ ss a2 100000;dx=*/ w a1 200000;x1=+- hc 0 dx;x2=+- hc dx 0|M hc t L r y1 L x2 y1 L x2 b L x1 b L x1 y1 L l y1 Z',
  downArrow:
    'adj1=val 50000;adj2=val 50000;m=*/ 100000 h ss;a1=pin 0 adj1 100000;a2=pin 0 adj2 m;d=*/ ss a2 100000;y1=+- b 0 d;dx=*/ w a1 200000;x1=+- hc 0 dx;x2=+- hc dx 0|M l y1 L x1 y1 L x1 t L x2 t L x2 y1 L r y1 L hc b Z',
  leftRightArrow:
    'adj1=val 50000;adj2=val 50000;m=*/ 50000 w ss;a1=pin 0 adj1 100000;a2=pin 0 adj2 m;x1=*/ ss a2 100000;x2=+- r 0 x1;dy=*/ h a1 200000;y1=+- vc 0 dy;y2=+- vc dy 0|M l vc L x1 t L x1 y1 L x2 y1 L x2 t L r vc L x2 b L x2 y2 L x1 y2 L x1 b Z',
  plus: 'adj=val 25000;a=pin 0 adj 50000;x1=*/ ss a 100000;x2=+- r 0 x1;y2=+- b 0 x1|M l x1 L x1 x1 L x1 t L x2 t L x2 x1 L r x1 L r y2 L x2 y2 L x2 b L x1 b L x1 y2 L l y2 Z',
  frame:
    'adj1=val 12500;a=pin 0 adj1 50000;x1=*/ ss a 100000;x4=+- r 0 x1;y4=+- b 0 x1|M l t L r t L r b L l b Z M x1 x1 L x1 y4 L x4 y4 L x4 x1 Z',
  halfFrame:
    'adj1=val 33333;adj2=val 33333;m=*/ 100000 w ss;a2=pin 0 adj2 m;x1=*/ ss a2 100000;g=*/ h x1 w;gd=+- h 0 g;m1=*/ 100000 gd ss;a1=pin 0 adj1 m1;y1=*/ ss a1 100000;dx=*/ y1 w h;x2=+- r 0 dx;dy=*/ x1 h w;y2=+- b 0 dy|M l t L r t L x2 y1 L x1 y1 L x1 y2 L l b Z',
  corner:
    'adj1=val 50000;adj2=val 50000;m1=*/ 100000 h ss;m2=*/ 100000 w ss;a1=pin 0 adj1 m1;a2=pin 0 adj2 m2;x1=*/ ss a2 100000;d=*/ ss a1 100000;y1=+- b 0 d|M l t L x1 t L x1 y1 L r y1 L r b L l b Z',
  diagStripe: 'adj=val 50000;a=pin 0 adj 100000;x2=*/ w a 100000;y2=*/ h a 100000|M l y2 L x2 t L r t L l b Z',
  donut:
    'adj=val 25000;a=pin 0 adj 50000;d=*/ ss a 100000;iw=+- wd2 0 d;ih=+- hd2 0 d|M l vc A wd2 hd2 cd2 cd4 A wd2 hd2 3cd4 cd4 A wd2 hd2 0 cd4 A wd2 hd2 cd4 cd4 Z M d vc A iw ih cd2 -5400000 A iw ih cd4 -5400000 A iw ih 0 -5400000 A iw ih 3cd4 -5400000 Z',
  pie: 'adj1=val 0;adj2=val 16200000;sa=pin 0 adj1 21599999;ea=pin 0 adj2 21599999;s1=+- ea 0 sa;s2=+- s1 21600000 0;sw=?: s1 s1 s2;wt=sin wd2 sa;ht=cos hd2 sa;dx=cat2 wd2 ht wt;dy=sat2 hd2 ht wt;x1=+- hc dx 0;y1=+- vc dy 0|M x1 y1 A wd2 hd2 sa sw L hc vc Z',
  chord:
    'adj1=val 2700000;adj2=val 16200000;sa=pin 0 adj1 21599999;ea=pin 0 adj2 21599999;s1=+- ea 0 sa;s2=+- s1 21600000 0;sw=?: s1 s1 s2;wt=sin wd2 sa;ht=cos hd2 sa;dx=cat2 wd2 ht wt;dy=sat2 hd2 ht wt;x1=+- hc dx 0;y1=+- vc dy 0|M x1 y1 A wd2 hd2 sa sw Z',
  arc: 'adj1=val 16200000;adj2=val 0;sa=pin 0 adj1 21599999;ea=pin 0 adj2 21599999;s1=+- ea 0 sa;s2=+- s1 21600000 0;sw=?: s1 s1 s2;wt=sin wd2 sa;ht=cos hd2 sa;dx=cat2 wd2 ht wt;dy=sat2 hd2 ht wt;x1=+- hc dx 0;y1=+- vc dy 0|noline M x1 y1 A wd2 hd2 sa sw L hc vc Z|nofill M x1 y1 A wd2 hd2 sa sw',
  blockArc:
    'adj1=val 10800000;adj2=val 0;adj3=val 25000;sa=pin 0 adj1 21599999;ea=pin 0 adj2 21599999;a3=pin 0 adj3 50000;s1=+- ea 0 sa;s2=+- s1 21600000 0;sw=?: s1 s1 s2;iw=+- 0 0 sw;wt=sin wd2 sa;ht=cos hd2 sa;dx=cat2 wd2 ht wt;dy=sat2 hd2 ht wt;x1=+- hc dx 0;y1=+- vc dy 0;d=*/ ss a3 100000;rw=+- wd2 0 d;rh=+- hd2 0 d;wi=sin rw ea;hi=cos rh ea;ix=cat2 rw hi wi;iy=sat2 rh hi wi;x2=+- hc ix 0;y2=+- vc iy 0|M x1 y1 A wd2 hd2 sa sw L x2 y2 A rw rh ea iw Z',
  teardrop:
    'adj=val 100000;a=pin 0 adj 200000;tw=*/ wd2 a 100000;th=*/ hd2 a 100000;x1=+- hc tw 0;y1=+- vc 0 th;x2=+/ hc x1 2;y2=+/ vc y1 2|M l vc A wd2 hd2 cd2 cd4 Q x2 t x1 y1 Q r y2 r vc A wd2 hd2 0 cd4 A wd2 hd2 cd4 cd4 Z',
  star4:
    'adj=val 12500;a=pin 0 adj 50000;iw=*/ wd2 a 50000;ih=*/ hd2 a 50000;dx=cos iw 2700000;dy=sin ih 2700000;x1=+- hc 0 dx;x2=+- hc dx 0;y1=+- vc 0 dy;y2=+- vc dy 0|M l vc L x1 y1 L hc t L x2 y1 L r vc L x2 y2 L hc b L x1 y2 Z',
  star5:
    'y1=*/ h 381966 1000000;x1=*/ w 381966 1000000;x2=+- r 0 x1;x3=*/ w 309017 1000000;x4=+- r 0 x3;y2=*/ h 618034 1000000;y3=*/ h 763932 1000000;x5=*/ w 190983 1000000;x6=+- r 0 x5|M l y1 L x1 y1 L hc t L x2 y1 L r y1 L x4 y2 L x6 b L hc y3 L x5 b L x3 y2 Z',
  wave: 'adj1=val 12500;adj2=val 0;a=pin 0 adj1 20000;y1=*/ h a 100000;d=*/ y1 10 3;y2=+- y1 0 d;y3=+- y1 d 0;y4=+- b 0 y1;y5=+- y4 0 d;y6=+- y4 d 0;x1=*/ w 1 3;x2=*/ w 2 3|M l y1 C x1 y2 x2 y3 r y1 L r y4 C x2 y6 x1 y5 l y4 Z',
  can: 'adj=val 25000;m=*/ 50000 h ss;a=pin 0 adj m;y1=*/ ss a 200000;y2=+- y1 y1 0;y3=+- b 0 y1|M l y1 A wd2 y1 cd2 -10800000 L r y3 A wd2 y1 0 cd2 Z|M l y1 A wd2 y1 cd2 21600000 Z',
  leftBracket:
    'adj=val 8333;m=*/ 50000 h ss;a=pin 0 adj m;y1=*/ ss a 100000;y2=+- b 0 y1|nofill M r b A w y1 cd4 cd4 L l y1 A w y1 cd2 cd4',
  rightBracket:
    'adj=val 8333;m=*/ 50000 h ss;a=pin 0 adj m;y1=*/ ss a 100000;y2=+- b 0 y1|nofill M l t A w y1 3cd4 cd4 L r y2 A w y1 0 cd4',
  wedgeRectCallout:
    'adj1=val -20833;adj2=val 62500;dx=*/ w adj1 100000;dy=*/ h adj2 100000;x=+- hc dx 0;y=+- vc dy 0;x1=*/ w 1 6;x2=*/ w 5 12|M l t L r t L r b L x2 b L x y L x1 b L l b Z',
  wedgeRoundRectCallout:
    'adj1=val -20833;adj2=val 62500;adj3=val 16667;dx=*/ w adj1 100000;dy=*/ h adj2 100000;x=+- hc dx 0;y=+- vc dy 0;u=*/ ss adj3 100000;u2=+- r 0 u;v2=+- b 0 u;x1=*/ w 1 6;x2=*/ w 5 12|M l u A u u cd2 cd4 L u2 t A u u 3cd4 cd4 L r v2 A u u 0 cd4 L x2 b L x y L x1 b L u b A u u cd4 cd4 Z',
  line: '|nofill M l t L r b',
  bentConnector2: '|nofill M l t L r t L r b',
  bentConnector3: 'adj1=val 50000;x1=*/ w adj1 100000|nofill M l t L x1 t L x1 b L r b',
  curvedConnector3:
    'adj1=val 50000;x2=*/ w adj1 100000;x1=+/ l x2 2;x3=+/ r x2 2;y3=*/ h 3 4|nofill M l t C x1 t x2 hd4 x2 vc C x2 y3 x3 b r b',
  flowChartTerminator:
    'x1=*/ w 3475 21600;x2=*/ w 18125 21600|M x1 t L x2 t A x1 hd2 3cd4 cd2 L x1 b A x1 hd2 cd4 cd2 Z',
  flowChartDocument:
    'y1=*/ h 17322 21600;y2=*/ h 20172 21600;y3=*/ h 23922 21600|M l t L r t L r y1 C hc y1 hc y3 l y2 Z',
  flowChartManualInput: 'y1=*/ h 1 5|M l y1 L r t L r b L l b Z',
  flowChartPreparation: 'x1=*/ w 1 5;x2=*/ w 4 5|M l vc L x1 t L x2 t L r vc L x2 b L x1 b Z',
  flowChartOffpageConnector: 'y1=*/ h 4 5|M l t L r t L r y1 L hc b L l y1 Z',
  flowChartManualOperation: 'x1=*/ w 1 5;x2=*/ w 4 5|M l t L r t L x2 b L x1 b Z',
  flowChartExtract: '|M l b L hc t L r b Z',
  flowChartMerge: '|M l t L r t L hc b Z',
  flowChartDelay: '|M l t L hc t A wd2 hd2 3cd4 cd2 L l b Z',
};
/** The same outline by other names. */
const SAME: Readonly<Record<string, string>> = {
  straightConnector1: 'line',
  flowChartProcess: 'rect',
  flowChartAlternateProcess: 'roundRect',
  flowChartDecision: 'diamond',
  flowChartConnector: 'ellipse',
  flowChartInputOutput: 'parallelogram',
  mathPlus: 'plus',
  foldedCorner: 'rect',
  bevel: 'rect',
  plaque: 'rect',
  snipRoundRect: 'snip1Rect',
  wedgeEllipseCallout: 'ellipse',
  doubleWave: 'wave',
  bentConnector4: 'bentConnector3',
  curvedConnector2: 'bentConnector2',
};

const known = new Map<string, Outline>();

/** @returns undefined for a shape that is not among them. */
export function presetOutline(name: string): Outline | undefined {
  const definition = DEFINITIONS[SAME[name] ?? name];
  return definition === undefined ? undefined : getOrMake(known, name, () => outlineOf(definition));
}

function outlineOf(definition: string): Outline {
  const [formulas = '', ...paths] = definition.split('|');
  const guides = formulas === '' ? [] : formulas.split(';').map((one) => one.split('=') as unknown as Guide);
  return {
    adjustments: guides.filter(([name]) => name.startsWith('adj')),
    guides: guides.filter(([name]) => !name.startsWith('adj')),
    paths: paths.map((path): OutlinePath => ({
      filled: !path.startsWith('nofill'),
      stroked: !path.startsWith('noline'),
      steps: [...path.matchAll(/([MLCQAZ])((?: [a-z0-9-][\w-]*)*)/g)].map(([, step, values]) => [
        step as 'M',
        ...values!.trim().split(' ').filter(Boolean),
      ]),
    })),
  };
}

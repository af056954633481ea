/** How a slide comes, and its points one after the other (ECMA-376-1 §19.5): transitions and a timeline of appearances. */
import { stepsOf, type Box, type Motion, type SceneSlide } from '../../scene/index.ts';

const TRANSITIONS: Readonly<Record<Motion['transition'], string>> = {
  none: '',
  fade: '<p:transition><p:fade/></p:transition>',
  push: '<p:transition><p:push dir="l"/></p:transition>',
  wipe: '<p:transition><p:wipe dir="l"/></p:transition>',
};

interface Appearance {
  readonly shape: number;
  readonly paragraph: number;
}

/** @param shapes Numbers of the shapes in which boxes stand. */
export function motionXml({ boxes, motion }: SceneSlide, shapes: ReadonlyMap<Box, number>): string {
  return TRANSITIONS[motion.transition] + (motion.points ? timing(boxes, shapes) : '');
}

function timing(boxes: readonly Box[], shapes: ReadonlyMap<Box, number>): string {
  const of = stepsOf(boxes);
  const steps: Appearance[][] = [];
  for (const box of boxes) {
    const shape = shapes.get(box);
    if (box.kind !== 'text' || shape === undefined) continue;
    box.paras.forEach(({ part }, paragraph) => {
      const step = part === null ? undefined : of.get(part);
      if (step !== undefined) (steps[step - 1] ??= []).push({ shape, paragraph });
    });
  }
  const shown = steps.filter((one) => one !== undefined);
  if (shown.length === 0) return '';
  let id = 3;
  const next = (): number => id++;
  const clicks = shown.map((step) => clickXml(step, next)).join('');
  const built = [...new Set(shown.flat().map(({ shape }) => shape))]
    .map((shape) => `<p:bldP spid="${shape}" grpId="0" build="p"/>`)
    .join('');
  return `<p:timing><p:tnLst><p:par><p:cTn id="1" dur="indefinite" restart="never" nodeType="tmRoot"><p:childTnLst><p:seq concurrent="1" nextAc="seek"><p:cTn id="2" dur="indefinite" nodeType="mainSeq"><p:childTnLst>${clicks}</p:childTnLst></p:cTn><p:prevCondLst>${onMove('onPrev')}</p:prevCondLst><p:nextCondLst>${onMove('onNext')}</p:nextCondLst></p:seq></p:childTnLst></p:cTn></p:par></p:tnLst><p:bldLst>${built}</p:bldLst></p:timing>`;
}

const onMove = (event: string): string => `<p:cond evt="${event}" delay="0"><p:tgtEl><p:sldTgt/></p:tgtEl></p:cond>`;
const begins = (delay: string): string => `<p:stCondLst><p:cond delay="${delay}"/></p:stCondLst>`;

/** What appears together, at one click. */
function clickXml(step: readonly Appearance[], next: () => number): string {
  const [outer, inner] = [next(), next()];
  const effects = step.map(({ shape, paragraph }, i) => {
    const [effect, set] = [next(), next()];
    return `<p:par><p:cTn id="${effect}" presetID="1" presetClass="entr" presetSubtype="0" fill="hold" grpId="0" nodeType="${i === 0 ? 'clickEffect' : 'withEffect'}">${begins('0')}<p:childTnLst><p:set><p:cBhvr><p:cTn id="${set}" dur="1" fill="hold">${begins('0')}</p:cTn><p:tgtEl><p:spTgt spid="${shape}"><p:txEl><p:pRg st="${paragraph}" end="${paragraph}"/></p:txEl></p:spTgt></p:tgtEl><p:attrNameLst><p:attrName>style.visibility</p:attrName></p:attrNameLst></p:cBhvr><p:to><p:strVal val="visible"/></p:to></p:set></p:childTnLst></p:cTn></p:par>`;
  });
  return `<p:par><p:cTn id="${outer}" fill="hold">${begins('indefinite')}<p:childTnLst><p:par><p:cTn id="${inner}" fill="hold">${begins('0')}<p:childTnLst>${effects.join('')}</p:childTnLst></p:cTn></p:par></p:childTnLst></p:cTn></p:par>`;
}

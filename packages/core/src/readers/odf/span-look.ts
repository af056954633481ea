/** How text looks that stands in spans: what each says goes over what stands around it. */
import type { Run } from '../../content/index.ts';
import type { ByScript } from '../spoken.ts';
import type { Style } from './styles.ts';

export interface SpanLook {
  /** What of it is told apart from its paragraph. */
  readonly run: Omit<Run, 'text'>;
  readonly size: number /* points; 0 where nothing is said */;
  readonly bold: boolean;
  readonly caps: boolean;
  readonly mono: boolean;
  readonly language: ByScript;
}

/** @param usual Languages of the document. @returns undefined for text that is hidden. */
export function lookOf(
  style: Style,
  spans: readonly Style[],
  link: string | undefined,
  usual: ByScript | undefined,
): SpanLook | undefined {
  let bold = style.bold ?? false;
  let size = style.size ?? 0;
  let mono = style.mono ?? false;
  let [caps, italic, strike] = [style.caps, false, false];
  let position: Run['position'];
  let language: ByScript = { ...usual, ...style.language };
  for (const span of spans) {
    if (span.hidden) return undefined;
    bold = span.bold ?? bold;
    size = span.size ?? size;
    mono = span.mono ?? mono;
    italic = span.italic ?? italic;
    caps ||= span.caps;
    strike ||= span.strike;
    position = span.position ?? position;
    if (span.language !== undefined) language = { ...language, ...span.language };
  }
  const run: Omit<Run, 'text'> = {
    ...(bold && !style.bold ? { bold: true } : {}),
    ...(italic ? { italic: true } : {}),
    ...(strike ? { strike: true } : {}),
    ...(mono && !style.mono ? { code: true } : {}),
    ...(position === undefined ? {} : { position }),
    ...(link === undefined ? {} : { link }),
  };
  return { run, size, bold, caps, mono, language };
}

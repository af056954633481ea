/** What a run looks like, gathered from its properties (ECMA-376-1 §17.3.2). */
import type { Run } from '../../content/index.ts';
import type { Attributes } from '../../container/index.ts';
import type { ByScript } from '../spoken.ts';
import { isMono } from '../mono-font.ts';
import { isOn, languageBy, type Styles } from './styles.ts';

export interface RunLook {
  look: Omit<Run, 'text'>;
  /** undefined where only the style says. */
  hidden: boolean | undefined;
  size: number /* points; 0 where only the style says */;
  bold: boolean | undefined;
  caps: boolean;
  mono: boolean;
  /** undefined where only the style says. */
  language: ByScript | undefined;
}

const NO_LOOK: Omit<Run, 'text'> = {};

export const plainRun = (): RunLook => ({
  look: NO_LOOK,
  hidden: undefined,
  size: 0,
  bold: undefined,
  caps: false,
  mono: false,
  language: undefined,
});

/** @returns Whether `name` is a property that was taken. */
export function applyRunProperty(run: RunLook, name: string, a: Attributes, styles: Styles): boolean {
  switch (name) {
    case 'w:rStyle': {
      const style = styles.get(a['w:val']);
      if (style.bold) setBold(run, true);
      if (style.italic) run.look = { ...run.look, italic: true };
      if (style.strike) run.look = { ...run.look, strike: true };
      if (style.hidden) run.hidden = true;
      if (style.position) run.look = { ...run.look, position: style.position };
      run.language ??= style.language;
      if (style.mono || style.use === 'code') run.mono = true;
      return true;
    }
    case 'w:b':
      setBold(run, isOn(a));
      return true;
    case 'w:i':
      run.look = isOn(a) ? { ...run.look, italic: true } : without(run.look, 'italic');
      return true;
    case 'w:strike':
      run.look = isOn(a) ? { ...run.look, strike: true } : without(run.look, 'strike');
      return true;
    case 'w:dstrike':
      if (isOn(a)) run.look = { ...run.look, strike: true };
      return true;
    case 'w:vertAlign':
      run.look = without(run.look, 'position');
      if (a['w:val'] === 'superscript') run.look = { ...run.look, position: 'super' };
      if (a['w:val'] === 'subscript') run.look = { ...run.look, position: 'sub' };
      return true;
    case 'w:vanish':
      run.hidden = isOn(a);
      return true;
    case 'w:sz':
      run.size = Number(a['w:val']) / 2;
      return true;
    case 'w:caps':
      run.caps = isOn(a);
      return true;
    case 'w:lang':
      run.language = { ...run.language, ...languageBy(a) };
      return true;
    case 'w:rFonts':
      run.mono = isMono(a['w:ascii']);
      return true;
    default:
      return false;
  }
}

function setBold(run: RunLook, on: boolean): void {
  run.bold = on;
  run.look = on ? { ...run.look, bold: true } : without(run.look, 'bold');
}

function without(look: Omit<Run, 'text'>, key: keyof Run): Omit<Run, 'text'> {
  return Object.fromEntries(Object.entries(look).filter(([name]) => name !== key));
}

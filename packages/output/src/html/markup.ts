/** Elements as text: names of ours, values of anybody's. */

const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Characters that no HTML may hold are left out. */
export const text = (value: string): string =>
  value.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '').replace(/[&<>"]/g, (sign) => SIGNS[sign]!);

type Attributes = Readonly<Record<string, string | number | null | undefined | false>>;

/** @param content Markup. Attributes that are null, undefined or false are not there. */
export function element(name: string, attributes: Attributes = {}, ...content: readonly string[]): string {
  let tag = `<${name}`;
  for (const [key, value] of Object.entries(attributes))
    if (value !== null && value !== undefined && value !== false)
      tag += ` ${key}="${typeof value === 'number' ? short(value) : text(value)}"`;
  return `${tag}>${content.join('')}</${name}>`;
}

/** Hundredths of a point are seen by nobody. */
export const short = (value: number): string => String(Math.round(value * 100) / 100);

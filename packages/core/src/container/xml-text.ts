/** Escapes text for XML 1.0. */

// XML 1.0 §2.2: characters that no document may hold, not even escaped; lone surrogates among them.
const FORBIDDEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const SPECIAL = /[&<>"\u0000-\u0008\u000b\u000c\u000e-\u001f\ud800-\udfff\ufffe\uffff]/;

/** Makes `text` safe inside an element or a double-quoted attribute; forbidden characters are dropped. */
export function xmlText(text: string): string {
  if (!SPECIAL.test(text)) return text;
  return text
    .replace(FORBIDDEN, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}

/** Takes out what XML forbids, and the object replacement character, which stands for nothing that we keep. */
export const dropForbidden = (text: string): string => text.replace(FORBIDDEN, '');

/** Holds a part to a compiled schema, and tells what is wrong by its line. */
import { XmlValidateError, type XmlDocument } from 'libxml2-wasm';
import { createHash } from 'node:crypto';
import { parseXml } from './xml.ts';

interface Opened {
  readonly parts: ReadonlyMap<string, Uint8Array>;
  fault(part: string, message: string): void;
}

/** Faults of one part that are told. */
const MOST = 5;
/** Digests of parts that have no fault: masters, layouts and themes come again in one file after another, and take long. */
const sound = new Set<string>();
const MOST_SOUND = 10_000;

/** @param prepare Changes a copy of the part before it is held to the schema. */
export function holdToSchema(
  opened: Opened,
  part: string,
  validator: { validate(tree: XmlDocument): void },
  prepare: (tree: XmlDocument) => void,
): void {
  const bytes = opened.parts.get(part)!;
  const digest = createHash('sha256').update(bytes).digest('base64');
  if (sound.has(digest)) return;
  const tree = parseXml(bytes);
  try {
    prepare(tree);
    validator.validate(tree);
    if (sound.size >= MOST_SOUND) sound.clear();
    sound.add(digest);
  } catch (error) {
    if (!(error instanceof XmlValidateError)) throw error;
    const told = error.details.map(({ message, line }) => `line ${line}: ${message.trim()}`);
    for (const message of [...new Set(told)].slice(0, MOST)) opened.fault(part, message);
  } finally {
    tree.dispose();
  }
}

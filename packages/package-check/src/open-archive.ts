/** Opens an archive: its entries, and its XML parts as trees, read once. */
import { Uint8ArrayReader, Uint8ArrayWriter, ZipReader } from '@zip.js/zip.js';
import type { XmlDocument } from 'libxml2-wasm';
import type { Fault } from './fault.ts';
import { parseXml, repeated } from './xml.ts';

export class Archive {
  readonly parts = new Map<string, Uint8Array>();
  readonly faults: Fault[] = [];
  /** Whether not even its list of entries could be read. */
  broken = false;
  readonly #trees = new Map<string, XmlDocument | undefined>();

  /** Reads all entries; that it cannot be read, or that entries cannot be, are faults. */
  static async open(bytes: Uint8Array): Promise<Archive> {
    const archive = new Archive();
    try {
      await archive.#unpack(bytes);
    } catch (error) {
      archive.broken = true;
      archive.fault('', `the archive cannot be read: ${messageOf(error)}`);
    }
    return archive;
  }

  fault(part: string, message: string): void {
    this.faults.push({ part, message });
  }

  /** A part as a tree; undefined, and told once, where it is not there or not well-formed. */
  tree(part: string): XmlDocument | undefined {
    if (this.#trees.has(part)) return this.#trees.get(part);
    let tree: XmlDocument | undefined;
    try {
      const bytes = this.parts.get(part);
      tree = bytes === undefined ? undefined : parseXml(bytes);
    } catch (error) {
      this.fault(part, `it is not well-formed: ${messageOf(error)}`);
    }
    this.#trees.set(part, tree);
    return tree;
  }

  dispose(): void {
    for (const tree of this.#trees.values()) tree?.dispose();
    this.#trees.clear();
  }

  async #unpack(bytes: Uint8Array): Promise<void> {
    const reader = new ZipReader(new Uint8ArrayReader(bytes), { checkSignature: true, useWebWorkers: false });
    const names: string[] = [];
    for (const entry of await reader.getEntries()) {
      if (entry.directory) continue;
      names.push(entry.filename);
      try {
        this.parts.set(entry.filename, await entry.getData(new Uint8ArrayWriter()));
      } catch (error) {
        this.fault(entry.filename, `it cannot be unpacked: ${messageOf(error)}`);
      }
    }
    // Names are equal whatever their case (ECMA-376-2 §9.1.1).
    for (const name of repeated(names.map((one) => one.toLowerCase())))
      this.fault(name, 'it stands twice in the archive');
    for (const name of names)
      if (/\\|\/\/|(^|\/)\.\.?(\/|$)|^\//.test(name)) this.fault(name, 'this is no name of a part');
    await reader.close();
  }
}

const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error)).trim();

/** An archive as a package, held to the rules that all packages share (ECMA-376-2, Open Packaging Conventions). */
import type { XmlDocument } from 'libxml2-wasm';
import { posix } from 'node:path';
import type { Fault } from './fault.ts';
import { Archive } from './open-archive.ts';
import { attribute, elements } from './xml.ts';

export interface Relationship {
  readonly id: string;
  /** The last segment of the relationship's type. */
  readonly type: string;
  /** Name of a part, or an address when `external`. */
  readonly target: string;
  readonly external: boolean;
}
export type Relationships = ReadonlyMap<string, Relationship>;

const CONTENT_TYPES = '[Content_Types].xml';

const relationshipsName = (part: string): string =>
  posix.join(posix.dirname(part), '_rels', `${posix.basename(part)}.rels`);

export class Package {
  readonly #relationships = new Map<string, Relationships>();
  readonly #types = new Map<string, string>();
  readonly #endings = new Map<string, string>();
  readonly #archive: Archive;

  /** Finds what is wrong with the package as such. */
  constructor(archive: Archive) {
    this.#archive = archive;
    if (archive.broken) return;
    this.#readTypes();
    this.#checkReach();
  }

  static async open(bytes: Uint8Array): Promise<Package> {
    return new Package(await Archive.open(bytes));
  }

  get parts(): ReadonlyMap<string, Uint8Array> {
    return this.#archive.parts;
  }

  get faults(): readonly Fault[] {
    return this.#archive.faults;
  }

  fault(part: string, message: string): void {
    this.#archive.fault(part, message);
  }

  tree(part: string): XmlDocument | undefined {
    return this.#archive.tree(part);
  }

  dispose(): void {
    this.#archive.dispose();
  }

  /** Names of all parts but the relationships' own. */
  get names(): readonly string[] {
    return [...this.parts.keys()].filter((name) => name !== CONTENT_TYPES && !name.endsWith('.rels'));
  }

  typeOf(part: string): string | undefined {
    return (
      this.#types.get(part.toLowerCase()) ?? this.#endings.get(part.slice(part.lastIndexOf('.') + 1).toLowerCase())
    );
  }

  /** Of a part, or of the package for the empty name. */
  relationships(part: string): Relationships {
    let known = this.#relationships.get(part);
    if (known === undefined) this.#relationships.set(part, (known = this.#readRelationships(part)));
    return known;
  }

  /** Parts that relationships of a type lead to. */
  related(part: string, type: string): readonly string[] {
    return [...this.relationships(part).values()].flatMap((one) =>
      one.type === type && !one.external ? [one.target] : [],
    );
  }

  #readTypes(): void {
    const tree = this.tree(CONTENT_TYPES);
    if (tree === undefined) {
      this.fault(CONTENT_TYPES, 'a package needs it');
      return;
    }
    for (const one of elements(tree, '/ct:Types/ct:Default')) {
      const ending = attribute(one, 'Extension')?.toLowerCase() ?? '';
      if (this.#endings.has(ending)) this.fault(CONTENT_TYPES, `the ending ${ending} stands twice`);
      this.#endings.set(ending, attribute(one, 'ContentType') ?? '');
    }
    const there = new Set([...this.parts.keys()].map((name) => name.toLowerCase()));
    for (const one of elements(tree, '/ct:Types/ct:Override')) {
      const name = (attribute(one, 'PartName') ?? '').replace(/^\//, '').toLowerCase();
      if (this.#types.has(name)) this.fault(CONTENT_TYPES, `${name} stands twice`);
      if (!there.has(name)) this.fault(CONTENT_TYPES, `it names a part that is not there: ${name}`);
      this.#types.set(name, attribute(one, 'ContentType') ?? '');
    }
    for (const name of this.parts.keys())
      if (name !== CONTENT_TYPES && this.typeOf(name) === undefined) this.fault(name, 'it has no content type');
  }

  #readRelationships(part: string): Relationships {
    const name = part === '' ? '_rels/.rels' : relationshipsName(part);
    const found = new Map<string, Relationship>();
    if (!this.parts.has(name)) return found;
    const tree = this.tree(name);
    if (tree === undefined) return found;
    for (const one of elements(tree, '/rel:Relationships/rel:Relationship')) {
      const id = attribute(one, 'Id') ?? '';
      if (found.has(id)) this.fault(name, `${id} stands twice`);
      const external = attribute(one, 'TargetMode') === 'External';
      const raw = attribute(one, 'Target') ?? '';
      const target = external ? raw : partName(part, raw);
      if (!external && !this.parts.has(target)) this.fault(name, `${id} leads to a part that is not there: ${target}`);
      found.set(id, { id, type: (attribute(one, 'Type') ?? '').split('/').at(-1)!, target, external });
    }
    return found;
  }

  /** Every part is led to, and no relationships are of a part that is not there. */
  #checkReach(): void {
    if (!this.parts.has('_rels/.rels')) this.fault('_rels/.rels', 'a package needs it');
    const reached = new Set<string>();
    const open = [''];
    while (open.length > 0)
      for (const { target, external } of this.relationships(open.pop()!).values()) {
        if (external || reached.has(target) || !this.parts.has(target)) continue;
        reached.add(target);
        open.push(target);
      }
    for (const name of this.names) if (!reached.has(name)) this.fault(name, 'no relationship leads to it');
    const sources = new Set([...this.names, ''].map((name) => (name === '' ? '_rels/.rels' : relationshipsName(name))));
    for (const name of this.parts.keys())
      if (name.endsWith('.rels') && !sources.has(name)) this.fault(name, 'the part that it belongs to is not there');
  }
}

/** A target as the name of a part; what stands behind `#` is within it. */
const partName = (source: string, target: string): string => {
  const path = decodeURI(target.split('#', 1)[0]!);
  return path.startsWith('/') ? path.slice(1) : posix.normalize(posix.join(posix.dirname(source), path));
};

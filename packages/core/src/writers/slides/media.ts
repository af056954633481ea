/** The pictures of a package, each once. */
import type { Part } from '../../container/index.ts';
import type { PictureId, PictureMime } from '../../content/index.ts';
import type { PictureSource } from '../../scene/index.ts';

const ENDINGS: Readonly<Record<PictureMime, string>> = { 'image/png': 'png', 'image/jpeg': 'jpeg', 'image/gif': 'gif' };

export class Media {
  readonly parts: Part[] = [];
  readonly #names = new Map<PictureId, string>();
  readonly #endings = new Set<string>();
  readonly #source: PictureSource;
  readonly #path: string;

  constructor(source: PictureSource, path: string) {
    this.#source = source;
    this.#path = path;
  }

  get endings(): readonly string[] {
    return [...this.#endings].sort();
  }

  /** The name of its part in the package; undefined when its bytes are not at hand. */
  take(id: PictureId): string | undefined {
    const known = this.#names.get(id);
    if (known !== undefined) return known;
    const picture = this.#source(id);
    if (picture === undefined) return undefined;
    const ending = ENDINGS[picture.mime];
    const name = `${this.#path}image${this.#names.size + 1}.${ending}`;
    this.#names.set(id, name);
    this.#endings.add(ending);
    this.parts.push({ name, content: picture.bytes, stored: true });
    return name;
  }
}

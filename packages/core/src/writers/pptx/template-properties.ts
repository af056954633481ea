/** What a template's file says of itself. */
import {
  readRelationships,
  readXmlTree,
  withContent,
  writeXmlTree,
  type XmlNode,
  type ZipReader,
} from '../../container/index.ts';
import type { Scene } from '../../scene/index.ts';
import { appProperties, describedBy } from './properties.ts';
import { coreProperties } from '../opc/package.ts';

/** What the file says of itself, in the place of what the template said of itself; a file that says nothing is left so. */
export function propertiesOf(source: ZipReader, scene: Scene): readonly (readonly [part: string, xml: string])[] {
  const writes = {
    'core-properties': () => coreProperties(describedBy(scene)),
    'extended-properties': () => appProperties(scene),
  } as const;
  return [...readRelationships(source, '').values()].flatMap(({ type, target }) =>
    (type === 'core-properties' || type === 'extended-properties') && source.has(target)
      ? [[target, writes[type]()] as const]
      : [],
  );
}

/** What a file says of its slides: their number, and no longer their titles and words, which whoever edits it counts again. */
export function countedAgain(source: ZipReader, slides: number): readonly (readonly [part: string, xml: string])[] {
  return [...readRelationships(source, '').values()].flatMap(({ type, target }) => {
    if (type !== 'extended-properties' || !source.has(target)) return [];
    const root = readXmlTree(source, target);
    const content = root.content.flatMap((one) => {
      const name = 'children' in one ? localName(one) : '';
      if (COUNTED.has(name)) return [];
      return 'children' in one && name === 'Slides' ? [withContent(one, [{ text: `${slides}` }])] : [one];
    });
    return [[target, writeXmlTree(withContent(root, content))] as const];
  });
}
const COUNTED = new Set(['HeadingPairs', 'TitlesOfParts', 'Words', 'Paragraphs', 'Notes', 'HiddenSlides', 'TotalTime']);
const localName = ({ written }: XmlNode): string => written.name.slice(written.name.indexOf(':') + 1);

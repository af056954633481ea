/** What a package of Office Open XML says of itself (ECMA-376-2 §11). */
import { readRelationships, readXmlPart, relatedPart, type ZipReader } from '../container/index.ts';
import { PROPERTY_NAMES, propertyHandler, type FileProperties, type GatheredProperties } from './file-properties.ts';

export function packageProperties(zip: ZipReader): FileProperties {
  const part = relatedPart(zip, readRelationships(zip, ''), 'core-properties');
  const found: GatheredProperties = {};
  if (part !== undefined) readXmlPart(zip, part, propertyHandler(found, { ...PROPERTY_NAMES, 'dc:creator': 'author' }));
  return found;
}

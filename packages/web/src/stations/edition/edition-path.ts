/** The address of a review, so that it is there again after a reload. */
import type { EditionEdit } from '@alvex/core';

export type Candidate = Omit<EditionEdit, 'kind' | 'ids'>;

export const editionPath = ({ original, type, fileName }: Candidate): string =>
  `../edition?${new URLSearchParams({ original, type, fileName })}`;

export function candidateIn(search: URLSearchParams): Candidate | null {
  const [original, type, fileName] = [search.get('original'), search.get('type'), search.get('fileName')];
  return original === null || type === null || fileName === null ? null : { original, type, fileName };
}

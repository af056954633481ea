/** Takes an organisation's presentation file as the deck's template. */
import { useState } from 'react';
import type { TemplateUse } from '@alvex/core';
import type { Removed } from '@alvex/contract';
import { ApiError, sendTemplate } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { count, listed } from '../../ui/format.ts';
import { t } from '../../words/words.ts';

export const TEMPLATE_FILES = '.pptx,.potx,.pptm,.potm';

/** @param document Whose slides in the file go, and yours stand where they stood; null for none. */
export function replacing({ behind: _, replaces: __, ...use }: TemplateUse, document: string | null): TemplateUse {
  return document === null ? use : { ...use, keep: 'before', replaces: document };
}

export interface TemplateFile {
  readonly take: (file: File) => Promise<void>;
  readonly busy: boolean;
  /** Why the last file cannot be used. */
  readonly failure: string | null;
  /** What was taken out of the last file, as a sentence. */
  readonly removed: string | null;
}

export function useTemplateFile(): TemplateFile {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const origin = useDeck((state) => state.deck?.fileName);
  const [failure, setFailure] = useState<string | null>(null);
  const [removed, setRemoved] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (file: File) => {
    setBusy(true);
    setFailure(null);
    setRemoved(null);
    try {
      const { hash, fileName, removed: out, made } = await sendTemplate(deck, file, file.name);
      setRemoved(removedText(out));
      // What an earlier run made of this document is replaced where it stands, and its neighbours stay.
      const before = made.find(({ document }) => document === origin);
      const use = replacing({ hash, fileName, layouts: {}, keep: 'none' }, before?.document ?? null);
      edit({ kind: 'template', template: use });
    } catch (error) {
      setFailure(error instanceof ApiError ? error.message : String(error));
    }
    setBusy(false);
  };
  return { take, busy, failure, removed };
}

/** What was taken out of the file before it was kept; null where nothing was. */
function removedText({ macros, objects, links }: Removed): string | null {
  const parts = [
    ...(macros ? [t('its macros')] : []),
    ...(objects > 0 ? [count(objects, 'embedded object')] : []),
    ...(links > 0 ? [t('{n} links to the outside', { count: links })] : []),
  ];
  if (parts.length === 0) return null;
  return t('Taken out of the template: {list}. Nothing in the presentation will run or lead outside by itself.', {
    list: listed(parts),
  });
}

/** What stands above the text: searching it, its file, where separators begin slides, its next edition. */
import { Box, chakra } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { useMemo } from 'react';
import type { Block } from '@alvex/core';
import { originalUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit, useLog } from '../../state/log-store.ts';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { NewEdition } from '../edition/new-edition.tsx';
import { FindBar } from './find-bar.tsx';

/** @param panel Whether the structure is shown where there is no room for it beside the text. */
export function DocumentBar({
  blocks,
  showFound,
  panel,
  togglePanel,
}: {
  readonly blocks: readonly Block[];
  readonly showFound: (ids: ReadonlySet<string>, at: string | null) => void;
  readonly panel: boolean;
  readonly togglePanel: () => void;
}) {
  const deck = useDeck((state) => state.deck);
  const edition = useLog((state) => state.edition);
  const toRepair = useDeck((state) => (state.structure?.groups.length ?? 0) + (state.structure?.findings.length ?? 0));
  if (deck === null) return null;
  return (
    <Box
      px="20px"
      py="8px"
      borderBottom="1px solid"
      borderColor="line"
      display="flex"
      gap="12px"
      rowGap="6px"
      alignItems="center"
      flexWrap="wrap"
    >
      <FindBar blocks={blocks} show={showFound} />
      <Small overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" minW="0">
        {t('{fileName}, kept byte for byte', { fileName: edition?.fileName ?? deck.fileName })}
      </Small>
      <Separators blocks={blocks} />
      <Box ml="auto" display="flex" flexWrap="wrap" gap="6px">
        <Action
          size="small"
          aria-expanded={panel}
          onClick={togglePanel}
          css={{ '@media (min-width: 1101px)': { display: 'none' } }}
        >
          {t('Structure{things}', { things: toRepair > 0 ? ` (${toRepair})` : '' })}
        </Action>
        <NewEdition />
        {/* A link, so that the browser saves it as any other file. */}
        <a href={originalUrl(deck.id, edition?.original)} download style={{ textDecoration: 'none' }}>
          <Action as="span" size="small">
            <Download size={13} /> {t('Original')}
          </Action>
        </a>
      </Box>
    </Box>
  );
}

/** Whether separators of the document begin slides. */
function Separators({ blocks }: { readonly blocks: readonly Block[] }) {
  const breaks = useDeck((state) => state.view?.breaks ?? false);
  const count = useMemo(() => blocks.filter((block) => block.kind === 'break').length, [blocks]);
  if (count === 0) return null;
  return (
    <chakra.label fontSize="sm" color="soft" display="inline-flex" gap="6px" alignItems="center" whiteSpace="nowrap">
      <input
        type="checkbox"
        checked={breaks}
        onChange={(event) => edit({ kind: 'breaks', start: event.target.checked })}
      />
      {t('{n} separators start a slide', { count })}
    </chakra.label>
  );
}

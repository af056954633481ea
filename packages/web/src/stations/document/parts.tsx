/** The files that a document was made of; their order can be changed. */
import { Box, chakra } from '@chakra-ui/react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo } from 'react';
import { groupBy, type Block, type BlockId } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { Action, Heading } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

export function Parts({ blocks, go }: { readonly blocks: readonly Block[]; readonly go: (block: BlockId) => void }) {
  const parts = useMemo(() => {
    const filed = blocks.filter(({ place }) => place.file !== undefined);
    return [...groupBy(filed, ({ place }) => place.file!)].map(
      ([name, own]) => [name, own.map(({ id }) => id)] as const,
    );
  }, [blocks]);
  if (parts.length < 2) return null;
  /** Puts a part before another; the end is behind the last. */
  const move = (i: number, before: number) =>
    edit({ kind: 'move', blocks: parts[i]![1], before: parts[before]?.[1][0] ?? null });
  return (
    <Box mb="16px">
      <Heading as="h2" fontSize="lg">
        {t('Parts')}
      </Heading>
      <chakra.ol aria-label={t('Parts')}>
        {parts.map(([name, ids], i) => (
          <chakra.li
            key={name}
            display="grid"
            gridTemplateColumns="minmax(0, 1fr) auto"
            gap="4px"
            alignItems="center"
            py="2px"
          >
            <chakra.button
              border="0"
              bg="transparent"
              p="0"
              textAlign="left"
              cursor="pointer"
              fontSize="sm"
              overflow="hidden"
              textOverflow="ellipsis"
              whiteSpace="nowrap"
              _hover={{ textDecoration: 'underline' }}
              onClick={() => go(ids[0]!)}
            >
              {name}
            </chakra.button>
            <span>
              <Action
                size="small"
                look="quiet"
                aria-label={t('Earlier: {name}', { name })}
                disabled={i === 0}
                onClick={() => move(i, i - 1)}
              >
                <ArrowUp size={12} />
              </Action>
              <Action
                size="small"
                look="quiet"
                aria-label={t('Later: {name}', { name })}
                disabled={i === parts.length - 1}
                onClick={() => move(i, i + 2)}
              >
                <ArrowDown size={12} />
              </Action>
            </span>
          </chakra.li>
        ))}
      </chakra.ol>
    </Box>
  );
}

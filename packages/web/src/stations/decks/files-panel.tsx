/** Several files that are to become one document: their order is changed here before they are brought in. */
import { Box, chakra } from '@chakra-ui/react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import type { NewDocument } from '../../api/client.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

export function FilesPanel({
  files,
  take,
  close,
}: {
  readonly files: readonly NewDocument[];
  readonly take: (...documents: readonly NewDocument[]) => void;
  readonly close: () => void;
}) {
  const [order, setOrder] = useState(files);
  const swap = (i: number, j: number) =>
    setOrder(order.map((file, at) => (at === i ? order[j]! : at === j ? order[i]! : file)));
  return (
    <Box display="grid" gap="10px" bg="card" border="1px solid" borderColor="line" p="18px 20px">
      <Heading as="h2">{t('{n} files will be parts of one document', { count: order.length })}</Heading>
      <Small>{t('They follow each other in this order.')}</Small>
      <chakra.ol aria-label={t('Files in their order')}>
        {order.map((file, i) => (
          <chakra.li
            key={`${file.name} ${i}`}
            display="grid"
            gridTemplateColumns="24px minmax(0, 1fr) auto"
            gap="8px"
            alignItems="center"
            borderTop="1px solid"
            borderColor="line"
            py="5px"
          >
            <chakra.span color="soft">{i + 1}</chakra.span>
            <chakra.span overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" fontFamily="heading">
              {file.name}
            </chakra.span>
            <Box display="flex" gap="4px">
              <Action
                size="small"
                aria-label={t('Earlier: {name}', { name: file.name })}
                disabled={i === 0}
                onClick={() => swap(i, i - 1)}
              >
                <ArrowUp size={13} />
              </Action>
              <Action
                size="small"
                aria-label={t('Later: {name}', { name: file.name })}
                disabled={i === order.length - 1}
                onClick={() => swap(i, i + 1)}
              >
                <ArrowDown size={13} />
              </Action>
              <Action
                size="small"
                look="quiet"
                aria-label={t('Without: {name}', { name: file.name })}
                disabled={order.length === 1}
                onClick={() => setOrder(order.filter((_, at) => at !== i))}
              >
                {t('Leave it')}
              </Action>
            </Box>
          </chakra.li>
        ))}
      </chakra.ol>
      <Box display="flex" gap="10px">
        <Action look="main" onClick={() => take(...order)}>
          {t('Make slides of them', { count: order.length })}
        </Action>
        <Action onClick={close}>{t('Cancel')}</Action>
      </Box>
    </Box>
  );
}

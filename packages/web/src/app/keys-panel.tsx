/** What keys do, those of this station first; searched, and single signs turned off. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { foundKeys, lettersOn, turnLetters } from '../ui/keys.ts';
import { Action, Field, Small } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import { SidePanel } from './side-panel.tsx';

const List = chakra('dl', {
  base: {
    display: 'grid',
    gridTemplateColumns: '104px minmax(0, 1fr)',
    gap: '4px 12px',
    m: 0,
    '& dt': { fontWeight: 600 },
    '& dd': { m: 0 },
  },
});

/** @param station Address of the one that is open. */
export function KeysPanel({ station, close }: { readonly station: string; readonly close: () => void }) {
  const [search, setSearch] = useState('');
  const [letters, setLetters] = useState(lettersOn);
  const groups = foundKeys(search).toSorted((a, b) => Number(b.path === station) - Number(a.path === station));
  return (
    <SidePanel aria-label={t('Keys')} onKeyDown={(event) => event.key === 'Escape' && close()}>
      <Box display="flex" alignItems="center" gap="8px" px="14px" py="10px">
        <b>{t('Keys')}</b>
        <Action size="small" look="quiet" ml="auto" onClick={close}>
          {t('Close')}
        </Action>
      </Box>
      <Box px="14px" pb="10px" display="grid" gap="8px">
        <Field
          autoFocus
          type="search"
          placeholder={t('copy, level, hide …')}
          aria-label={t('Search keys')}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <chakra.label display="flex" gap="8px" alignItems="flex-start" cursor="pointer">
          <input
            type="checkbox"
            checked={letters}
            onChange={(event) => {
              turnLetters(event.target.checked);
              setLetters(event.target.checked);
            }}
          />
          {t('Letters, digits and signs work as keys')}
        </chakra.label>
      </Box>
      <Box
        overflowY="auto"
        px="14px"
        pb="14px"
        display="grid"
        gap="14px"
        alignContent="start"
        tabIndex={0}
        role="group"
        aria-label={t('What keys do')}
      >
        {groups.map(({ place, keys }) => (
          <section key={place} aria-label={place}>
            <chakra.h2 fontSize="sm" fontWeight={700} color="pine" mb="4px">
              {place}
            </chakra.h2>
            <List>
              {keys.map(([key, does]) => (
                <Line key={key} name={key} does={does} />
              ))}
            </List>
          </section>
        ))}
        {groups.length === 0 && <Small role="status">{t('No key does that.')}</Small>}
      </Box>
    </SidePanel>
  );
}

const Line = ({ name, does }: { readonly name: string; readonly does: string }) => (
  <>
    <dt>{name}</dt>
    <dd>{does}</dd>
  </>
);

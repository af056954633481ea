/** The Check station: what to mend before the deck is shown, how long it takes, and where every word of the document went. */
import { Box, chakra } from '@chakra-ui/react';
import { lazy, Suspense } from 'react';
import { NavLink, useParams } from 'react-router';
import { Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { RemarksPage } from './remarks-page.tsx';
import { WordsPage } from './words-page.tsx';

// Brings the charts, which nothing else needs.
const PacePage = lazy(async () => ({ default: (await import('./pace-page.tsx')).PacePage }));

const PAGES = [
  { path: '', label: t('What to mend'), Page: RemarksPage },
  { path: 'pace', label: t('Pace'), Page: PacePage },
  { path: 'words', label: t('Every word'), Page: WordsPage },
] as const;

const Ways = chakra('nav', {
  base: {
    display: 'flex',
    gap: '2px',
    borderBottom: '1px solid',
    borderColor: 'line',
    '& a': { px: '14px', py: '6px', fontSize: 'sm', color: 'soft', textDecoration: 'none', mb: '-1px' },
    '& a:hover': { color: 'ink' },
    '& a.active': {
      color: 'ink',
      fontWeight: 600,
      border: '1px solid',
      borderColor: 'line',
      borderBottomColor: 'paper',
      bg: 'paper',
      borderTopRadius: 'sm',
    },
  },
});

export function CheckStation() {
  const { id = '', '*': path = '' } = useParams();
  const { Page } = PAGES.find((one) => one.path === path) ?? PAGES[0];
  return (
    <Box
      h="100%"
      display="flex"
      flexDirection="column"
      gap="14px"
      maxW="1100px"
      mx="auto"
      w="100%"
      px="24px"
      pt="12px"
      css={{ '@media (max-width: 640px)': { paddingInline: '12px' } }}
    >
      <Ways aria-label={t('Checks')}>
        {PAGES.map(({ path: to, label }) => (
          <NavLink key={to} to={`/decks/${id}/check${to === '' ? '' : `/${to}`}`} end>
            {label}
          </NavLink>
        ))}
      </Ways>
      <Suspense fallback={<Small role="status">{t('Opening …')}</Small>}>
        <Page />
      </Suspense>
    </Box>
  );
}

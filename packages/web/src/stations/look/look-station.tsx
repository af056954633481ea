/** The Look station: the author's own slides on a wall, dressed; shelves for what they are dressed in. */
import { Box, chakra } from '@chakra-ui/react';
import { useSearchParams } from 'react-router';
import { useDeck } from '../../state/deck-store.ts';
import { Action, Notice } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { ColorsShelf } from './colors-shelf.tsx';
import { FootShelf } from './foot-shelf.tsx';
import { LayoutsShelf } from './layouts-shelf.tsx';
import { MovementShelf } from './movement-shelf.tsx';
import { TemplateShelf } from './template-shelf.tsx';
import { ThemesShelf } from './themes-shelf.tsx';
import { TypeShelf } from './type-shelf.tsx';

const Wall = chakra('div', { base: { h: '100%', overflowY: 'auto', px: '24px', py: '14px' } });

const SHELVES = [
  ['themes', t('Themes'), ThemesShelf],
  ['colours', t('Colours'), ColorsShelf],
  ['type', t('Type'), TypeShelf],
  ['foot', t('Foot and logo'), FootShelf],
  ['layouts', t('Layouts'), LayoutsShelf],
  ['movement', t('Movement'), MovementShelf],
  ['template', t('Template'), TemplateShelf],
] as const;

/** What a template decides itself. */
const OVERRULED: ReadonlySet<string> = new Set(['themes', 'colours', 'type']);

export function LookStation() {
  const view = useDeck((state) => state.view);
  const [query, setQuery] = useSearchParams();
  if (view === null) return null;
  const asked = query.get('shelf');
  const [name, , Shelf] = SHELVES.find(([one]) => one === asked) ?? SHELVES[0];
  return (
    <Wall>
      <Box as="nav" aria-label={t('Shelves')} display="flex" gap="6px" mb="14px" flexWrap="wrap">
        {SHELVES.map(([one, label]) => (
          <Action
            key={one}
            size="small"
            look={one === name ? 'chosen' : 'plain'}
            aria-current={one === name ? 'page' : undefined}
            onClick={() => setQuery({ shelf: one }, { replace: true })}
          >
            {label}
          </Action>
        ))}
      </Box>
      {view.template !== null && OVERRULED.has(name) && (
        <Notice tone="calm" mb="12px">
          {t(
            'The deck is built on {fileName}: its colours, fonts and layouts hold. What is chosen here is seen once the deck is without it.',
            { fileName: view.template.fileName },
          )}
        </Notice>
      )}
      <Shelf look={view.look} pages={view.pages} />
    </Wall>
  );
}

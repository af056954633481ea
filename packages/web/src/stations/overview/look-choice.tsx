/** How the deck looks: themes on one of its own slides, or an organisation's template. */
import { Box, chakra } from '@chakra-ui/react';
import { useId, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { THEME_DESIGNS, type ThemeDesign } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { Choices } from '../../ui/choice-card.tsx';
import { count } from '../../ui/format.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { contentSlide, OwnSlides, worn } from '../shared/own-slides.tsx';
import { TEMPLATE_FILES, useTemplateFile } from '../shared/use-template-file.ts';

const Theme = chakra('button', {
  base: {
    bg: 'transparent',
    border: 0,
    p: 0,
    textAlign: 'left',
    display: 'grid',
    gap: '6px',
    alignContent: 'start',
    cursor: 'pointer',
    fontWeight: 600,
    '& > div > div': { outline: '2px solid transparent', outlineOffset: '1px' },
    _hover: { '& > div > div': { outlineColor: 'line' } },
  },
  variants: {
    on: { true: { '& > div > div': { outlineColor: 'pine' }, _hover: { '& > div > div': { outlineColor: 'pine' } } } },
  },
});

const FIRST = 3;

export function LookChoice() {
  const view = useDeck((state) => state.view);
  const [all, setAll] = useState(false);
  // In the order in which they were first seen, so that choosing one moves nothing.
  const [first] = useState(() => view?.look.theme);
  const designs = useMemo(() => {
    const chosen = THEME_DESIGNS.find(({ name }) => name === first);
    return chosen === undefined ? THEME_DESIGNS : [chosen, ...THEME_DESIGNS.filter((one) => one !== chosen)];
  }, [first]);
  const id = useId();
  const pages = view?.pages;
  const sample = pages === undefined ? undefined : contentSlide(pages);
  const keys = useMemo(() => (sample === undefined ? [] : [sample]), [sample]);
  if (view === null) return null;
  const shown = all ? designs : designs.slice(0, FIRST);
  const theme = (design: ThemeDesign) => {
    const on = view.template === null && view.look.theme === design.name;
    return (
      <Theme
        key={design.name}
        on={on}
        aria-pressed={on}
        onClick={() => edit({ kind: 'all', edits: dressedIn(design, view.template !== null) })}
      >
        <div aria-hidden="true">
          <OwnSlides look={worn(view.look, design)} keys={keys} label={design.label} />
        </div>
        {design.label}
      </Theme>
    );
  };
  return (
    <Box as="section" aria-labelledby={id}>
      <Heading as="h2" id={id} fontFamily="body" fontSize="lg" mb="10px">
        {t('How should it look?')}
      </Heading>
      <Choices>
        {shown.slice(0, FIRST).map(theme)}
        <More rest={designs.length - FIRST} all={all} setAll={setAll} />
        {shown.slice(FIRST).map(theme)}
      </Choices>
    </Box>
  );
}

const dressedIn = ({ name }: ThemeDesign, withoutTemplate: boolean) => [
  { kind: 'theme', theme: name } as const,
  ...(withoutTemplate ? [{ kind: 'template', template: null } as const] : []),
];

function More({
  rest,
  all,
  setAll,
}: {
  readonly rest: number;
  readonly all: boolean;
  readonly setAll: (all: boolean) => void;
}) {
  const template = useDeck((state) => state.view?.template ?? null);
  const { take, busy, failure, removed } = useTemplateFile();
  return (
    <Box display="grid" gap="8px" alignContent="start" justifyItems="start" fontSize="sm">
      <Action size="small" aria-expanded={all} onClick={() => setAll(!all)}>
        {all ? t('Fewer themes') : count(rest, 'more theme')}
      </Action>
      <FileButton
        size="small"
        accept={TEMPLATE_FILES}
        label={t('File of the template')}
        disabled={busy}
        take={(file) => void take(file)}
      >
        {busy ? t('Reading …') : t('Your organisation’s template …')}
      </FileButton>
      <Small>
        {template === null
          ? t('A PPTX file: its layouts, colours, fonts and logos stay as they are.')
          : t('In use: {fileName}.', { fileName: template.fileName })}{' '}
        <Link to="../look?shelf=template">
          {template === null ? t('More on templates') : t('Its layouts and slides')}
        </Link>
      </Small>
      {failure !== null && (
        <Notice tone="fault" role="alert">
          {t('The file cannot be used as a template. {failure} Nothing was changed.', { failure })}
        </Notice>
      )}
      {removed !== null && <Notice role="status">{removed}</Notice>}
    </Box>
  );
}

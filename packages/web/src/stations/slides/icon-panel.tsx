/** Icons beside the points of a figure: suggested by what each says, searched for, or none. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { runsText, type Icon, type Point } from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { edit } from '../../state/log-store.ts';
import { Action, Field, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { PanelPart } from './panel-part.tsx';

const SHOWN = 9;
/** Figures that have a place for an icon. */
const WITH_ICONS: ReadonlySet<string> = new Set(['icon-grid', 'matrix']);

const Choice = chakra('button', {
  base: {
    w: '30px',
    h: '30px',
    p: '3px',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    bg: 'card',
    cursor: 'pointer',
    _hover: { borderColor: 'pine' },
  },
  variants: { chosen: { true: { borderColor: 'pine', bg: 'pineWash' } } },
});

export function IconPanel({ row }: { readonly row: Row }) {
  const points = row.all.filter((part) => part.kind === 'point' && part.level === 1) as readonly Point[];
  const [open, setOpen] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  if (!WITH_ICONS.has(row.layout)) return null;
  const suggest = async () => {
    setBusy(true);
    const found = await ask<'icons'>({ what: 'icons', texts: points.map(({ runs }) => runsText(runs)), most: SHOWN });
    const taken = new Set<string>();
    const edits = points.flatMap((point, i) => {
      // The same symbol twice says nothing.
      const icon = found[i]!.find(({ name }) => !taken.has(name));
      if (icon === undefined) return [];
      taken.add(icon.name);
      return [{ kind: 'icon', part: point.id, icon } as const];
    });
    if (edits.length > 0) edit({ kind: 'all', edits });
    setBusy(false);
  };
  return (
    <PanelPart head={t('Icons by what the points say')}>
      <Box display="flex" gap="6px" mb="6px">
        <Action size="small" disabled={busy} onClick={() => void suggest()}>
          {busy ? t('Searching …') : t('Suggest for all points')}
        </Action>
        {points.some(({ icon }) => icon !== undefined) && (
          <Action
            size="small"
            look="quiet"
            onClick={() =>
              edit({ kind: 'all', edits: points.map(({ id }) => ({ kind: 'icon', part: id, icon: null })) })
            }
          >
            {t('No icons')}
          </Action>
        )}
      </Box>
      {points.map((point) => (
        <Box key={point.id} borderTop="1px solid" borderColor="line" py="4px">
          <Action
            size="small"
            look="quiet"
            aria-expanded={open === point.id}
            onClick={() => setOpen(open === point.id ? null : point.id)}
          >
            {point.icon !== undefined && <IconDrawing icon={point.icon} size={16} />}
            <chakra.span overflow="hidden" textOverflow="ellipsis" maxW="300px">
              {runsText(point.runs)}
            </chakra.span>
          </Action>
          {open === point.id && <Search point={point} />}
        </Box>
      ))}
    </PanelPart>
  );
}

function Search({ point }: { readonly point: Point }) {
  const [words, setWords] = useState('');
  const [found, setFound] = useState<readonly Icon[] | null>(null);
  const text = words.trim() === '' ? runsText(point.runs) : words;
  useEffect(() => {
    let wanted = true;
    ask<'icons'>({ what: 'icons', texts: [text], most: SHOWN * 2 }).then(
      ([icons]) => wanted && setFound(icons ?? []),
      () => wanted && setFound([]),
    );
    return () => {
      wanted = false;
    };
  }, [text]);
  return (
    <Box px="8px">
      <Field
        aria-label={t('Search icons')}
        placeholder={t('another word')}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Box display="flex" gap="4px" flexWrap="wrap" mt="6px">
        {found?.map((icon) => (
          <Choice
            key={icon.name}
            aria-label={t('Icon {name}', { name: icon.name })}
            title={icon.name}
            chosen={icon.name === point.icon?.name}
            aria-pressed={icon.name === point.icon?.name}
            onClick={() => edit({ kind: 'icon', part: point.id, icon })}
          >
            <IconDrawing icon={icon} size={22} />
          </Choice>
        ))}
        {found?.length === 0 && <Small>{t('No icon has these words.')}</Small>}
      </Box>
    </Box>
  );
}

function IconDrawing({ icon, size }: { readonly icon: Icon; readonly size: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      {icon.paths.map((d, i) => (
        <path
          key={i}
          d={d}
          fill="none"
          stroke="currentColor"
          strokeWidth={2}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}

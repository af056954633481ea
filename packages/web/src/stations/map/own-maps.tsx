/** Level maps of the author's own: kept here for every deck, named, taken away, carried to another computer as JSON. */
import { Box, chakra } from '@chakra-ui/react';
import type { OwnMap } from '@alvex/contract';
import { DENSITIES, destinationsOf, fileNameOf, TEXT_KINDS, type LevelMap, type Prose } from '@alvex/core';
import { useEffect, useRef, useState } from 'react';
import { ApiError, dropMap, keepMap, listMaps, renameMap } from '../../api/client.ts';
import { useSpokenParts } from '../shared/spoken-parts.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { Action, Field, Small } from '../../ui/recipes.tsx';
import { jsonFile, saveFile } from '../../ui/save-file.ts';
import { t } from '../../words/words.ts';

const Panel = chakra('div', {
  base: {
    border: '1px solid',
    borderColor: 'line',
    bg: 'card',
    p: '10px 12px',
    mb: '12px',
    display: 'grid',
    gap: '6px',
    fontSize: 'sm',
  },
});

const sentence = (error: unknown): string => (error instanceof ApiError ? error.message : String(error));

export function OwnMaps() {
  const view = useDeck((state) => state.view);
  const [maps, setMaps] = useState<readonly OwnMap[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [naming, setNaming] = useState<string | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const refresh = () => listMaps().then(setMaps, (error: unknown) => setFault(sentence(error)));
  useEffect(() => {
    void refresh();
  }, []);
  const doing = async (work: () => Promise<unknown>) => {
    setFault(null);
    try {
      await work();
    } catch (error) {
      setFault(sentence(error));
    }
    await refresh();
  };
  if (view === null) return null;
  const { map, prose } = view;
  const bringIn = async (file: File | undefined) => {
    if (file === undefined) return;
    const found = readMap(await file.text());
    if (found === undefined) setFault(t('{name} is no map. Nothing was changed.', { name: file.name }));
    else await doing(() => keepMap({ ...found, name: found.name || file.name.replace(/\.json$/i, '') }));
  };
  return (
    <Panel aria-label={t('Own maps')} role="region">
      {maps?.length === 0 && <Small>{t('No map is kept yet.')}</Small>}
      {maps?.map((own) => (
        <KeptMap
          key={own.id}
          own={own}
          isNaming={naming === own.id}
          name={(on) => setNaming(on ? own.id : null)}
          doing={doing}
        />
      ))}
      <Box display="flex" gap="6px" flexWrap="wrap">
        <Action
          size="small"
          look="main"
          onClick={() =>
            void doing(async () => {
              const kept = await keepMap({ name: t('Map {all}', { all: (maps?.length ?? 0) + 1 }), map, prose });
              setNaming(kept.id);
            })
          }
        >
          {t('Keep the map as it is now')}
        </Action>
        <Action size="small" onClick={() => chooser.current?.click()}>
          {t('From a file')}
        </Action>
        <input
          ref={chooser}
          type="file"
          accept=".json,application/json"
          hidden
          aria-label={t('Map as a file')}
          onChange={(event) => {
            void bringIn(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </Box>
      {fault !== null && (
        <Small color="red" role="alert">
          {fault}
        </Small>
      )}
    </Panel>
  );
}

interface KeptProps {
  readonly own: OwnMap;
  readonly isNaming: boolean;
  readonly name: (on: boolean) => void;
  readonly doing: (work: () => Promise<unknown>) => Promise<void>;
}

function KeptMap({ own, isNaming, name, doing }: KeptProps) {
  const branches = useSpokenParts();
  return (
    <Box display="flex" gap="6px" alignItems="center" flexWrap="wrap">
      {isNaming ? (
        <Field
          autoFocus
          aria-label={t('Name of the map')}
          defaultValue={own.name}
          maxLength={100}
          onBlur={(event) => {
            const text = event.target.value.trim();
            name(false);
            if (text !== '' && text !== own.name) void doing(() => renameMap(own.id, text));
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') name(false);
          }}
        />
      ) : (
        <chakra.b flex="1" minW="120px">
          {own.name}
        </chakra.b>
      )}
      <Action size="small" onClick={() => edit({ kind: 'map', name: null, map: own.map, prose: own.prose, branches })}>
        {t('Use')}
      </Action>
      <Action size="small" look="quiet" onClick={() => name(true)}>
        {t('Rename')}
      </Action>
      <Action size="small" look="quiet" onClick={() => save(own)}>
        {t('Save as a file')}
      </Action>
      <Action size="small" look="danger" onClick={() => void doing(() => dropMap(own.id))}>
        {t('Delete')}
      </Action>
    </Box>
  );
}

const save = ({ name, map, prose }: OwnMap): void =>
  saveFile(`${fileNameOf(name, 'map')}.json`, jsonFile({ name, map, prose }));

/** A map as it was saved; undefined for anything else. */
function readMap(text: string): { name: string; map: LevelMap; prose: Prose } | undefined {
  try {
    const { name, map, prose } = JSON.parse(text) as { name?: unknown; map?: LevelMap; prose?: Prose };
    if (!TEXT_KINDS.every((kind) => map !== undefined && destinationsOf(kind).includes(map[kind]))) return undefined;
    const known =
      prose?.as === 'whole' ||
      prose?.as === 'told' ||
      prose?.as === 'first' ||
      (prose?.as === 'short' && DENSITIES.includes(prose.density));
    const only = Object.fromEntries(TEXT_KINDS.map((kind) => [kind, map![kind]])) as LevelMap;
    return {
      name: typeof name === 'string' ? name.slice(0, 100) : '',
      map: only,
      prose: known ? prose : { as: 'whole' },
    };
  } catch {
    return undefined;
  }
}

/** Pictures of a slide: how they stand in their frames, what they show, other ones in their place, and new ones. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import {
  PICTURE_FILTERS,
  PLAIN_DRESS,
  runsText,
  usualDress,
  type Edit,
  type Picture,
  type PictureDress,
  type PicturePart,
} from '@alvex/core';
import { pictureUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAhead } from '../../state/use-ahead.ts';
import { KeptField } from '../../ui/kept-field.tsx';
import { Action, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { PanelPart, PanelRow } from './panel-part.tsx';
import { PictureChooser } from './picture-chooser.tsx';
import { MOST_CUT } from './crop.ts';
import { PictureCrop } from './picture-crop.tsx';

const FILTER_LABELS = { none: t('as it is'), grey: t('grey'), tint: t('in the accent') } as const;
const EDGES = [t('left'), t('top'), t('right'), t('bottom')];

export function PicturePanel({ row, part }: { readonly row: Row; readonly part: PicturePart }) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const [replacing, setReplacing] = useState(false);
  const [dress, setDress] = useAhead(part.dress ?? usualDress(row.layout));
  const set = (change: Partial<PictureDress>) => {
    const next = { ...dress, ...change };
    setDress(next);
    edit({ kind: 'frame', part: part.id, dress: next });
  };
  return (
    <PanelPart head={t('Picture')}>
      <Box display="flex" gap="12px" alignItems="flex-start" flexWrap="wrap">
        <PictureCrop url={pictureUrl(deck, part.picture)} dress={dress} set={set} />
        <Box flex="1" minW="220px">
          <FrameChoice dress={dress} set={set} />
          <PanelRow>
            <Slide label={t('Brightness')} value={dress.brightness} set={(brightness) => set({ brightness })} />
            <Slide label={t('Contrast')} value={dress.contrast} set={(contrast) => set({ contrast })} />
          </PanelRow>
          <CutOff dress={dress} set={set} />
        </Box>
      </Box>
      <Description row={row} part={part} />
      <PanelRow>
        <Action size="small" aria-expanded={replacing} onClick={() => setReplacing(!replacing)}>
          {t('Another picture in its place')}
        </Action>
        {part.dress !== undefined && (
          <Action
            size="small"
            look="quiet"
            onClick={() => {
              setDress(usualDress(row.layout));
              edit({ kind: 'frame', part: part.id, dress: null });
            }}
          >
            {t('as it came')}
          </Action>
        )}
        {part.own !== undefined && (
          <Action size="small" look="quiet" onClick={() => edit({ kind: 'drop', part: part.id })}>
            {t('Take it off')}
          </Action>
        )}
      </PanelRow>
      {replacing && (
        <PictureChooser
          row={row}
          take={(picture, alt) => {
            edit(replaced(part, picture, alt));
            setReplacing(false);
          }}
        />
      )}
    </PanelPart>
  );
}

/** What was cut off of one picture, and must stay in sight of it, says nothing of another. */
function replaced(part: PicturePart, picture: Picture, alt: string | null): Edit {
  const other = { kind: 'replace', part: part.id, picture, alt } as const;
  if (part.dress === undefined) return other;
  const { crop, focus } = PLAIN_DRESS;
  return { kind: 'all', edits: [other, { kind: 'frame', part: part.id, dress: { ...part.dress, crop, focus } }] };
}

interface DressProps {
  readonly dress: PictureDress;
  readonly set: (change: Partial<PictureDress>) => void;
}

function FrameChoice({ dress, set }: DressProps) {
  return (
    <Box display="flex" gap="6px" flexWrap="wrap">
      {(['fit', 'fill'] as const).map((as) => (
        <Action
          key={as}
          size="small"
          look={dress.as === as ? 'chosen' : 'plain'}
          aria-pressed={dress.as === as}
          onClick={() => set({ as })}
        >
          {as === 'fit' ? t('All of it') : t('Fill the frame')}
        </Action>
      ))}
      <Select
        aria-label={t('Tone')}
        value={dress.filter}
        onChange={(event) => set({ filter: event.target.value as PictureDress['filter'] })}
      >
        {PICTURE_FILTERS.map((filter) => (
          <option key={filter} value={filter}>
            {FILTER_LABELS[filter]}
          </option>
        ))}
      </Select>
      <Select
        aria-label={t('Corners')}
        value={dress.corners}
        onChange={(event) => set({ corners: event.target.value as PictureDress['corners'] })}
      >
        <option value="square">{t('square corners')}</option>
        <option value="round">{t('round corners')}</option>
      </Select>
    </Box>
  );
}

function CutOff({ dress, set }: DressProps) {
  return (
    <PanelRow>
      <Small>{t('Cut off')}</Small>
      {EDGES.map((edge, i) => (
        <chakra.label key={edge} fontSize="xs" color="soft">
          {edge}{' '}
          <KeptField
            type="number"
            min={0}
            max={MOST_CUT * 100}
            step={1}
            w="48px"
            aria-label={t('Cut off at the {edge}, per cent', { edge })}
            value={`${Math.round(dress.crop[i]! * 100)}`}
            keep={(text) => {
              const share = Math.min(MOST_CUT, Math.max(0, Number(text) || 0) / 100);
              if (share !== dress.crop[i]) set({ crop: dress.crop.with(i, share) as unknown as PictureDress['crop'] });
            }}
          />
        </chakra.label>
      ))}
    </PanelRow>
  );
}

function Slide({
  label,
  value,
  set,
}: {
  readonly label: string;
  readonly value: number;
  readonly set: (value: number) => void;
}) {
  const [now, setNow] = useState<number | null>(null);
  const done = () => {
    if (now !== null && now !== value) set(now);
    setNow(null);
  };
  return (
    <chakra.label display="flex" gap="5px" alignItems="center" fontSize="xs" color="soft">
      {label}
      <input
        type="range"
        min={-0.6}
        max={0.6}
        step={0.05}
        value={now ?? value}
        onChange={(event) => setNow(Number(event.target.value))}
        onPointerUp={done}
        onKeyUp={done}
        onBlur={done}
      />
    </chakra.label>
  );
}

/** A description is asked for; what the slide says near the picture is offered. */
function Description({ row, part }: { readonly row: Row; readonly part: PicturePart }) {
  const blockById = useDeck((state) => state.blockById);
  const suggested = useMemo(() => suggestion(row, part, blockById), [row, part, blockById]);
  const describe = (alt: string) =>
    edit(
      part.own === undefined && part.blocks[0] !== undefined
        ? { kind: 'describe', block: part.blocks[0], alt }
        : { kind: 'alt', part: part.id, alt },
    );
  const missing = part.alt === null || part.alt.trim() === '';
  return (
    <PanelRow>
      <KeptField
        aria-label={t('Description')}
        placeholder={t('What the picture shows, for those who do not see it')}
        value={part.alt ?? ''}
        flex="1"
        minW="220px"
        borderColor={missing ? 'amber' : undefined}
        keep={describe}
      />
      {missing && suggested !== null && (
        <Action size="small" onClick={() => describe(suggested)} title={suggested}>
          {t('Take “{text}”', { text: suggested.length > 40 ? `${suggested.slice(0, 40)} …` : suggested })}
        </Action>
      )}
    </PanelRow>
  );
}

/** The caption at the picture, else the point that stands before it, else the title. */
function suggestion(
  row: Row,
  part: PicturePart,
  blocks: ReturnType<typeof useDeck.getState>['blockById'],
): string | null {
  const at = row.passages.findIndex((id) => part.blocks.includes(id));
  for (const id of at < 0 ? [] : [row.passages[at + 1], row.passages[at - 1]]) {
    const block = id === undefined ? undefined : blocks.get(id);
    if (block?.kind === 'paragraph' && block.role === 'caption') return runsText(block.runs);
  }
  const place = row.all.indexOf(part);
  const before = row.all.slice(0, place).findLast((one) => 'runs' in one);
  const text = before !== undefined && 'runs' in before ? runsText(before.runs) : runsText(row.title.runs);
  return text.trim() === '' ? null : text;
}

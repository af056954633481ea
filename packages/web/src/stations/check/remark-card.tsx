/** One remark: the slide with the place marked on it, why, and what can be done. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { runsText, type Content, type PartId, type Remark, type RemarkKind } from '@alvex/core';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { usePage } from '../../state/use-page.ts';
import { quoted } from '../../ui/format.ts';
import { Action, Field, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { KIND_LABELS, reason, wayText } from './remark-text.ts';

const Card = chakra('article', {
  base: {
    display: 'grid',
    gridTemplateColumns: '208px minmax(0, 1fr)',
    gap: '6px 18px',
    py: '14px',
    borderTop: '1px solid',
    borderColor: 'line',
    _focusVisible: { outlineOffset: '-2px' },
    '@media (max-width: 640px)': { gridTemplateColumns: 'minmax(0, 1fr)', '& > a': { maxWidth: '208px' } },
  },
});

/** Kinds that are about the very words that they name. */
const OF_WORDS: ReadonlySet<RemarkKind> = new Set(['dead-link', 'hidden-link', 'spelt-twice', 'numbers-differ']);

interface Props {
  readonly remark: Remark;
  readonly at: number;
  /** Called before something is done about it, so that the focus finds a place when it is gone. */
  readonly acted: () => void;
}

export function RemarkCard({ remark, at, acted }: Props) {
  const { key, number, kind, slide, about, accepted, everywhere } = remark;
  const { row } = usePage(key);
  const marked = useMemo(() => new Set<string>(about), [about]);
  const title = row === undefined ? '' : runsText(row.title.runs);
  const to = `../slides?page=${number}`;
  const accept = () => {
    acted();
    edit({ kind: 'accept', slide: everywhere ? null : slide, remark: kind, accepted: !accepted });
  };
  return (
    <Card tabIndex={-1} data-remark={at} data-kind={kind}>
      <Link to={to} tabIndex={-1} aria-hidden="true">
        <DeckSlide
          slideKey={key}
          number={number}
          chosen={marked}
          words={OF_WORDS.has(kind) ? remark.text : undefined}
        />
      </Link>
      <Box display="grid" gap="6px" alignContent="start" minW="0">
        <Box display="flex" gap="4px 12px" justifyContent="space-between" flexWrap="wrap">
          <b>{KIND_LABELS[kind]}</b>
          <Link to={to}>{t('Slide {number}{title}', { number, title: title === '' ? '' : `, ${quoted(title)}` })}</Link>
        </Box>
        <p>{reason(remark)}</p>
        {!accepted && kind === 'undescribed' && (
          <Descriptions content={row?.all ?? []} parts={about} number={number} acted={acted} />
        )}
        <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
          {!accepted && <Ways remark={remark} acted={acted} />}
          <Action size="small" onClick={accept}>
            {everywhere ? t('Remark all of these again') : accepted ? t('Remark it again') : t('Leave it as it is')}
          </Action>
        </Box>
      </Box>
    </Card>
  );
}

function Ways({ remark: { kind, key }, acted }: Pick<Props, 'remark' | 'acted'>) {
  const { answer: ways } = useAnswer({ what: 'repairs', kind, key });
  if (ways === null) return <Small>{t('Trying what helps …')}</Small>;
  return ways.map((way, i) => (
    <Action
      key={`${way.name} ${way.text}`}
      size="small"
      look={i === 0 ? 'main' : 'plain'}
      whiteSpace="normal"
      textAlign="left"
      onClick={() => {
        acted();
        edit(way.edits.length === 1 ? way.edits[0]! : { kind: 'all', edits: way.edits });
      }}
    >
      {wayText(way)}
    </Action>
  ));
}

/** Pictures are described where they are remarked. */
function Descriptions({
  content,
  parts,
  number,
  acted,
}: {
  readonly content: readonly Content[];
  readonly parts: Remark['about'];
  readonly number: number;
  readonly acted: () => void;
}) {
  const pictures = content.filter((part) => part.kind === 'picture' && part.alt === null && parts.includes(part.id));
  return pictures.map(({ id }, i) => (
    <Describe
      key={id}
      part={id}
      label={
        pictures.length > 1
          ? t('Description of picture {i} on slide {number}', { i: i + 1, number })
          : t('Description of picture on slide {number}', { number })
      }
      acted={acted}
    />
  ));
}

function Describe({
  part,
  label,
  acted,
}: {
  readonly part: PartId;
  readonly label: string;
  readonly acted: () => void;
}) {
  const [words, setWords] = useState('');
  return (
    <chakra.form
      display="flex"
      gap="6px"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim() === '') return;
        acted();
        edit({ kind: 'alt', part, alt: words.trim() });
      }}
    >
      <Field
        flex="1"
        aria-label={label}
        placeholder={t('What it shows, in a sentence')}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Action type="submit" size="small" disabled={words.trim() === ''}>
        {t('Describe it')}
      </Action>
    </chakra.form>
  );
}

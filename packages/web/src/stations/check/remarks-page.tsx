/** What is not ready, worst first: each with its slide, its reason, and repairs that were tried. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  isMendable,
  REMARK_KINDS,
  weightOf,
  type Remark,
  type RemarkKind,
  type SingleEdit,
  type Weight,
} from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { count } from '../../ui/format.ts';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import { RemarkCard } from './remark-card.tsx';
import { KIND_LABELS, WEIGHT_LABELS } from './remark-text.ts';
import { UnplacedEdits } from './unplaced.tsx';

const WEIGHTS: readonly Weight[] = ['fault', 'hard', 'thought'];
/** What is shown: all that is open, one kind, or what its author leaves. */
type Chosen = 'open' | 'left' | RemarkKind;
const isKind = (name: string | null): name is RemarkKind => (REMARK_KINDS as readonly (string | null)[]).includes(name);

export function RemarksPage() {
  const { answer: all, failure } = useAnswer({ what: 'remarks' });
  const [search, setSearch] = useSearchParams();
  const name = search.get('show');
  const chosen: Chosen = name === 'left' || isKind(name) ? name : 'open';
  const choose = (next: Chosen) => setSearch(next === 'open' ? {} : { show: next }, { replace: true });
  const shown = useMemo(
    () =>
      (all ?? []).filter(({ kind, accepted }) =>
        chosen === 'left' ? accepted : !accepted && (chosen === 'open' || kind === chosen),
      ),
    [all, chosen],
  );
  if (failure !== null) return <Notice tone="fault">{failure}</Notice>;
  if (all === null) return <Small role="status">{t('Looking at the slides …')}</Small>;
  const open = all.filter(({ accepted }) => !accepted);
  return (
    <Box flex="1" minH="0" display="flex" flexDirection="column" gap="12px">
      <Summary open={open} />
      <UnplacedEdits />
      <Box display="flex" gap="6px 10px" flexWrap="wrap">
        <MendAll remarks={chosen === 'left' ? [] : shown.filter(({ kind }) => isMendable(kind))} />
        {isKind(chosen) && shown.length > 0 && (
          <Action size="small" onClick={() => edit({ kind: 'accept', slide: null, remark: chosen, accepted: true })}>
            {t('Leave all of this kind as they are')}
          </Action>
        )}
      </Box>
      {all.length > 0 && (
        <Columns>
          <Kinds all={all} chosen={chosen} choose={choose} />
          <Box minH="0" display="flex" flexDirection="column" gap="8px">
            <Cards remarks={shown} chosen={chosen} />
          </Box>
        </Columns>
      )}
    </Box>
  );
}

function Summary({ open }: { readonly open: readonly Remark[] }) {
  const { answer } = useAnswer({ what: 'readiness' });
  const slides = new Set(open.map(({ slide }) => slide)).size;
  return (
    <div>
      <Heading>
        {open.length === 0
          ? t('Nothing is left to mend')
          : t('{things} to look at, on {slides}', {
              things: count(open.length, 'thing'),
              slides: count(slides, 'slide'),
            })}
      </Heading>
      <Small role="status" data-testid="ready" minH="1lh">
        {answer !== null &&
          answer.of > 0 &&
          (answer.ready === answer.of
            ? t('All {n} slides can be shown as they are.', { count: answer.of })
            : t('{ready} of {n} slides can be shown as they are.', { ready: answer.ready, count: answer.of }))}
        {open.length === 0 && (
          <>
            {' '}
            <Link to="../check/pace">{t('See how long the talk takes')}</Link>
          </>
        )}
      </Small>
    </div>
  );
}

const NARROW = '@media (max-width: 767px)';
const Columns = chakra('div', {
  base: {
    flex: 1,
    minH: 0,
    display: 'grid',
    gridTemplateColumns: '230px minmax(0, 1fr)',
    gridTemplateRows: 'minmax(0, 1fr)',
    gap: '12px 26px',
    [NARROW]: { gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateRows: 'auto minmax(0, 1fr)' },
  },
});
const Choices = chakra('div', {
  base: {
    overflowY: 'auto',
    pb: '20px',
    [NARROW]: { display: 'flex', flexWrap: 'wrap', gap: '4px', maxH: '22vh', pb: 0 },
  },
});
const KindButton = chakra('button', {
  base: {
    display: 'flex',
    justifyContent: 'space-between',
    gap: '8px',
    w: '100%',
    textAlign: 'left',
    border: 0,
    borderLeft: '3px solid transparent',
    bg: 'transparent',
    px: '9px',
    py: '4px',
    fontSize: 'sm',
    cursor: 'pointer',
    color: 'ink',
    _hover: { bg: 'card' },
    '&[aria-pressed="true"]': { bg: 'pineWash', borderColor: 'pine', fontWeight: 600 },
    '& span:last-of-type': { color: 'soft', fontVariantNumeric: 'tabular-nums' },
    [NARROW]: { w: 'auto', border: '1px solid', borderColor: 'line', borderRadius: 'sm' },
  },
});
const Group = chakra('div', {
  base: {
    '& h2': { fontSize: 'xs', color: 'soft', fontWeight: 600, mt: '10px', mb: '3px', px: '12px' },
    [NARROW]: { display: 'contents', '& h2': { display: 'none' } },
  },
});

function Kinds({
  all,
  chosen,
  choose,
}: {
  readonly all: readonly Remark[];
  readonly chosen: Chosen;
  readonly choose: (next: Chosen) => void;
}) {
  const open = all.filter(({ accepted }) => !accepted);
  const left = all.length - open.length;
  const counts = new Map<RemarkKind, number>();
  for (const { kind } of open) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  const button = (name: Chosen, label: string, amount: number) => (
    <KindButton key={name} type="button" aria-pressed={chosen === name} onClick={() => choose(name)}>
      <span>{label}</span>
      <span>{amount}</span>
    </KindButton>
  );
  return (
    <Choices role="group" aria-label={t('Show')}>
      {button('open', t('All'), open.length)}
      {WEIGHTS.map((weight) => {
        const kinds = REMARK_KINDS.filter((kind) => weightOf(kind) === weight && counts.has(kind));
        return kinds.length === 0 ? null : (
          <Group key={weight}>
            <h2>{WEIGHT_LABELS[weight]}</h2>
            {kinds.map((kind) => button(kind, KIND_LABELS[kind], counts.get(kind)!))}
          </Group>
        );
      })}
      {left > 0 && (
        <Group>
          <h2>{t('By you')}</h2>
          {button('left', t('Left as they are'), left)}
        </Group>
      )}
    </Choices>
  );
}

/** All that is shown, each in its gentlest way, as one step; what came of it stays told when nothing is left. */
function MendAll({ remarks }: { readonly remarks: readonly Remark[] }) {
  /** How many were tried while it is at work; what came of it when it has ended. */
  const [state, setState] = useState<number | string | null>(null);
  const wanted = useRef(0);
  useEffect(() => () => void wanted.current++, []);
  const mend = async () => {
    const mine = ++wanted.current;
    const kinds = [...new Set(remarks.map(({ kind }) => kind))];
    const edits: SingleEdit[] = [];
    let tried: readonly string[] = [];
    let mended = 0;
    setState(0);
    try {
      for (;;) {
        const result = await ask({ what: 'mendAll', kinds, edits, tried });
        if (mine !== wanted.current) return;
        if (result === null) return setState(t('The deck changed meanwhile; nothing was mended.'));
        edits.push(...result.edits);
        mended += result.mended;
        ({ tried } = result);
        setState(tried.length);
        if (result.more) continue;
        if (mended > 0) edit({ kind: 'all', edits });
        return setState(
          mended === 0
            ? t('None of these can be mended without you.')
            : t('{n} things mended in one step{left}.', {
                count: mended,
                left: result.left > 0 ? t('; {n} need you', { count: result.left }) : '',
              }),
        );
      }
    } catch (error) {
      if (mine === wanted.current) setState(error instanceof Error ? error.message : String(error));
    }
  };
  const cancel = () => {
    wanted.current++;
    setState(t('Nothing was mended.'));
  };
  return (
    <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap" minH="26px">
      {typeof state === 'number' ? (
        <Action size="small" onClick={cancel} autoFocus>
          {t('Cancel')}
        </Action>
      ) : (
        remarks.length > 0 && (
          <Action size="small" onClick={() => void mend()}>
            {t('Mend all {n}', { n: remarks.length > 1 && remarks.length })}
          </Action>
        )
      )}
      <Small role="status" aria-label={t('Mending')}>
        {typeof state === 'number'
          ? t('Trying what helps: {state} of {all} …', { state, all: Math.max(state, remarks.length) })
          : (state ?? (remarks.length > 0 && t('One step that can be undone.')))}
      </Small>
    </Box>
  );
}

function Cards({ remarks, chosen }: { readonly remarks: readonly Remark[]; readonly chosen: Chosen }) {
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useRows({
    count: remarks.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 150,
    getItemKey: (i) => `${remarks[i]!.kind} ${remarks[i]!.key}`,
    overscan: 3,
  });
  // What had the focus may be mended and gone: the next one takes it.
  const acted = useRef<number | null>(null);
  useEffect(() => {
    const at = acted.current;
    if (at === null) return;
    acted.current = null;
    const list = scroller.current;
    if (list === null || (document.activeElement !== document.body && document.activeElement !== null)) return;
    const next = list.querySelector<HTMLElement>(`[data-remark="${Math.min(at, remarks.length - 1)}"]`);
    (next ?? list).focus();
  }, [remarks]);
  return (
    <Box ref={scroller} tabIndex={-1} outline="none" flex="1" minH="0" overflowY="auto" pb="30px" data-testid="remarks">
      {remarks.length === 0 && (
        <Small>{chosen === 'left' ? t('Nothing is left as it is.') : t('Nothing is left to mend here.')}</Small>
      )}
      <VirtualRows
        virtualizer={virtualizer}
        label={t('Remarks')}
        rowLabel={(i) =>
          t('Slide {number}: {kind}', { number: remarks[i]!.number, kind: KIND_LABELS[remarks[i]!.kind] })
        }
        row={(i) => <RemarkCard remark={remarks[i]!} at={i} acted={() => (acted.current = i)} />}
      />
    </Box>
  );
}

/** The decks of the workspace as cards with their covers: found, ordered, named, copied, deleted. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { DeckCover, DeckSummary, ListedDeck } from '@alvex/contract';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { duplicate, remove, rename } from '../../state/decks-store.ts';
import { editText } from '../../ui/edit-text.ts';
import { count, dayAndTime, estimate } from '../../ui/format.ts';
import { NameField } from '../../ui/name-field.tsx';
import { Action, Field, Heading, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { coverOf } from './covers.ts';
import { inOrder, kindLabel, matching, ORDERS, type Order } from './deck-list.ts';

const Cards = chakra('ul', {
  base: {
    listStyle: 'none',
    p: 0,
    m: 0,
    display: 'grid',
    gridTemplateColumns: 'repeat(auto-fill, minmax(min(250px, 100%), 1fr))',
    gap: '22px 18px',
  },
});
const Card = chakra('li', {
  base: {
    minW: 0,
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr)',
    gap: '5px',
    alignContent: 'start',
    // What is out of sight is not laid out.
    contentVisibility: 'auto',
    containIntrinsicSize: 'auto 250px',
  },
});
const Cover = chakra('span', {
  base: {
    display: 'block',
    bg: 'card',
    border: '1px solid',
    borderColor: 'line',
    lineHeight: 0,
    overflow: 'hidden',
    aspectRatio: '16 / 9',
  },
  variants: { chosen: { true: { outline: '2px solid', outlineColor: 'pine' } } },
});
const Name = chakra('span', {
  base: {
    fontFamily: 'heading',
    fontSize: 'lg',
    fontWeight: 600,
    lineHeight: 1.3,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
  },
});

/** What is looked for among the decks. */
interface Wanted {
  readonly words: string;
  readonly kind: string;
  readonly order: Order;
}

const FEW = 3; // decks among which nothing has to be searched

export function DeckCards({ decks }: { readonly decks: readonly ListedDeck[] }) {
  const [wanted, setWanted] = useState<Wanted>({ words: '', kind: '', order: 'changed' });
  const { words, kind, order } = wanted;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const shown = useMemo(() => inOrder(matching(decks, words, kind), order), [decks, words, kind, order]);
  const marked = decks.filter(({ id }) => chosen.has(id));
  const choose = (id: string, on: boolean) =>
    setChosen(new Set(on ? [...chosen, id] : [...chosen].filter((one) => one !== id)));
  return (
    <Box as="section" aria-label={t('Decks')}>
      <Box display="flex" gap="8px 12px" alignItems="center" flexWrap="wrap" mb="14px">
        <Heading as="h2" mr="auto">
          {t('Decks')}
        </Heading>
        {marked.length > 0 && <Chosen decks={marked} choose={setChosen} />}
        {decks.length > FEW && <Find decks={decks} wanted={wanted} set={setWanted} />}
      </Box>
      {shown.length === 0 && (
        <Small role="status">
          {t('No deck of {n} decks has “{words}” in its name or file{kind}.', {
            count: decks.length,
            words,
            kind: kind === '' ? '' : t(' and is made of {kind}', { kind: kindLabel(kind) }),
          })}
        </Small>
      )}
      <Cards>
        {shown.map((deck) => (
          <DeckCard key={deck.id} deck={deck} chosen={chosen.has(deck.id)} choose={(on) => choose(deck.id, on)} />
        ))}
      </Cards>
    </Box>
  );
}

interface ChosenProps {
  readonly decks: readonly ListedDeck[];
  readonly choose: (chosen: ReadonlySet<string>) => void;
}

function Chosen({ decks, choose }: ChosenProps) {
  return (
    <Box display="flex" gap="6px" alignItems="center" role="status">
      <Small>{t('{n} decks chosen', { count: decks.length })}</Small>
      <Action
        size="small"
        look="danger"
        onClick={() => {
          choose(new Set());
          void remove(...decks);
        }}
      >
        {t('Delete them', { count: decks.length })}
      </Action>
      <Action size="small" look="quiet" onClick={() => choose(new Set())}>
        {t('Choose none')}
      </Action>
    </Box>
  );
}

interface FindProps {
  readonly decks: readonly ListedDeck[];
  readonly wanted: Wanted;
  readonly set: (wanted: Wanted) => void;
}

function Find({ decks, wanted, set }: FindProps) {
  const kinds = useMemo(() => [...new Set(decks.map(({ type }) => type))].sort(), [decks]);
  return (
    <>
      <Field
        type="search"
        aria-label={t('Search decks')}
        placeholder={t('Search by name or file')}
        w="210px"
        fontSize="sm"
        value={wanted.words}
        onChange={(event) => set({ ...wanted, words: event.target.value })}
      />
      {kinds.length > 1 && (
        <Select
          aria-label={t('Kind of file')}
          value={wanted.kind}
          onChange={(event) => set({ ...wanted, kind: event.target.value })}
        >
          <option value="">{t('all kinds')}</option>
          {kinds.map((one) => (
            <option key={one} value={one}>
              {kindLabel(one)}
            </option>
          ))}
        </Select>
      )}
      <Select
        aria-label={t('Order of the decks')}
        value={wanted.order}
        onChange={(event) => set({ ...wanted, order: event.target.value as Order })}
      >
        {Object.entries(ORDERS).map(([one, label]) => (
          <option key={one} value={one}>
            {label}
          </option>
        ))}
      </Select>
    </>
  );
}

interface CardProps {
  readonly deck: ListedDeck;
  readonly chosen: boolean;
  readonly choose: (on: boolean) => void;
}

function DeckCard({ deck, chosen, choose }: CardProps) {
  const [naming, setNaming] = useState(false);
  const { cover, card } = useCover(deck);
  const { last } = deck;
  return (
    <Card ref={card}>
      <Link
        to={`/decks/${deck.id}/slides`}
        style={{ color: 'inherit', textDecoration: 'none', display: 'grid', gap: 5, minWidth: 0 }}
      >
        <Cover chosen={chosen} aria-hidden="true">
          {cover !== undefined && cover.drawing !== null && (
            <SlideDrawing
              drawing={{ ...cover.drawing, key: 'cover' as never, rev: 0 }}
              deck={deck.id}
              number={1}
              label=""
            />
          )}
        </Cover>
        {!naming && <Name title={deck.name}>{deck.name}</Name>}
      </Link>
      {naming && (
        <NameField name={deck.name} keep={(name) => void rename(deck.id, name)} close={() => setNaming(false)} />
      )}
      <Small>
        {cover === undefined
          ? count(deck.words, 'word')
          : `${count(cover.slides, 'slide')}, ${estimate(cover.seconds)}`}
        {' · '}
        {deck.fileName}
      </Small>
      <Small>
        {dayAndTime(deck.updatedAt)}
        {last !== undefined && last.kind !== 'undo' && last.kind !== 'redo' && ` · ${editText(last)}`}
      </Small>
      <Box display="flex" gap="2px" alignItems="center" ml="-8px">
        <Action
          look="quiet"
          size="small"
          aria-label={t('Rename {name}', { name: deck.name })}
          onClick={() => setNaming(true)}
        >
          {t('Rename')}
        </Action>
        <Action
          look="quiet"
          size="small"
          aria-label={t('Duplicate {name}', { name: deck.name })}
          onClick={() => void duplicate(deck)}
        >
          {t('Duplicate')}
        </Action>
        <Action
          look="quiet"
          size="small"
          aria-label={t('Delete {name}', { name: deck.name })}
          onClick={() => void remove(deck)}
        >
          {t('Delete')}
        </Action>
        <chakra.input
          type="checkbox"
          ml="auto"
          w="16px"
          h="16px"
          checked={chosen}
          aria-label={t('Choose {name}', { name: deck.name })}
          title={t('Choose, to delete several at once')}
          onChange={(event) => choose(event.target.checked)}
        />
      </Box>
    </Card>
  );
}

/** The cover of a deck, fetched once its card comes into sight. */
function useCover({ id, version }: DeckSummary) {
  const card = useRef<HTMLLIElement>(null);
  const [cover, setCover] = useState<DeckCover>();
  useEffect(() => {
    const abort = new AbortController();
    const sight = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting !== true) return;
        sight.disconnect();
        coverOf(id, abort.signal).then(setCover, () => undefined);
      },
      { rootMargin: '200px' },
    );
    sight.observe(card.current!);
    return () => {
      sight.disconnect();
      abort.abort();
    };
  }, [id, version]);
  return { cover, card };
}

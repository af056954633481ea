/** The Hand over station: one card a result, with what is inside. */
import { Box, chakra } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { useState, type ComponentType, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { DeckSummary } from '@alvex/contract';
import { editPictures, rulesOf, type SingleEdit } from '@alvex/core';
import { ApiError, fetchPicture, originalUrl, wholeDeckUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { inOrderOfUse, usedLast } from '../../state/handed.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { useLog } from '../../state/log-store.ts';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { jsonFile, saveFile } from '../../ui/save-file.ts';
import { t } from '../../words/words.ts';
import { Card, Inside, Status } from './card.tsx';
import { DocumentCard } from './document-card.tsx';
import { PageCard } from './page-card.tsx';
import { PagesCard } from './pages-card.tsx';
import { PicturesCard } from './pictures-card.tsx';
import { PresentationCard } from './presentation-card.tsx';
import type { FormatProps } from './download.tsx';
import { ExcerptPreview, SlidePreview } from './previews.tsx';
import { TextCard } from './text-card.tsx';

const Wall = chakra('div', {
  base: { h: '100%', overflowY: 'auto', px: '24px', py: '18px', maxW: '980px', mx: 'auto' },
});
/** By what they are for; one that was used stands before those that were not. */
const CARDS = {
  presentation: PresentationCard,
  page: PageCard,
  pages: PagesCard,
  pictures: PicturesCard,
  document: DocumentCard,
  text: TextCard,
} as const satisfies Readonly<Record<string, ComponentType<FormatProps>>>;
type CardName = keyof typeof CARDS;

export function HandOverStation() {
  const deck = useDeck((state) => state.deck);
  const view = useDeck((state) => state.view);
  const [failure, setFailure] = useState<string | null>(null);
  // As it was when one came: cards do not move under a hand.
  const [order] = useState(() => inOrderOfUse(Object.keys(CARDS) as CardName[], usedLast()));
  if (deck === null || view === null) return null;
  return (
    <Wall>
      {/* Beside the heading, in room that is kept for it: what comes late moves no card under a hand. */}
      <Box display="flex" flexWrap="wrap" alignItems="center" gap="6px 20px" minH="42px" mb="14px">
        <Heading>{t('What you take with you')}</Heading>
        <NotReady />
      </Box>
      {failure !== null && (
        <Notice tone="fault" role="alert" mb="14px">
          {failure}
        </Notice>
      )}
      <Box display="grid" gap="16px" css={{ gridTemplateColumns: 'repeat(auto-fit, minmax(min(430px, 100%), 1fr))' }}>
        {order.map((name) => {
          const Made = CARDS[name];
          return <Made key={name} deck={deck} view={view} fail={setFailure} />;
        })}
        <WholeCard deck={deck} />
        <OriginalCard deck={deck} />
      </Box>
    </Wall>
  );
}

/** What Check knows and whoever takes the deck away should. */
function NotReady() {
  const { answer } = useAnswer({ what: 'readiness' });
  if (answer === null || answer.ready === answer.of) return null;
  const { ready, of } = answer;
  return (
    <Notice role="status">
      <Box>{t('{ready} of {n} slides can be shown as they are.', { ready, count: of })}</Box>
      <Link to="../check">
        <Action as="span" size="small">
          {t('See what the others lack', { count: of - ready })}
        </Action>
      </Link>
    </Notice>
  );
}

/** The document as it came, in the edition that is in force. */
function OriginalCard({ deck }: { readonly deck: DeckSummary }) {
  const edition = useLog((state) => state.edition);
  return (
    <Card
      name={t('Original')}
      purpose={t('To keep')}
      heading={t('Your document')}
      preview={<ExcerptPreview format="docx" source />}
    >
      <Inside>
        <li>
          {edition?.fileName ?? deck.fileName}
          {edition !== null && t(', the current edition')}
        </li>
        <li>{t('byte for byte as you brought it in')}</li>
      </Inside>
      <Box display="flex" flexWrap="wrap" gap="8px">
        <OriginalLink url={originalUrl(deck.id, edition?.original)}>{t('Download the original')}</OriginalLink>
        {edition !== null && (
          <OriginalLink url={originalUrl(deck.id)}>
            {t('The first edition, {fileName}', { fileName: deck.fileName })}
          </OriginalLink>
        )}
      </Box>
    </Card>
  );
}

/** All of it, for another computer or for later. */
function WholeCard({ deck }: { readonly deck: DeckSummary }) {
  const [saved, setSaved] = useState<SavedRules | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const waiting = useLog((state) => state.sync.waiting);
  const takeRules = () => {
    setFailure(null);
    void saveRules(deck).then(setSaved, (error: unknown) =>
      setFailure(error instanceof ApiError ? error.message : String(error)),
    );
  };
  return (
    <Card
      name={t('Whole deck')}
      purpose={t('To keep')}
      heading={t('The whole deck as one file')}
      preview={<SlidePreview deck={deck.id} />}
    >
      <Inside>
        <li>{t('the document in all editions, pictures, the template, and all your edits')}</li>
        <li>{t('brought in on the page of decks, here or on another computer, it is the same deck')}</li>
        <li>{t('or its rules alone (map, look): the command line makes decks of other documents by them')}</li>
      </Inside>
      <Box display="flex" flexWrap="wrap" gap="8px">
        {waiting > 0 ? (
          // As large as the link that comes, so that nothing beside it moves under a hand.
          <Action disabled>
            <Download size={14} /> {t('Save the deck')}
          </Action>
        ) : (
          <OriginalLink url={wholeDeckUrl(deck.id)}>{t('Save the deck')}</OriginalLink>
        )}
        <Action onClick={takeRules}>{t('Save the rules')}</Action>
        {failure !== null && (
          <Small color="red" role="alert">
            {failure}
          </Small>
        )}
      </Box>
      <Status>
        {waiting > 0
          ? t('{n} edits must be kept on the server first.', { count: waiting })
          : saved !== null && (
              <>
                {t('Saved: {n} rules, as alvex.json.', { count: saved.count })}{' '}
                {saved.template !== undefined &&
                  t('It names the template {fileName}: put that file beside it.', { fileName: saved.template })}
              </>
            )}
      </Status>
    </Card>
  );
}

interface SavedRules {
  readonly count: number;
  /** File name of the template that they name. */
  readonly template: string | undefined;
}

/** A project file for the command line: what is decided for the deck, without what is done to places in it. */
async function saveRules({ id, fileName }: DeckSummary): Promise<SavedRules> {
  const rules = rulesOf(useLog.getState().history.done);
  const used = useDeck.getState().view?.template ?? null;
  // A presentation that the slides go into is one of its own, no template of others.
  const template = used?.keep === 'none' ? used.fileName : undefined;
  const named = template === undefined ? {} : { template };
  const pictures = await picturesOf(id, rules);
  saveFile('alvex.json', jsonFile({ documents: [fileName], to: ['pptx'], ...named, rules, ...pictures }));
  return { count: rules.length, template };
}

/** What they show of files of the deck, as a logo, in Base64. */
async function picturesOf(deck: string, rules: readonly SingleEdit[]): Promise<object> {
  const pictures = await Promise.all(
    editPictures(rules).map(async ({ id }) => [id, await fetchPicture(deck, id)] as const),
  );
  return pictures.length === 0 ? {} : { pictures: Object.fromEntries(pictures) };
}

function OriginalLink({ url, children }: { readonly url: string; readonly children: ReactNode }) {
  return (
    <a href={url} download style={{ textDecoration: 'none' }}>
      <Action as="span">
        <Download size={14} /> {children}
      </Action>
    </a>
  );
}

/** What repeats on slides: logo, footer, date, number; each by the kinds of slides that show it. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { FOOT_PLACES, type Foot, type FootPlace } from '@alvex/core';
import { ApiError, pictureUrl, sendPicture } from '../../api/client.ts';
import { useDeck, useLanguage } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAhead } from '../../state/use-ahead.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { KeptField } from '../../ui/kept-field.tsx';
import { Action, Heading, Notice, Small, Unseen } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { OwnSlides, tellingSlides, type ShelfProps } from '../shared/own-slides.tsx';

const Table = chakra('table', {
  base: {
    borderCollapse: 'collapse',
    fontSize: 'sm',
    w: '100%',
    maxW: '860px',
    '& th, & td': { textAlign: 'left', borderTop: '1px solid', borderColor: 'line', p: '8px 10px 8px 0' },
    '& thead th': { border: 0, color: 'soft', fontWeight: 400 },
    '@media (max-width: 560px)': { fontSize: 'xs', '& th, & td': { pr: '6px', overflowWrap: 'anywhere' } },
  },
});
const PLACE_LABELS: Readonly<Record<FootPlace, string>> = {
  cover: t('Cover'),
  section: t('Section openers'),
  content: t('Slides'),
};
const SHOWN = 4;

/** As the deck's language writes it. */
const today = (language: string | undefined): string =>
  new Intl.DateTimeFormat(language, { dateStyle: 'long' }).format(new Date());

export function FootShelf({ look, pages }: ShelfProps) {
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  const [foot, setFoot] = useAhead(look.foot);
  const language = useLanguage();
  const set = (change: Partial<Foot>) => {
    const next = { ...foot, ...change };
    setFoot(next);
    edit({ kind: 'foot', foot: next });
  };
  return (
    <>
      <Heading>{t('Foot and logo')}</Heading>
      <Small mb="10px">{t('Said once for the whole deck, and written into the master.')}</Small>
      <Table>
        <thead>
          <tr>
            <th scope="col">
              <Unseen>{t('Part')}</Unseen>
            </th>
            <th scope="col">
              <Unseen>{t('What it says')}</Unseen>
            </th>
            {FOOT_PLACES.map((place) => (
              <th key={place} scope="col">
                {PLACE_LABELS[place]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Line
            name={t('Logo')}
            on={foot.logo?.on ?? []}
            disabled={foot.logo === null}
            set={(on) => foot.logo && set({ logo: { ...foot.logo, on } })}
          >
            <Logo foot={foot} set={set} />
          </Line>
          <Line name={t('Footer')} on={foot.footer.on} set={(on) => set({ footer: { ...foot.footer, on } })}>
            <Words
              label={t('Footer')}
              value={foot.footer.text}
              set={(text) => set({ footer: { ...foot.footer, text } })}
            />
          </Line>
          <Line name={t('Date')} on={foot.date.on} set={(on) => set({ date: { ...foot.date, on } })}>
            <Words
              label={t('Date')}
              hint={t('as it should read')}
              value={foot.date.text}
              set={(text) => set({ date: { ...foot.date, text, live: text !== '' && foot.date.live === true } })}
            />
            <chakra.label display="flex" gap="8px" alignItems="flex-start" mt="6px" color="soft">
              <input
                type="checkbox"
                checked={foot.date.live ?? false}
                onChange={({ target: { checked: live } }) =>
                  set({ date: { ...foot.date, text: foot.date.text || today(language), live } })
                }
              />
              {t('in PPTX and ODP the day on which it is opened')}
            </chakra.label>
          </Line>
          <Line name={t('Slide number')} on={foot.number} set={(number) => set({ number })}>
            <Small>{t('counted for you')}</Small>
          </Line>
        </tbody>
      </Table>
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(240px, 1fr))" gap="12px" mt="18px">
        <OwnSlides look={look} keys={keys} label={t('this foot')} />
      </Box>
    </>
  );
}

interface LineProps {
  readonly name: string;
  readonly on: readonly FootPlace[];
  readonly disabled?: boolean;
  readonly set: (on: readonly FootPlace[]) => void;
  readonly children: React.ReactNode;
}

function Line({ name, on, disabled, set, children }: LineProps) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{children}</td>
      {FOOT_PLACES.map((place) => (
        <td key={place}>
          <input
            type="checkbox"
            aria-label={t('{name} on: {place}', { name, place: PLACE_LABELS[place] })}
            disabled={disabled ?? false}
            checked={on.includes(place)}
            onChange={(event) =>
              set(FOOT_PLACES.filter((one) => (one === place ? event.target.checked : on.includes(one))))
            }
          />
        </td>
      ))}
    </tr>
  );
}

function Words({
  label,
  hint = '',
  value,
  set,
}: {
  readonly label: string;
  readonly hint?: string;
  readonly value: string;
  readonly set: (text: string) => void;
}) {
  return (
    <KeptField aria-label={label} value={value} maxLength={200} w="100%" maxW="260px" placeholder={hint} keep={set} />
  );
}

function Logo({ foot, set }: { readonly foot: Foot; readonly set: (change: Partial<Foot>) => void }) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const [failure, setFailure] = useState<string | null>(null);
  const { logo } = foot;
  const take = async (file: File) => {
    setFailure(null);
    try {
      const picture = await sendPicture(deck, file, file.name);
      const alt = file.name.replace(/\.\w+$/, '').replace(/[-_]+/g, ' ');
      set({ logo: { picture, alt: logo?.alt ?? alt, on: logo?.on ?? [...FOOT_PLACES] } });
    } catch (error) {
      setFailure(error instanceof ApiError ? error.message : t('The logo was not taken. Nothing was changed.'));
    }
  };
  return (
    <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
      {logo !== null && (
        <>
          <img src={pictureUrl(deck, logo.picture.id)} alt={logo.alt} style={{ height: 30, maxWidth: 120 }} />
          <KeptField
            aria-label={t('Description of the logo')}
            value={logo.alt}
            w="130px"
            keep={(alt) => set({ logo: { ...logo, alt } })}
          />
        </>
      )}
      <FileButton
        size="small"
        accept="image/png,image/jpeg,image/gif"
        label={t('File of the logo')}
        take={(file) => void take(file)}
      >
        {logo === null ? t('Choose a file …') : t('Another …')}
      </FileButton>
      {logo !== null && (
        <Action size="small" look="quiet" onClick={() => set({ logo: null })}>
          {t('No logo')}
        </Action>
      )}
      {failure !== null && (
        <Notice tone="fault" role="alert">
          {failure}
        </Notice>
      )}
    </Box>
  );
}

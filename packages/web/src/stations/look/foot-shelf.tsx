/** What repeats on slides: logo, footer, date, number; each by the kinds of slides that show it. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { FOOT_PLACES, type Foot, type FootPlace } from '@alvex/core';
import { ApiError, pictureUrl, sendPicture } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { Action, Field, Heading, Notice, Small, Unseen } from '../../ui/recipes.tsx';
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
  cover: 'Cover',
  section: 'Section openers',
  content: 'Slides',
};
const SHOWN = 4;

export function FootShelf({ look, pages }: ShelfProps) {
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  const { foot } = look;
  const set = (change: Partial<Foot>) => edit({ kind: 'foot', foot: { ...foot, ...change } });
  return (
    <>
      <Heading>Foot and logo</Heading>
      <Small mb="10px">Said once for the whole deck, and written into the master.</Small>
      <Table>
        <thead>
          <tr>
            <th scope="col">
              <Unseen>Part</Unseen>
            </th>
            <th scope="col">
              <Unseen>What it says</Unseen>
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
            name="Logo"
            on={foot.logo?.on ?? []}
            disabled={foot.logo === null}
            set={(on) => foot.logo && set({ logo: { ...foot.logo, on } })}
          >
            <Logo foot={foot} set={set} />
          </Line>
          <Line name="Footer" on={foot.footer.on} set={(on) => set({ footer: { ...foot.footer, on } })}>
            <Words label="Footer" value={foot.footer.text} set={(text) => set({ footer: { ...foot.footer, text } })} />
          </Line>
          <Line name="Date" on={foot.date.on} set={(on) => set({ date: { ...foot.date, on } })}>
            <Words label="Date" value={foot.date.text} set={(text) => set({ date: { ...foot.date, text } })} />
          </Line>
          <Line name="Slide number" on={foot.number} set={(number) => set({ number })}>
            <Small>counted for you</Small>
          </Line>
        </tbody>
      </Table>
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(240px, 1fr))" gap="12px" mt="18px">
        <OwnSlides look={look} keys={keys} label="this foot" />
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
            aria-label={`${name} on: ${PLACE_LABELS[place]}`}
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
  value,
  set,
}: {
  readonly label: string;
  readonly value: string;
  readonly set: (text: string) => void;
}) {
  return (
    <Field
      key={value}
      aria-label={label}
      defaultValue={value}
      maxLength={200}
      w="100%"
      maxW="260px"
      placeholder={label === 'Date' ? 'as it should read' : ''}
      onBlur={(event) => event.target.value !== value && set(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
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
      setFailure(error instanceof ApiError ? error.message : 'The logo was not taken. Nothing was changed.');
    }
  };
  return (
    <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
      {logo !== null && (
        <>
          <img src={pictureUrl(deck, logo.picture.id)} alt={logo.alt} style={{ height: 30, maxWidth: 120 }} />
          <Field
            key={logo.alt}
            aria-label="Description of the logo"
            defaultValue={logo.alt}
            w="130px"
            onBlur={(event) => event.target.value !== logo.alt && set({ logo: { ...logo, alt: event.target.value } })}
          />
        </>
      )}
      <FileButton
        size="small"
        accept="image/png,image/jpeg,image/gif"
        label="File of the logo"
        take={(file) => void take(file)}
      >
        {logo === null ? 'Choose a file …' : 'Another …'}
      </FileButton>
      {logo !== null && (
        <Action size="small" look="quiet" onClick={() => set({ logo: null })}>
          No logo
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

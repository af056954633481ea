/** Fonts apart from the theme, and one rule for all titles, points or captions. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, type ReactNode } from 'react';
import {
  COLOR_NAMES,
  designNamed,
  FONT_PAIRS,
  RULED_ROLES,
  shippedFamily,
  type RuledRole,
  type TextRule,
} from '@alvex/core';
import { fontUrl } from '../../api/client.ts';
import { edit } from '../../state/log-store.ts';
import { useAhead } from '../../state/use-ahead.ts';
import { RULED_LABELS } from '../../ui/labels.ts';
import { isWithin, KeptField } from '../../ui/kept-field.tsx';
import { Action, Heading, Select, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { OwnSlides, tellingSlides, type ShelfProps } from '../shared/own-slides.tsx';

const Grid = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '400px minmax(0, 1fr)',
    gap: '24px',
    '@media (max-width: 900px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
const Pair = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: '1fr auto',
    gap: '0 10px',
    textAlign: 'left',
    p: '5px 9px',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    bg: 'card',
    cursor: 'pointer',
    _hover: { borderColor: 'pine' },
  },
  variants: { chosen: { true: { borderColor: 'pine', bg: 'pineWash' } } },
});
const SHOWN = 4;

export function TypeShelf({ look, pages }: ShelfProps) {
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  const own = designNamed(look.theme).fonts;
  const current = look.fonts ?? own;
  const pair = FONT_PAIRS.find(({ name }) => name === current)!;
  return (
    <Grid>
      <Box>
        <Heading>{t('Type')}</Heading>
        <Box as="section" aria-label={t('Rules')} mt="8px">
          <Small mb="6px">{t('One rule for all. It is written into the master, not into each slide.')}</Small>
          {RULED_ROLES.map((role) => (
            <Rule key={role} role={role} rule={look.rules[role]} />
          ))}
        </Box>
        <Box as="section" aria-label={t('Font pairs')} mt="16px" display="grid" gap="5px">
          <Small>{t('Pairs of fonts')}</Small>
          {FONT_PAIRS.map((one) => (
            <Pair
              key={one.name}
              chosen={one.name === current}
              aria-pressed={one.name === current}
              onClick={() => edit({ kind: 'fonts', pair: one.name === own ? null : one.name })}
            >
              <chakra.b fontSize="lg" style={{ fontFamily: `'${shippedFamily(one.heading).family}'` }}>
                {one.heading}
              </chakra.b>
              <chakra.span fontSize="xs" color="soft" alignSelf="center">
                {one.source === 'common' ? t('on most computers') : t('comes with Alvex')}
              </chakra.span>
              <chakra.span fontSize="sm" style={{ fontFamily: `'${shippedFamily(one.body).family}'` }}>
                {t('{body}, as the tide comes in', { body: one.body })}
              </chakra.span>
              {one.name === own && (
                <chakra.span fontSize="xs" color="soft">
                  {t('the theme’s own')}
                </chakra.span>
              )}
            </Pair>
          ))}
        </Box>
      </Box>
      <Box>
        <Box display="grid" gridTemplateColumns="repeat(2, minmax(0, 1fr))" gap="12px">
          <OwnSlides look={look} keys={keys} label={t('these fonts')} />
        </Box>
        <Small mt="12px">
          {pair.source === 'common'
            ? t(
                '{heading} and {body} are measured and shown here by shipped fonts whose letters are exactly as wide; the presentation names the fonts themselves.',
                { heading: pair.heading, body: pair.body },
              )
            : t('Whoever edits the presentation must have these fonts. Their files: ')}
          {pair.source === 'ships' &&
            [...new Set([pair.heading, pair.body])].map((font, i) => (
              <span key={font}>
                {i > 0 && ', '}
                <a href={fontUrl(font)} download>
                  {font}
                </a>
              </span>
            ))}
        </Small>
      </Box>
    </Grid>
  );
}

const Row = chakra('div', {
  base: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '6px',
    alignItems: 'center',
    borderTop: '1px solid',
    borderColor: 'line',
    py: '8px',
  },
});

const COLOR_LABELS: Readonly<Record<string, string>> = {
  text: t('text'),
  muted: t('quiet'),
  link: t('link'),
  accent1: t('accent 1'),
  accent2: t('accent 2'),
  accent3: t('accent 3'),
  accent4: t('accent 4'),
  accent5: t('accent 5'),
  accent6: t('accent 6'),
};

interface PointsProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly from: number;
  readonly to: number;
  readonly keep: (value: number | undefined) => void;
}
function PointsField({ label, value, from, to, keep }: PointsProps) {
  return (
    <KeptField
      aria-label={label}
      title={label}
      type="number"
      min={from}
      max={to}
      placeholder="pt"
      w="62px"
      value={`${value ?? ''}`}
      fits={(text) => text === '' || isWithin(Number(text), from, to)}
      keep={(text) => keep(text === '' ? undefined : Number(text))}
    />
  );
}

function Rule({ role, rule: shown }: { readonly role: RuledRole; readonly rule: TextRule | undefined }) {
  const [rule, setRule] = useAhead(shown);
  const set: RuleFields['set'] = (change) => {
    const next = Object.fromEntries(Object.entries({ ...rule, ...change }).filter(([, value]) => value !== undefined));
    setRule(next);
    edit({ kind: 'type', role, rule: Object.keys(next).length === 0 ? null : next });
  };
  const name = RULED_LABELS[role];
  const back = rule !== undefined && (
    <Action
      size="small"
      look="quiet"
      onClick={() => {
        setRule(undefined);
        edit({ kind: 'type', role, rule: null });
      }}
    >
      {t('as the theme')}
    </Action>
  );
  const size = (
    <PointsField
      label={t('Size of all {name}, in points', { name })}
      value={rule?.size}
      from={8}
      to={120}
      keep={(wanted) => set({ size: wanted })}
    />
  );
  return (
    <Row role="group" aria-label={t('All {name}', { name })}>
      <chakra.b fontSize="sm" w="100%">
        {t('All {name}', { name })}
      </chakra.b>
      {role === 'notes' ? (
        <OfNotes size={size} rule={rule} set={set} />
      ) : (
        <OfSlides name={name} size={size} rule={rule} set={set} />
      )}
      {back}
    </Row>
  );
}

interface RuleFields {
  readonly size: ReactNode;
  readonly rule: TextRule | undefined;
  readonly set: (change: { readonly [K in keyof TextRule]?: TextRule[K] | undefined }) => void;
}

/** They stand on paper and in the speaker's window, in no frame of a slide. */
function OfNotes({ size, rule, set }: RuleFields) {
  return (
    <>
      <chakra.label display="flex" gap="6px" alignItems="center" fontSize="sm">
        {t('Size')}
        {size}
      </chakra.label>
      <chakra.label display="flex" gap="6px" alignItems="center" fontSize="sm">
        {t('Room before each paragraph')}
        <PointsField
          label={t('Room before each paragraph of speaker notes, in points')}
          value={rule?.space}
          from={0}
          to={72}
          keep={(space) => set({ space })}
        />
      </chakra.label>
    </>
  );
}

const flag = (value: boolean | undefined): string => (value === undefined ? '' : value ? 'yes' : 'no');
const asked = (text: string): boolean | undefined => (text === '' ? undefined : text === 'yes');

function OfSlides({ name, size, rule, set }: RuleFields & { readonly name: string }) {
  return (
    <>
      <Select
        aria-label={t('Font of all {name}', { name })}
        value={rule?.font ?? ''}
        onChange={(e) => set({ font: (e.target.value || undefined) as TextRule['font'] })}
      >
        <option value="">{t('font as the theme')}</option>
        <option value="heading">{t('heading font')}</option>
        <option value="body">{t('body font')}</option>
        <option value="mono">{t('monospace')}</option>
      </Select>
      {size}
      <Select
        aria-label={t('Weight of all {name}', { name })}
        value={flag(rule?.bold)}
        onChange={(e) => set({ bold: asked(e.target.value) })}
      >
        <option value="">{t('weight')}</option>
        <option value="yes">{t('bold')}</option>
        <option value="no">{t('regular')}</option>
      </Select>
      <Select
        aria-label={t('Colour of all {name}', { name })}
        value={rule?.color ?? ''}
        onChange={(e) => set({ color: (e.target.value || undefined) as TextRule['color'] })}
      >
        <option value="">{t('colour')}</option>
        {COLOR_NAMES.filter((color) => color in COLOR_LABELS).map((color) => (
          <option key={color} value={color}>
            {COLOR_LABELS[color]}
          </option>
        ))}
      </Select>
      <Select
        aria-label={t('Case of all {name}', { name })}
        value={flag(rule?.caps)}
        onChange={(e) => set({ caps: asked(e.target.value) })}
      >
        <option value="">{t('case')}</option>
        <option value="yes">{t('capitals')}</option>
        <option value="no">{t('as written')}</option>
      </Select>
      <Select
        aria-label={t('Alignment of all {name}', { name })}
        value={rule?.align ?? ''}
        onChange={(e) => set({ align: (e.target.value || undefined) as TextRule['align'] })}
      >
        <option value="">{t('alignment')}</option>
        <option value="left">{t('left')}</option>
        <option value="center">{t('centred')}</option>
        <option value="right">{t('right')}</option>
      </Select>
    </>
  );
}

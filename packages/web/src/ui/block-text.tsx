/** A block of the document as readable text. */
import { chakra } from '@chakra-ui/react';
import { cellText, directionOf, type Block, type Picture } from '@alvex/core';
import { pictureUrl } from '../api/client.ts';
import { RunsText } from './runs.tsx';
import { t } from '../words/words.ts';

const Text = chakra('div', {
  base: { fontFamily: 'heading', fontSize: '14px', lineHeight: 1.5, overflowWrap: 'anywhere' },
  variants: {
    kind: {
      heading1: { fontSize: '19px', fontWeight: 600, lineHeight: 1.3 },
      heading2: { fontSize: '16px', fontWeight: 600, lineHeight: 1.35 },
      heading3: { fontWeight: 600 },
      title: { fontSize: '24px', fontWeight: 700, lineHeight: 1.25 },
      quote: { fontStyle: 'italic', ps: '14px', borderInlineStart: '2px solid', borderColor: 'line' },
      footnote: { fontSize: '12px', color: 'soft' },
      code: { fontFamily: 'mono', fontSize: '12px', whiteSpace: 'pre-wrap' },
      plain: {},
    },
  },
});
const Grid = chakra('table', {
  base: {
    borderCollapse: 'collapse',
    fontSize: '12px',
    fontFamily: 'body',
    '& td, & th': {
      borderBottom: '1px solid',
      borderColor: 'line',
      px: '8px',
      py: '3px',
      textAlign: 'start',
      verticalAlign: 'top',
    },
    '& th': { fontWeight: 600 },
  },
});

/** Rows and columns of a table that are shown; the rest are counted. */
const MOST_ROWS = { short: 8, whole: 200 };
const MOST_COLUMNS = 40;

interface BlockTextProps {
  readonly block: Block;
  readonly deck: string;
  /** Of the document, by their ids. */
  readonly pictures: ReadonlyMap<string, Picture>;
  readonly whole?: boolean;
}

/** Text as it is written: a paragraph of Arabic begins at the right, and is said to be Arabic. */
export function BlockText(props: BlockTextProps) {
  const { block } = props;
  return (
    <div dir={block.kind === 'code' ? 'ltr' : directionOf(block)} lang={block.lang}>
      <BlockParts {...props} />
    </div>
  );
}

function BlockParts({ block, deck, pictures, whole = false }: BlockTextProps) {
  switch (block.kind) {
    case 'heading':
      return (
        <Text kind={block.level === 1 ? 'heading1' : block.level === 2 ? 'heading2' : 'heading3'}>
          {block.runs.length === 0 ? (
            <chakra.span color="pale">{t('empty heading')}</chakra.span>
          ) : (
            <>
              {block.label !== undefined && <chakra.span color="soft">{block.label} </chakra.span>}
              <RunsText runs={block.runs} />
            </>
          )}
        </Text>
      );
    case 'paragraph':
      return (
        <Text kind={block.role === 'title' ? 'title' : 'plain'}>
          <RunsText runs={block.runs} />
        </Text>
      );
    case 'listItem':
      return <ItemText item={block} />;
    case 'quote':
      return (
        <Text kind="quote">
          <RunsText runs={block.runs} />
        </Text>
      );
    case 'footnote':
      return (
        <Text kind="footnote">
          <sup>{block.label}</sup> <RunsText runs={block.runs} />
        </Text>
      );
    case 'code':
      return <Text kind="code">{block.text}</Text>;
    case 'picture':
      return <PictureText picture={block} deck={deck} size={pictures.get(block.picture ?? '')} />;
    case 'table':
      return <TableText table={block.table} most={whole ? MOST_ROWS.whole : MOST_ROWS.short} />;
    case 'break':
      return (
        <chakra.div color="pale" fontSize="11px" borderTop="1px dashed" borderColor="line" pt="2px">
          {block.type === 'page' ? t('page break') : t('separator')}
        </chakra.div>
      );
  }
}

type Of<Kind extends Block['kind']> = Extract<Block, { readonly kind: Kind }>;

/** What stands before an item: its box, its number or letter, or a bullet. */
function itemSign({ checked, ordered, label, number }: Of<'listItem'>): string {
  if (checked !== undefined) return checked ? '☑' : '☐';
  return ordered ? (label ?? `${number ?? 1}.`) : '•';
}

function ItemText({ item }: { readonly item: Of<'listItem'> }) {
  return (
    <Text display="grid" gridTemplateColumns="auto 1fr" gap="8px" style={{ paddingInlineStart: (item.depth - 1) * 18 }}>
      <chakra.span color="soft">{itemSign(item)}</chakra.span>
      <span style={{ whiteSpace: 'pre-line' }}>
        <RunsText runs={item.runs} />
      </span>
    </Text>
  );
}

const MOST = { width: 180, height: 110 };

interface PictureTextProps {
  readonly picture: Of<'picture'>;
  readonly deck: string;
  /** In pixels. */
  readonly size: Pick<Picture, 'width' | 'height'> | undefined;
}

function PictureText({ picture, deck, size }: PictureTextProps) {
  const scale = size === undefined ? 1 : Math.min(1, MOST.width / size.width, MOST.height / size.height);
  return (
    <Text display="flex" gap="12px" alignItems="flex-start">
      {picture.picture === undefined ? (
        <chakra.span border="1px dashed" borderColor="hole" color="pale" fontSize="12px" px="10px" py="6px">
          {t('Picture not in the file')}
        </chakra.span>
      ) : (
        <chakra.img
          src={pictureUrl(deck, picture.picture)}
          alt={picture.alt ?? ''}
          loading="lazy"
          // Its room is there before it has come.
          style={{
            maxWidth: MOST.width,
            maxHeight: MOST.height,
            ...(size === undefined ? {} : { width: size.width * scale, height: size.height * scale }),
          }}
          bg="card"
          border="1px solid"
          borderColor="line"
        />
      )}
      <chakra.span fontSize="12px" color="soft">
        {picture.alt ?? t('No description')}
      </chakra.span>
    </Text>
  );
}

function TableText({ table, most }: { readonly table: Of<'table'>['table']; readonly most: number }) {
  const shown = table.rows.slice(0, most);
  return (
    <Grid>
      <tbody>
        {shown.map((row, r) => (
          <tr key={r}>
            {row.cells.slice(0, MOST_COLUMNS).map((cell, c) => {
              const Cell = row.header ? 'th' : 'td';
              return (
                <Cell key={c} colSpan={cell.columns} rowSpan={cell.rows}>
                  {cellText(cell)}
                </Cell>
              );
            })}
          </tr>
        ))}
        {table.columns > MOST_COLUMNS && (
          <tr>
            <td>{t('and {columns} more columns', { columns: table.columns - MOST_COLUMNS })}</td>
          </tr>
        )}
        {shown.length < table.rows.length && (
          <tr>
            <td colSpan={table.columns}>{t('and {all} more rows', { all: table.rows.length - shown.length })}</td>
          </tr>
        )}
      </tbody>
    </Grid>
  );
}

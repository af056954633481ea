/** The mark of a passage: turned with the arrow keys, or chosen from all destinations. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { blockText, DESTINATIONS, destinationsOf, textKindOf, type Block, type Destination } from '@alvex/core';
import { DESTINATION_LABELS, KIND_LABELS } from './labels.ts';
import { Mark } from './mark.tsx';
import { t } from '../words/words.ts';

const Button = chakra('button', {
  base: {
    bg: 'transparent',
    border: '1px solid transparent',
    borderRadius: 'sm',
    p: '1px 3px',
    cursor: 'pointer',
    lineHeight: 0,
    display: 'block',
    _hover: { borderColor: 'line', bg: 'card' },
  },
});
const Menu = chakra('div', {
  base: {
    position: 'absolute',
    zIndex: 10,
    top: '100%',
    left: 0,
    bg: 'card',
    border: '1px solid',
    borderColor: 'soft',
    py: '4px',
    minW: '190px',
    color: 'ink',
  },
});
const Choice = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: '30px 1fr',
    gap: '10px',
    alignItems: 'center',
    w: '100%',
    px: '10px',
    py: '4px',
    border: 0,
    bg: 'transparent',
    textAlign: 'left',
    fontSize: 'sm',
    cursor: 'pointer',
    _hover: { bg: 'pineWash' },
    _focusVisible: { bg: 'pineWash', outlineOffset: '-2px' },
  },
});

const Below = chakra('div', {
  base: {
    display: 'flex',
    gap: '2px',
    alignItems: 'center',
    px: '10px',
    py: '4px',
    borderTop: '1px solid',
    borderColor: 'line',
    fontSize: 'xs',
    color: 'soft',
    whiteSpace: 'nowrap',
    '& span': { flex: 1, mr: '6px' },
    '& button': {
      border: 0,
      bg: 'transparent',
      cursor: 'pointer',
      p: '3px',
      lineHeight: 0,
      _hover: { bg: 'pineWash' },
    },
  },
});
/** Where running text below one heading is sent from its mark; every other rule is set in the Map station. */
const BELOW: readonly Destination[] = ['slide', 'notes', 'out'];

interface Props {
  readonly block: Block;
  readonly destination: Destination;
  /** By hand: then it can be given back to the map. */
  readonly turned: boolean;
  /** Null gives it back to the map. */
  readonly turn: (to: Destination | null) => void;
  /** Sends the running text below a heading somewhere. */
  readonly turnBelow: (to: Destination) => void;
  /** Where a list has one cursor, arrows are its keys, and Tab comes to one mark of many; undefined for a mark that stands alone. */
  readonly cursor?: boolean | undefined;
}

const LONGEST_NAME = 60;

/** What a passage is called where it is not seen. */
function passageName(block: Block): string {
  const text = (block.kind === 'picture' ? (block.alt ?? '') : blockText(block)).replace(/\s+/g, ' ').trim();
  if (text === '') return KIND_LABELS[textKindOf(block) ?? 'body'];
  return text.length > LONGEST_NAME ? `${text.slice(0, LONGEST_NAME)} …` : text;
}

export function MarkButton({ block, destination, turned, turn, turnBelow, cursor }: Props) {
  const [open, setOpen] = useState(false);
  const root = useRef<HTMLDivElement>(null);
  const kind = textKindOf(block);
  useEffect(() => {
    if (!open) return;
    root.current?.querySelector<HTMLButtonElement>('[aria-checked="true"]')?.focus();
    const close = (event: PointerEvent) => {
      if (!root.current?.contains(event.target as Node)) setOpen(false);
    };
    window.addEventListener('pointerdown', close);
    return () => window.removeEventListener('pointerdown', close);
  }, [open]);
  if (kind === undefined) return <Box h="20px" />;
  const choices = destinationsOf(kind);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0 || open || cursor !== undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const next = choices[choices.indexOf(destination) + step];
    if (next !== undefined) turn(next);
  };
  const onMenuKey = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === 'Escape') {
      setOpen(false);
      root.current?.querySelector('button')?.focus();
    }
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    const buttons = [...(root.current?.querySelectorAll<HTMLButtonElement>('[role="menuitemradio"]') ?? [])];
    buttons[
      (buttons.indexOf(document.activeElement as HTMLButtonElement) + step + buttons.length) % buttons.length
    ]?.focus();
  };
  const choose = (to: Destination | null) => {
    setOpen(false);
    turn(to);
  };
  return (
    <Box ref={root} position="relative" onClick={(event) => event.stopPropagation()}>
      <Button
        data-mark=""
        tabIndex={cursor === false ? -1 : 0}
        aria-haspopup="menu"
        aria-expanded={open}
        aria-label={`${passageName(block)}: ${DESTINATION_LABELS[destination]}`}
        title={t('{destination}. Turn with ← →', { destination: DESTINATION_LABELS[destination] })}
        onClick={() => setOpen(!open)}
        onKeyDown={onKeyDown}
      >
        <Mark destination={destination} size={28} />
      </Button>
      {open && (
        <MarkMenu
          block={block}
          destination={destination}
          turned={turned}
          turn={choose}
          turnBelow={(to) => {
            setOpen(false);
            turnBelow(to);
          }}
          onKeyDown={onMenuKey}
        />
      )}
    </Box>
  );
}

type MenuProps = Omit<Props, 'cursor'> & { readonly onKeyDown: (event: KeyboardEvent) => void };

function MarkMenu({ block, destination, turned, turn, turnBelow, onKeyDown }: MenuProps) {
  const kind = textKindOf(block);
  const choices = kind === undefined ? [] : destinationsOf(kind);
  return (
    <Menu role="menu" onKeyDown={onKeyDown}>
      {DESTINATIONS.filter((one) => choices.includes(one)).map((one) => (
        <Choice
          key={one}
          role="menuitemradio"
          aria-checked={one === destination}
          fontWeight={one === destination ? 600 : 400}
          onClick={() => turn(one)}
        >
          <Mark destination={one} size={26} />
          {DESTINATION_LABELS[one]}
        </Choice>
      ))}
      {block.kind === 'heading' && (
        <Below>
          <span>{t('body text below it')}</span>
          {BELOW.map((to) => (
            <button
              key={to}
              type="button"
              role="menuitem"
              aria-label={t('Body text below it: {destination}', { destination: DESTINATION_LABELS[to] })}
              title={DESTINATION_LABELS[to]}
              onClick={() => turnBelow(to)}
            >
              <Mark destination={to} size={24} />
            </button>
          ))}
        </Below>
      )}
      {turned && (
        <Choice
          role="menuitemradio"
          aria-checked={false}
          borderTop="1px solid"
          borderColor="line"
          onClick={() => turn(null)}
        >
          <span />
          {t('as the map says')}
        </Choice>
      )}
    </Menu>
  );
}

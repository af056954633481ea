/** Writing on the slide: a field over the drawn text, in its type. */
import { chakra } from '@chakra-ui/react';
import { plain, retext, runsText, type Runs, type PartId } from '@alvex/core';
import { useEffect, useRef } from 'react';
import { edit } from '../../state/log-store.ts';
import { usePages } from '../../state/pages-store.ts';
import { useLeaving } from '../../ui/use-leaving.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';

const Area = chakra('textarea', {
  base: {
    position: 'absolute',
    p: 0,
    m: 0,
    border: 0,
    bg: 'transparent',
    resize: 'none',
    overflow: 'hidden',
    outline: '2px solid',
    outlineColor: 'amber',
    outlineOffset: '4px',
    lineHeight: 1.25,
  },
});

export function SlideWriter({
  row,
  target,
  close,
}: {
  readonly row: Row;
  readonly target: PartId | 'title';
  readonly close: () => void;
}) {
  const area = useRef<HTMLTextAreaElement>(null);
  const drawing = usePages((state) => state.drawings.get(row.key));
  const text = drawing?.texts.find((candidate) => candidate.target === target);
  const part = row.content.find((candidate) => candidate.id === target);
  const runs: Runs | undefined =
    target === 'title' ? row.title.runs : part !== undefined && 'runs' in part ? part.runs : undefined;
  useEffect(() => {
    area.current?.focus();
    area.current?.select();
  }, []);
  /** Null where nothing was written since it was kept. */
  const written = useRef<string | null>(null);
  const keep = () => {
    const words = written.current?.trim();
    written.current = null;
    if (words === undefined || runs === undefined || words === runsText(runs)) return;
    if (target === 'title') {
      // A slide is never without a title.
      if (words !== '') edit({ kind: 'retitle', slide: row.slide, runs: retext(runs, words) });
    } else
      edit({
        kind: 'reword',
        part: target,
        runs: words === '' ? [] : runs.length === 0 ? plain(words) : retext(runs, words),
      });
  };
  useLeaving(keep);
  const pieces = text?.bullet === true ? text.pieces.slice(1) : text?.pieces;
  const first = pieces?.[0];
  if (text === undefined || runs === undefined || first === undefined) return null;
  const left = Math.min(...pieces!.map((piece) => piece.x));
  const size = drawing!.size;
  const percent = (value: number, of: number) => `${(value / of) * 100}%`;
  return (
    <Area
      ref={area}
      aria-label={target === 'title' ? t('Title') : t('Text')}
      defaultValue={runsText(runs)}
      onInput={(event) => (written.current = event.currentTarget.value)}
      onBlur={() => {
        close();
        keep();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        // Escape keeps what was written; undoing takes it back.
        if (event.key === 'Escape' || (event.key === 'Enter' && !event.shiftKey)) {
          event.preventDefault();
          event.currentTarget.blur();
        }
      }}
      style={{
        left: percent(left, size.width),
        top: percent(text.y, size.height),
        width: percent(text.x + text.width - left, size.width),
        height: percent(Math.max(text.height, first.size * 1.4), size.height),
        fontSize: `${(first.size / size.width) * 100}cqw`,
        fontFamily: `'${first.family}'`,
        fontWeight: first.bold ? 700 : 400,
        color: `#${first.color}`,
        background: `#${text.behind ?? drawing!.ground}`,
      }}
    />
  );
}

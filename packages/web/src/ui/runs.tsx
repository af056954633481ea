/** Inline text as it stands in the document. */
import { chakra } from '@chakra-ui/react';
import type { Run, Runs } from '@alvex/core';

const Bold = chakra('b', { base: { fontWeight: 700 } });
const CodeText = chakra('code', { base: { fontFamily: 'mono', fontSize: '0.88em' } });
const LinkText = chakra('span', {
  base: { textDecoration: 'underline', textDecorationColor: 'pine', textUnderlineOffset: '2px' },
});

function piece(run: Run, key: number) {
  let node = <>{run.text}</>;
  if (run.position === 'super') node = <sup>{node}</sup>;
  if (run.position === 'sub') node = <sub>{node}</sub>;
  if (run.code) node = <CodeText>{node}</CodeText>;
  if (run.strike) node = <s>{node}</s>;
  if (run.italic) node = <em>{node}</em>;
  if (run.bold) node = <Bold>{node}</Bold>;
  if (run.link) node = <LinkText title={run.link}>{node}</LinkText>;
  return <span key={key}>{node}</span>;
}

export function RunsText({ runs }: { readonly runs: Runs }) {
  if (runs.length === 1 && Object.keys(runs[0]!).length === 1) return <>{runs[0]!.text}</>;
  return <>{runs.map(piece)}</>;
}

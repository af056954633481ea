/** What the editor knows of a document beyond paragraphs, lists and tables. */
import { Box, chakra } from '@chakra-ui/react';
import { Extension, Mark, mergeAttributes, Node } from '@tiptap/core';
import { TableKit } from '@tiptap/extension-table';
import { NodeViewWrapper, ReactNodeViewRenderer, type NodeViewProps } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import type { Picture } from '@alvex/core';
import { pictureUrl } from '../../api/client.ts';
import { useDeck, usePictures } from '../../state/deck-store.ts';
import { BlockText } from '../../ui/block-text.tsx';

/** Blocks know where they came from; what is split off is new. */
const BlockIds = Extension.create({
  name: 'blockIds',
  addGlobalAttributes: () => [
    {
      types: ['heading', 'paragraph', 'codeBlock', 'horizontalRule', 'table', 'keptBlock', 'newPicture'],
      attributes: { blockId: { default: null, keepOnSplit: false, rendered: false } },
    },
    { types: ['paragraph'], attributes: { role: { default: null, keepOnSplit: false, rendered: false } } },
  ],
});

const Position = Mark.create({
  name: 'position',
  addAttributes: () => ({ at: { default: 'super' } }),
  parseHTML: () => [
    { tag: 'sup', attrs: { at: 'super' } },
    { tag: 'sub', attrs: { at: 'sub' } },
  ],
  renderHTML: ({ mark, HTMLAttributes }) => [
    mark.attrs['at'] === 'sub' ? 'sub' : 'sup',
    mergeAttributes(HTMLAttributes),
    0,
  ],
});

/** A picture, a footnote, or what is left out: moved and taken out here, not written. */
const KeptBlock = Node.create({
  name: 'keptBlock',
  group: 'block',
  atom: true,
  draggable: true,
  parseHTML: () => [{ tag: 'div[data-kept]' }],
  renderHTML: () => ['div', { 'data-kept': '' }],
  addNodeView: () => ReactNodeViewRenderer(KeptView),
});

function KeptView({ node }: NodeViewProps) {
  const block = useDeck((state) => state.blockById.get(node.attrs['blockId'] as string));
  const deck = useDeck((state) => state.deck?.id ?? '');
  const pictures = usePictures();
  return (
    <NodeViewWrapper>
      <Box color={block?.left === undefined ? undefined : 'pale'}>
        {block !== undefined && <BlockText block={block} deck={deck} pictures={pictures} />}
      </Box>
    </NodeViewWrapper>
  );
}

/** A picture that is put in here. */
const NewPicture = Node.create({
  name: 'newPicture',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({ picture: { default: null, rendered: false } }),
  parseHTML: () => [{ tag: 'div[data-new-picture]' }],
  renderHTML: () => ['div', { 'data-new-picture': '' }],
  addNodeView: () => ReactNodeViewRenderer(NewPictureView),
});

function NewPictureView({ node }: NodeViewProps) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const picture = node.attrs['picture'] as Picture;
  return (
    <NodeViewWrapper>
      <chakra.img
        src={pictureUrl(deck, picture.id)}
        alt=""
        maxH="160px"
        maxW="260px"
        border="1px solid"
        borderColor="line"
      />
    </NodeViewWrapper>
  );
}

/** One level down or up without leaving the text: `Ctrl .` and `Ctrl ,`. */
const Levels = Extension.create({
  name: 'levels',
  addKeyboardShortcuts() {
    const step = (by: 1 | -1) => () => {
      const { editor } = this;
      if (editor.isActive('listItem'))
        return by > 0 ? editor.commands.sinkListItem('listItem') : editor.commands.liftListItem('listItem');
      const level = editor.isActive('heading') ? (editor.getAttributes('heading')['level'] as number) : by > 0 ? 0 : 7;
      const next = level + by;
      return next < 1 || next > 6 ? editor.commands.setParagraph() : editor.commands.setHeading({ level: next as 1 });
    };
    return { 'Mod-.': step(1), 'Mod-,': step(-1) };
  },
});

export const EXTENSIONS = [
  StarterKit.configure({ link: { openOnClick: false, autolink: true }, trailingNode: false }),
  TableKit.configure({ table: { resizable: false } }),
  BlockIds,
  Position,
  KeptBlock,
  NewPicture,
  Levels,
];

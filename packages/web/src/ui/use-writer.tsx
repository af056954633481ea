/** An editor of formatted text that can be written in from the moment it is asked for. */
import { useEditor, type Editor, type UseEditorOptions } from '@tiptap/react';
import { useEffect } from 'react';
import { takeTyped } from './typed-ahead.tsx';

/**
 * It has the focus as soon as it stands on the page, and what was typed until then.
 * It is made after the page around it: one that is made while the page is drawn may take the focus before it is anywhere,
 * and so never have it, or be thrown away where drawing is interrupted.
 * @param at Where the cursor stands.
 * @returns null while there is none.
 */
export function useWriter(at: 'start' | 'end', options: UseEditorOptions): Editor | null {
  const editor = useEditor({ ...options, autofocus: false, injectCSS: false, immediatelyRender: false });
  useEffect(() => {
    if (editor === null) return;
    editor.commands.setTextSelection(at === 'start' ? 0 : editor.state.doc.content.size);
    editor.view.focus();
    insertTyped(editor);
  }, [editor, at]);
  return editor;
}

function insertTyped(editor: Editor): void {
  takeTyped()
    .split('\n')
    .forEach((line, i) => {
      if (i > 0) editor.commands.splitBlock();
      if (line !== '') editor.view.dispatch(editor.state.tr.insertText(line));
    });
}

/** The selection as the browser has it now; it tells of it a little later than the next key can be pressed. */
import { TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/** Makes the browser's selection of words the editor's own, before the focus goes on to a tool. */
export function takeSelection(view: EditorView): void {
  const { state, dom } = view;
  const seen = document.getSelection();
  if (seen === null || !(state.selection instanceof TextSelection)) return;
  const { anchorNode, anchorOffset, focusNode, focusOffset } = seen;
  if (!dom.contains(anchorNode) || !dom.contains(focusNode) || !anchorNode || !focusNode) return;
  const anchor = state.doc.resolve(view.posAtDOM(anchorNode, anchorOffset));
  const head = state.doc.resolve(view.posAtDOM(focusNode, focusOffset));
  const selection = TextSelection.between(anchor, head);
  if (!selection.eq(state.selection)) view.dispatch(state.tr.setSelection(selection));
}

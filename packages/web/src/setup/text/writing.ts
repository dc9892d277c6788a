/**
 * What is written in an editor, on its way to the plan. A long text waits for a rest, so that the next letter need not;
 * one that is too long stays in the editor, also when one comes back to it, and is not told.
 */
import { MAX_TEXT } from '@itinerary/core';
import type { Editor } from '@tiptap/core';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { ComputedRef } from 'vue';
import { leftDraft } from '../../ui/fields/reading/left-drafts.ts';

/** In characters of HTML: what is shorter is written with every letter. */
const LONG = 20_000;
const REST_MS = 400;

/** The same HTML may be written in two ways (`<br>`, `<br />`); the browser's own is compared. */
export function plain(html: string): string {
  const holder = document.createElement('template');
  holder.innerHTML = html;
  return holder.innerHTML;
}

const STEPS = 'history';

/** Another text in the same editor: of the one before nothing is left, also not to take back. */
export function startAnew(editor: Editor, html: string): void {
  editor.commands.setContent(html, { emitUpdate: false });
  editor.commands.setTextSelection(0);
  // What can be taken back is the plugin's own state, which begins with it.
  const steps = editor.state.plugins.find((one) => (one as unknown as { key: string }).key.startsWith(STEPS));
  if (steps === undefined) return;
  editor.unregisterPlugin(STEPS);
  editor.registerPlugin(steps);
}

export interface Writing {
  /** Another text is written from here on. What was left of it, too long to keep: there is that to begin with. */
  readonly begin: (name: string) => string | null;
  /** Characters of the text as it is written, with its formatting. */
  readonly length: ComputedRef<number>;
  readonly isTooLong: ComputedRef<boolean>;
  /** Something was written in the editor. */
  readonly wrote: (editor: Editor) => void;
  /** What waits for a rest is told now. */
  readonly flush: () => void;
  /** Whether a stored text is one that was written here: it comes back a little later than the next letter is typed. */
  readonly isOwn: (stored: string) => boolean;
}

export function useWriting(tell: (html: string | null) => void): Writing {
  let kept = leftDraft(undefined);
  const length = ref(0);
  const written = new Set<string>();
  let waiting: Editor | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  function flush(): void {
    clearTimeout(timer);
    const editor = waiting;
    waiting = null;
    if (editor === null || editor.isDestroyed) return;
    const html = editor.isEmpty ? null : editor.getHTML();
    length.value = html?.length ?? 0;
    if (length.value > MAX_TEXT) {
      kept.keep(html);
      return;
    }
    kept.keep(null);
    written.add(plain(html ?? ''));
    tell(html);
  }

  function wrote(editor: Editor): void {
    waiting = editor;
    clearTimeout(timer);
    if (length.value < LONG) flush();
    else timer = setTimeout(flush, REST_MS);
  }

  const onHide = (): void => flush();
  onMounted(() => window.addEventListener('pagehide', onHide, { capture: true }));
  onBeforeUnmount(() => {
    window.removeEventListener('pagehide', onHide, { capture: true });
    flush();
  });

  function begin(name: string): string | null {
    kept = leftDraft(name);
    written.clear();
    const left = kept.get();
    length.value = left?.length ?? 0;
    return left;
  }

  return {
    begin,
    length: computed(() => length.value),
    isTooLong: computed(() => length.value > MAX_TEXT),
    wrote,
    flush,
    isOwn: (stored) => written.has(stored),
  };
}

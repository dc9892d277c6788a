/** What stands in a field while somebody types, and which keys take back. */
import { describe, expect, test } from '@jest/globals';
import { effectScope, nextTick, ref } from 'vue';
import { undoKeys } from '../../src/setup/frame/undo-keys.ts';
import { useDraft } from '../../src/ui/fields/reading/use-draft.ts';

function draftOf(
  stored: string,
  mayBeEmpty = false,
): { stored: ReturnType<typeof ref<string>>; field: ReturnType<typeof useDraft>; committed: string[] } {
  const value = ref<string | undefined>(stored);
  const committed: string[] = [];
  const field = effectScope().run(() =>
    useDraft(
      () => value.value ?? '',
      (text) => {
        if (text === '' && !mayBeEmpty) return;
        committed.push(text);
        value.value = text;
      },
    ),
  );
  if (field === undefined) throw new Error('no scope');
  return { stored: value, field, committed };
}

describe('a draft', () => {
  test('keeps a trailing space while one types on, and stores without it', async () => {
    const { field, committed } = draftOf('Low');
    field.typed('Low ');
    await nextTick();
    expect(field.draft.value).toBe('Low ');
    field.typed('Low tide');
    expect(committed).toEqual(['Low tide']);
  });

  test('may stand empty while one types, and comes back when one leaves', async () => {
    const { field, committed } = draftOf('Low');
    field.typed('');
    await nextTick();
    expect(field.draft.value).toBe('');
    field.left();
    expect(field.draft.value).toBe('Low');
    expect(committed).toEqual([]);
  });

  test('follows what somebody else stored', async () => {
    const { stored, field } = draftOf('Low');
    stored.value = 'High';
    await nextTick();
    expect(field.draft.value).toBe('High');
  });

  test('empties where empty has a meaning', () => {
    const { field, committed } = draftOf('Low', true);
    field.typed('   ');
    expect(committed).toEqual(['']);
  });
});

describe('keys', () => {
  interface Press {
    readonly key: string;
    readonly ctrlKey?: boolean;
    readonly metaKey?: boolean;
    readonly shiftKey?: boolean;
    readonly altKey?: boolean;
    readonly inText?: boolean;
    readonly taken?: boolean;
  }

  function press({ inText = false, taken = false, ...keys }: Press): string[] {
    const done: string[] = [];
    const onKey = undoKeys({ undo: () => done.push('undo'), redo: () => done.push('redo') });
    const event = {
      ctrlKey: false,
      metaKey: false,
      shiftKey: false,
      altKey: false,
      ...keys,
      defaultPrevented: taken,
      target: { isContentEditable: inText },
      preventDefault: () => done.push('kept'),
    };
    onKey(event as unknown as KeyboardEvent);
    return done.filter((what) => what !== 'kept');
  }

  test.each<[string, Press, string[]]>([
    ['Ctrl Z', { key: 'z', ctrlKey: true }, ['undo']],
    ['⌘ Z', { key: 'z', metaKey: true }, ['undo']],
    ['Ctrl Shift Z', { key: 'Z', ctrlKey: true, shiftKey: true }, ['redo']],
    ['Ctrl Y', { key: 'y', ctrlKey: true }, ['redo']],
    ['z alone', { key: 'z' }, []],
    ['Ctrl Alt Z', { key: 'z', ctrlKey: true, altKey: true }, []],
    ['Ctrl X', { key: 'x', ctrlKey: true }, []],
    ['Ctrl Z in a rich text', { key: 'z', ctrlKey: true, inText: true }, []],
    ['Ctrl Z that something else took', { key: 'z', ctrlKey: true, taken: true }, []],
  ])('%s', (_name, keys, done) => expect(press(keys)).toEqual(done));
});

/** Tags as they are typed: trimmed, each once. What cannot be one stays among them, and why is said. */
import { MAX_TAG, MAX_TAGS } from '@itinerary/core';
import { computed, onBeforeUnmount, ref } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { leftDraft } from '../../ui/fields/reading/left-drafts.ts';

export interface Tags {
  /** Typed and not taken: longer than a tag can be, or one too many. */
  readonly left: Ref<readonly string[]>;
  readonly setTags: (tags: readonly unknown[]) => void;
  readonly wrong: ComputedRef<string | null>;
}

export function useTags(): Tags {
  const { t } = useI18n();
  const plan = usePlan();
  const kept = leftDraft('tags');
  const left = ref<readonly string[]>(JSON.parse(kept.get() ?? '[]') as string[]);
  onBeforeUnmount(() => kept.keep(left.value.length === 0 ? null : JSON.stringify(left.value)));

  function setTags(tags: readonly unknown[]): void {
    const { course } = plan;
    if (course === null) return;
    const known = new Set([...course.tags, ...left.value]);
    // Several that are typed or pasted at once stand with commas between them.
    const all = tags.map(String).flatMap((tag) => (known.has(tag) ? [tag] : tag.split(/[,;\n]/)));
    const words = [...new Set(all.map((tag) => tag.trim()).filter((tag) => tag !== ''))];
    const taken = words.filter((tag) => tag.length <= MAX_TAG).slice(0, MAX_TAGS);
    left.value = words.filter((tag) => !taken.includes(tag));
    plan.set(course.id, 'tags', taken, course.tags);
  }

  const wrong = computed(() => {
    const long = left.value.find((tag) => tag.length > MAX_TAG);
    if (long !== undefined) return t('setup.about.tagTooLong', { tag: long, most: MAX_TAG });
    return left.value.length > 0 ? t('setup.about.tagsFull', { most: MAX_TAGS }) : null;
  });

  return { left, setTags, wrong };
}

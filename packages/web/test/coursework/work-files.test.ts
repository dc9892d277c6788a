/**
 * Files that somebody chooses for what is begun.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, test } from '@jest/globals';
import WorkFiles from '../../src/learner/coursework/WorkFiles.vue';
import FilePicker from '../../src/ui/frame/FilePicker.vue';
import { showing } from '../support/mounted.ts';

const show = showing();
const file = (name: string, size: number): File => {
  const made = new File(['x'], name);
  Object.defineProperty(made, 'size', { value: size });
  return made;
};
const [small, large] = [file('small.txt', 900_000), file('large.txt', 1_100_000)];

describe('files that are chosen', () => {
  test('before it is known how large they may be wait for that, and none is lost', async () => {
    const work = show(WorkFiles, { props: { files: [], uploads: [], most: 5, megabytes: null, says: '' } });
    const picker = work.findComponent(FilePicker);
    picker.vm.$emit('pick', [small]);
    picker.vm.$emit('pick', [large]);
    await work.setProps({ megabytes: 1 });
    expect(work.emitted('add')).toEqual([[[small]]]);
    expect(work.text()).toContain('large.txt is larger than 1 MB and was not sent.');
    // Once, and not again when the limit changes.
    await work.setProps({ megabytes: 2 });
    expect(work.emitted('add')).toHaveLength(1);
    picker.vm.$emit('pick', [large]);
    expect(work.emitted('add')?.[1]).toEqual([[large]]);
  });
});

/**
 * What a page hears of the line itself.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, jest, test } from '@jest/globals';
import { mount } from '@vue/test-utils';
import { defineComponent } from 'vue';

class Line extends EventTarget {
  static readonly CLOSED = 2;
  static last: Line;
  readyState = 0;
  constructor() {
    super();
    Line.last = this;
  }
  says(what: string): void {
    this.dispatchEvent(new Event(what));
  }
}

/** A page that listens, on a line of its own. */
async function listening(): Promise<{ line: Line; heard: string[] }> {
  jest.resetModules();
  class Channel extends EventTarget {
    postMessage(): void {}
  }
  Object.assign(globalThis, { EventSource: Line, BroadcastChannel: Channel });
  const { useLive } = await import('../../src/stores/live.ts');
  const heard: string[] = [];
  mount(defineComponent({ setup: () => useLive(({ kind }) => heard.push(kind)), render: () => null }));
  return { line: Line.last, heard };
}

test('a line that stands at once has nothing missed', async () => {
  const { line, heard } = await listening();
  line.says('ready');
  line.says('look');
  expect(heard).toEqual(['look']);
});

test('a line that comes back tells that something may have been missed, each time', async () => {
  const { line, heard } = await listening();
  line.says('ready');
  line.says('error');
  line.says('ready');
  line.says('error');
  line.says('error');
  line.says('ready');
  expect(heard).toEqual(['missed', 'missed']);
});

test('so does one that went down before it had ever stood', async () => {
  const { line, heard } = await listening();
  line.says('error');
  line.says('ready');
  expect(heard).toEqual(['missed']);
});

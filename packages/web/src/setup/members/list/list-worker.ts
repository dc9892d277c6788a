/** Holds lists against a course beside the page, so that it goes on being answered. */
import { workOn } from './held-list.ts';
import type { ListTask } from './held-list.ts';

addEventListener('message', ({ data }: MessageEvent<ListTask>) => {
  workOn(data, (news) => postMessage(news)).catch((error: unknown) => postMessage({ failed: String(error) }));
});

/** A post as it is written: begun, kept on its way, and done with once it is posted. */
import type { PostDraft } from '@itinerary/contract';
import { addressOf, ask } from '../../../api/client.ts';
import { deviceFor } from '../../../stores/device/on-device.ts';
import { useBegun } from '../use-begun.ts';
import type { Begun } from '../use-begun.ts';

export type TypedPost = Readonly<Record<'title' | 'html', string>>;

export interface Where {
  readonly course: string;
  readonly item: string;
  readonly person: string;
  /** `new`, the thread that is answered, or the post that is changed. */
  readonly place: string;
}

export interface Post extends Begun<TypedPost, PostDraft> {
  /** What was begun is given up. */
  readonly giveUp: () => Promise<void>;
}

/** @param before the post that is changed, as it stands */
export function usePost(
  { course, item, person, place }: Where,
  before: { readonly html: string; readonly files: PostDraft['files'] } | null,
): Post {
  const params = { course, item, place };
  const nothing: TypedPost = { title: '', html: before?.html ?? '' };
  const begun = useBegun<TypedPost, PostDraft>({
    device: deviceFor('talk', person, course, item, place),
    nothing,
    read: () => ask('GET /api/learn/{course}/items/{item}/discussion/drafts/{place}', { params }),
    keep: (body) => ask('PUT /api/learn/{course}/items/{item}/discussion/drafts/{place}', { params, body }),
    uploadTo: addressOf('POST /api/learn/{course}/items/{item}/discussion/drafts/{place}/files', { params }),
    there: ({ version, title, html, files }) =>
      version === 0
        ? { version, typed: nothing, files: before?.files ?? [] }
        : { version, typed: { title, html }, files },
    mayWrite: () => true,
  });
  return {
    ...begun,
    giveUp: async () => {
      begun.done(null);
      // One that stays with the server takes nothing from anybody, and can be given up later.
      await ask('DELETE /api/learn/{course}/items/{item}/discussion/drafts/{place}', { params }).catch(
        () => undefined,
      );
    },
  };
}

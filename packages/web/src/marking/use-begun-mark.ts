/**
 * Marks as they are given: each stays with its work until it is kept, whoever is looked at meanwhile, and on the device
 * over a reload; a file on its way goes on, and a mark is kept once it has come.
 */
import type { LookedAtAnswer } from '@itinerary/contract';
import { effectScope, onScopeDispose, ref, watch } from 'vue';
import type { Ref } from 'vue';
import { addressOf } from '../api/client.ts';
import { sendFile, Stopped } from '../api/upload.ts';
import { MOST_MARK_FILES } from '../stores/limits.ts';
import { deviceFor } from '../stores/device/on-device.ts';
import type { Given } from './use-marking.ts';

type Mark = LookedAtAnswer['marks'][number];
type Back = Mark['files'][number];

export interface BegunMark {
  readonly points: Ref<number | null>;
  readonly comment: Ref<string>;
  readonly files: Ref<Given['files']>;
  /** Names of files that are on their way. */
  readonly sending: Ref<readonly string[]>;
  /** Names of files for which there was no room. */
  readonly leftOut: Ref<readonly string[]>;
  /** What a file was refused with. */
  readonly refused: Ref<unknown>;
  /** Something of it differs from the mark that stands. */
  readonly isBegun: Ref<boolean>;
  readonly take: (chosen: readonly File[]) => void;
  /** Once nothing is on its way any more; null: a file has not come, and why is in `refused`. */
  readonly whole: () => Promise<Given | null>;
  /** What was given stands as this mark. */
  readonly kept: (given: Given, standing: Mark | null) => void;
  /** It is put away: what stands is what there is. */
  readonly drop: () => void;
  readonly stop: () => void;
}

const NOTHING: Given = { points: null, comment: '', files: [] };
const plain = ({
  points,
  comment,
  files,
}: Omit<Given, 'files'> & { readonly files: Mark['files'] | Given['files'] }): Given => ({
  points,
  comment,
  files: files.map(({ hash, name }) => ({ hash, name })),
});
const isSame = (one: Given, other: Given): boolean =>
  JSON.stringify(plain(one)) === JSON.stringify(plain(other));

function begin(course: string, person: string, handed: string, standing: Mark | null): BegunMark {
  const device = deviceFor<Given>('mark', person, handed);
  const before = ref(plain(standing ?? NOTHING));
  const from = device.read() ?? before.value;
  const points = ref(from.points);
  const comment = ref(from.comment);
  const files = ref(from.files);
  const sending = ref<readonly string[]>([]);
  const leftOut = ref<readonly string[]>([]);
  const refused = ref<unknown>(null);
  const isBegun = ref(false);
  const onTheirWay = new Set<{ readonly done: Promise<unknown>; readonly stop: () => void }>();

  const now = (): Given => ({ points: points.value, comment: comment.value, files: [...files.value] });
  function put(what: Given): void {
    [points.value, comment.value, files.value] = [what.points, what.comment, what.files];
    [refused.value, leftOut.value] = [null, []];
  }
  const look = (): void => {
    isBegun.value = !isSame(now(), before.value);
    if (isBegun.value) device.keep(now());
    else device.forget();
  };
  watch([points, comment, files, before], look, { immediate: true, flush: 'sync' });

  function send(file: File): void {
    const address = addressOf('POST /api/courses/{course}/coursework/{handed}/files', {
      params: { course, handed },
    });
    const one = sendFile<Back>(address, file, { progress: () => undefined });
    sending.value = [...sending.value, file.name];
    const done = one.done
      .then(
        ({ hash, name }) => {
          files.value = [...files.value.filter((other) => other.hash !== hash), { hash, name }];
        },
        (error: unknown) => {
          if (!(error instanceof Stopped)) refused.value = error;
        },
      )
      .finally(() => {
        onTheirWay.delete(way);
        const at = sending.value.indexOf(file.name);
        sending.value = sending.value.filter((_name, other) => other !== at);
      });
    const way = { done, stop: one.stop };
    onTheirWay.add(way);
  }

  return {
    ...{ points, comment, files, sending, leftOut, refused, isBegun },
    take: (chosen) => {
      refused.value = null;
      const room = MOST_MARK_FILES - files.value.length - sending.value.length;
      leftOut.value = chosen.slice(Math.max(0, room)).map(({ name }) => name);
      chosen.slice(0, Math.max(0, room)).forEach(send);
    },
    whole: async () => {
      const isAnyOnItsWay = onTheirWay.size > 0;
      await Promise.all([...onTheirWay].map(({ done }) => done));
      // One that was refused before is said to be; then it is kept without it.
      return isAnyOnItsWay && refused.value !== null ? null : plain(now());
    },
    kept: (given, standing) => {
      const what = plain(standing ?? NOTHING);
      // What has been typed since is still to be kept.
      if (isSame(now(), given)) put(what);
      before.value = what;
    },
    drop: () => put(before.value),
    stop: () => onTheirWay.forEach((way) => way.stop()),
  };
}

/** Those of one page, by what was handed in. */
export function useBegunMarks(
  course: string,
  person: string,
): (handed: string, standing: Mark | null) => BegunMark {
  const all = new Map<string, BegunMark>();
  const scope = effectScope(true);
  onScopeDispose(() => {
    all.forEach((one) => one.stop());
    scope.stop();
  });
  return (handed, standing) => {
    const found = all.get(handed);
    if (found !== undefined) return found;
    const one = scope.run(() => begin(course, person, handed, standing)) as BegunMark;
    all.set(handed, one);
    return one;
  };
}

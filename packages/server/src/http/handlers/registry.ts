/** Reading the institution's registry, and courses that follow its classes. */
import type { REGISTRY_ROUTES, RegistryAnswer } from '@itinerary/contract';
import { dayOf } from '@itinerary/core';
import { addJob } from '../../db/queue.ts';
import { setFollows } from '../../usecases/registry/follows.ts';
import { registryPage } from '../../usecases/registry/registry-page.ts';
import { settleRegistry } from '../../usecases/registry/settle.ts';
import { taught } from '../../usecases/registry/classes.ts';
import { readingOf } from '../../usecases/registry/take-reading.ts';
import type { Call, HandlersOf } from '../call.ts';

/** As it stands after what has been done: what was read before it is forgotten. */
type Asked = Pick<Call<'registry'>, 'em' | 'config' | 'who' | 'now'>;
async function pageNow({ em, config, who, now }: Asked): Promise<RegistryAnswer> {
  const fresh = em.fork();
  const { course } = who.loaded;
  const today = dayOf(now, course.dates.zone);
  return registryPage(fresh, course, who.person, config.registry !== null, today);
}

export const REGISTRY: HandlersOf<typeof REGISTRY_ROUTES> = {
  taught: ({ em, config, who, now }) => taught(em, who.person, config.registry !== null, now.slice(0, 10)),
  readRegistry: async ({ em, config, who }) => {
    const isThere = config.registry !== null;
    // Asked for by many at once, it is read once.
    if (isThere) await addJob(em, 'read_registry', {}, { key: 'read_registry' });
    return readingOf(em, who.person.institutionId, isThere);
  },
  registry: (call) => pageNow(call),
  follow: async (call) => {
    const { em, who, body, now } = call;
    await setFollows(em.fork(), who.loaded.course.id, body, { person: who.person, now });
    return pageNow(call);
  },
  settleRegistry: async (call) => {
    const { em, who, body, now } = call;
    await settleRegistry(em.fork(), who.loaded.course.id, body, { person: who.person, now });
    return pageNow(call);
  },
};

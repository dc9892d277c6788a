/** Who is signed in, and the clock that the server hands over. */
import type { MeAnswer } from '@itinerary/contract';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { beLeaving } from '../api/leaving.ts';
import { dayIn } from '../words/dates.ts';

export const useSession = defineStore('session', () => {
  const me = shallowRef<MeAnswer | null>(null);
  const receivedAt = ref(0);

  function take(answer: MeAnswer): void {
    me.value = answer;
    receivedAt.value = performance.now();
  }

  async function load(): Promise<void> {
    take(await ask('GET /api/me', {}));
  }

  async function signIn(address: string, password: string): Promise<void> {
    take(await ask('POST /api/session', { body: { address, password } }));
  }

  async function signInAs(person: string): Promise<void> {
    take(await ask('POST /api/demo/session', { body: { person } }));
  }

  /** An account for the address to which an invitation went. */
  async function byInvitation(key: string, name: string, password: string): Promise<void> {
    take((await ask('POST /api/accounts/invited', { body: { key, name, password } })).me);
  }

  /**
   * By the link of a letter: makes the account, or sets its password.
   *
   * @returns the page from which they had come
   */
  async function byLetter(key: string, name: string | null, password: string): Promise<string | null> {
    const body = { name, password };
    const { me: mine, onward } = await ask('POST /api/accounts/keys/{key}', { params: { key }, body });
    take(mine);
    return onward;
  }

  /** @param goOn to where nobody has to be signed in */
  async function signOut(goOn: () => Promise<unknown>): Promise<void> {
    beLeaving(true);
    try {
      await ask('DELETE /api/session', {});
      await load();
      await goOn();
    } finally {
      beLeaving(false);
    }
  }

  /** The server's clock, going on from its last answer; it stands when the server's does. */
  function now(): string {
    const answer = me.value;
    if (answer === null) return new Date(0).toISOString();
    const passed = answer.clockStands ? 0 : performance.now() - receivedAt.value;
    return new Date(Date.parse(answer.now) + passed).toISOString();
  }

  // A page left open overnight must not show yesterday.
  const minute = ref(0);
  setInterval(() => (minute.value += 1), 60_000);

  /** Today in the institution's zone. */
  const today = computed(() => {
    void minute.value;
    return me.value === null ? '1970-01-01' : dayIn(now(), me.value.institution.zone);
  });
  const person = computed(() => me.value?.person ?? null);

  /** Institution staff have changed what it keeps for all courses. */
  function keepOfInstitution(
    kept: Partial<Pick<MeAnswer['institution'], 'holidays' | 'pages' | 'nameOrder'>>,
  ): void {
    if (me.value === null) return;
    me.value = { ...me.value, institution: { ...me.value.institution, ...kept } };
  }

  return {
    me,
    person,
    today,
    keepOfInstitution,
    load,
    signIn,
    signInAs,
    byInvitation,
    byLetter,
    signOut,
    now,
  };
});

/** The payment desk, as it is asked over HTTP, and the notices that it signs. */
import { createHmac, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';

export interface DeskSettings {
  /** `http://host:port`, without a slash at its end. */
  readonly url: string;
  /** Shared with the desk: asks in our name, and signs notices. */
  readonly secret: string;
}

export interface Wanted {
  /** Ours: asked for twice, it is one payment. */
  readonly reference: string;
  readonly amount: number;
  readonly currency: string;
  readonly what: string;
  /** Where the desk tells what has become of it, and where whoever pays goes back to. */
  readonly notify: string;
  readonly back: string;
  /** In seconds. */
  readonly lasts: number;
}

export const DESK_STATES = ['open', 'paid', 'refused', 'timed_out', 'taken_back'] as const;
export type DeskState = (typeof DESK_STATES)[number];

const openedSchema = z.object({ id: z.string().min(1).max(100), page: z.url({ protocol: /^https?$/ }) });
const againSchema = z.object({ id: z.string().min(1).max(100), state: z.enum(DESK_STATES) });
const standingSchema = z.object({ state: z.enum(DESK_STATES) });

export interface Desk {
  /** @throws DeskAway */
  readonly open: (wanted: Wanted) => Promise<z.infer<typeof openedSchema>>;
  /**
   * Takes for another period what is agreed, from whoever has paid for one, without asking them.
   *
   * @param id of the payment before @throws DeskAway
   */
  readonly again: (id: string, wanted: Wanted) => Promise<{ readonly id: string; readonly state: DeskState }>;
  /** @throws DeskAway */
  readonly stateOf: (id: string) => Promise<DeskState>;
  /** Pays it back; twice is once. @throws DeskAway */
  readonly payBack: (id: string) => Promise<void>;
}

/** No answer came, or none that can be read: nobody knows whether it was heard. */
export class DeskAway extends Error {}

const TIME_OUT_MS = 10_000;

export function openDesk({ url, secret }: DeskSettings): Desk {
  const ask = async (method: 'GET' | 'POST', path: string, body?: object): Promise<unknown> => {
    let answer: Response;
    try {
      answer = await fetch(`${url}${path}`, {
        method,
        headers: { authorization: `Bearer ${secret}`, 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(TIME_OUT_MS),
      });
    } catch (error) {
      throw new DeskAway(`the payment desk does not answer: ${(error as Error).message}`);
    }
    if (!answer.ok) throw new DeskAway(`the payment desk answers ${answer.status}`);
    return answer.json();
  };
  const read = async <T>(schema: z.ZodType<T>, asked: Promise<unknown>): Promise<T> => {
    const parsed = schema.safeParse(await asked);
    if (!parsed.success) throw new DeskAway('the payment desk answers what nobody asked');
    return parsed.data;
  };
  return {
    open: (wanted) => read(openedSchema, ask('POST', '/payments', wanted)),
    again: (id, wanted) =>
      read(againSchema, ask('POST', `/payments/${encodeURIComponent(id)}/again`, wanted)),
    stateOf: async (id) =>
      (await read(standingSchema, ask('GET', `/payments/${encodeURIComponent(id)}`))).state,
    payBack: async (id) => {
      await read(standingSchema, ask('POST', `/payments/${encodeURIComponent(id)}/back`, {}));
    },
  };
}

export interface Notice {
  readonly id: string;
  readonly reference: string;
  readonly state: DeskState;
  readonly amount: number;
  readonly currency: string;
}

/** Over everything that it says: whoever has not the secret can say nothing. */
export const signatureOf = (secret: string, { id, reference, state, amount, currency }: Notice): string =>
  createHmac('sha256', secret)
    .update(JSON.stringify([id, reference, state, amount, currency]))
    .digest('hex');

export function isSigned(secret: string, notice: Notice, signature: string): boolean {
  const [expected, given] = [signatureOf(secret, notice), signature].map((text) => Buffer.from(text));
  return given !== undefined && expected?.length === given.length && timingSafeEqual(expected, given);
}

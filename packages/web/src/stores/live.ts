/**
 * What the server tells while a page is open. The tabs of one browser share one stream: the one that holds the lock
 * listens, and passes on what it hears.
 */
import { onBeforeUnmount, onMounted } from 'vue';

export type Heard =
  /** Something that they get is another now. */
  | { readonly kind: 'look' }
  /** A course that they plan has changed. */
  | { readonly kind: 'course'; readonly id: string; readonly seq: number }
  /** The line was down: any of it may have happened. */
  | { readonly kind: 'missed' };

const CHANNEL = 'itinerary.live';
const listeners = new Set<(heard: Heard) => void>();
let isStarted = false;

function hear(heard: Heard): void {
  listeners.forEach((listener) => listener(heard));
}

/** A browser reconnects by itself; what was missed meanwhile is asked for when it has. */
function listen(channel: BroadcastChannel): Promise<void> {
  const tell = (heard: Heard): void => {
    hear(heard);
    channel.postMessage(heard);
  };
  const source = new EventSource('/api/events');
  // Also where the line went down before it had ever stood: the page is older than that.
  let wasDown = false;
  source.addEventListener('ready', () => {
    if (wasDown) tell({ kind: 'missed' });
    wasDown = false;
  });
  source.addEventListener('missed', () => tell({ kind: 'missed' }));
  source.addEventListener('look', () => tell({ kind: 'look' }));
  source.addEventListener('course', (event) => {
    const { id, seq } = JSON.parse((event as MessageEvent<string>).data) as { id: string; seq: number };
    tell({ kind: 'course', id, seq });
  });
  // Signed out, there is nothing to hear; the next page that is opened tries again.
  return new Promise((resolve) => {
    source.addEventListener('error', () => {
      wasDown = true;
      if (source.readyState !== EventSource.CLOSED) return;
      isStarted = false;
      resolve();
    });
  });
}

function start(): void {
  if (isStarted || typeof EventSource === 'undefined' || typeof BroadcastChannel === 'undefined') return;
  isStarted = true;
  const channel = new BroadcastChannel(CHANNEL);
  channel.addEventListener('message', ({ data }: MessageEvent<Heard>) => hear(data));
  if ('locks' in navigator) void navigator.locks.request(CHANNEL, () => listen(channel));
  else void listen(channel);
}

/** Calls back while the component is there. */
export function useLive(listener: (heard: Heard) => void): void {
  onMounted(() => {
    listeners.add(listener);
    start();
  });
  onBeforeUnmount(() => listeners.delete(listener));
}

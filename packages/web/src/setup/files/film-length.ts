/** How long a film plays, as the browser reads it off the file before it is sent. */
const PATIENCE_MS = 8000;

/** @returns whole seconds; null: the browser cannot tell */
export function filmLength(file: Blob): Promise<number | null> {
  return new Promise((resolve) => {
    const player = document.createElement('video');
    const address = URL.createObjectURL(file);
    let isOver = false;
    const end = (seconds: number | null): void => {
      if (isOver) return;
      isOver = true;
      clearTimeout(timer);
      player.removeAttribute('src');
      URL.revokeObjectURL(address);
      resolve(seconds);
    };
    const timer = setTimeout(() => end(null), PATIENCE_MS);
    player.preload = 'metadata';
    player.onloadedmetadata = () =>
      end(Number.isFinite(player.duration) && player.duration > 0 ? Math.round(player.duration) : null);
    player.onerror = () => end(null);
    player.src = address;
  });
}

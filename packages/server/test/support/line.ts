/** A way to the database that can be held: what goes into it stays there, as with a database that has stopped. */
import { connect, createServer } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';

export interface Line {
  /** The database's address, through it. */
  readonly url: string;
  readonly hold: () => void;
  readonly letGo: () => void;
  readonly end: () => Promise<void>;
}

export async function lineTo(databaseUrl: string): Promise<Line> {
  const { hostname, port } = new URL(databaseUrl);
  const ends = new Set<Socket>();
  let isHeld = false;
  const server = createServer((near) => {
    const far = connect(Number(port), hostname);
    for (const [one, other] of [
      [near, far],
      [far, near],
    ] as const) {
      ends.add(one);
      one.pipe(other);
      one.on('error', () => other.destroy());
      one.on('close', () => {
        ends.delete(one);
        other.destroy();
      });
      if (isHeld) one.pause();
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const url = new URL(databaseUrl);
  url.hostname = '127.0.0.1';
  url.port = String((server.address() as AddressInfo).port);
  return {
    url: url.href,
    hold: () => {
      isHeld = true;
      for (const end of ends) end.unpipe();
    },
    letGo: () => {
      isHeld = false;
      for (const end of ends) end.destroy();
    },
    end: async () => {
      for (const end of ends) end.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

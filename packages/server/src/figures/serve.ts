/** The figures have an address of their own, on this machine alone: they are nobody's who uses the product. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Figures } from './figures.ts';

export interface FiguresDoor {
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** @param port 0 takes a free one */
export async function serveFigures(figures: Figures, port: number): Promise<FiguresDoor> {
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') {
      response.writeHead(404, { 'content-type': 'text/plain' }).end('The figures are at /metrics\n');
      return;
    }
    figures.text().then(
      (text) => response.writeHead(200, { 'content-type': figures.contentType }).end(text),
      () =>
        response
          .writeHead(503, { 'content-type': 'text/plain', 'retry-after': '2' })
          .end('The database does not answer\n'),
    );
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}

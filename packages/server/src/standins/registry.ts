/** `node registry.js` runs the stand-in for a college's registry; the environment says on which port. */
import { createServer } from 'node:http';
import { portOf } from './page.ts';
import { Register } from './registry/register.ts';
import { registerPage } from './registry/register-page.ts';

const port = portOf('REGISTRY_PORT');
const now = process.env['ITINERARY_NOW'];
const register = new Register({
  today: (now === undefined || now === '' ? new Date().toISOString() : now).slice(0, 10),
  file: process.env['REGISTRY_FILE'] ?? null,
});
const http = createServer(registerPage(register, process.env['REGISTRY_SECRET'] ?? ''));
http.once('error', (error) => {
  console.error(`The registry did not start: ${error.message}`);
  process.exit(1);
});
http.listen(port, '127.0.0.1', () => console.log(`registry at http://127.0.0.1:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    http.closeAllConnections();
    http.close(() => process.exit(0));
  });
}

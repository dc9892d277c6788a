/** `node pay-desk.js` runs the stand-in for a payment desk; the environment says on which port. */
import { createServer } from 'node:http';
import { Till } from './desk/till.ts';
import { tillPage } from './desk/till-page.ts';
import { portOf } from './page.ts';

const port = portOf('PAY_DESK_PORT');
const secret = process.env['PAY_DESK_SECRET'] ?? '';
const till = new Till({ secret, file: process.env['PAY_DESK_FILE'] ?? null });
const http = createServer(tillPage(till, secret, () => `http://127.0.0.1:${port}`));
http.once('error', (error) => {
  console.error(`The payment desk did not start: ${error.message}`);
  process.exit(1);
});
http.listen(port, '127.0.0.1', () => console.log(`payment desk at http://127.0.0.1:${port}`));
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => {
    till.close();
    http.closeAllConnections();
    http.close(() => process.exit(0));
  });
}

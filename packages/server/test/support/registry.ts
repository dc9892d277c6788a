/** The stand-in of the registry, in the tests' own process: time passes in it when a test says so. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { RegistrySettings } from '../../src/registry/registry.ts';
import { Register } from '../../src/standins/registry/register.ts';
import { BASE, registerPage } from '../../src/standins/registry/register-page.ts';

export interface TestRegistry {
  readonly register: Register;
  readonly url: string;
  readonly settings: RegistrySettings;
  readonly close: () => Promise<void>;
}

const SECRET = 'the registry’s secret';

/** @param today ISO 8601: the day that its school year is told from */
export async function openTestRegistry(today: string): Promise<TestRegistry> {
  const register = new Register({ today, file: null });
  const http = createServer(registerPage(register, SECRET));
  await new Promise<void>((resolve) => http.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
  return {
    register,
    url,
    settings: { url: `${url}${BASE}`, tokens: `${url}/token`, name: 'itinerary', secret: SECRET },
    close: () =>
      new Promise((resolve) => {
        http.close(() => resolve());
        http.closeAllConnections();
      }),
  };
}

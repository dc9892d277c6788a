// A page for components: jsdom, with what Node and every browser have and it has not.
import { TestEnvironment } from 'jest-environment-jsdom';
import { haveNamesAtHand } from './names.cjs';

export default class Page extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    Object.assign(this.global, { fetch, Headers, Request, Response, TextEncoder, Uint8Array });
    Object.defineProperty(this.global, 'crypto', { value: crypto, configurable: true });
  }
  async setup() {
    await super.setup();
    haveNamesAtHand(this.getVmContext());
  }
}

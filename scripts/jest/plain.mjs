// What tests without a page run in.
import { TestEnvironment } from 'jest-environment-node';
import { haveNamesAtHand } from './names.mjs';

export default class Plain extends TestEnvironment {
  async setup() {
    await super.setup();
    haveNamesAtHand(this.getVmContext());
  }
}

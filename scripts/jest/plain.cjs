// What tests without a page run in. What puts in faults (`npm run mutants`) stands on it too, and takes no modules.
const { TestEnvironment } = require('jest-environment-node');
const { haveNamesAtHand } = require('./names.cjs');

module.exports = class Plain extends TestEnvironment {
  async setup() {
    await super.setup();
    haveNamesAtHand(this.getVmContext());
  }
};

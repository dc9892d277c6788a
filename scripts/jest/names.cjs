// Jest runs tests in a context of their own, where each look at `Math` or `Object` asks the host first, a hundred times
// as slowly as elsewhere. Said once as constants of the context, the language's own names are found at once.
// Left out is what tests put something else in the place of: clocks, timers, the page, requests.
const { runInContext } = require('node:vm');

const NAMES = `
  AggregateError Array ArrayBuffer BigInt BigInt64Array BigUint64Array Boolean DataView Error EvalError Float32Array
  Float64Array FinalizationRegistry Int16Array Int32Array Int8Array Intl JSON Map Math Number Object Promise Proxy
  RangeError ReferenceError Reflect RegExp Set String Symbol SyntaxError TypeError URIError Uint16Array Uint32Array
  Uint8Array Uint8ClampedArray WeakMap WeakRef WeakSet
  decodeURI decodeURIComponent encodeURI encodeURIComponent isFinite isNaN parseFloat parseInt
`
  .trim()
  .split(/\s+/);

/** To be called when the environment has put its own in place. */
exports.haveNamesAtHand = (context) => {
  runInContext(`const { ${NAMES.join(', ')} } = globalThis;`, context);
};

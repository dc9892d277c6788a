// `npm run attack -- N`: N hostile requests in a row, made from the OpenAPI document; nothing may break or grow.
import { manyTimes } from './lib/tests/many.mjs';

await manyTimes({
  usual: '100000',
  of: 'requests',
  path: 'packages/server/test/attack',
  envOf: (many) => ({ ITINERARY_HOSTILE: many }),
});

/** The route through setup: the stops that exist, in the order in which people work. */
export const STOPS = [
  'about',
  'dates',
  'outline',
  'menu',
  'look',
  'progress',
  'access',
  'members',
  'messages',
  'readiness',
] as const;
export type Stop = (typeof STOPS)[number];

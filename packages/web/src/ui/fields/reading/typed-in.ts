/** The language that fields are typed in: the interface's, where core reads it. */
import { TYPED_IN } from '@itinerary/core';
import type { TypedIn } from '@itinerary/core';

export function typedIn(locale: string): TypedIn {
  return TYPED_IN.find((one) => one === locale) ?? 'en';
}

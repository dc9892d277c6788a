/** Addresses as they are pasted: a line each, or apart by commas, with or without names and angle brackets. */
import { mailAddressSchema } from '@itinerary/contract';

export interface TypedAddresses {
  readonly addresses: readonly string[];
  /** The first word that should be an address and is none. */
  readonly wrong: string | null;
}

export function typedAddresses(text: string): TypedAddresses {
  // A name without a sign of an address says who it is, and is for nobody else to read.
  const words = text.split(/[\s,;<>()"]+/).filter((word) => word.includes('@'));
  const found = new Map<string, string>();
  for (const word of words) {
    const read = mailAddressSchema.safeParse(word.replace(/^mailto:/i, ''));
    if (!read.success) return { addresses: [...found.values()], wrong: word };
    const key = read.data.toLowerCase();
    if (!found.has(key)) found.set(key, read.data);
  }
  const isWordless = words.length === 0 && text.trim() !== '';
  return { addresses: [...found.values()], wrong: isWordless ? (text.trim().split(/\s+/)[0] ?? null) : null };
}

/**
 * What pages that carry no schemas have to know of them beforehand. The server says the same, and a test holds the
 * two against each other.
 */
/** How long a password has to be. */
export const LEAST_PASSWORD = 10;
/** The answer of whoever asks to join, in characters. */
export const MOST_ANSWER = 2000;

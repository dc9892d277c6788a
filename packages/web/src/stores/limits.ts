/**
 * What pages that carry no schemas have to know of them beforehand. The server says the same, and a test holds the
 * two against each other.
 */
/** How long a password has to be. */
export const LEAST_PASSWORD = 10;
/** The answer of whoever asks to join, in characters. */
export const MOST_ANSWER = 2000;
/** Of what is handed in as text, in characters. */
export const MOST_HANDED_TEXT = 100_000;
/** Files that go with one post. */
export const MOST_POST_FILES = 5;
/** Files that are given back with one mark. */
export const MOST_MARK_FILES = 5;
/** Of an open answer in a survey, in characters. */
export const MOST_SURVEY_TEXT = 5000;
/** Of answers in a quiz, in characters. */
export const MOST_LONG_ANSWER = 20_000;
export const MOST_SHORT_ANSWER = 500;

/**
 * What the window is called: every page of a course names the course, and none outside of it does.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import { setTitle, setTitleCourse } from '../../src/words/page-title.ts';

test('the page, its course once, and Itinerary, whichever is known first', () => {
  setTitle('What I have done here');
  expect(document.title).toBe('What I have done here · Itinerary');
  setTitleCourse('Estuary Field Methods');
  expect(document.title).toBe('What I have done here · Estuary Field Methods · Itinerary');
  setTitle('Members');
  expect(document.title).toBe('Members · Estuary Field Methods · Itinerary');
  setTitle('Estuary Field Methods');
  expect(document.title).toBe('Estuary Field Methods · Itinerary');
  setTitleCourse(null);
  setTitle('Your courses');
  expect(document.title).toBe('Your courses · Itinerary');
});

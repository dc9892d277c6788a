/** Where somebody left off in a course, kept on their own device. */
const key = (course: string): string => `itinerary.last-read.${course}`;

export function lastRead(course: string): string | null {
  return localStorage.getItem(key(course));
}

export function rememberRead(course: string, item: string): void {
  localStorage.setItem(key(course), item);
}

/** What the window is called while a page is open: the page, the course that it is of, and Itinerary. */
let page = '';
let course: string | null = null;

function show(): void {
  // A page that is called as its course is has said so.
  const of = course === null || course === '' || page.endsWith(course) ? [] : [course];
  document.title = [page, ...of, 'Itinerary'].filter((part) => part !== '').join(' · ');
}

export function setTitle(title: string): void {
  page = title;
  show();
}

/** While one is in it; null: one has left. */
export function setTitleCourse(title: string | null): void {
  course = title;
  show();
}

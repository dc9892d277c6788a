/** What the window is called while a page is open. */
export function setTitle(title: string): void {
  document.title = `${title} · Itinerary`;
}

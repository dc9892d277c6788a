/** The picture that came along with the page: shown until the page's own stands in its place. */

export function removeFirstFace(): void {
  document.getElementById('first-face')?.remove();
}

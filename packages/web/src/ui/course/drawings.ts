/**
 * How often lines are drawn again, counted where a browser is driven by a test: that one edit redraws one line
 * is asserted by this count, not by time.
 */
export function countDrawing(what: string): void {
  if (navigator.webdriver) performance.mark(`drawn ${what}`);
}

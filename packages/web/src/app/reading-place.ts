/** Back to a page is back to the place in it at which one left it, once what was there has come again. */

interface Place {
  readonly left: number;
  readonly top: number;
}

/** What does not come within this time will not be as long as it was. In milliseconds. */
const MOST_MS = 3000;
const LOOK_MS = 50;

const isLongEnough = ({ top }: Place): boolean =>
  document.documentElement.scrollHeight - window.innerHeight >= top;

/** @returns the place; false where somebody has gone on, or scrolls by themselves, before the page is as long again. */
export async function placeAgain(place: Place, isStillThere: () => boolean): Promise<Place | false> {
  const before = window.scrollY;
  for (let waited = 0; waited < MOST_MS && !isLongEnough(place); waited += LOOK_MS)
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  return isStillThere() && window.scrollY === before && place;
}

import { link, page } from '../piece.ts';
import type { Unit } from '../piece.ts';

export const WEEKS_6_TO_10: readonly Unit[] = [
  {
    title: 'Field day one',
    pieces: [
      page(
        'The plan for the day',
        20,
        `
        <p>We leave the shed two and a half hours before low water and are off the flat by an hour after it, whatever is left to do.</p>
        <h2>Teams</h2>
        <p>Four lines, five people each: one leads, one writes, two sample, one watches the water and does nothing else. Change roles at half-time, apart from the watcher.</p>
        <h2>Bring</h2>
        <ul><li>Food and a litre of water</li><li>A whole set of dry clothes, left in the shed</li><li>The sheet for your line, printed twice</li></ul>`,
      ),
      page(
        'When the ground is soft',
        15,
        `
        <p>If you sink to the knee, stop. Nothing is gained by one more step.</p>
        <ol><li>Say so, loudly.</li><li>Lean back and sit. Spread your weight.</li><li>Work one foot at a time, heel first, with small circles. Let water in beside the boot.</li><li>Leave the boot if it wants to stay.</li></ol>
        <p>Nobody walks to help you upright: they come on the boards, lying down. The watcher calls the time every five minutes until you are out.</p>`,
      ),
      page(
        'Writing it up the same evening',
        25,
        `
        <p>Copy nothing. The muddy sheet is the record; scan it as it is. What you add that evening goes on a new page with that evening’s date: what the sheet does not say, and you still remember. By Sunday you will not.</p>`,
      ),
    ],
  },
  {
    title: 'Saltmarsh plants',
    pieces: [
      page(
        'Zones you can walk',
        25,
        `
        <p>From the flat to the hedge you cross four gardens in sixty steps. Each is wet a different number of times a year.</p>
        <ul><li><strong>Pioneer:</strong> glasswort, seablite. Flooded by nearly every tide.</li><li><strong>Low marsh:</strong> cord-grass, sea aster.</li><li><strong>Middle:</strong> sea purslane along the creeks, sea lavender between.</li><li><strong>High:</strong> sea rush, couch. Flooded by a few tides a month.</li></ul>
        <p>The edges are sharper than you expect, and they move. The pegs of 2011 stand a metre and a half inside today’s low marsh.</p>`,
      ),
      page(
        'Cover by eye',
        30,
        `
        <p>How much of the square is under each plant? Two people guess, without speaking, and write both numbers down. Plants overlap, so the sum may pass 100 %.</p>
        <p>Below 5 %, count stems. Above, use steps of five. Your eye is good to about ten; pretending to more makes the mean worse, not better.</p>`,
      ),
    ],
  },
  {
    title: 'Counting waders',
    pieces: [
      page(
        'Ten thousand legs',
        25,
        `
        <p>Birds on a flat do not stay to be counted. Count at high water, when they stand close on the roost, and from the same three places every time.</p>
        <h2>In blocks</h2>
        <p>Count ten, and see how large ten looks. Lay that block over the flock, then blocks of fifty. Two counters, then compare: within a tenth is very good.</p>
        <p>Keep 150 m away. If heads go up, you are too near; if they fly, you have cost them an hour’s feeding, and your count is worthless besides.</p>`,
      ),
      page(
        'Seven to know by walking',
        20,
        `
        <p>You will see most of them as grey shapes far away. How they walk gives them away first: the redshank that nods, the turnstone that shoves, the dunlin that sews, the grey plover that stops, stops, stops, and runs.</p>
        <p>Learn three this week. The others will come when you stop trying.</p>`,
      ),
      link('Call recordings from the north hide', 15, 'https://sounds.ternpoint.example/waders'),
    ],
  },
  {
    title: 'Levelling a shore',
    pieces: [
      page(
        'A line that is truly level',
        35,
        `
        <p>Height decides who lives where, so we measure it to the centimetre. A level, a staff, and a benchmark whose height somebody has already paid for.</p>
        <ol><li>Set up midway between two points: what the instrument does wrong it then does twice, and it cancels.</li><li>Read the back staff, then the fore.</li><li>Book before you move. Read the number back aloud.</li><li>Close on where you began.</li></ol>
        <p>The difference when you close is the honest quality of the whole morning. Ours must be below 12 mm times the square root of the kilometres walked.</p>`,
      ),
      page(
        'From readings to a profile',
        30,
        `
        <p>Rise and fall, column by column. Check: sum of back sights less sum of fore sights equals last height less first. If it does not, the slip is in the arithmetic, not in the field.</p>
        <p>Draw the profile with the heights stretched twenty times, and say so on the drawing. Then mark mean high water springs, and look at where the cord-grass begins.</p>`,
      ),
    ],
  },
  {
    title: 'What clouds the water',
    pieces: [
      page(
        'A black and white disc',
        20,
        `
        <p>Lower it until it is gone; raise it until it is back; the mean of the two is the depth. On the shady side, without sunglasses, always the same person’s eyes.</p>
        <p>It is the oldest instrument in the shed and the only one that never needs a battery.</p>`,
      ),
      page(
        'Weighing what floats',
        30,
        `
        <p>Filter a litre through a paper that you weighed dry, dry it at 105 °C, weigh again. The difference is what was in the water, and it is about as heavy as the fingerprint you left on the paper: use tweezers.</p>
        <h2>Three of everything</h2>
        <p>Three bottles from the same place are not a waste. They are the only thing that will tell you whether the difference between two places is a difference.</p>`,
      ),
    ],
  },
];

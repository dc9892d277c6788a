import { link, page } from '../piece.ts';
import type { Unit } from '../piece.ts';

export const WEEKS_11_TO_15: readonly Unit[] = [
  {
    title: 'Data that others can use',
    pieces: [
      page(
        'One row, one thing',
        25,
        `
        <p>A table that a stranger can use has one row for each thing observed, one column for each thing said of it, and nothing in colour.</p>
        <ul><li>Dates as <code>2027-03-14</code>.</li><li>Units in the column’s name: <code>depth_mm</code>.</li><li>An empty cell is “not looked”. Zero is “looked, and none”. They are never the same.</li></ul>
        <p>Beside the table lies a page that says who, where, when, how, and what each column means. Write it first.</p>`,
      ),
      page(
        'Names that last',
        15,
        `
        <p>Name a file so that it sorts and so that it explains itself away from its folder: <code>2027-03-14_line-b_quadrats_raw</code>. Raw is never edited. What you correct goes into a second file, and the reason into the page beside it.</p>`,
      ),
    ],
  },
  {
    title: 'Field day two',
    pieces: [
      page(
        'The same lines again',
        20,
        `
        <p>Ten weeks later, the same pegs, the same rules, other hands on the tape: lead the line that you did not lead before.</p>
        <p>Do not look at the first day’s numbers this week. You would find them again.</p>`,
      ),
      page(
        'What to do when it goes wrong',
        15,
        `
        <p>It will. The probe dies, fog comes, a peg has gone. Write down what you did instead, and why, at once. A line that was moved by four metres and says so is worth more than one that was not, and is not sure.</p>`,
      ),
    ],
  },
  {
    title: 'Charts and their error bars',
    pieces: [
      page(
        'Show the points',
        30,
        `
        <p>With fewer than thirty values, draw them all. A bar with a whisker hides whether you had five squares or fifty, and whether one of them was a pool.</p>
        <h2>Which bar?</h2>
        <p>Standard deviation says how varied the shore is. Standard error says how well you know its mean. They differ by the square root of n, and a caption that does not say which is meaningless.</p>`,
      ),
      page(
        'Compared with what?',
        25,
        `
        <p>“Cockles were more frequent on line B” asks: more than on A, by how much, and would the same shore have given you that difference by luck? Shuffle the labels a thousand times on the sheet, and see how often luck does as well as you did.</p>`,
      ),
      link('The shuffling sheet', 20, 'https://sheets.ternpoint.example/shuffle'),
    ],
  },
  {
    title: 'Writing the report',
    pieces: [
      page(
        'Four pages, in this order',
        30,
        `
        <p>Write the methods first, while you remember. Then the results, without one word of explanation. Then what they mean. The beginning comes last, when you know what it introduces.</p>
        <ol><li>What we asked, in a sentence.</li><li>What we did, so that next year’s students could do it again on the same pegs.</li><li>What we found: two charts, one table.</li><li>What we think it means, and what would change our minds.</li></ol>`,
      ),
      page(
        'Reading each other',
        25,
        `
        <p>Swap drafts with another line. Mark three things: where you had to read twice, where you did not believe it, and the best sentence. Hand all three back, the best sentence first.</p>`,
      ),
    ],
  },
  {
    title: 'Presenting to the harbour',
    pieces: [
      page(
        'Eight minutes, no jargon',
        25,
        `
        <p>The harbour board sits on Thursday evening, and decides about dredging in spring. They know this water better than you do, from above. Tell them what it looks like from below.</p>
        <p>One chart. Your strongest number, and how sure you are. What you would measure next. Then stop, and let them ask.</p>`,
      ),
      page(
        'Leaving things as they were',
        15,
        `
        <p>Pull the temporary pegs, and leave the three that are on the map. Rinse the sieves, recharge the probe, sign the book. Somebody will stand here next year with your report in a wet pocket, grateful for every dull detail in it.</p>`,
      ),
    ],
  },
];

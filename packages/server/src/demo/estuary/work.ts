/** What is handed in, talked about and gone to in Estuary Field Methods, week for week. */
import { meeting, onWeekday, work } from '../piece.ts';
import type { Piece } from '../piece.ts';

const THURSDAY = onWeekday(4, '23:59');

export const WORK: readonly (readonly Piece[])[] = [
  [
    work(
      'assignment',
      'Your own tide table',
      90,
      `<p>Take the readings that you made at the gauge and set them beside the printed table for the same hours. Hand in one page: the two columns, the differences, and two sentences on what could explain the largest of them.</p>
      <p>Neatness counts here, because next week somebody else works from your page.</p>`,
      ['measure', 'unsure'],
    ),
    work(
      'discussion',
      'Where is your nearest estuary?',
      30,
      `<p>Tell us about the estuary nearest to where you grew up: what flows in, what lives there, what people use it for. A photograph helps; a sketch helps more. Then ask one question about somebody else’s.</p>`,
      [],
      THURSDAY,
    ),
  ],
  [
    work(
      'quiz',
      'Check yourself: sampling',
      20,
      `<p>Ten questions on lines and squares. You may try as often as you like; the last try counts, and each answer can be checked as soon as it is there.</p>`,
      ['measure'],
    ),
    meeting(
      'Mudflat visit, groups A and B',
      180,
      'The slip',
      onWeekday(5, '09:30'),
      `<p>Meet at the slip with boots and notebook. Group A lays the line from the iron ring, group B from the leaning post. We are off the mud by half past twelve, whatever is unfinished.</p>`,
    ),
  ],
  [
    work(
      'assignment',
      'Core log',
      120,
      `<p>Describe your core from the top down, in layers, with depths in millimetres. Mark what you saw and what you think it means in two separate columns.</p>`,
      ['measure', 'unsure'],
    ),
  ],
  [
    work(
      'quiz',
      'Salt, heat and density',
      25,
      `<p>Eight questions. Have the worked sheet of the bridge beside you.</p>`,
      ['read'],
    ),
  ],
  [
    work(
      'discussion',
      'The animal you could not name',
      30,
      `<p>Post the one that beat the key: where it lay, how big it was, what you got as far as. Help two others before Thursday is over.</p>`,
      [],
      THURSDAY,
    ),
  ],
  [
    work(
      'assignment',
      'Field day one: the sheet',
      60,
      `<p>Hand in the sheet as it came off the shore, mud and all, photographed flat. What is missing stays missing; say why.</p>`,
      ['measure'],
    ),
  ],
  [
    work(
      'quiz',
      'Zones at a glance',
      20,
      `<p>Six questions on the upper, middle and lower shore. Say which, and by what you know it.</p>`,
      ['read'],
    ),
  ],
  [
    work(
      'assignment',
      'Cover by eye, twice',
      75,
      `<p>Estimate the cover of the same six squares on two days without looking at your first numbers. Hand in both, and the difference.</p>`,
      ['unsure'],
    ),
  ],
  [
    work(
      'assignment',
      'A profile from the ring to the water',
      90,
      `<p>Draw the profile from your group’s readings, to scale, with the water’s edge and the hour at which you saw it.</p>`,
      ['measure', 'tell'],
    ),
  ],
  [
    work(
      'quiz',
      'What the disc says',
      20,
      `<p>Six questions on turbidity, and one on why yours and your neighbour’s readings differ.</p>`,
      ['read'],
    ),
  ],
  [
    work(
      'assignment',
      'One clean table',
      90,
      `<p>Take the table of another group and make it one that a machine and a stranger can both read. List every change.</p>`,
      ['tell'],
    ),
  ],
  [
    work(
      'assignment',
      'Field day two: the sheet',
      60,
      `<p>The same lines, four weeks on. Hand in the sheet and a note of everything that you did otherwise than the first time.</p>`,
      ['measure'],
    ),
  ],
  [
    work(
      'discussion',
      'Compared with what?',
      40,
      `<p>Post one figure from the news about a coast, and say what it should have been compared with.</p>`,
      ['unsure'],
      THURSDAY,
    ),
  ],
  [
    work(
      'assignment',
      'Four pages: the draft',
      150,
      `<p>A draft with all its parts. It is read by two others, so that it has to be whole, and need not be good.</p>`,
      ['tell'],
    ),
  ],
  [
    work(
      'assignment',
      'Four pages: the report',
      120,
      `<p>The report as it goes to the harbour office. With it, one page on what you changed after being read.</p>`,
      ['tell', 'unsure'],
    ),
  ],
];

/** Four shorter courses, one for each of the other formats. */
import { addDays, weekdayOnOrAfter } from '@itinerary/core';
import { buildCourse } from './build-course.ts';
import type { BuiltCourse } from './build-course.ts';
import type { DemoTerm } from './calendar.ts';
import { link, meeting, page, work } from './piece.ts';

/** Unit by unit: some take a week, some three, and the opening unit stands outside the calendar. */
export function bookbindingByHand(term: DemoTerm): BuiltCourse {
  return buildCourse({
    code: `BBH-120-${term.code}`,
    title: 'Bookbinding by Hand',
    department: 'ART',
    term: term.code,
    state: 'live',
    description:
      '<p>Six books from folding to cover, with two needles, a bone folder and patience. No machine, no glue gun, and nothing that cannot be mended.</p>',
    tags: ['field arts'],
    dates: {
      format: 'units',
      firstDay: addDays(term.firstDay, 14),
      weeks: 8,
      handIn: { time: '18:00', weekday: null },
    },
    units: [
      {
        title: 'Before you come',
        section: { outside: true, summary: 'What to bring, and who else is here.', accent: 'heather' },
        pieces: [
          page(
            'What to bring',
            10,
            '<p>An awl or a strong needle, linen thread, a sharp knife, a steel rule, and a board that you may cut on. Paper is in the workshop; bring an old book that you would like to take apart.</p>',
          ),
          work(
            'discussion',
            'A book that you would not give away',
            20,
            '<p>Say hello with a book: which, how it is bound as far as you can tell, and what has happened to it.</p>',
            [],
            {
              kind: 'relative',
              anchor: { of: 'course', at: 'start' },
              shift: { by: 3, unit: 'days' },
              weekday: null,
              time: null,
            },
          ),
        ],
      },
      {
        title: 'Folding and sewing',
        section: { span: { count: 2, unit: 'weeks' } },
        pieces: [
          page(
            'Grain, and why books fight back',
            30,
            '<p>Paper has a direction. Fold along it and the page lies down; fold across it and the book will try to close on you for the rest of its life. Tear a scrap both ways and look at the edge.</p><h2>Three tests</h2><ol><li>Bend the sheet without creasing it. It gives more along the grain.</li><li>Wet a corner. It curls around the grain.</li><li>Tear. Along the grain it runs straight.</li></ol>',
          ),
          page(
            'Five holes, one thread',
            40,
            '<p>The pamphlet stitch holds a single section with one length of thread and one knot. In at the middle, out at the top, back through the middle, out at the foot, home. Pull along the fold, never away from it.</p>',
          ),
          work(
            'assignment',
            'One pamphlet, opened flat',
            90,
            '<p>Sew one section of eight sheets. Hand in a photograph of the outside, the inside and the knot.</p>',
          ),
        ],
      },
      {
        title: 'Boards and cloth',
        section: { span: { count: 3, unit: 'weeks' } },
        pieces: [
          page(
            'Cutting square',
            25,
            '<p>Nothing is square until it has been checked against something that is. Cut long, check, and cut again; a board that is a hair too large can be mended, and one too small is a bookmark.</p>',
          ),
          link('The workshop’s table of turn-ins', 5, 'https://workshop.ternpoint.example/turn-ins'),
          work(
            'assignment',
            'A case that closes',
            180,
            '<p>Make a case for the book block that you sewed. Hand in the three photographs, and say what you would do otherwise.</p>',
          ),
        ],
      },
      {
        title: 'A long stitch in ten days',
        section: { span: { count: 10, unit: 'days' } },
        pieces: [
          page(
            'Sewing through the cover',
            35,
            '<p>Here the cover is leather, and the sewing shows. Work slowly and evenly: every stitch is on the outside for as long as the book lasts.</p>',
          ),
          work(
            'assignment',
            'The long stitch, finished',
            150,
            '<p>Hand in the book itself, at the workshop’s door.</p>',
          ),
        ],
      },
      {
        title: 'Mending',
        section: { span: { count: 1, unit: 'weeks' } },
        pieces: [
          page(
            'Less than you think',
            30,
            '<p>The best repair is the one that the next person can undo. Paste, not glue; paper, not tape. Begin with the leaf that is worst, because it will teach you what the others need.</p>',
          ),
          work(
            'quiz',
            'Which paste for which tear',
            15,
            '<p>Six questions on tears, on pastes, and on what you should leave alone.</p>',
          ),
        ],
      },
    ],
  });
}

/** Meeting by meeting: Tuesdays and Thursdays, one called off, one out of doors. */
export function fieldSketching(term: DemoTerm): BuiltCourse {
  const tuesday = weekdayOnOrAfter(addDays(term.firstDay, 14), 2);
  const pattern = 'p-sketch';
  const titles: readonly (readonly [string, string, string])[] = [
    [
      'Looking for an hour',
      'One stone, one pencil',
      '<p>Draw one stone for the whole hour. When you think that it is finished, turn it over and begin again on the same sheet.</p>',
    ],
    [
      'Edges that are not lines',
      'Where one thing ends',
      '<p>There is no line around a gull. Find three places where it ends, and three where you only think so.</p>',
    ],
    [
      'Light from one side',
      'The shadow first',
      '<p>Put in the shadow before the thing that throws it. It tells you where the sun is, and it will not sit still.</p>',
    ],
    [
      'The far shore',
      'How far is far',
      '<p>Everything beyond the channel is one tone lighter than you believe. Squint.</p>',
    ],
    [
      'Birds that leave',
      'Ten seconds each',
      '<p>Twenty birds in ten seconds each. Wing, weight, direction. No feathers.</p>',
    ],
    [
      'Colour with three pans',
      'Mixing mud',
      '<p>Yellow, red and blue are enough for every mud there is. Mix four of them, and write down how.</p>',
    ],
    ['Rain', 'Working wet', '<p>The paper is a tool as well. Let it run, then say what ran.</p>'],
    [
      'A page for somebody else',
      'From notebook to page',
      '<p>Choose one page that could stand on a wall, and write its three lines of label.</p>',
    ],
  ];
  return buildCourse({
    code: `FSK-105-${term.code}`,
    title: 'Field Sketching',
    department: 'ART',
    term: term.code,
    state: 'draft',
    description:
      '<p>Twice a week out of doors with a notebook. You learn to look longer than is comfortable, and to leave out what does not matter.</p>',
    tags: ['field arts', 'outdoors'],
    dates: {
      format: 'meetings',
      firstDay: tuesday,
      weeks: 4,
      meetings: titles.length,
      patterns: { [pattern]: { weekdays: [2, 4], time: '16:30', minutes: 90, place: 'The old boathouse' } },
      changes: {
        [`${pattern}_${addDays(tuesday, 9)}`]: { kind: 'cancelled', sections: 'slide' },
        [`${pattern}_${addDays(tuesday, 14)}`]: {
          kind: 'moved',
          day: addDays(tuesday, 15),
          time: '06:45',
          minutes: 120,
          place: 'The far jetty, at low water',
        },
      },
    },
    units: titles.map(([title, reading, html], at) => ({
      title,
      pieces: [
        page(reading, 15, html),
        meeting(
          'At the boathouse',
          90,
          'The old boathouse',
          null,
          '<p>Bring the notebook, two pencils and something to sit on. We go out in all weathers but thunder.</p>',
        ),
        ...(at % 2 === 1
          ? [
              work(
                'assignment',
                `Two pages: ${title.toLowerCase()}`,
                60,
                '<p>Photograph the two pages that cost you most.</p>',
              ),
            ]
          : []),
      ],
    })),
  });
}

/** Around one quiz: a refresher that everybody who takes out a boat does once a year. */
export function smallBoatRefresher(term: DemoTerm): BuiltCourse {
  return buildCourse(
    {
      code: `SBR-010-${term.code}`,
      title: 'Small Boat Refresher',
      department: 'SEA',
      term: term.code,
      state: 'live',
      description:
        '<p>Before you take out one of the college’s boats this year: forty minutes, and you may sign for the key.</p>',
      introduction:
        '<p>You have done this before. Read the three rules on the boathouse door, then take the quiz; it tells you at once what to read again.</p><ul><li>Nobody goes alone.</li><li>Somebody ashore knows when you are back.</li><li>The kill cord is round your leg before the engine starts.</li></ul>',
      tags: ['boats'],
      dates: {
        format: 'item',
        pace: 'none',
        firstDay: term.firstDay,
        weeks: 16,
        ends: 'term',
        lastDay: term.lastDay,
        event: {
          day: weekdayOnOrAfter(addDays(term.firstDay, 40), 6),
          time: '10:00',
          minutes: 180,
          place: 'The pontoon',
        },
      },
      units: [
        {
          title: 'The refresher',
          pieces: [
            work(
              'quiz',
              'Ready for the water',
              40,
              '<p>Twelve questions: weather, lights, knots, and what to do when the engine stops off the point. Of their thirteen points you need eleven.</p>',
              [],
              {
                kind: 'relative',
                anchor: { of: 'course', at: 'end' },
                shift: null,
                weekday: null,
                time: '18:00',
              },
            ),
          ],
        },
      ],
    },
    'quiz',
  );
}

/** Around one discussion, in each learner's own time: a page of the night a week. */
export function nightSkyDiary(term: DemoTerm): BuiltCourse {
  return buildCourse(
    {
      code: `NSD-002-${term.code}`,
      title: 'Night Sky Diary',
      department: 'EAW',
      term: null,
      state: 'live',
      description:
        '<p>One clear night a week, ten minutes outside, and a few lines for the others. No telescope.</p>',
      introduction:
        '<p>Go out, let your eyes get used to the dark for ten minutes, and write down what you saw before you look anything up. Then read what the others saw on the same night from somewhere else.</p>',
      tags: ['evenings'],
      dates: { format: 'item', pace: 'none', firstDay: term.firstDay, weeks: 16 },
      units: [
        {
          title: 'The diary',
          pieces: [
            work(
              'discussion',
              'What did you see tonight?',
              20,
              '<p>Begin with the place, the hour and the clouds. Then the sky, in your own words. Names can wait.</p>',
              [],
              {
                kind: 'relative',
                anchor: { of: 'course', at: 'end' },
                shift: null,
                weekday: null,
                time: null,
              },
            ),
          ],
        },
      ],
    },
    'discussion',
  );
}

/** What the demo's courses look like and say: pictures, colours, announcements, whom to turn to. */
import type { Announcement, Course, CoursePicture, Look, MenuEntry, PlannedMoment } from '@itinerary/core';
import { FIRST_MENU } from '@itinerary/core';
import { openLibraryPicture } from '../library/library.ts';
import { hashText } from '../text/rich-text.ts';
import type { BuiltCourse } from './build-course.ts';
import { demoBreak } from './calendar.ts';
import { demoFile } from './demo-file.ts';
import type { DemoFile } from './demo-file.ts';

interface Face {
  /** Of the library. */
  readonly picture: string;
  readonly focus?: CoursePicture['focus'];
  readonly look: Partial<Look>;
}

const LIVE_FACE: Face = {
  picture: 'mudflat-morning',
  focus: { x: 0.5, y: 0.36 },
  look: { seed: '#1f6b66' },
};

const FACES: Readonly<Record<string, Face>> = {
  BBH: { picture: 'field-notebook', look: { seed: '#7b5a3a', heading: 'literata' } },
  SBR: { picture: 'harbour', focus: { x: 0.7, y: 0.62 }, look: { seed: '#1d4e89' } },
  NSD: { picture: 'night-over-water', look: { seed: '#3b3f6b' } },
  FSK: { picture: 'reed-bed', look: { seed: '#6b7a2f', heading: 'familjen' } },
};

const WIDTH = 1600;

/** Gives a course its face; a draft as somebody has just opened it has none yet. */
export async function withFace(built: BuiltCourse, staff: readonly string[]): Promise<BuiltCourse> {
  const { code, state } = built.course;
  const isEstuary = code.startsWith('EFM');
  if (isEstuary && state === 'draft') return built;
  const face = isEstuary ? LIVE_FACE : FACES[code.slice(0, 3)];
  if (face === undefined) return built;
  const { file, picture } = await pictureOf(face);
  const faced: BuiltCourse = {
    ...built,
    course: { ...built.course, banner: picture, look: { ...built.course.look, ...face.look } },
    files: [...built.files, file],
  };
  return isEstuary ? withWords(faced, staff) : faced;
}

async function pictureOf({
  picture: id,
  focus = { x: 0.5, y: 0.5 },
}: Face): Promise<{ readonly file: DemoFile; readonly picture: CoursePicture }> {
  const found = await openLibraryPicture(id, WIDTH);
  if (found === null) throw new Error(`the library has no ${id}`);
  const { title, alt, author, licence } = found.picture;
  const file: DemoFile = {
    ...demoFile(`${title}.webp`, 'image/webp', found.bytes, { alt, author, licence }),
    width: found.width,
    height: found.height,
  };
  const { bytes, width: _width, height: _height, ...rest } = file;
  void [_width, _height];
  const { width, height } = found;
  return { file, picture: { file: { ...rest, size: bytes.length }, width, height, focus, zoom: 1 } };
}

/** So many days from the course's first day, at a time. */
const day = (by: number, time: string): PlannedMoment => ({
  kind: 'relative',
  anchor: { of: 'course', at: 'start' },
  shift: by === 0 ? null : { by, unit: 'days' },
  weekday: null,
  time,
});

type Said = readonly [id: string, subject: string, html: string, more: Partial<Announcement>];

const SAID: readonly Said[] = [
  [
    'welcome',
    'Welcome to the estuary',
    '<p>The first week opens on Monday. Nothing is due in it: find your boat, read the three pages, and put your name on the tide table in the boat shed.</p>',
    { from: day(-3, '09:00'), until: day(27, '23:59') },
  ],
  [
    'boots',
    'Boots, not shoes',
    '<p>The north bank is softer than it looks this year. Come in boots that stay on your feet when the mud wants them. The boat shed lends eleven pairs, sizes 36 to 46.</p>',
    { from: day(7, '08:30'), pinned: true, comments: true },
  ],
  [
    'gauge',
    'The gauge is back',
    '<p>The tide gauge at Tern Point sends readings again since Thursday noon. Whoever read the post by hand meanwhile: those readings count, and they were good.</p>',
    { from: day(25, '12:00') },
  ],
  [
    'field-day',
    'Saturday’s boats leave at seven',
    '<p>Low water is at half past nine, so both boats leave the slip at <strong>seven</strong>. Bring the core log, two pencils, and something warm for the way back.</p>',
    { from: day(35, '09:00'), comments: true },
  ],
];

/** From the last teaching before it until it is over. */
function saidOfBreak({ firstDay, weeks }: Course['dates']): readonly Said[] {
  if (firstDay === null) return [];
  const { over, weeks: before } = demoBreak(firstDay, weeks);
  const words =
    '<p>The boat shed is closed that week. Your cores stay in the cold room; nobody throws anything away.</p>';
  const at = { from: day(7 * before - 3, '09:00'), until: day(7 * before + 7, '23:59') };
  return [['break', over, words, at]];
}

const WELCOME =
  '<p>One small estuary, fifteen weeks, and everything that lives between its tides. <strong>Start with the section that is on</strong>; each has its readings, its work, and what to bring to the shore.</p>';

function withWords(built: BuiltCourse, staff: readonly string[]): BuiltCourse {
  const texts: Record<string, string> = { ...built.texts };
  const keep = (html: string): string => {
    const hash = hashText(html);
    texts[hash] = html;
    return hash;
  };
  const announcements = Object.fromEntries(
    [...SAID, ...saidOfBreak(built.course.dates)].map(([id, subject, html, more]): [string, Announcement] => [
      id,
      {
        subject,
        text: keep(html),
        files: [],
        pinned: false,
        from: day(0, '09:00'),
        until: null,
        comments: false,
        ready: true,
        ...more,
      },
    ]),
  );
  const { course } = built;
  return {
    ...built,
    texts,
    course: {
      ...course,
      announcements,
      contacts: cardsOf(staff),
      panels: {
        ...course.panels,
        welcome: { kind: 'welcome', text: keep(WELCOME), column: 'main', at: 1, shown: true },
      },
      menu: { ...FIRST_MENU, ...MORE_ENTRIES },
    },
  };
}

const entry = (leads: MenuEntry['leads'], at: number): MenuEntry => ({
  leads,
  names: {},
  at,
  shown: true,
  staffOnly: false,
  removed: false,
});

const MORE_ENTRIES: Course['menu'] = {
  assignments: entry({ to: 'area', area: 'assignments' }, 4.5),
  // Nobody looked at it here: it is out of the menu, and ready to come back.
  guide: { ...entry({ to: 'area', area: 'guide' }, 5), removed: true },
  library: entry({ to: 'institution', page: 'library' }, 10.5),
};

const CARD = { reach: null, hours: null, phone: null, link: null, picture: null, shown: true } as const;

/** @param staff ids of the first and the second instructor. */
function cardsOf([first = '', second = '']: readonly string[]): Course['contacts'] {
  return {
    first: {
      ...CARD,
      who: 'staff',
      person: first,
      mailShown: true,
      reach: 'By mail, and I answer before the next tide.',
      hours: 'Tuesdays 14:00 to 16:00, room 3 above the boat shed',
      at: 1,
    },
    second: {
      ...CARD,
      who: 'staff',
      person: second,
      mailShown: true,
      reach: 'Best on the pier, on field days.',
      at: 2,
    },
    shed: {
      ...CARD,
      who: 'other',
      name: 'Boat shed',
      does: 'Boots, keys, life jackets',
      mail: 'boatshed@ternpoint.example',
      phone: '+351 289 000 117',
      hours: 'Every day, an hour before low water',
      at: 3,
    },
  };
}

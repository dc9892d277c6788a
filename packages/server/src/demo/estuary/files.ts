/** What is handed out in Estuary Field Methods besides words. */
import { demoFile } from '../demo-file.ts';
import type { DemoFile } from '../demo-file.ts';
import { file, folder, survey, video } from '../piece.ts';
import type { Ask } from '@itinerary/core';
import type { Piece } from '../piece.ts';
import { TIDE_LAG_PNG } from './drawing.ts';

export const TIDE_LAG: DemoFile = demoFile('tide-lag.png', 'image/png', Buffer.from(TIDE_LAG_PNG, 'base64'), {
  alt: 'The Earth in a shell of water that is longer in one direction. The moon is to the right; the long side of the water points up and to the right, ahead of it by a third of a right angle.',
  author: 'Adaeze Okpara',
  licence: 'CC BY 4.0',
});

const lines = (...rows: readonly string[]): Buffer => Buffer.from(`${rows.join('\n')}\n`, 'utf8');

/** A day at the gauge, as it is written down there. */
const READINGS = demoFile(
  'tern-point-gauge.csv',
  'text/plain',
  lines(
    'time,height_m,remark',
    '07:10,0.8,low water',
    '08:10,1.1,',
    '09:10,1.7,',
    '10:10,2.6,marker post wet',
    '11:10,3.5,',
    '12:10,4.1,',
    '13:25,4.4,high water',
  ),
  { author: 'Tern Point College', licence: 'CC0 1.0' },
);

const LOG_FORM = demoFile(
  'core-log-form.txt',
  'text/plain',
  lines('Core:', 'Place and time:', 'Taken by:', '', 'depth (mm) | what I saw | what I think it means'),
);

const said = (...texts: readonly string[]): { id: string; text: string }[] =>
  texts.map((text, at) => ({ id: `c${at + 1}`, text }));
const SO_FAR: readonly Ask[] = [
  {
    ...{ kind: 'scale', text: 'How clear is it each week what you are to do?', at: 1 },
    ...{ steps: 5, low: 'not at all', high: 'entirely' },
  },
  {
    ...{ kind: 'single', text: 'How does the pace suit you?', at: 2 },
    choices: said('too slow', 'about right', 'too fast'),
  },
  {
    ...{ kind: 'several', text: 'What has helped you?', at: 3 },
    choices: said('the pages', 'the field days', 'the others in my boat', 'comments on my work'),
  },
  { kind: 'open', text: 'What is still muddy?', at: 4 },
];

/** At the end of a week, by its place from 0. */
export const HANDED_OUT: Readonly<Record<number, readonly Piece[]>> = {
  0: [
    folder('Forms and readings', 'To print, or to fill in with a pencil tied to your belt.', [
      file('A day at the gauge', 5, READINGS),
      file('Core log, empty', 2, LOG_FORM),
    ]),
  ],
  2: [video('A core, taken in one breath', 8, 402, 'https://films.ternpoint.example/one-breath')],
  4: [
    survey(
      'How it goes so far',
      5,
      `<p>Five weeks are behind us. Say how they went, so that the next five can go better.</p>`,
      SO_FAR,
    ),
  ],
};

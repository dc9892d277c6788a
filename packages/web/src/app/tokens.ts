/**
 * The colours of Itinerary, light and dark, and every pair of them that is in use. A test asserts the
 * contrast of each pair, so a colour that is used on a new ground is added to `PAIRS`.
 */
export const LIGHT = {
  ink: '#15241f',
  'ink-soft': '#4b5a54',
  rule: '#d5dcd6',
  'field-rule': '#7a887f',
  mist: '#eef2ee',
  rail: '#f7f9f6',
  card: '#ffffff',
  bar: '#15493b',
  'on-bar': '#ffffff',
  'bar-soft': '#cfe0d8',
  'bar-rule': '#78a292',
  bottle: '#15493b',
  'on-bottle': '#ffffff',
  'bottle-pale': '#e1ece6',
  route: '#a8720a',
  'route-pale': '#e4d3ab',
  go: '#f4c64f',
  'go-ink': '#2b2000',
  open: '#176b4e',
  'open-pale': '#e0f0e7',
  later: '#3d57a6',
  'later-pale': '#e6ebf8',
  staff: '#5c6570',
  blocker: '#b0352a',
  'blocker-pale': '#fbe4e1',
  advice: '#8a5f00',
  'advice-pale': '#fbf1de',
  'accent-tide': '#1f6f8b',
  'accent-heather': '#7a4f8f',
  'accent-kelp': '#5f6b1f',
  'accent-rust': '#a14a2a',
  'accent-slate': '#5c6570',
} as const;

export type ColourName = keyof typeof LIGHT;

export const DARK: Readonly<Record<ColourName, string>> = {
  ink: '#e7ede8',
  'ink-soft': '#aab8b1',
  rule: '#2f3e37',
  'field-rule': '#7d8f86',
  mist: '#111916',
  rail: '#151f1b',
  card: '#1a2520',
  bar: '#0e2c24',
  'on-bar': '#f2f7f4',
  'bar-soft': '#b9cec4',
  'bar-rule': '#6f9485',
  bottle: '#8fd0b4',
  'on-bottle': '#0b231a',
  'bottle-pale': '#22392f',
  route: '#d9a441',
  'route-pale': '#5b4a22',
  go: '#f4c64f',
  'go-ink': '#2b2000',
  open: '#74cba5',
  'open-pale': '#17332a',
  later: '#a3b6f3',
  'later-pale': '#202a45',
  staff: '#a9b3bd',
  blocker: '#f29185',
  'blocker-pale': '#3d201c',
  advice: '#e3b654',
  'advice-pale': '#362b14',
  'accent-tide': '#6fbcd6',
  'accent-heather': '#c39bd8',
  'accent-kelp': '#b4c25e',
  'accent-rust': '#e59471',
  'accent-slate': '#a9b3bd',
};

/** What sections and folders can be marked with, beside the colour of the product. */
export const ACCENTS = [
  'accent-tide',
  'accent-heather',
  'accent-kelp',
  'accent-rust',
  'accent-slate',
] as const satisfies readonly ColourName[];

export interface Pair {
  readonly on: ColourName;
  readonly of: ColourName;
  /** Text needs 4.5:1, a shape that carries meaning 3:1 (WCAG 2.2, 1.4.3 and 1.4.11). */
  readonly kind: 'text' | 'shape';
}

const text = (of: ColourName, ...grounds: ColourName[]): readonly Pair[] =>
  grounds.map((on) => ({ on, of, kind: 'text' }));
const shape = (of: ColourName, ...grounds: ColourName[]): readonly Pair[] =>
  grounds.map((on) => ({ on, of, kind: 'shape' }));

export const PAIRS: readonly Pair[] = [
  ...text(
    'ink',
    'mist',
    'rail',
    'card',
    'bottle-pale',
    'advice-pale',
    'blocker-pale',
    'open-pale',
    'later-pale',
  ),
  ...text('ink-soft', 'mist', 'rail', 'card', 'bottle-pale', 'advice-pale', 'blocker-pale'),
  ...text('on-bar', 'bar'),
  ...text('bar-soft', 'bar'),
  ...text('bottle', 'card', 'mist', 'rail', 'bottle-pale'),
  ...text('on-bottle', 'bottle'),
  ...text('go-ink', 'go'),
  ...text('open', 'card', 'mist', 'open-pale', 'bottle-pale'),
  ...text('later', 'card', 'mist', 'later-pale'),
  ...text('staff', 'card', 'mist'),
  ...text('blocker', 'card', 'mist', 'rail', 'blocker-pale'),
  ...text('advice', 'card', 'mist', 'rail', 'advice-pale'),
  ...shape('route', 'card', 'mist', 'rail', 'bottle-pale'),
  ...shape('field-rule', 'card', 'mist', 'rail'),
  ...shape('bottle', 'card', 'mist', 'bottle-pale'),
  ...shape('blocker', 'rail', 'card'),
  ...shape('bar-rule', 'bar'),
  ...ACCENTS.flatMap((accent) => shape(accent, 'card', 'mist', 'bottle-pale')),
];

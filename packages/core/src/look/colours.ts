/**
 * The colours that pages are drawn with, by name, and every pair of them that is in use. A theme meets the
 * contrast of each pair by construction; a colour that is used on a new ground is added here.
 */
export const COLOURS = [
  'ink',
  'ink-soft',
  'rule',
  'field-rule',
  'mist',
  'rail',
  'card',
  'bar',
  'on-bar',
  'bar-soft',
  'bar-rule',
  'bottle',
  'on-bottle',
  'bottle-pale',
  'route',
  'route-pale',
  'go',
  'go-ink',
  'open',
  'open-pale',
  'later',
  'later-pale',
  'staff',
  'blocker',
  'blocker-pale',
  'advice',
  'advice-pale',
  'accent-tide',
  'accent-heather',
  'accent-kelp',
  'accent-rust',
  'accent-slate',
] as const;
export type ColourName = (typeof COLOURS)[number];

/** sRGB, `#rrggbb`. */
export type Palette = Readonly<Record<ColourName, string>>;

export interface Pair {
  readonly on: ColourName;
  readonly of: ColourName;
  /** Text needs 4.5:1, a shape that carries meaning 3:1 (WCAG 2.2, 1.4.3 and 1.4.11). */
  readonly kind: 'text' | 'shape';
}

export const LEAST_CONTRAST: Readonly<Record<Pair['kind'], number>> = { text: 4.5, shape: 3 };

/** What sections and folders can be marked with, beside the colour of the product. */
const ACCENTS: readonly ColourName[] = [
  'accent-tide',
  'accent-heather',
  'accent-kelp',
  'accent-rust',
  'accent-slate',
];

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

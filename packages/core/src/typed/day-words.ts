/** Words for days, in four languages, as `plain` leaves them. Beginnings of the names count too. */
import type { TypedIn } from './reading.ts';

export interface DayWords {
  /** From January, each with its other names. */
  readonly months: readonly (readonly string[])[];
  /** From Monday. */
  readonly weekdays: readonly (readonly string[])[];
  /** Days counted from today. */
  readonly days: ReadonlyMap<string, number>;
  /** Before or after a weekday: the one that comes. */
  readonly coming: readonly string[];
  /** Before a number of days: that long from today. */
  readonly ahead: readonly string[];
  readonly units: Readonly<Record<'days' | 'weeks' | 'months' | 'years', readonly string[]>>;
  /** Between the parts of a day, and of no meaning. */
  readonly between: readonly string[];
}

export const DAY_WORDS: Readonly<Record<TypedIn, DayWords>> = {
  en: {
    months: [
      ['january'],
      ['february'],
      ['march'],
      ['april'],
      ['may'],
      ['june'],
      ['july'],
      ['august'],
      ['september'],
      ['october'],
      ['november'],
      ['december'],
    ],
    weekdays: [['monday'], ['tuesday'], ['wednesday'], ['thursday'], ['friday'], ['saturday'], ['sunday']],
    days: new Map([
      ['today', 0],
      ['tomorrow', 1],
      ['yesterday', -1],
      ['day after tomorrow', 2],
    ]),
    coming: ['next', 'this', 'coming'],
    ahead: ['in'],
    units: {
      days: ['d', 'day', 'days'],
      weeks: ['w', 'wk', 'week', 'weeks'],
      months: ['m', 'month', 'months'],
      years: ['y', 'year', 'years'],
    },
    between: ['of', 'the', 'on'],
  },
  es: {
    months: [
      ['enero'],
      ['febrero'],
      ['marzo'],
      ['abril'],
      ['mayo'],
      ['junio'],
      ['julio'],
      ['agosto'],
      ['septiembre', 'setiembre'],
      ['octubre'],
      ['noviembre'],
      ['diciembre'],
    ],
    weekdays: [['lunes'], ['martes'], ['miercoles'], ['jueves'], ['viernes'], ['sabado'], ['domingo']],
    days: new Map([
      ['hoy', 0],
      ['manana', 1],
      ['ayer', -1],
      ['pasado manana', 2],
    ]),
    coming: ['proximo', 'este', 'siguiente', 'que viene'],
    ahead: ['en', 'dentro de'],
    units: {
      days: ['d', 'dia', 'dias'],
      weeks: ['s', 'sem', 'semana', 'semanas'],
      months: ['m', 'mes', 'meses'],
      years: ['a', 'ano', 'anos'],
    },
    between: ['de', 'del', 'el'],
  },
  fr: {
    months: [
      ['janvier'],
      ['fevrier'],
      ['mars'],
      ['avril'],
      ['mai'],
      ['juin'],
      ['juillet'],
      ['aout'],
      ['septembre'],
      ['octobre'],
      ['novembre'],
      ['decembre'],
    ],
    weekdays: [['lundi'], ['mardi'], ['mercredi'], ['jeudi'], ['vendredi'], ['samedi'], ['dimanche']],
    days: new Map([
      ["aujourd'hui", 0],
      ['demain', 1],
      ['hier', -1],
      ['apres-demain', 2],
      ['apres demain', 2],
    ]),
    coming: ['prochain', 'ce', 'suivant'],
    ahead: ['dans'],
    units: {
      days: ['j', 'jour', 'jours'],
      weeks: ['s', 'sem', 'semaine', 'semaines'],
      months: ['m', 'mois'],
      years: ['a', 'an', 'ans'],
    },
    between: ['le', 'de', 'du'],
  },
  ar: {
    months: [
      ['يناير', 'كانون الثاني'],
      ['فبراير', 'شباط'],
      ['مارس', 'اذار'],
      ['ابريل', 'نيسان'],
      ['مايو', 'ايار'],
      ['يونيو', 'حزيران'],
      ['يوليو', 'تموز'],
      ['اغسطس', 'اب'],
      ['سبتمبر', 'ايلول'],
      ['اكتوبر', 'تشرين الاول'],
      ['نوفمبر', 'تشرين الثاني'],
      ['ديسمبر', 'كانون الاول'],
    ],
    weekdays: [
      ['الاثنين', 'اثنين'],
      ['الثلاثاء', 'ثلاثاء'],
      ['الاربعاء', 'اربعاء'],
      ['الخميس', 'خميس'],
      ['الجمعه', 'جمعه'],
      ['السبت', 'سبت'],
      ['الاحد', 'احد'],
    ],
    days: new Map([
      ['اليوم', 0],
      ['غدا', 1],
      ['الغد', 1],
      ['امس', -1],
      ['بعد غد', 2],
      ['بعد غدا', 2],
    ]),
    coming: ['القادم', 'المقبل', 'هذا'],
    ahead: ['بعد', 'خلال'],
    units: {
      days: ['ي', 'يوم', 'ايام', 'يوما'],
      weeks: ['س', 'اسبوع', 'اسابيع', 'اسبوعا'],
      months: ['ش', 'شهر', 'اشهر', 'شهور', 'شهرا'],
      years: ['سنه', 'سنوات', 'عام', 'اعوام'],
    },
    between: ['من', 'يوم'],
  },
};

/** Two of something in one word. */
export const PAIRS: ReadonlyMap<string, string> = new Map([
  ['يومين', '2 يوم'],
  ['اسبوعين', '2 اسبوع'],
  ['شهرين', '2 شهر'],
  ['سنتين', '2 سنه'],
]);

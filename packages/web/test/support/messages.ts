/** The sentences of all languages. */
import enCommon from '../../src/locales/en/common.ts';
import enDesk from '../../src/locales/en/desk.ts';
import enLearner from '../../src/locales/en/learner.ts';
import enSetup from '../../src/locales/en/setup.ts';
import esCommon from '../../src/locales/es/common.ts';
import esDesk from '../../src/locales/es/desk.ts';
import esLearner from '../../src/locales/es/learner.ts';
import esSetup from '../../src/locales/es/setup.ts';
import frCommon from '../../src/locales/fr/common.ts';
import frDesk from '../../src/locales/fr/desk.ts';
import frLearner from '../../src/locales/fr/learner.ts';
import frSetup from '../../src/locales/fr/setup.ts';
import arCommon from '../../src/locales/ar/common.ts';
import arDesk from '../../src/locales/ar/desk.ts';
import arLearner from '../../src/locales/ar/learner.ts';
import arSetup from '../../src/locales/ar/setup.ts';

export const LOCALES = ['en', 'es', 'fr', 'ar'] as const;

export const messages = {
  en: { common: enCommon, desk: enDesk, learner: enLearner, setup: enSetup },
  es: { common: esCommon, desk: esDesk, learner: esLearner, setup: esSetup },
  fr: { common: frCommon, desk: frDesk, learner: frLearner, setup: frSetup },
  ar: { common: arCommon, desk: arDesk, learner: arLearner, setup: arSetup },
};

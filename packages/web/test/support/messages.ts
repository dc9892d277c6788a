/** The sentences of all languages. */
import enAccount from '../../src/locales/en/account.ts';
import enCommon from '../../src/locales/en/common.ts';
import enDesk from '../../src/locales/en/desk.ts';
import enLearner from '../../src/locales/en/learner.ts';
import enSetup from '../../src/locales/en/setup.ts';
import esAccount from '../../src/locales/es/account.ts';
import esCommon from '../../src/locales/es/common.ts';
import esDesk from '../../src/locales/es/desk.ts';
import esLearner from '../../src/locales/es/learner.ts';
import esSetup from '../../src/locales/es/setup.ts';
import frAccount from '../../src/locales/fr/account.ts';
import frCommon from '../../src/locales/fr/common.ts';
import frDesk from '../../src/locales/fr/desk.ts';
import frLearner from '../../src/locales/fr/learner.ts';
import frSetup from '../../src/locales/fr/setup.ts';
import arAccount from '../../src/locales/ar/account.ts';
import arCommon from '../../src/locales/ar/common.ts';
import arDesk from '../../src/locales/ar/desk.ts';
import arLearner from '../../src/locales/ar/learner.ts';
import arSetup from '../../src/locales/ar/setup.ts';

export const LOCALES = ['en', 'es', 'fr', 'ar'] as const;

export const messages = {
  en: { account: enAccount, common: enCommon, desk: enDesk, learner: enLearner, setup: enSetup },
  es: { account: esAccount, common: esCommon, desk: esDesk, learner: esLearner, setup: esSetup },
  fr: { account: frAccount, common: frCommon, desk: frDesk, learner: frLearner, setup: frSetup },
  ar: { account: arAccount, common: arCommon, desk: arDesk, learner: arLearner, setup: arSetup },
};

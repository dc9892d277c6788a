/** The sentences of all languages. */
import enAccount from '../../src/locales/en/account.ts';
import enAgenda from '../../src/locales/en/agenda.ts';
import enCommon from '../../src/locales/en/common.ts';
import enDesk from '../../src/locales/en/desk.ts';
import enLearner from '../../src/locales/en/learner.ts';
import enForecast from '../../src/locales/en/forecast.ts';
import enGrid from '../../src/locales/en/grid.ts';
import enOwn from '../../src/locales/en/own.ts';
import enProgress from '../../src/locales/en/progress.ts';
import enQuiz from '../../src/locales/en/quiz.ts';
import enSetup from '../../src/locales/en/setup.ts';
import enTalk from '../../src/locales/en/talk.ts';
import enFilm from '../../src/locales/en/film.ts';
import enMeeting from '../../src/locales/en/meeting.ts';
import enSurvey from '../../src/locales/en/survey.ts';
import enWork from '../../src/locales/en/work.ts';
import esAccount from '../../src/locales/es/account.ts';
import esAgenda from '../../src/locales/es/agenda.ts';
import esCommon from '../../src/locales/es/common.ts';
import esDesk from '../../src/locales/es/desk.ts';
import esLearner from '../../src/locales/es/learner.ts';
import esForecast from '../../src/locales/es/forecast.ts';
import esGrid from '../../src/locales/es/grid.ts';
import esOwn from '../../src/locales/es/own.ts';
import esProgress from '../../src/locales/es/progress.ts';
import esQuiz from '../../src/locales/es/quiz.ts';
import esSetup from '../../src/locales/es/setup.ts';
import esTalk from '../../src/locales/es/talk.ts';
import esFilm from '../../src/locales/es/film.ts';
import esMeeting from '../../src/locales/es/meeting.ts';
import esSurvey from '../../src/locales/es/survey.ts';
import esWork from '../../src/locales/es/work.ts';
import frAccount from '../../src/locales/fr/account.ts';
import frAgenda from '../../src/locales/fr/agenda.ts';
import frCommon from '../../src/locales/fr/common.ts';
import frDesk from '../../src/locales/fr/desk.ts';
import frLearner from '../../src/locales/fr/learner.ts';
import frForecast from '../../src/locales/fr/forecast.ts';
import frGrid from '../../src/locales/fr/grid.ts';
import frOwn from '../../src/locales/fr/own.ts';
import frProgress from '../../src/locales/fr/progress.ts';
import frQuiz from '../../src/locales/fr/quiz.ts';
import frSetup from '../../src/locales/fr/setup.ts';
import frTalk from '../../src/locales/fr/talk.ts';
import frFilm from '../../src/locales/fr/film.ts';
import frMeeting from '../../src/locales/fr/meeting.ts';
import frSurvey from '../../src/locales/fr/survey.ts';
import frWork from '../../src/locales/fr/work.ts';
import arAccount from '../../src/locales/ar/account.ts';
import arAgenda from '../../src/locales/ar/agenda.ts';
import arCommon from '../../src/locales/ar/common.ts';
import arDesk from '../../src/locales/ar/desk.ts';
import arLearner from '../../src/locales/ar/learner.ts';
import arForecast from '../../src/locales/ar/forecast.ts';
import arGrid from '../../src/locales/ar/grid.ts';
import arOwn from '../../src/locales/ar/own.ts';
import arProgress from '../../src/locales/ar/progress.ts';
import arQuiz from '../../src/locales/ar/quiz.ts';
import arSetup from '../../src/locales/ar/setup.ts';
import arTalk from '../../src/locales/ar/talk.ts';
import arFilm from '../../src/locales/ar/film.ts';
import arMeeting from '../../src/locales/ar/meeting.ts';
import arSurvey from '../../src/locales/ar/survey.ts';
import arWork from '../../src/locales/ar/work.ts';

export const LOCALES = ['en', 'es', 'fr', 'ar'] as const;

export const messages = {
  en: {
    account: enAccount,
    agenda: enAgenda,
    common: enCommon,
    desk: enDesk,
    learner: enLearner,
    own: enOwn,
    forecast: enForecast,
    grid: enGrid,
    progress: enProgress,
    quiz: enQuiz,
    setup: enSetup,
    talk: enTalk,
    film: enFilm,
    meeting: enMeeting,
    survey: enSurvey,
    work: enWork,
  },
  es: {
    account: esAccount,
    agenda: esAgenda,
    common: esCommon,
    desk: esDesk,
    learner: esLearner,
    own: esOwn,
    forecast: esForecast,
    grid: esGrid,
    progress: esProgress,
    quiz: esQuiz,
    setup: esSetup,
    talk: esTalk,
    film: esFilm,
    meeting: esMeeting,
    survey: esSurvey,
    work: esWork,
  },
  fr: {
    account: frAccount,
    agenda: frAgenda,
    common: frCommon,
    desk: frDesk,
    learner: frLearner,
    own: frOwn,
    forecast: frForecast,
    grid: frGrid,
    progress: frProgress,
    quiz: frQuiz,
    setup: frSetup,
    talk: frTalk,
    film: frFilm,
    meeting: frMeeting,
    survey: frSurvey,
    work: frWork,
  },
  ar: {
    account: arAccount,
    agenda: arAgenda,
    common: arCommon,
    desk: arDesk,
    learner: arLearner,
    own: arOwn,
    forecast: arForecast,
    grid: arGrid,
    progress: arProgress,
    quiz: arQuiz,
    setup: arSetup,
    talk: arTalk,
    film: arFilm,
    meeting: arMeeting,
    survey: arSurvey,
    work: arWork,
  },
};

import { createRouter, createWebHistory } from 'vue-router';
import type { RouteRecordRaw } from 'vue-router';
import { UnreachableError } from '../api/client.ts';
import { removeFirstFace } from '../learner/course/first-face.ts';
import { useSession } from '../stores/session.ts';
import type { Area } from '@itinerary/core';
import type { Area as MessageArea } from '../words/i18n.ts';
import { setTitle } from '../words/page-title.ts';
import { i18n, loadMessages } from '../words/i18n.ts';
import { placeAgain } from './reading-place.ts';
import { watchTheWay } from './under-way.ts';

declare module 'vue-router' {
  interface RouteMeta {
    areas?: readonly MessageArea[];
    /** Open to people who are not signed in. */
    open?: boolean;
    /** Message key of the page's title; pages about one course set their own. */
    title?: string;
  }
}

/** Pages that compute: Zod must know of the content policy before the first schema is made. */
async function withCore<T>(page: () => Promise<T>): Promise<T> {
  await import('./zod-without-eval.ts');
  return page();
}

const coursePage = (): Promise<unknown> => import('../learner/course/CoursePage.vue');

/** Pages that collect what is in the course, by the last part of their address. */
const COLLECTIONS: Readonly<Record<string, Area>> = {
  outline: 'sections',
  assignments: 'assignments',
  quizzes: 'quizzes',
  discussions: 'discussions',
  meetings: 'meetings',
  files: 'files',
  syllabus: 'syllabus',
};

const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/desk' },
  {
    path: '/sign-in',
    name: 'sign-in',
    component: () => import('../signin/SignInPage.vue'),
    meta: { open: true, areas: ['account'], title: 'common.signIn.title' },
  },
  {
    path: '/account/new',
    name: 'new-account',
    component: () => import('../account/LetterPage.vue'),
    props: { wants: 'make' },
    meta: { open: true, areas: ['account'], title: 'account.make.title' },
  },
  {
    path: '/account/forgotten',
    name: 'forgotten',
    component: () => import('../account/LetterPage.vue'),
    props: { wants: 'forgotten' },
    meta: { open: true, areas: ['account'], title: 'account.forgotten.title' },
  },
  {
    path: '/account/:kind(confirm|reset)/:key',
    name: 'account-key',
    component: () => import('../account/ChoosePage.vue'),
    meta: { open: true, areas: ['account'], title: 'account.choose.confirm' },
  },
  {
    path: '/account',
    name: 'own-account',
    component: () => import('../account/AccountPage.vue'),
    meta: { areas: ['account'], title: 'account.own.title' },
  },
  {
    path: '/desk',
    name: 'desk',
    component: () => import('../desk/DeskPage.vue'),
    meta: { areas: ['desk', 'learner'], title: 'desk.title' },
  },
  {
    path: '/calendar',
    name: 'calendar',
    component: () => import('../agenda/CalendarPage.vue'),
    meta: { areas: ['agenda', 'learner'], title: 'agenda.title' },
  },
  {
    path: '/new-course',
    name: 'new-course',
    component: () => withCore(() => import('../desk/NewCoursePage.vue')),
    meta: { areas: ['desk', 'setup', 'learner'], title: 'desk.new.title' },
  },
  {
    path: '/setup/:course/:stop(about|dates|outline|menu|look|progress|access|members|messages|readiness)?',
    name: 'setup',
    component: () => withCore(() => import('../setup/SetupPage.vue')),
    meta: { areas: ['setup', 'learner', 'progress', 'desk'] },
  },
  {
    path: '/join/to/:course',
    name: 'join-course',
    component: () => import('../learner/join/JoinPage.vue'),
    meta: { open: true, areas: ['learner'], title: 'learner.join.title' },
  },
  {
    path: '/join/:code?',
    name: 'join',
    component: () => import('../learner/join/JoinPage.vue'),
    meta: { open: true, areas: ['learner'], title: 'learner.join.title' },
  },
  {
    path: '/parts',
    component: () => withCore(() => import('../parts/PartsPage.vue')),
    meta: { open: true },
    // In development, and where the clock stands: for everybody else there is no such page.
    beforeEnter: () => import.meta.env.DEV || useSession().me?.clockStands === true || '/desk',
  },
  {
    path: '/courses/:course',
    component: () => import('../learner/shell/CourseShell.vue'),
    meta: { open: true, areas: ['learner'] },
    children: [
      { path: '', name: 'course', component: coursePage },
      { path: 'home', name: 'course-home', component: coursePage },
      {
        path: 'sections/:section',
        name: 'section',
        component: () => import('../learner/outline/SectionPage.vue'),
      },
      { path: 'items/:item', name: 'item', component: () => import('../learner/item/ItemPage.vue') },
      {
        path: 'items/:item/coursework',
        name: 'marking',
        component: () => import('../marking/MarkingPage.vue'),
        meta: { open: false, areas: ['learner', 'work'] },
      },
      {
        path: 'items/:item/answers',
        name: 'answers',
        component: () => import('../marking/quiz/AnswersPage.vue'),
        meta: { open: false, areas: ['learner', 'quiz'] },
      },
      {
        path: 'items/:item/attendance',
        name: 'attendance',
        component: () => import('../marking/meeting/AttendancePage.vue'),
        meta: { open: false, areas: ['learner', 'meeting'] },
      },
      {
        path: 'items/:item/survey',
        name: 'survey-totals',
        component: () => import('../marking/survey/SurveyPage.vue'),
        meta: { open: false, areas: ['learner', 'survey'] },
      },
      {
        path: 'find',
        name: 'course-find',
        component: () => import('../learner/own/FindPage.vue'),
        meta: { areas: ['learner', 'own'] },
      },
      {
        path: 'log',
        name: 'course-log',
        component: () => import('../learner/own/LogPage.vue'),
        meta: { open: false, areas: ['learner', 'own'] },
      },
      {
        path: 'how-far',
        name: 'how-far',
        component: () => import('../learner/own/HowFarPage.vue'),
        meta: { open: false, areas: ['learner', 'progress'] },
      },
      {
        path: 'progress',
        name: 'grid',
        component: () => import('../marking/progress/GridPage.vue'),
        meta: { open: false, areas: ['learner', 'grid'] },
      },
      {
        path: 'progress/:person',
        name: 'learner-progress',
        component: () => import('../marking/progress/LearnerPage.vue'),
        meta: { open: false, areas: ['learner', 'grid', 'progress'] },
      },
      {
        path: 'forecast',
        name: 'forecast',
        component: () => import('../marking/forecast/ForecastPage.vue'),
        meta: { open: false, areas: ['learner', 'forecast'] },
      },
      { path: 'guide', name: 'guide', component: () => import('../learner/guide/GuidePage.vue') },
      {
        path: 'members',
        name: 'course-members',
        component: () => import('../learner/members/MembersPage.vue'),
        meta: { open: false },
      },
      {
        path: 'announcements',
        name: 'course-announcements',
        component: () => import('../learner/messages/AnnouncementsPage.vue'),
      },
      {
        path: 'contact',
        name: 'course-contact',
        component: () => import('../learner/messages/ContactPage.vue'),
      },
      ...(Object.entries(COLLECTIONS) as [string, Area][]).map(([at, area]) => ({
        path: at,
        name: `course-${at}`,
        component: () => import('../learner/outline/OutlinePage.vue'),
        props: { area },
      })),
    ],
  },
  {
    path: '/:rest(.*)*',
    name: 'nowhere',
    component: () => import('./NowherePage.vue'),
    meta: { open: true, title: 'common.nowhere.title' },
  },
];

export const router = createRouter({
  history: createWebHistory(),
  routes,
  scrollBehavior: (to, from, saved) => {
    if (saved === null) return to.path === from.path ? {} : { top: 0 };
    return placeAgain(saved, () => router.currentRoute.value.fullPath === to.fullPath);
  },
});

watchTheWay(router, () => useSession().load());

router.beforeEach(async (to) => {
  const session = useSession();
  const messages = loadMessages(to.meta.areas ?? []);
  if (session.me === null) {
    try {
      await session.load();
    } catch (error) {
      if (!(error instanceof UnreachableError)) throw error;
      // The page itself says that the server is away, and offers to try again.
    }
  }
  await messages;
  if (session.person === null && session.me !== null && to.meta.open !== true) {
    return { name: 'sign-in', query: to.fullPath === '/desk' ? {} : { then: to.fullPath } };
  }
  if (session.person !== null && to.name === 'sign-in') return { name: 'desk' };
  return true;
});

router.afterEach((to) => {
  if (to.name !== 'course' && to.name !== 'course-home') removeFirstFace();
  if (to.meta.title !== undefined) setTitle(i18n.global.t(to.meta.title));
});

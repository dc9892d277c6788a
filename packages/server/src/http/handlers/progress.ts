/** Where learners stand. */
import type { PROGRESS_ROUTES } from '@itinerary/contract';
import { deedDays } from '../../usecases/progress/deed-days.ts';
import { gridCsv, readGrid } from '../../usecases/progress/grid.ts';
import { learnerProgress, markDone } from '../../usecases/progress/marks.ts';
import { whoMoves } from '../../usecases/progress/moves.ts';
import { allProgress, progressFor } from '../../usecases/progress/own.ts';
import { statementsOf } from '../../usecases/progress/statements.ts';
import type { HandlersOf } from '../call.ts';

export const PROGRESS: HandlersOf<typeof PROGRESS_ROUTES> = {
  ownProgress: ({ em, who, now }) => progressFor(em, who.loaded.course, who.person, who.viewer, now),
  allProgress: ({ em, who, now }) => allProgress(em, who.person, now),
  grid: ({ em, who, now }) => readGrid(em, who.loaded.course, now),
  progressCsv: ({ em, who: { loaded }, now, request }) => {
    request.res?.attachment(`${loaded.course.code} progress.csv`);
    return gridCsv(em, loaded.course, now);
  },
  progressStatements: ({ em, config, who: { loaded }, request }) => {
    request.res?.attachment(`${loaded.course.code} xapi.json`);
    return statementsOf(em, loaded.course, config.site);
  },
  deedDays: ({ em, who, now }) => deedDays(em, who.loaded.course, now),
  learnerProgress: ({ em, who, params, now }) => learnerProgress(em, who.loaded.course, params.person, now),
  markDone: async ({ em, who, params, body, now }) => {
    await markDone(em, who.loaded.course, params.item, body, who.person, now);
    return readGrid(em, who.loaded.course, now);
  },
  moves: ({ em, who, body, now }) => whoMoves(em, who.loaded.course, body.edits, now),
};

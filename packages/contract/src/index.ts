/** What web and server agree on. */
export { ROUTES, healthSchema } from './routes.ts';
export type { Route, RouteAccess, RouteName } from './routes.ts';
export { openApiDocument } from './openapi.ts';
export { problemCodes, problemSchema } from './problem.ts';
export type { FieldProblem, Problem, ProblemCode } from './problem.ts';
export type {
  DemoPeopleAnswer,
  Holiday,
  HolidaysAnswer,
  InstitutionAnswer,
  MeAnswer,
  MembersAnswer,
  OwnMoments,
  OwnMomentsAnswer,
  PeopleAnswer,
  PersonAnswer,
  PersonKind,
  StandingAnswer,
} from './people.ts';
export type {
  ChangesAnswer,
  ChangesRequest,
  CodeAnswer,
  DeskAnswer,
  DeskCourse,
  FoundCourse,
  NewCourseRequest,
  PlanAnswer,
  ServerRefusal,
  TextAnswer,
  UploadAnswer,
} from './courses.ts';
export { newCourseSchema } from './courses.ts';
export type {
  ClassmatesAnswer,
  Neighbour,
  PageTextAnswer,
  ReadCourseAnswer,
  ReadItemAnswer,
} from './learner.ts';
export { MAX_COMMENT } from './face.ts';
export type {
  AnnouncementsAnswer,
  CommentsAnswer,
  FaceFactsAnswer,
  FrameAnswer,
  InstitutionPagesAnswer,
  LibraryAnswer,
  MenuTemplatesAnswer,
  OwnPicturesAnswer,
  PictureView,
  TakenPicture,
  TakePicture,
} from './face.ts';

/** What web and server agree on. */
export { ROUTES } from './routes.ts';
export type { RouteName } from './routes.ts';
export type { Route, RouteAccess } from './shape/route.ts';
export type {
  AccessOf,
  AnswerOf,
  BodyOf,
  ParamsOf,
  QueryOf,
  QueryInput,
  RequestLine,
  RouteAt,
  SentBody,
} from './typed.ts';
export { openApiDocument } from './openapi.ts';
export { problemCodes, problemSchema } from './shape/problem.ts';
export type { FieldProblem, Problem, ProblemCode } from './shape/problem.ts';
export { healthSchema } from './service/schemas.ts';
export type { DemoPart, DemoPeopleAnswer, MeAnswer, PersonAnswer, PersonKind } from './people/schemas.ts';
export type {
  Holiday,
  HolidaysAnswer,
  InstitutionAnswer,
  InstitutionPagesAnswer,
  MenuTemplatesAnswer,
} from './institution/schemas.ts';
export { newCourseSchema } from './desk/schemas.ts';
export { DESK_ROWS } from './desk/schemas.ts';
export type {
  CodeAnswer,
  DeskAnswer,
  DeskCourse,
  DeskQuery,
  FoundCourse,
  NewCourseRequest,
} from './desk/schemas.ts';
export type {
  AllProgressAnswer,
  DeedDaysAnswer,
  MovesAnswer,
  GridAnswer,
  LearnerAnswer,
  MarkDone,
  ProgressAnswer,
} from './progress/schemas.ts';
export type {
  ChangesAnswer,
  ChangesRequest,
  FaceFactsAnswer,
  PlanAnswer,
  ServerRefusal,
  TextAnswer,
} from './plan/schemas.ts';
export type {
  LibraryAnswer,
  OwnPicturesAnswer,
  TakenPicture,
  TakePicture,
  UploadAnswer,
} from './files/schemas.ts';
export type {
  KeptShape,
  ListCounts,
  ListsAnswer,
  RosterAnswer,
  SentRow,
  TakeList,
  TakenListAnswer,
} from './members/list-schemas.ts';
export type {
  ChoicesAnswer,
  ChooseGroup,
  ClassmatesAnswer,
  EditMembers,
  FirstMembersAnswer,
  MembersAnswer,
  OwnMoments,
  OwnMomentsAnswer,
  PeopleAnswer,
  StandingAnswer,
} from './members/schemas.ts';
export { MAX_ANSWER } from './joining/schemas.ts';
export type {
  JoinAnswerSent,
  JoinBy,
  JoinedAnswer,
  JoinPageAnswer,
  OpenWay,
  RenewalAnswer,
} from './joining/schemas.ts';
export { MAX_INVITED, MAX_REASON } from './joining/ways-schemas.ts';
export type {
  Decide,
  DecidedAnswer,
  InvitationState,
  Invite,
  InvitedAct,
  WaysInAnswer,
} from './joining/ways-schemas.ts';
export { MAX_FOLLOWED } from './registry/schemas.ts';
export type {
  FollowsRequest,
  RegistryAnswer,
  RegistryClass,
  RegistryReadingAnswer,
  RegistryStep,
  SettleRequest,
  TaughtAnswer,
} from './registry/schemas.ts';
export type { REGISTRY_ROUTES } from './registry/routes.ts';
export type { DoorFactsAnswer } from './shape/door.ts';
export { mailAddressSchema } from './shape/mail.ts';
export { LEAST_PASSWORD, MAX_NAME } from './accounts/schemas.ts';
export type { AccountKeyAnswer, SessionsAnswer } from './accounts/schemas.ts';
export { MAX_COMMENT } from './messages/schemas.ts';
export type { AnnouncementsAnswer, CommentsAnswer } from './messages/schemas.ts';
export type {
  FrameAnswer,
  Neighbour,
  PageTextAnswer,
  PictureView,
  ReadCourseAnswer,
  ReadItemAnswer,
} from './reading/schemas.ts';
export { MAX_MARK_COMMENT } from './coursework/schemas.ts';
export type {
  DraftBody,
  LookedAtAnswer,
  MarkBody,
  OwnWorkAnswer,
  ReceiptAnswer,
  WorkListAnswer,
} from './coursework/schemas.ts';
export type { WORK_ROUTES } from './coursework/routes.ts';
export type { QUIZ_ROUTES } from './coursework/quiz/routes.ts';
export type { TALK_ROUTES } from './coursework/talk/routes.ts';
export type { OWN_ROUTES } from './own/routes.ts';
export type { PROGRESS_ROUTES } from './progress/routes.ts';
export { LOG_PAGE } from './own/schemas.ts';
export type { AllNewsAnswer, FoundAnswer, NewsAnswer, OwnLogAnswer } from './own/schemas.ts';
export type { AGENDA_ROUTES } from './agenda/routes.ts';
export type { AgendaAnswer, AgendaThing, FeedAnswer } from './agenda/schemas.ts';
export type { FILM_ROUTES } from './coursework/film/routes.ts';
export type { FilmAnswer, WatchedAnswer, WatchedBody, WhoWatched } from './coursework/film/schemas.ts';
export type { MEETING_ROUTES } from './coursework/meeting/routes.ts';
export type { AttendanceAnswer, MeetingAnswer, SayAttended } from './coursework/meeting/schemas.ts';
export type { SURVEY_ROUTES } from './coursework/survey/routes.ts';
export type { OwnSurvey, SurveyTotals } from './coursework/survey/schemas.ts';
export { MAX_POST, MAX_POST_FILES, POSTS_A_PAGE } from './coursework/talk/schemas.ts';
export type {
  LeadThread,
  PostDraft,
  PostDraftBody,
  TalkAnswer,
  ThreadAnswer,
  WhoPosted,
} from './coursework/talk/schemas.ts';
export { MAX_LONG_ANSWER } from './coursework/quiz/schemas.ts';
export type {
  AlikeAnswers,
  AnewAnswer,
  KeptAnswer,
  MarkAnswers,
  OwnQuizAnswer,
  QuizAnswer,
  QuizListAnswer,
} from './coursework/quiz/schemas.ts';
export { ACCOUNT_ROUTES } from './accounts/routes.ts';
export { ACCESS_ROUTES } from './access/routes.ts';
export { DESK_ROUTES } from './desk/routes.ts';
export { FILES_ROUTES } from './files/routes.ts';
export { INSTITUTION_ROUTES } from './institution/routes.ts';
export { JOINING_ROUTES } from './joining/routes.ts';
export { MEMBERS_ROUTES } from './members/routes.ts';
export { MESSAGES_ROUTES } from './messages/routes.ts';
export { PEOPLE_ROUTES } from './people/routes.ts';
export { PLAN_ROUTES } from './plan/routes.ts';
export { READING_ROUTES } from './reading/routes.ts';
export { SERVICE_ROUTES } from './service/routes.ts';

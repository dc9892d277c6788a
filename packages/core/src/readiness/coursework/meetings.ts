/** What is wrong with meetings, and with surveys. */
import { conditionBy } from '../../course/schema/progress-schema.ts';
import { findNode, sectionOf } from '../../course/tree.ts';
import { takenRule } from './taken.ts';

/** Nobody knows where to go: neither a place, its own or its section's, nor a room on the net. */
export const meetingNowhere = takenRule('meeting_nowhere', ['meeting'], {
  isWrong: (meeting, { course, plan }) => {
    if (meeting.place !== null || meeting.room !== null) return false;
    const place = findNode(course, meeting.id);
    const section = place === null ? null : sectionOf(place);
    const span = plan.sections.find((one) => one.id === section?.id)?.span;
    return span?.kind !== 'slot' || (span.slot.meeting?.place ?? null) === null;
  },
});

/** Done by being there, where nobody says who was. The cure has staff tick a list. */
export const attendanceUnnoticed = takenRule('attendance_unnoticed', ['meeting'], {
  isWrong: ({ attendance, done }) => conditionBy(done, 'attended') !== null && attendance === 'none',
  cure: { field: 'attendance', cured: () => 'list' },
});

/** A survey that asks nothing, or offers nothing to choose between. */
export const surveyAsksNothing = takenRule('survey_asks_nothing', ['survey'], {
  isWrong: ({ asks }) => {
    const all = Object.values(asks);
    return all.length === 0 || all.some((ask) => 'choices' in ask && ask.choices.length < 2);
  },
});

/** Totals are shown from more answers on than there are learners. */
export const surveyTooFew = takenRule('survey_too_few', ['survey'], {
  isWrong: ({ least }, { learners }) => learners > 0 && least > learners,
  values: ({ least }, { learners }) => ({ least, learners }),
});

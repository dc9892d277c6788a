/** What each readiness rule says: what it found, why it matters, and what its cure does. */
export default {
  no_description: {
    what: 'The course has no description',
    why: 'Learners decide by it what they are in for; a few sentences from the syllabus are enough.',
    cure: '',
  },
  no_first_day: {
    what: 'The course has no first day',
    why: 'A week-by-week course takes every other date from it.',
    cure: '',
  },
  mid_week: {
    what: 'The first day is a {weekday}, and the teaching week begins on {weekStart}',
    why: 'Every section would straddle two weeks.',
    cure: 'Begin on {moved}',
  },
  dates_past: {
    what: 'The course has begun already, on {firstDay}',
    why: 'Learners would come in late.',
    cure: 'Begin on {moved}',
  },
  dates_past_over: {
    what: 'The course’s dates are over: they ended on {lastDay}',
    why: 'They may be those of an earlier run.',
    cure: 'Begin on {moved}',
  },
  spare_weeks: {
    what: 'Week {first} has no section | {count} weeks have no section, from week {first} on',
    why: 'They would stand empty in everybody’s calendar.',
    cure: 'End after {filled} weeks',
  },
  unplaced_sections: {
    what: 'One section has no week to stand in | {count} sections have no week to stand in',
    why: 'The course is {weeks} weeks long, and its sections need {needed}.',
    cure: 'Make it {needed} weeks',
  },
  no_item: {
    what: 'Nothing in the course is shown',
    why: 'Whoever opens it would find it empty. Add a page to a section.',
    cure: '',
  },
  empty_section: {
    what: 'One section is empty | {count} sections are empty',
    why: 'An empty section reads as unfinished.',
    cure: 'Hide it from learners | Hide them from learners',
  },
  empty_item: {
    what: 'One item has nothing in it | {count} items have nothing in them',
    why: 'Learners would open them and find nothing.',
    cure: 'Hide it from learners | Hide them from learners',
  },
  no_learners: {
    what: 'Nobody is on the course as a learner',
    why: 'It would go live for no one.',
    cure: '',
  },
  seats_short: {
    what: 'There are more learners than seats: {learners} for {seats}',
    why: 'Nobody who is here goes, and nobody else comes in by themselves.',
    cure: 'Make room for all',
  },
  way_never: {
    what: 'The way in {way} closes before it opens',
    why: 'Whoever wants to come reads that its time is over.',
    cure: 'Leave it open',
  },
  way_never_draft: {
    what: 'The way in {way} closes before the course goes live',
    why: 'Until then nobody joins, and afterwards nobody any more.',
    cure: 'Leave it open afterwards',
  },
  way_never_late: {
    what: 'The way in {way} opens after the last day',
    why: 'Whoever joins then finds a course that is over.',
    cure: 'Open it at once',
  },
  ways_contradict: {
    what: 'Some should ask, and whoever has the code need not',
    why: 'The code lets anybody in unasked: switch one of the two off, or keep the code to some domains.',
    cure: '',
  },
  ways_contradict_seats: {
    what: '{own} seats {way}, and {seats} in the whole course',
    why: 'The seats of a way are some of the course’s: there are not more.',
    cure: 'Leave it to the course',
  },
  line_stuck: {
    what: 'People wait by a way that is off: {way}',
    why: 'No free seat is offered to them. | No free seat is offered to the one who waits. | No free seat is offered to the {count} who wait.',
    cure: 'Switch it on',
  },
  line_stuck_over: {
    what: 'People wait by a way whose time is over: {way}',
    why: 'No free seat is offered to them. | No free seat is offered to the one who waits. | No free seat is offered to the {count} who wait.',
    cure: 'Leave it open',
  },
  letters_wait: {
    what: 'Invitations do not go out',
    why: 'No mail service is set up here: letters wait until there is one.',
    cure: '',
  },
  letters_wait_request: {
    what: 'Nobody is told of requests',
    why: 'No mail service is set up here: whoever asks waits until somebody looks.',
    cure: '',
  },
  invitations_open: {
    what: 'No invitation came back | One invitation came back | {count} invitations came back',
    why: 'Whoever should have it knows nothing of it: correct the address.',
    cure: '',
  },
  invitations_open_unanswered: {
    what: 'No invitation is unanswered | One invitation is unanswered for a week | {count} invitations are unanswered for a week',
    why: 'Send it again, or withdraw it.',
    cure: '',
  },
  requests_open: {
    what: 'Nobody asks to join | One person asks to join | {count} people ask to join',
    why: 'They wait for your answer.',
    cure: '',
  },
  registry_empty: {
    what: 'The way from the registry is on, and the course follows none of its classes',
    why: 'Nobody comes by it.',
    cure: '',
  },
  registry_over_seats: {
    what: '{listed} learners are on the registry’s lists, and there are {seats} seats',
    why: 'The others wait in the line until somebody goes.',
    cure: 'Seats for all of them',
  },
  registry_asks: {
    what: 'The registry says something that you have to settle | The registry says {count} things that you have to settle',
    why: 'Until then what you have stands.',
    cure: '',
  },
  registry_away: {
    what: 'The registry has not been read since {day}',
    why: 'It does not answer: late joins and drops are not in the course.',
    cure: '',
  },
  registry_away_never: {
    what: 'The registry has never been read',
    why: 'It does not answer: nobody comes by it.',
    cure: '',
  },
  class_left_out: {
    what: 'Nobody of the class {name} is in a group | Of {count} classes nobody is in a group, {name} first',
    why: 'Groups work apart here, and a whole class takes part in nothing of it.',
    cure: '',
  },
  ungrouped: {
    what: 'Nobody is in no group | One learner is in no group | {count} learners are in no group',
    why: 'Groups work apart here: whoever is in none takes part in nothing of it.',
    cure: '',
  },
  instructor_alone: {
    what: 'One instructor for {learners} learners',
    why: 'If they fall ill, nobody else can change anything or answer.',
    cure: '',
  },
  pays_nothing: {
    what: 'Joining by paying costs nothing',
    why: 'No price is set, or one of nothing: whoever wants to pay cannot, or comes in free.',
    cure: '',
  },
  pays_nothing_desk: {
    what: 'Nobody can pay',
    why: 'Joining by paying is on, and no payment desk is set up here.',
    cure: '',
  },
  ends_before_start: {
    what: 'The last day, {lastDay}, comes before the first, {firstDay}',
    why: 'The course would be over before it begins. Change one of the two.',
    cure: '',
  },
  no_pattern: {
    what: 'There are no meetings',
    why: 'Meeting by meeting, the meetings make the sections: say on which days they are.',
    cure: '',
  },
  no_days: {
    what: 'Not one day is left to teach',
    why: 'The pauses, or the last day, take every teaching day from {firstDay} on.',
    cure: '',
  },
  meeting_pace: {
    what: 'Meetings go with one calendar for all',
    why: 'A clock of one’s own has no place among meetings that are held together.',
    cure: 'Pace: Together',
  },
  around_missing: {
    what: 'The item that the course is around is not there',
    why: 'Choose one that learners are shown.',
    cure: '',
  },
  past_term: {
    what: 'The course runs until {lastDay}; {term} ends {termEnds}',
    why: 'Rooms, people and marks are planned by the term.',
    cure: '',
  },
  spare_weeks_meetings: {
    what: 'Meeting {first} has no section | {count} meetings have no section, from meeting {first} on',
    why: 'They would stand empty in everybody’s calendar.',
    cure: 'End after {filled} meetings',
  },
  unplaced_sections_meetings: {
    what: 'One section has no meeting to stand with | {count} sections have no meeting to stand with',
    why: 'There are {weeks} meetings, and the sections need {needed}.',
    cure: 'Make it {needed} meetings',
  },
  past_last_day: {
    what: 'One section runs past the last day, {lastDay} | {count} sections run past the last day, {lastDay}',
    why: 'Learners could not reach what lies beyond it.',
    cure: 'End on {needs}',
  },
  unit_overlap: {
    what: 'One pinned section begins before the one above it has ended | {count} pinned sections begin before those above them have ended',
    why: 'Two sections at a time are hard to follow.',
    cure: 'Let it follow | Let them follow',
  },
  typed_numbers: {
    what: 'One title begins with a number of its own | {count} titles begin with numbers of their own',
    why: 'Beside the computed number it will be wrong after the next move.',
    cure: 'Take it off | Take them off',
  },
  work_undated: {
    what: 'One piece of work has no date | {count} pieces of work have no date',
    why: 'What they are measured from has none, or is gone.',
    cure: 'Take the due moment off | Take the due moments off',
  },
  takes_nothing: {
    what: '{title} takes nothing | {count} assignments take nothing',
    why: 'Neither text nor an address nor a file can be handed in.',
    cure: 'Take text | Take text in each',
  },
  late_before_due: {
    what: '{title} is taken late until before it is due | {count} pieces of work are taken late until before they are due',
    why: 'Nothing is ever late then.',
    cure: 'Take nothing late',
  },
  pass_out_of_reach: {
    what: '{points} points pass {title}, of {total} | {count} pieces of work ask for more points to pass than there are',
    why: 'Nobody can pass it.',
    cure: 'Let all of the points pass',
  },
  no_questions: {
    what: '{title} asks nothing | {count} quizzes ask nothing',
    why: 'Learners find a quiz in which there is nothing to answer.',
    cure: '',
  },
  question_unanswerable: {
    what: 'Question {question} of {title} has no right answer | {count} quizzes have questions without a right answer',
    why: 'Nothing is marked as right, or there is nothing to choose between.',
    cure: '',
  },
  pool_uneven: {
    what: 'In {title}, the questions of “{pool}” give unlike points | {count} quizzes draw from questions that give unlike points',
    why: 'One attempt can then give more than another.',
    cure: '',
  },
  pool_uneven_short: {
    what: '{title} draws {draws} questions from “{pool}”, which has {has} | {count} quizzes draw more questions than there are',
    why: 'Each attempt gets all of them, and no more.',
    cure: '',
  },
  points_unlike_total: {
    what: 'The questions of {title} come to {points} points, and it gives {total} | In {count} quizzes the questions come to another sum than the total',
    why: 'What learners count together is not what they get.',
    cure: 'Let the questions say the total',
  },
  limit_beyond_opening: {
    what: '{title} gives {limit} minutes, and is open for {open} | {count} quizzes give more time than they are open',
    why: 'Whoever begins with its opening is cut off before their time is over.',
    cure: 'Give as long as it is open',
  },
  limit_too_short: {
    what: '{title} is expected to take {minutes} minutes, and gives {limit} | {count} quizzes give less time than they are expected to take',
    why: 'Most learners do not finish.',
    cure: 'Give as long as is expected',
  },
  no_time_between: {
    what: '{title} has {tries} attempts with {wait} minutes between, and is open for {open} | In {count} quizzes the waits leave no time for all attempts',
    why: 'The last attempts can never be begun.',
    cure: 'Take the wait off',
  },
  discussion_shut: {
    what: '{title} is closed, and done by posting | {count} discussions are closed, and done by posting',
    why: 'Nobody can post there, so that nobody is ever done with it.',
    cure: 'Open it | Open them',
  },
  choice_unseen: {
    what: '{title} has a picture to choose that nobody describes, at question {question} | {count} quizzes have pictures to choose that nobody describes',
    why: 'Who does not see it cannot choose it.',
    cure: '',
  },
  film_silent: {
    what: '{title} has no captions | {count} films have no captions',
    why: 'Who does not hear it, or watches it where it is loud, gets nothing of what is said.',
    cure: '',
  },
  watch_unnoticed: {
    what: '{title} is done by watching, and nobody notices | {count} films are done by watching, and nobody notices',
    why: 'Only a film that is a file here, with a length, is followed.',
    cure: 'Let opening it count | Let opening them count',
  },
  chapter_beyond: {
    what: '{title} has a part that begins after its end | {count} films have parts that begin after their end',
    why: 'Nobody gets there. Perhaps the film is another one by now.',
    cure: 'Take such parts out',
  },
  meeting_nowhere: {
    what: '{title} has no place | {count} meetings have no place',
    why: 'Nobody knows where to go: there is neither a place nor a room on the net.',
    cure: '',
  },
  attendance_unnoticed: {
    what: '{title} is done by being there, and nobody says who was | {count} meetings are done by being there, and nobody says who was',
    why: 'Nobody is ever done with it.',
    cure: 'Have staff tick a list',
  },
  survey_asks_nothing: {
    what: '{title} has nothing to answer, or nothing to choose between | {count} surveys have nothing to answer, or nothing to choose between',
    why: 'Learners find a survey in which there is nothing to say.',
    cure: '',
  },
  survey_too_few: {
    what: '{title} wants {least} answers before it shows anything, and {learners} learn here | {count} surveys want more answers before they show anything than there are learners',
    why: 'Its totals are never seen.',
    cure: '',
  },
  largest_beyond: {
    what: '{title} says {largest} MB, and the course takes {limit} | {count} assignments say that they take larger files than the course does',
    why: 'A larger file is refused all the same.',
    cure: 'Leave it to the course',
  },
  work_circle: {
    what: '{count} due moments are measured from each other',
    why: 'In a circle none of them has a date.',
    cure: 'Give them the usual hand-in time',
  },
  work_outside: {
    what: '{title} is due {day}, outside its section | {count} pieces of work are due outside their sections',
    why: 'Learners look for it in the days of its section.',
    cure: 'Give it the usual hand-in time | Give them the usual hand-in time',
  },
  work_in_pause: {
    what: '{title} is due {day}, in the pause {pause} | {count} pieces of work are due in a pause',
    why: 'Nobody is there to ask.',
    cure: '',
  },
  work_at_clock_change: {
    what: '{title} is due at {time} on {day}, a time that the clocks jump over | {count} pieces of work are due at a time that the clocks jump over or show twice',
    why: 'It counts as the same distance after the jump. Another time saves the question.',
    cure: '',
  },
  work_at_clock_change_twice: {
    what: '{title} is due at {time} on {day}, a time that the clocks show twice | {count} pieces of work are due at a time that the clocks show twice or jump over',
    why: 'The first one counts. Another time saves the question.',
    cure: '',
  },
  work_before_opening: {
    what: '{title} is due {day}, before it opens | {count} pieces of work are due before they open',
    why: 'It could never be handed in.',
    cure: 'Open it with its section | Open them with their sections',
  },
  work_same_night: {
    what: '{works} pieces of work are due on {day} | On {count} days more than one piece of work is due',
    why: 'One of them will be done badly.',
    cure: '',
  },
  work_no_such_weekday: {
    what: '{title} is due on a weekday that its section does not have | {count} pieces of work are due on a weekday that their sections do not have',
    why: 'The nearest day inside was taken: {day}. | The nearest days inside were taken.',
    cure: '',
  },
  heavy_sections: {
    what: 'One section asks for more than {hours} hours a week | {count} sections ask for more than {hours} hours a week',
    why: 'The heaviest holds {minutes} minutes.',
    cure: '',
  },
  stated_hours: {
    what: 'The course promises {stated} hours; its items add up to {hours}',
    why: 'Learners plan by the promise.',
    cure: 'Promise {hours} hours',
  },
  outcome_unassessed: {
    what: 'Nothing assesses the outcome “{outcome}” | Nothing assesses {count} outcomes',
    why: 'Nobody would know whether it was reached.',
    cure: '',
  },
  largest_upload: {
    what: 'The largest upload is {limit} MB; nothing here asks for so much',
    why: 'Slow lines and full disks come of it.',
    cure: 'Make it {needed} MB',
  },
  largest_upload_below: {
    what: 'The largest upload is {limit} MB, and a file here has {largest} MB',
    why: 'What is asked for does not fit.',
    cure: 'Make it {needed} MB',
  },
  link_gone: {
    what: 'Words in a text lead to one item that learners do not get | Words in texts lead to {count} items that learners do not get',
    why: 'The words stay, and lead nowhere. Show the item again, or take the link off.',
    cure: '',
  },
  nothing_open: {
    what: 'Nothing is open on the first day, {day} | Nothing is open on the first day, {day}',
    why: 'Everything shown opens later, so learners come to a closed door. Let one thing be open: where to start.',
    cure: '',
  },
  closed_before_due: {
    what: '{title} is due {day}, after the course has closed | {count} pieces of work are due after the course has closed',
    why: 'Nobody can hand it in any more.',
    cure: 'Leave the course open after its last day',
  },
  picture_alt: {
    what: 'One picture does not say what it shows | {count} pictures do not say what they show',
    why: 'Those who do not see it get nothing. A few words are enough; an ornament can say that it is one.',
    cure: '',
  },
  rules_circle: {
    what: '{title} waits for itself | {count} items wait for each other in a circle',
    why: '{titles}: nobody can ever begin. Cutting one link lets it go round once.',
    cure: 'Cut the circle',
  },
  rules_never_over_before_open: {
    what: '{title} is over before it opens | {count} items can never be opened, {title} first',
    why: 'Its last moment comes before its first.',
    cure: '',
  },
  rules_never_after_the_end: {
    what: '{title} opens only after the course has closed | {count} items can never be opened, {title} first',
    why: 'By then learners get nothing of it to work in.',
    cure: '',
  },
  rules_never_waits_for_hidden: {
    what: '{title} can never open | {count} items can never open, {title} first',
    why: 'It waits for {waits}, which learners do not get, or which does not count as done.',
    cure: '',
  },
  rules_never: {
    what: '{title} can never open | {count} items can never open, {title} first',
    why: 'It waits for {waits}, which itself never opens.',
    cure: '',
  },
  rules_due_after_end: {
    what: '{title} waits for work that is due after the course has closed | {count} items wait for work that is due after the course has closed',
    why: '{waits} is due too late for whoever takes the time that it has.',
    cure: '',
  },
  nothing_to_look_at: {
    what: 'Before the first day learners may look, and there is nothing to see',
    why: 'Everything has an opening of its own, the syllabus with it. Let one page open at once.',
    cure: '',
  },
  live_too_late: {
    what: 'The course goes live {day}, after its first day, {first}',
    why: 'Until then learners find no course at all.',
    cure: 'Go live on the first day',
  },
  visitors_lost: {
    what: 'Visitors may look, and nobody but members can find the course',
    why: 'They would have to know its address, and then not get it.',
    cure: 'Let anyone here find it',
  },
  passphrase_easy_none: {
    what: 'Visitors are asked for a passphrase, and there is none',
    why: 'Whatever they write is wrong.',
    cure: '',
  },
  passphrase_easy: {
    what: 'The passphrase for visitors is easy to guess',
    why: 'It is short, or made of what everybody knows of the course. Three words that have nothing to do with it are better.',
    cure: '',
  },
  nothing_counted: {
    what: 'Nothing counts as done, though it is asked for',
    why: 'The rule of the course, or of a section, asks for what counts.',
    cure: 'Do without it',
  },
  cannot_finish: {
    what: 'The course cannot be finished | The course cannot be finished, for {count} reasons',
    why: 'Not even whoever does everything gets there: {title}.',
    cure: 'Put it right',
  },
  section_cannot_give: {
    what: 'A section wants {wants}, and {are} count in it | {count} sections want more than counts in them',
    why: 'Nobody can be done with it.',
    cure: 'Want as many as there are',
  },
  counted_unlisted: {
    what: '{title} counts, and stands in no list | {count} items count, and stand in no list',
    why: 'Whoever does not have its address never notices it.',
    cure: 'List it | List them',
  },
  counts_otherwise_stated: {
    what: 'The course promises {stated} hours; what counts as done takes {hours}',
    why: 'Whoever is done with it has not done what was promised.',
    cure: '',
  },
  all_due_at_once: {
    what: '{count} items are all due on {day} | {count} items are all due on {day}',
    why: 'Everybody has the same evening for all of it.',
    cure: 'Spread them out',
  },
  samples_showing: {
    what: '{title} can be read before joining | {count} items can be read before joining',
    why: 'By whoever can find the course. Good for a taste; check that nothing in them is for members alone.',
    cure: 'Keep it for members | Keep them for members',
  },
  groups_missing: {
    what: '{title} is for a group that nobody is in | {count} items are for groups that nobody is in',
    why: 'No learner gets them, and nobody would know why.',
    cure: 'Open it to everybody | Open them to everybody',
  },
  group_work_without: {
    what: 'Work is in groups, and the course has none',
    why: 'Everybody would work alone, and see nobody else.',
    cure: 'No groups',
  },
  group_work_without_items: {
    what: 'One item is worked on in groups, and the course has none | {count} items are worked on in groups, and the course has none',
    why: 'Everybody would work alone, and see nobody else.',
    cure: 'As the course has it',
  },
  menu_long: {
    what: 'The menu has {count} entries | The menu has {count} entries',
    why: 'People take in about {most} without counting; beyond that they read, and miss what they came for.',
    cure: '',
  },
  menu_twice: {
    what: 'Two entries of the menu lead to the same place: {entry} | {count} entries lead to where another one leads already',
    why: 'Learners open both to find out whether there is a difference.',
    cure: 'Take the second one out | Take the later ones out',
  },
  menu_empty_page: {
    what: 'An entry leads to an empty page: {entry} | {count} entries lead to empty pages',
    why: 'Learners do not get it in their menu while there is nothing on the page.',
    cure: 'Take it out of the menu | Take them out of the menu',
  },
  menu_tool_first: {
    what: '{entry} stands above {content} in the menu',
    why: 'What people come for should be what they see first.',
    cure: 'Put {content} before it',
  },
  menu_no_start: {
    what: 'Nothing in the menu is a place to start',
    why: 'It leads neither to a home page, nor to the sections, nor to a page.',
    cure: 'Bring the sections back',
  },
  menu_no_contact: {
    what: 'Nothing leads learners to whom they can ask',
    why: 'The contact cards are neither in the menu nor on the home page.',
    cure: 'Put them on the home page',
  },
  menu_no_contact_cards: {
    what: 'Learners have no way to reach the instructor',
    why: 'No contact card says how.',
    cure: '',
  },
  menu_address: {
    what: 'An entry leads to {address} without https | {count} entries lead to addresses without https',
    why: 'Anybody on the way can read along, and browsers warn of it.',
    cure: 'Make it https | Make them https',
  },
  menu_address_none: {
    what: 'An entry leads to {address}, which is no place that learners can reach | {count} entries lead to no place that learners can reach; the first is {address}',
    why: 'Learners would find an error there.',
    cure: '',
  },
  menu_label_long: {
    what: '“{label}” is too long for the menu of a phone | {count} labels are too long for the menu of a phone; the first is “{label}”',
    why: 'It has {length} characters, and two lines hold {most}.',
    cure: '',
  },
  arrive_lost: {
    what: 'Learners are to arrive at what they do not get | Learners are to arrive at what they do not get, the first time and later',
    why: 'They arrive at the home page instead.',
    cure: 'Let them arrive where everybody does',
  },
  course_picture_silent: {
    what: 'The course’s picture says nothing to those who do not see it | Two pictures of the course say nothing to those who do not see them',
    why: 'Say what it shows, or that it is decoration.',
    cure: '',
  },
  announcement_undated: {
    what: '“{subject}” is ready and never stands | {count} announcements are ready and never stand',
    why: 'It has no date, or comes down before it goes up.',
    cure: '',
  },
  contact_gone: {
    what: 'A contact card is of somebody who is not on the staff any more | {count} contact cards are of people who are not on the staff any more',
    why: 'Nobody is shown it.',
    cure: 'Take it away | Take them away',
  },
};

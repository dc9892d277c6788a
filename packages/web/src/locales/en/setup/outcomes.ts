export default {
  title: 'Outcomes: what learners can do afterwards',
  field: 'Outcome {number}',
  fresh: 'Another outcome',
  placeholder: 'Read a shore by what can be seen',
  add: 'Add',
  none: 'None yet. A handful is enough; items name those that they teach and assess.',
  unassessed: 'Nothing assesses it yet',
  assessedBy: 'Assessed by {numbers}',
  taughtBy: 'taught by {numbers}',
  up: 'Move up: {name}',
  down: 'Move down: {name}',
  remove: 'Remove: {text}',
};

export default {
  title: 'Before it changes',
  moves: 'Nothing moves. | One date moves. | {count} dates move.',
  unmoved: 'One stays as it is. | One stays as it is. | {count} stay as they are.',
  lastDay: 'The last day goes from {from} to {to}.',
  noDate: 'no date',
  table: 'What moves, and to when',
  columns: { what: 'What', from: 'Now', to: 'Then', verdict: 'So' },
  what: { opens: '(opens)', due: '(due)', held: '(held)' },
  verdicts: {
    moves: 'moves along',
    gains: 'gets a date',
    loses: 'loses its date',
    leaves: 'leaves the course’s dates',
    stays_behind: 'is fixed, and stays behind',
  },
  aside: {
    sections:
      'One section is kept aside. | One section is kept aside. | {count} sections are kept aside; they come back with another format.',
    spans:
      'The length of one unit is kept aside. | The length of one unit is kept aside. | The lengths of {count} units are kept aside.',
    pins: 'One pinned date is kept aside. | One pinned date is kept aside. | {count} pinned dates are kept aside.',
    meetings:
      'One change to a meeting is kept aside. | One change to a meeting is kept aside. | {count} changes to meetings are kept aside.',
    pauses: 'One pause is kept aside. | One pause is kept aside. | {count} pauses are kept aside.',
  },
  along:
    'Move the fixed date along too | Move the fixed date along too | Move the {count} fixed dates along too',
  drop: 'Leave it as it is',
  accept: 'Change it',
};

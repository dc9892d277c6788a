/** A discussion: who begins threads, and what is seen when. */
export default {
  title: 'The discussion',
  starts: 'Who may begin a thread',
  startsOf: { everybody: 'Everybody', staff: 'Staff alone' },
  firstPost: 'Others’ posts are seen after a first post of one’s own',
  ownEdits: 'Learners may change and take away their own posts',
  mayAttach: 'Files can go with a post',
  shut: 'Closed: nothing is posted any more',
  look: 'Look at the discussion',
};

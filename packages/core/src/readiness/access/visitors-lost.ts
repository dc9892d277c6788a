import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** Visitors may look at a course that they have no way to find. The cure lets people of the institution find it. */
export const visitorsLost: Rule = {
  id: 'visitors_lost',
  stop: 'access',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    if (course.visitors === 'off' || course.find !== 'members') return null;
    return {
      severity: 'advice',
      field: 'find',
      cure: [{ kind: 'set', target: course.id, field: 'find', value: 'here', was: course.find }],
    };
  },
};

/** Visitors are asked for a passphrase that does not exist, or that anybody can guess. */
export const passphraseEasy: Rule = {
  id: 'passphrase_easy',
  stop: 'access',
  purposes: EVERY_PURPOSE,
  find: ({ course, passphrase }) => {
    if (course.visitors !== 'passphrase' || passphrase === null || passphrase === 'good') return null;
    return {
      severity: passphrase === 'none' ? 'blocker' : 'advice',
      field: 'visitors',
      values: { variant: passphrase === 'easy' ? '' : passphrase },
    };
  },
};

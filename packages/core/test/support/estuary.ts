/** A course of three weeks from the first of March, as it is made. */
import { newCourse } from '../../src/index.ts';
import type { Course } from '../../src/index.ts';

export const estuary = (zone = 'Europe/Lisbon'): Course =>
  newCourse({
    id: 'c',
    title: 'Estuary Field Methods',
    code: 'EFM-210',
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-03-01',
    weeks: 3,
    zone,
    sectionIds: ['s1', 's2', 's3'],
  });

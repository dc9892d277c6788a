/** The people of Tern Point College of Coastal Field Studies. All made up. */
import type { PersonKind } from '@itinerary/contract';

export type DemoPart = 'instructor' | 'co_instructor' | 'assistant' | 'learner' | 'staff' | 'visitor';

export interface DemoPerson {
  readonly name: string;
  readonly kind: PersonKind;
  /** Offered as a card on the sign-in page. */
  readonly part?: DemoPart;
}

export const DEMO_PEOPLE: readonly DemoPerson[] = [
  { name: 'Inês Carvalhal', kind: 'teaching', part: 'instructor' },
  { name: 'Tunde Balewa-Price', kind: 'teaching', part: 'co_instructor' },
  { name: 'Saoirse Quill', kind: 'teaching' },
  { name: 'Hye-jin Baek', kind: 'teaching' },
  { name: 'Adaeze Okpara', kind: 'learner', part: 'assistant' },
  { name: 'Marit Solvang', kind: 'staff', part: 'staff' },
  { name: 'Ruaridh Tarrel', kind: 'staff' },
  { name: 'Kenji Morisawa', kind: 'visitor', part: 'visitor' },
  { name: 'Noor Rahimi', kind: 'learner', part: 'learner' },
  { name: 'Pavel Dvořan', kind: 'learner', part: 'learner' },
  { name: 'Lupe Arrieta', kind: 'learner', part: 'learner' },
  { name: 'Aroha Tamihere', kind: 'learner' },
  { name: 'Bilal Sherzai', kind: 'learner' },
  { name: 'Chidi Eze-Marsh', kind: 'learner' },
  { name: 'Dagny Holmberg', kind: 'learner' },
  { name: 'Eun-ah Seong', kind: 'learner' },
  { name: 'Farida Yusupova', kind: 'learner' },
  { name: 'Gwenllian Prys', kind: 'learner' },
  { name: 'Hamza Benkirane', kind: 'learner' },
  { name: 'Ilse Verhaege', kind: 'learner' },
  { name: 'Jomo Kariuki', kind: 'learner' },
  { name: 'Katarzyna Wrona', kind: 'learner' },
  { name: 'Leilani Kahue', kind: 'learner' },
  { name: 'Mateus Figueira', kind: 'learner' },
  { name: 'Nilufar Azimova', kind: 'learner' },
  { name: 'Oisín Mac Giolla', kind: 'learner' },
  { name: 'Priya Raghunath', kind: 'learner' },
  { name: 'Quang Huỳnh', kind: 'learner' },
  { name: 'Rosalind Thrupp', kind: 'learner' },
  { name: 'Samir Haddad', kind: 'learner' },
  { name: 'Tamsin Polglase', kind: 'learner' },
  { name: 'Ulrike Fenn', kind: 'learner' },
  { name: 'Valentina Rossetti', kind: 'learner' },
  { name: 'Wanjiru Mbugua', kind: 'learner' },
  { name: 'Ximena Pardo', kind: 'learner' },
  { name: 'Yusuf Demirkan', kind: 'learner' },
  { name: 'Zsófia Balint', kind: 'learner' },
  { name: 'Anahit Sarkisyan', kind: 'learner' },
  { name: 'Bao-Linh Trinh', kind: 'learner' },
  { name: 'Callum Strachan', kind: 'learner' },
];

/** inês carvalhal → ines.carvalhal@ternpoint.example */
export function addressOf(name: string): string {
  const plain = name
    .normalize('NFD')
    .replaceAll(/\p{Diacritic}/gu, '')
    .toLowerCase();
  return `${plain.replaceAll(/[^a-z]+/g, '.')}@ternpoint.example`;
}

/** Everybody in the demo has the same password; it is printed on the sign-in page. */
export const DEMO_PASSWORD = 'low-tide-at-nine';

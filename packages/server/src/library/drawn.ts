/** The pictures of the library: whose each is, and under which licence. */
import { SCENES } from './scenes.ts';

export interface LibraryPicture {
  readonly id: string;
  readonly title: string;
  readonly alt: string;
  readonly author: string;
  readonly licence: string;
  readonly tags: readonly string[];
}

export interface Drawn extends LibraryPicture {
  readonly draw: () => string;
}

const AUTHORS = ['Ilse Vantongeren', 'Rui Portelo', 'Amina Sesay'] as const;
const LICENCES = ['CC BY 4.0', 'CC0 1.0', 'CC BY-SA 4.0'] as const;

export const PICTURES: readonly Drawn[] = SCENES.map(([id, title, alt, tags, draw], index) => ({
  id,
  title,
  alt,
  tags,
  draw,
  author: AUTHORS[index % AUTHORS.length] as string,
  licence: LICENCES[index % LICENCES.length] as string,
}));

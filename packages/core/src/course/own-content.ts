/** The long texts and uploaded files that stand in the course itself, and in no item. */
import type { CourseFileRef } from './schema/file-schema.ts';
import type { CoursePicture } from './schema/look-schema.ts';
import type { Course } from './schema/schema.ts';

export interface Replacing {
  readonly text: (hash: string) => string;
  /** Null takes it out. */
  readonly file: (file: CourseFileRef) => CourseFileRef | null;
}

/** The one walk over all of them: whoever adds a place for a text or a file to the course adds it here. */
export function mapOwnContent(course: Course, { text, file }: Replacing): Course {
  const words = (hash: string | null): string | null => (hash === null ? null : text(hash));
  const picture = (shown: CoursePicture | null): CoursePicture | null => {
    const kept = shown === null ? null : file(shown.file);
    return shown === null || kept === null ? null : { ...shown, file: kept };
  };
  return {
    ...course,
    description: words(course.description),
    introduction: words(course.introduction),
    banner: picture(course.banner),
    thumbnail: picture(course.thumbnail),
    panels: mapValues(course.panels, (panel) => {
      if (panel.kind === 'welcome') return { ...panel, text: words(panel.text) };
      return panel.kind === 'picture' ? { ...panel, picture: picture(panel.picture) } : panel;
    }),
    announcements: mapValues(course.announcements, (one) => ({
      ...one,
      text: words(one.text),
      files: one.files.map(file).filter((kept) => kept !== null),
    })),
    contacts: mapValues(course.contacts, (card) => ({ ...card, picture: picture(card.picture) })),
  };
}

function mapValues<T>(table: Readonly<Record<string, T>>, change: (value: T) => T): Record<string, T> {
  return Object.fromEntries(Object.entries(table).map(([id, value]) => [id, change(value)]));
}

export interface OwnContent {
  /** Hashes, in the order of their places. */
  readonly texts: readonly string[];
  readonly files: readonly CourseFileRef[];
}

export function ownContent(course: Course): OwnContent {
  const texts: string[] = [];
  const files: CourseFileRef[] = [];
  mapOwnContent(course, {
    text: (hash) => {
      texts.push(hash);
      return hash;
    },
    file: (file) => {
      files.push(file);
      return file;
    },
  });
  return { texts, files };
}

/** What a file is, by its content. Its name is only asked whether it says the same. */
import { fileTypeFromBuffer } from 'file-type';

export type FileKind =
  | { readonly ok: true; readonly type: string }
  | { readonly ok: false; readonly why: 'program' | 'name'; readonly found: string };

/** Beginnings of files that a machine would run: Windows, ELF, Mach-O (both ways round, and fat), scripts. */
const PROGRAMS: readonly (readonly number[])[] = [
  [0x4d, 0x5a],
  [0x7f, 0x45, 0x4c, 0x46],
  [0xfe, 0xed, 0xfa, 0xce],
  [0xfe, 0xed, 0xfa, 0xcf],
  [0xce, 0xfa, 0xed, 0xfe],
  [0xcf, 0xfa, 0xed, 0xfe],
  [0xca, 0xfe, 0xba, 0xbe],
  [0x23, 0x21],
];

/** Names that a machine runs when they are pressed, whatever is in them; and documents that bring macros along. */
const RUN_BY_NAME = new RegExp(
  `\\.(${[
    ...[
      'exe',
      'com',
      'bat',
      'cmd',
      'msi',
      'msp',
      'scr',
      'pif',
      'cpl',
      'ps1',
      'psm1',
      'vbs',
      'vbe',
      'wsf',
      'wsh',
      'hta',
    ],
    ...[
      'js',
      'mjs',
      'jse',
      'jar',
      'jnlp',
      'app',
      'dmg',
      'pkg',
      'command',
      'workflow',
      'scpt',
      'terminal',
      'webloc',
    ],
    ...[
      'deb',
      'rpm',
      'appimage',
      'run',
      'sh',
      'bash',
      'zsh',
      'csh',
      'desktop',
      'lnk',
      'url',
      'reg',
      'inf',
      'iso',
      'img',
    ],
    ...[
      'php',
      'phtml',
      'phar',
      'jsp',
      'asp',
      'aspx',
      'cgi',
      'pl',
      'swf',
      'apk',
      'ipa',
      'gadget',
      'chm',
      'xll',
    ],
    ...['docm', 'dotm', 'xlsm', 'xltm', 'xlam', 'pptm', 'potm', 'ppam', 'ppsm', 'sldm'],
  ].join('|')})$`,
  'i',
);

/** What names promise, where the content can be told. */
const PROMISED: Readonly<Record<string, RegExp>> = {
  pdf: /^application\/pdf$/,
  png: /^image\/(png|apng)$/,
  jpg: /^image\/jpeg$/,
  jpeg: /^image\/jpeg$/,
  gif: /^image\/gif$/,
  webp: /^image\/webp$/,
  avif: /^image\/avif$/,
  mp4: /^(video|audio)\/(mp4|x-m4v|quicktime)$/,
  m4v: /^video\//,
  mov: /^video\//,
  webm: /^(video|audio)\/(webm|matroska|x-matroska)$/,
  mp3: /^audio\/mpeg$/,
  zip: /^application\/(zip|.*openxml.*|.*opendocument.*)$/,
  docx: /openxml|zip|x-cfb/,
  xlsx: /openxml|zip|x-cfb/,
  pptx: /openxml|zip|x-cfb/,
  odt: /opendocument|zip/,
  ods: /opendocument|zip/,
  odp: /opendocument|zip/,
};

const TEXT = /\.(txt|md|csv|tsv|json|ics|tex|bib|srt|vtt|xml|html?|svg)$/i;

/** @param takesPrograms whether what runs is taken as well: then it is only told from what its name says. */
export async function fileKind(name: string, head: Uint8Array, takesPrograms = false): Promise<FileKind> {
  const extension = /\.([A-Za-z0-9]+)$/.exec(name)?.[1]?.toLowerCase() ?? '';
  const isProgram = PROGRAMS.some((signature) => signature.every((byte, at) => head[at] === byte));
  // Windows passes over dots and spaces at the end of a name.
  const runs = isProgram || RUN_BY_NAME.test(name.replace(/[. ]+$/, ''));
  if (runs && !takesPrograms) return { ok: false, why: 'program', found: extension };
  const found = (await fileTypeFromBuffer(head))?.mime ?? (isText(head) ? 'text/plain' : null);
  const type = found ?? 'application/octet-stream';
  const promised = PROMISED[extension];
  if (promised !== undefined && !promised.test(type)) return { ok: false, why: 'name', found: type };
  // Marked-up text is kept as the text that it is: nothing of it is ever run.
  if (TEXT.test(name))
    return type.startsWith('text/') || type.endsWith('xml')
      ? { ok: true, type: 'text/plain' }
      : { ok: false, why: 'name', found: type };
  return { ok: true, type };
}

/** Text is UTF-8 without control characters but tabs and line ends. A character cut off at the end is no matter. */
function isText(head: Uint8Array): boolean {
  if (head.some((byte) => byte < 9 || (byte > 13 && byte < 32 && byte !== 27))) return false;
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(head, { stream: true });
    return true;
  } catch {
    return false;
  }
}

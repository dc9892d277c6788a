/** Rich text: an allow list of HTML, and the hash under which a text is kept. */
import { createHash } from 'node:crypto';
import { idSchema, textHashSchema } from '@itinerary/core';
import { Parser } from 'htmlparser2';
import sanitizeHtml from 'sanitize-html';

/** Longer words about a picture would be a text of their own. */
const MAX_ALT = 500;
const MAX_CREDIT = 200;
const MAX_FORMULA = 4000;
const MAX_SPAN = 50;

type Attributes = sanitizeHtml.Attributes;

function short(attributes: Attributes, name: string, most: number): Attributes {
  const value = attributes[name];
  return value === undefined ? {} : { [name]: value.slice(0, most) };
}

/** A picture is named by its hash, never by an address: nothing of a text is fetched from elsewhere. */
function picture(attributes: Attributes): Attributes {
  const hash = attributes['data-picture'];
  if (hash === undefined || !textHashSchema.safeParse(hash).success) return {};
  return {
    'data-picture': hash,
    ...short(attributes, 'alt', MAX_ALT),
    ...short(attributes, 'data-author', MAX_CREDIT),
    ...short(attributes, 'data-licence', MAX_CREDIT),
  };
}

/** To an item by its id, or to an address; the id goes before. */
function link(attributes: Attributes): Attributes {
  const item = attributes['data-item'];
  if (item !== undefined && idSchema.safeParse(item).success) return { 'data-item': item };
  const href = attributes['href'];
  return href === undefined ? {} : { href };
}

function cell(attributes: Attributes): Attributes {
  const spans = ['colspan', 'rowspan'].flatMap((name) => {
    const value = Number(attributes[name]);
    return Number.isInteger(value) && value > 1 && value <= MAX_SPAN ? [[name, String(value)]] : [];
  });
  return Object.fromEntries(spans) as Attributes;
}

/** A formula on a line of its own, or a part of the course that stands in the text. */
function block(attributes: Attributes): Attributes {
  if (attributes['data-part'] === 'contact') return { 'data-part': 'contact' };
  return short(attributes, 'data-formula', MAX_FORMULA);
}

const only =
  (pick: (attributes: Attributes) => Attributes): sanitizeHtml.Transformer =>
  (tagName, attributes) => ({ tagName, attribs: pick(attributes) });

/** Tags that mean something by their attribute alone. */
const NEEDED: Readonly<Record<string, readonly string[]>> = {
  img: ['data-picture'],
  span: ['data-formula'],
  div: ['data-formula', 'data-part'],
  a: ['href', 'data-item'],
};

const ALLOWED: sanitizeHtml.IOptions = {
  allowedTags: [
    'h2',
    'h3',
    'h4',
    'p',
    'ul',
    'ol',
    'li',
    'strong',
    'em',
    'u',
    's',
    'sub',
    'sup',
    'code',
    'pre',
    'blockquote',
    'a',
    'br',
    'hr',
    'table',
    'thead',
    'tbody',
    'tr',
    'th',
    'td',
    'img',
    'span',
    'div',
  ],
  allowedAttributes: {
    a: ['href', 'data-item'],
    ol: ['start'],
    th: ['colspan', 'rowspan'],
    td: ['colspan', 'rowspan'],
    img: ['data-picture', 'alt', 'data-author', 'data-licence'],
    span: ['data-formula'],
    div: ['data-formula', 'data-part'],
  },
  allowedSchemes: ['https', 'http', 'mailto', 'tel'],
  allowProtocolRelative: false,
  disallowedTagsMode: 'discard',
  transformTags: {
    a: only(link),
    img: only(picture),
    span: only((attributes) => short(attributes, 'data-formula', MAX_FORMULA)),
    div: only(block),
    th: only(cell),
    td: only(cell),
  },
  exclusiveFilter: ({ tag, attribs }) => {
    const needed = NEEDED[tag];
    if (needed === undefined || needed.some((name) => (attribs[name] ?? '') !== '')) return false;
    return 'excludeTag';
  },
};

/** `<br>`, not `<br />`: then most texts come out as the editor wrote them, and keep their hash. */
export function asBrowsersWrite(html: string): string {
  return html.replace(/<(br|hr|img)((?: [a-z-]+="[^"]*")*) \/>/g, '<$1$2>').replaceAll('\u00a0', '&nbsp;');
}

/** Lists in lists, tables in quotations: nobody reads further in. */
export const MAX_MARKUP_DEPTH = 40;

/** Where markup nests deeper than that, in characters from the beginning; null: nowhere. */
export function tooDeepAt(html: string): number | null {
  let depth = 0;
  let found: number | null = null;
  const parser: Parser = new Parser({
    onopentag: () => {
      depth += 1;
      if (depth <= MAX_MARKUP_DEPTH) return;
      found = parser.startIndex;
      // Deeper in, each tag would take longer than the one before it.
      parser.reset();
    },
    onclosetag: () => (depth -= 1),
  });
  for (let at = 0; at < html.length && found === null; at += PIECE) parser.write(html.slice(at, at + PIECE));
  return found;
}

/** In characters: no further is read behind what is too deep. */
const PIECE = 2000;

/** Taking a tag away can leave new neighbours; texts settle in two rounds, and no text needs more than this. */
const ROUNDS = 4;

/**
 * What may stand in a text that others read. Everything else is dropped; words inside it stay. What comes out
 * goes in again unchanged.
 */
export function sanitiseText(html: string): string {
  let clean = html;
  for (let round = 0; round < ROUNDS; round += 1) {
    const next = asBrowsersWrite(sanitizeHtml(clean, ALLOWED));
    if (next === clean) break;
    clean = next;
  }
  return clean;
}

/** SHA-256 of the UTF-8 bytes, lower-case hex. */
export function hashText(html: string): string {
  return createHash('sha256').update(html, 'utf8').digest('hex');
}

/** Rich text: an allow list of HTML, and the hash under which a text is kept. */
import { createHash } from 'node:crypto';
import sanitizeHtml from 'sanitize-html';

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
    'code',
    'pre',
    'blockquote',
    'a',
    'br',
    'hr',
  ],
  allowedAttributes: { a: ['href'], ol: ['start'] },
  allowedSchemes: ['https', 'http', 'mailto', 'tel'],
  allowProtocolRelative: false,
  disallowedTagsMode: 'discard',
};

/** What may stand in a text that others read. Everything else is dropped; words inside it stay. */
export function sanitiseText(html: string): string {
  return sanitizeHtml(html, ALLOWED);
}

/** SHA-256 of the UTF-8 bytes, lower-case hex. */
export function hashText(html: string): string {
  return createHash('sha256').update(html, 'utf8').digest('hex');
}

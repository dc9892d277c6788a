/** What comes packed: spreadsheets and bundles, and what says that it is one and is not. */
import { expect, test } from '@jest/globals';
import { readList } from '@itinerary/core/people';
import { strToU8, zipSync } from 'fflate';
import { isPacked, MOST_UNPACKED, openBook } from '../../src/setup/members/list/book.ts';

const NAMESPACE = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATIONS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006/relationships';
const xml = (body: string): Uint8Array => strToU8(`<?xml version="1.0"?>${body}`);
const text = (ref: string, words: string): string =>
  `<c r="${ref}" t="inlineStr"><is><t>${words}</t></is></c>`;

/** A workbook of sheets as a spreadsheet writes them, as small as it can be. */
function book(...sheets: readonly string[]): Uint8Array {
  const names = sheets.map((_, at) => `<sheet name="S${at}" sheetId="${at + 1}" r:id="r${at}"/>`).join('');
  const links = sheets.map(
    (_, at) => `<Relationship Id="r${at}" Type="${RELATIONS}/worksheet" Target="worksheets/sheet${at}.xml"/>`,
  );
  return zipSync({
    '[Content_Types].xml': xml(
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>',
    ),
    'xl/workbook.xml': xml(
      `<workbook xmlns="${NAMESPACE}" xmlns:r="${RELATIONS}"><sheets>${names}</sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': xml(
      `<Relationships xmlns="${PACKAGE}">${links.join('')}<Relationship Id="s" Type="${RELATIONS}/styles" Target="styles.xml"/></Relationships>`,
    ),
    // The second kind of cell is a day.
    'xl/styles.xml': xml(
      `<styleSheet xmlns="${NAMESPACE}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs></styleSheet>`,
    ),
    ...Object.fromEntries(
      sheets.map((rows, at) => [
        `xl/worksheets/sheet${at}.xml`,
        xml(`<worksheet xmlns="${NAMESPACE}"><sheetData>${rows}</sheetData></worksheet>`),
      ]),
    ),
  });
}
const HEAD = `<row r="1">${text('A1', 'Student ID')}${text('B1', 'Name')}</row>`;

test('the first sheet that holds anything is the list; ids are as they are written, and a day is doubted', async () => {
  const rows = `${HEAD}<row r="2"><c r="A2"><v>0020411</v></c>${text('B2', 'Maëlle Tréguier')}</row><row r="3"><c r="A3" s="1"><v>45292</v></c>${text('B3', 'Odhran Keane')}</row>`;
  const bytes = book('', rows);
  expect(isPacked(bytes)).toBe(true);
  const opened = await openBook(bytes);
  if (!opened.ok) throw new Error(opened.refusal.code);
  expect(readList(opened.text).rows).toMatchObject([
    { id: '0020411', name: 'Maëlle Tréguier', doubts: [] },
    { id: null, name: 'Odhran Keane', doubts: [{ code: 'date', value: '1-Jan-2024' }] },
  ]);
});

test('a bundle is one list, in whatever folder it was packed', async () => {
  const opened = await openBook(
    zipSync({
      'term/users.csv': strToU8('sourcedId,givenName,familyName\nu1,Tove,Ness'),
      'term/manifest.csv': strToU8('x'),
    }),
  );
  expect(opened.ok && readList(opened.text).rows).toMatchObject([
    { id: 'u1', given: 'Tove', family: 'Ness' },
  ]);
});

test('what holds no list, is of an older kind, or is broken is refused', async () => {
  const codeOf = async (bytes: Uint8Array): Promise<string | null> => {
    const opened = await openBook(bytes);
    return opened.ok ? null : opened.refusal.code;
  };
  expect(await codeOf(zipSync({ 'holiday.jpg': strToU8('x') }))).toBe('no_list');
  expect(await codeOf(book(''))).toBe('no_list');
  expect(await codeOf(Uint8Array.of(0xd0, 0xcf, 0x11, 0xe0))).toBe('old_book');
  const whole = book(HEAD);
  expect(await codeOf(whole.slice(0, whole.length / 2))).toBe('broken_book');
  expect(isPacked(strToU8('Name\nTove Ness'))).toBe(false);
});

test('what unpacks to more than any list is not unpacked, and what lies about it unpacks to no more than it says', async () => {
  const much = zipSync({ 'users.csv': new Uint8Array(MOST_UNPACKED + 1) }, { level: 1 });
  expect(much.length).toBeLessThan(MOST_UNPACKED / 50);
  expect(await openBook(much)).toEqual({
    ok: false,
    refusal: { code: 'unpacks', bytes: MOST_UNPACKED + 1, most: MOST_UNPACKED },
  });
  // Says 40 bytes of itself, in both places, and holds a million.
  const lying = zipSync({
    'users.csv': strToU8(`sourcedId,givenName\nu1,Tove\n${'u2,Wren\n'.repeat(125_000)}`),
  });
  const size = new DataView(lying.buffer, lying.byteOffset).getUint32(22, true);
  const view = new DataView(lying.buffer, lying.byteOffset);
  for (let at = 0; at + 4 <= lying.length; at += 1)
    if (view.getUint32(at, true) === size) view.setUint32(at, 40, true);
  const opened = await openBook(lying);
  expect(opened.ok && opened.text.length).toBeLessThan(200);
});

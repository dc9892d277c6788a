/**
 * Class lists as they arrive, and who is read from them. Everybody in them is made up.
 *
 * A row says only what the list says: what is left out is null.
 */
import type { ListRow } from '../../src/people/index.ts';

export interface ListCase {
  readonly name: string;
  readonly text: string;
  readonly rows: readonly Said[];
  /** Of the doubts of all rows, in their order. */
  readonly doubts?: readonly string[];
}
export type Said = Partial<Pick<ListRow, Exclude<keyof ListRow, 'line' | 'doubts'>>>;

const lines = (...all: readonly string[]): string => all.join('\n');
const person = (given: string, family: string, more: Said = {}): Said => ({ given, family, ...more });
const INES = person('Inês', 'Carvalhal', { address: 'ines@ternpoint.example' });
const NOOR = person('Noor', 'Rahimi', { address: 'noor@ternpoint.example' });
const named = (name: string, more: Said = {}): Said => ({ name, ...more });
const at = (address: string, name?: string): Said => (name === undefined ? { address } : { name, address });

/** Two people in three columns, apart by any sign. */
const parted = (sign: string): string =>
  lines(
    ['Given name', 'Family name', 'Email'].join(sign),
    ['Inês', 'Carvalhal', 'ines@ternpoint.example'].join(sign),
    ['Noor', 'Rahimi', 'noor@ternpoint.example'].join(sign),
  );
const titled = (headings: string): string =>
  lines(headings, 'Inês,Carvalhal,ines@ternpoint.example', 'Noor,Rahimi,noor@ternpoint.example');

const APART: readonly ListCase[] = [
  ...([',', ';', '\t', '|'] as const).map((sign): ListCase => ({
    name: `apart by ${JSON.stringify(sign)}`,
    text: parted(sign),
    rows: [INES, NOOR],
  })),
  { name: 'lines that end as on Windows', text: parted(',').replaceAll('\n', '\r\n'), rows: [INES, NOOR] },
  { name: 'lines that end as on old machines', text: parted(';').replaceAll('\n', '\r'), rows: [INES, NOOR] },
  { name: 'a mark before the first letter', text: `\ufeff${parted(',')}`, rows: [INES, NOOR] },
  { name: 'a last line that ends', text: `${parted(',')}\n`, rows: [INES, NOOR] },
  { name: 'empty lines in between', text: parted(',').replaceAll('\n', '\n\n\n'), rows: [INES, NOOR] },
  { name: 'lines of signs alone', text: parted(';').replaceAll('\n', '\n;;\n'), rows: [INES, NOOR] },
  { name: 'the sign said in the first line', text: `sep=;\n${parted(';')}`, rows: [INES, NOOR] },
  {
    name: 'quoted, with the sign in it',
    text: lines('name,email', '"Carvalhal, Inês",ines@ternpoint.example'),
    rows: [named('Carvalhal, Inês', { address: 'ines@ternpoint.example' })],
  },
  {
    name: 'quoted, with quotes in it',
    text: lines('name,email', '"Inês ""Nini"" Carvalhal",ines@ternpoint.example'),
    rows: [named('Inês "Nini" Carvalhal', { address: 'ines@ternpoint.example' })],
  },
  {
    name: 'quoted, over two lines',
    text: lines(
      'name,email',
      '"Inês',
      'Carvalhal",ines@ternpoint.example',
      'Noor Rahimi,noor@ternpoint.example',
    ),
    rows: [
      named('Inês Carvalhal', { address: 'ines@ternpoint.example' }),
      named('Noor Rahimi', { address: 'noor@ternpoint.example' }),
    ],
  },
  {
    name: 'a sign too many in one line, where names have commas as regularly',
    text: lines(
      'ID;Last, First',
      ...Array.from({ length: 11 }, (_, index) => `T-${20_417 + index};Rahimi, Noor`),
      'T-20428;Carvalhal, Inês;',
    ),
    rows: [
      ...Array.from({ length: 11 }, (_, index) => person('Noor', 'Rahimi', { id: `T-${20_417 + index}` })),
      person('Inês', 'Carvalhal', { id: 'T-20428' }),
    ],
  },
  {
    name: 'a sign more at the end of every line',
    text: parted(',').replaceAll('\n', ',\n'),
    rows: [INES, NOOR],
  },
  {
    name: 'lines that are short of a cell',
    text: lines('Given name,Family name,Email', 'Inês,Carvalhal,ines@ternpoint.example', 'Noor,Rahimi'),
    rows: [INES, person('Noor', 'Rahimi')],
  },
];

const TITLED: readonly ListCase[] = [
  'First name,Last name,E-mail',
  'FIRST NAME,LAST NAME,EMAIL ADDRESS',
  'first_name,last_name,e_mail',
  'Forename,Surname,Mail',
  ' Given name , Family name , Email ',
  'Nombre,Apellidos,Correo electrónico',
  'Nombre,Apellido,Correo',
  'Prénom,Nom,Courriel',
  'Prénom,Nom de famille,Adresse e-mail',
  'Vorname,Nachname,E-Mail',
  'الاسم الأول,اسم العائلة,البريد الإلكتروني',
  'givenName,familyName,email',
].map((headings) => ({ name: `titled ${headings}`, text: titled(headings), rows: [INES, NOOR] }));

const COLUMNS: readonly ListCase[] = [
  {
    name: 'every column that there is',
    text: lines(
      'Student ID,First name,Last name,Email,Username,Class,Role,Group',
      'T-20417,Inês,Carvalhal,ines@ternpoint.example,icarvalhal,A,Learner,Boat Avocet',
    ),
    rows: [
      person('Inês', 'Carvalhal', {
        id: 'T-20417',
        address: 'ines@ternpoint.example',
        userName: 'icarvalhal',
        class: 'A',
        role: 'learner',
        group: 'Boat Avocet',
      }),
    ],
  },
  {
    name: 'columns in another order, and some that say nothing',
    text: lines(
      'Phone,Email,Notes,Last name,First name',
      '0612345678,ines@ternpoint.example,late,Carvalhal,Inês',
    ),
    rows: [INES],
  },
  {
    name: 'a heading twice: the first counts',
    text: lines('Email,Email,Name', 'ines@ternpoint.example,other@ternpoint.example,Inês Carvalhal'),
    rows: [named('Inês Carvalhal', { address: 'ines@ternpoint.example' })],
  },
  {
    name: 'family and given in one column, as its heading says',
    text: lines('"Family, Given";ID', '"Carvalhal, Inês";20417', '"Rahimi, Noor";20418'),
    rows: [person('Inês', 'Carvalhal', { id: '20417' }), person('Noor', 'Rahimi', { id: '20418' })],
  },
  {
    name: 'family and given in one column, with no comma in one of them',
    text: lines('Last First;ID', 'Carvalhal, Inês;20417', 'Suharto;20418'),
    rows: [person('Inês', 'Carvalhal', { id: '20417' }), named('Suharto', { id: '20418' })],
  },
  {
    name: 'a name in one beside its halves: the halves, where both are there',
    text: lines('Given name;Family name;Name', 'Inês;Carvalhal;Nini', ';Rahimi;Noor Rahimi'),
    rows: [person('Inês', 'Carvalhal'), named('Noor Rahimi')],
  },
  {
    name: 'a name in one is never split',
    text: lines('Name;ID', 'Carvalhal Inês;20417', 'María de los Ángeles Ruiz Peña;20418'),
    rows: [
      named('Carvalhal Inês', { id: '20417' }),
      named('María de los Ángeles Ruiz Peña', { id: '20418' }),
    ],
  },
  {
    name: 'two family names, particles, and a name of one word',
    text: lines('Nombre;Apellidos', 'María José;García de la Vega', 'Jan;van der Berg', 'Suharto;'),
    rows: [person('María José', 'García de la Vega'), person('Jan', 'van der Berg'), { given: 'Suharto' }],
  },
  {
    name: 'names in several scripts',
    text: lines('Name,ID', '森沢 健司,20417', 'نور رحيمي,20418', 'Павел Дворжан,20419', 'Ελένη Παππά,20420'),
    rows: [
      named('森沢 健司', { id: '20417' }),
      named('نور رحيمي', { id: '20418' }),
      named('Павел Дворжан', { id: '20419' }),
      named('Ελένη Παππά', { id: '20420' }),
    ],
  },
  {
    name: 'odd spaces, and signs that nobody sees',
    text: lines(
      'Given name,Family name,Email',
      '\u00a0Inês \u200b,  Carval\u00adhal,\u200eines@ternpoint.example ',
    ),
    rows: [INES],
  },
  {
    name: 'roles in the languages that lists come in',
    text: lines('Name;Role', 'A B;Student', 'C D;TA', 'E F;docente', 'G H;étudiante', 'I J;طالب'),
    rows: [
      named('A B', { role: 'learner' }),
      named('C D', { role: 'assistant' }),
      named('E F', { role: 'instructor' }),
      named('G H', { role: 'learner' }),
      named('I J', { role: 'learner' }),
    ],
  },
  {
    name: 'a role that nobody knows is doubted',
    text: lines('Name;Role', 'A B;Captain', 'C D;Student'),
    rows: [named('A B'), named('C D', { role: 'learner' })],
    doubts: ['unknown_role of role: Captain'],
  },
  {
    name: 'an address that is none is doubted',
    text: lines('Name;Email', 'A B;ab at ternpoint', 'C D;cd@ternpoint.example'),
    rows: [named('A B'), named('C D', { address: 'cd@ternpoint.example' })],
    doubts: ['no_address of address: ab at ternpoint'],
  },
  {
    name: 'addresses with what letters put around them',
    text: lines('Name;Email', 'A B;mailto:ab@ternpoint.example', 'C D;C D <cd@ternpoint.example>'),
    rows: [
      named('A B', { address: 'ab@ternpoint.example' }),
      named('C D', { address: 'cd@ternpoint.example' }),
    ],
  },
  {
    name: 'the case of an address is kept as it is written',
    text: lines('Email', 'Ines.Carvalhal@Ternpoint.example'),
    rows: [at('Ines.Carvalhal@Ternpoint.example')],
  },
  {
    name: 'an id that a spreadsheet has made a power of',
    text: lines('ID;Name', '2.04177E+11;A B', '204177123456;C D'),
    rows: [named('A B'), named('C D', { id: '204177123456' })],
    doubts: ['power of id: 2.04177E+11'],
  },
  {
    name: 'a power with a comma',
    text: lines('ID;Name', '2,04177E+11;A B'),
    rows: [named('A B')],
    doubts: ['power of id: 2,04177E+11'],
  },
  {
    name: 'an id that a spreadsheet has made a day of',
    text: lines('ID,Name', '03-Mar,A B', 'MAR-04,C D', 'T-4711,E F'),
    rows: [named('A B'), named('C D'), named('E F', { id: 'T-4711' })],
    doubts: ['date of id: 03-Mar', 'date of id: MAR-04'],
  },
  {
    name: 'a cell that was too narrow',
    text: lines('ID,Name', '########,A B'),
    rows: [named('A B')],
    doubts: ['cut_off of id: ########'],
  },
  {
    name: 'noughts before a number stay',
    text: lines('ID,Name', '0020417,A B'),
    rows: [named('A B', { id: '0020417' })],
  },
  {
    name: 'signs for nothing are nothing',
    text: lines('ID,Name,Email,Class', 'n/a,A B,-,NULL', '20417,C D,–,A'),
    rows: [named('A B'), named('C D', { id: '20417', class: 'A' })],
  },
  {
    name: 'an apostrophe in a name',
    text: lines('First name,Last name', "Niamh,O'Brien", 'Siân,D’Arcy'),
    rows: [person('Niamh', "O'Brien"), person('Siân', 'D’Arcy')],
  },
  {
    name: 'a formula is what it says, and no more',
    text: lines('Name,ID', '"=HYPERLINK(""https://x.example"")",20417'),
    rows: [named('=HYPERLINK("https://x.example")', { id: '20417' })],
  },
  {
    name: 'one column of names under a heading',
    text: lines('Name', 'Inês Carvalhal', 'Noor Rahimi'),
    rows: [named('Inês Carvalhal'), named('Noor Rahimi')],
  },
  {
    name: 'a row without any name',
    text: lines('Name,Email,ID', ',ines@ternpoint.example,20417'),
    rows: [{ address: 'ines@ternpoint.example', id: '20417' }],
  },
];

const AROUND: readonly ListCase[] = [
  {
    name: 'a title and a date above',
    text: lines('Class list EFM-210', 'Printed 3 Feb 2027', '', parted(';')),
    rows: [INES, NOOR],
  },
  {
    name: 'a title above, as wide as the table',
    text: lines('EFM-210;;', 'Spring 2027;;', parted(';')),
    rows: [INES, NOOR],
  },
  { name: 'a sum below', text: lines(parted(';'), 'Total;2;'), rows: [INES, NOOR] },
  { name: 'a sum below in one word', text: lines(parted(','), 'Total: 2'), rows: [INES, NOOR] },
  {
    name: 'words about the list below',
    text: lines(parted(','), '', 'Generated by the registry on 3 Feb 2027'),
    rows: [INES, NOOR],
  },
  { name: 'a sum in Spanish', text: lines(parted(';'), 'Suma;2;', 'Fin del listado;;'), rows: [INES, NOOR] },
  { name: 'a sum in French', text: lines(parted(';'), 'Effectif : 2;;'), rows: [INES, NOOR] },
  { name: 'a sum in Arabic', text: lines(parted(';'), 'المجموع;2;'), rows: [INES, NOOR] },
  {
    name: 'headings again on the next page',
    text: lines(
      'Given name,Family name,Email',
      'Inês,Carvalhal,ines@ternpoint.example',
      'Given name,Family name,Email',
      'Noor,Rahimi,noor@ternpoint.example',
    ),
    rows: [INES, NOOR],
  },
  { name: 'nothing', text: '', rows: [] },
  { name: 'nothing but spaces', text: ' \n\t\n ', rows: [] },
  { name: 'headings, and nobody', text: 'Name,Email,ID', rows: [] },
  {
    name: 'a person called as a sum begins',
    text: lines('Name;Email', 'Total Sum;total@ternpoint.example'),
    rows: [named('Total Sum', { address: 'total@ternpoint.example' })],
  },
];

const NO_HEADING: readonly ListCase[] = [
  {
    name: 'no headings: a name in two, an address',
    text: lines('Inês,Carvalhal,ines@ternpoint.example', 'Noor,Rahimi,noor@ternpoint.example'),
    rows: [INES, NOOR],
  },
  {
    name: 'no headings: an id, a name in one, an address',
    text: lines('20417;Inês Carvalhal;ines@ternpoint.example', '20418;Noor Rahimi;noor@ternpoint.example'),
    rows: [
      named('Inês Carvalhal', { id: '20417', address: 'ines@ternpoint.example' }),
      named('Noor Rahimi', { id: '20418', address: 'noor@ternpoint.example' }),
    ],
  },
  {
    name: 'no headings: family and given with a comma',
    text: lines('20417;Carvalhal, Inês', '20418;Rahimi, Noor'),
    rows: [person('Inês', 'Carvalhal', { id: '20417' }), person('Noor', 'Rahimi', { id: '20418' })],
  },
  {
    name: 'no headings: a class for several',
    text: lines(
      ...['Inês Carvalhal', 'Noor Rahimi', 'Pavel Dvořan', 'Kenji Morisawa'].map(
        (name, index) => `${20417 + index}\t${name}\tclass A`,
      ),
    ),
    rows: ['Inês Carvalhal', 'Noor Rahimi', 'Pavel Dvořan', 'Kenji Morisawa'].map((name, index) =>
      named(name, { id: String(20417 + index), class: 'class A' }),
    ),
  },
  {
    name: 'no headings: one number for all is no id of anybody',
    text: lines(...['Ana Ruiz', 'Bea Sol', 'Cleo Ney', 'Dia Om'].map((name) => `20417;${name}`)),
    rows: ['Ana Ruiz', 'Bea Sol', 'Cleo Ney', 'Dia Om'].map((name) => named(name, { class: '20417' })),
  },
  {
    name: 'no headings: roles',
    text: lines('Inês Carvalhal;student', 'Noor Rahimi;teacher'),
    rows: [named('Inês Carvalhal', { role: 'learner' }), named('Noor Rahimi', { role: 'instructor' })],
  },
  {
    name: 'no headings: user names',
    text: lines('icarvalhal1;Inês Carvalhal', 'nrahimi2;Noor Rahimi'),
    rows: [
      named('Inês Carvalhal', { userName: 'icarvalhal1' }),
      named('Noor Rahimi', { userName: 'nrahimi2' }),
    ],
  },
  {
    name: 'no headings: names alone, one a line',
    text: lines('Inês Carvalhal', 'Noor Rahimi'),
    rows: [named('Inês Carvalhal'), named('Noor Rahimi')],
  },
  {
    name: 'no headings, and one person',
    text: 'Inês;Carvalhal;ines@ternpoint.example',
    rows: [INES],
  },
];

const PASTED: readonly ListCase[] = [
  {
    name: 'addresses apart by commas',
    text: 'a@x.example, b@x.example,c@x.example',
    rows: ['a', 'b', 'c'].map((l) => at(`${l}@x.example`)),
  },
  {
    name: 'addresses apart by semicolons',
    text: 'a@x.example; b@x.example;',
    rows: ['a', 'b'].map((l) => at(`${l}@x.example`)),
  },
  {
    name: 'addresses apart by spaces',
    text: 'a@x.example b@x.example',
    rows: ['a', 'b'].map((l) => at(`${l}@x.example`)),
  },
  {
    name: 'addresses apart by line ends',
    text: lines('a@x.example', 'b@x.example', ''),
    rows: ['a', 'b'].map((l) => at(`${l}@x.example`)),
  },
  { name: 'one address', text: 'a@x.example', rows: [at('a@x.example')] },
  {
    name: 'addresses in brackets',
    text: '<a@x.example>, <b@x.example>',
    rows: ['a', 'b'].map((l) => at(`${l}@x.example`)),
  },
  {
    name: 'names before addresses in brackets',
    text: 'Inês Carvalhal <ines@x.example>, Noor Rahimi <noor@x.example>',
    rows: [at('ines@x.example', 'Inês Carvalhal'), at('noor@x.example', 'Noor Rahimi')],
  },
  {
    name: 'quoted names before addresses in brackets',
    text: '"Inês Carvalhal" <ines@x.example>; "Noor \\"N\\" Rahimi" <noor@x.example>',
    rows: [at('ines@x.example', 'Inês Carvalhal'), at('noor@x.example', 'Noor "N" Rahimi')],
  },
  {
    name: 'a name with the sign of an address in it',
    text: '"Inês @ Tern Point" <ines@x.example>, Noor@home <noor@x.example>',
    rows: [at('ines@x.example', 'Inês @ Tern Point'), at('noor@x.example', 'Noor@home')],
  },
  {
    name: 'family and given with a comma before addresses',
    text: '"Carvalhal, Inês" <ines@x.example>; Rahimi, Noor <noor@x.example>',
    rows: [
      person('Inês', 'Carvalhal', { address: 'ines@x.example' }),
      person('Noor', 'Rahimi', { address: 'noor@x.example' }),
    ],
  },
  {
    name: 'some with a name, some without',
    text: lines('ines@x.example, Noor Rahimi <noor@x.example>', 'pavel@x.example'),
    rows: [at('ines@x.example'), at('noor@x.example', 'Noor Rahimi'), at('pavel@x.example')],
  },
  {
    name: 'one person a line, with brackets',
    text: lines('Inês Carvalhal <ines@x.example>', 'Noor Rahimi <noor@x.example>'),
    rows: [at('ines@x.example', 'Inês Carvalhal'), at('noor@x.example', 'Noor Rahimi')],
  },
  {
    name: 'addresses with signs that are allowed',
    text: "ines.c+course@mail.x.example, o'brien@x.example, a_b-c@x-y.example",
    rows: [at('ines.c+course@mail.x.example'), at("o'brien@x.example"), at('a_b-c@x-y.example')],
  },
  {
    name: 'a table that was copied from a page',
    text: lines('Name\tEmail\tClass', 'Inês Carvalhal\tines@x.example\tA', 'Noor Rahimi\tnoor@x.example\tB'),
    rows: [
      named('Inês Carvalhal', { address: 'ines@x.example', class: 'A' }),
      named('Noor Rahimi', { address: 'noor@x.example', class: 'B' }),
    ],
  },
];

/** As the registry's standard for exchange in files has it (OneRoster 1.2, users.csv). */
const EXCHANGED: readonly ListCase[] = [
  {
    name: 'users of an exchange between systems',
    text: lines(
      'sourcedId,status,dateLastModified,enabledUser,username,givenName,familyName,email,role',
      'u-20417,active,2027-02-01,true,icarvalhal,Inês,Carvalhal,ines@x.example,student',
    ),
    rows: [
      person('Inês', 'Carvalhal', {
        id: 'u-20417',
        userName: 'icarvalhal',
        address: 'ines@x.example',
        role: 'learner',
      }),
    ],
  },
];

export const LIST_CASES: readonly ListCase[] = [
  ...APART,
  ...TITLED,
  ...COLUMNS,
  ...AROUND,
  ...NO_HEADING,
  ...PASTED,
  ...EXCHANGED,
];

/** What columns of class lists are called, in the languages that lists come in here. Compared as `bare` says. */
import type { ListColumn, ListRole } from './list-row.ts';
import { bare } from './words.ts';

const HEADINGS: Readonly<Record<Exclude<ListColumn, 'ignored'>, readonly string[]>> = {
  id: [
    ...['id', 'student id', 'student no', 'student number', 'learner id', 'id number', 'person id', 'number'],
    ...[
      'matriculation number',
      'matric',
      'matric no',
      'registration number',
      'sis id',
      'sourced id',
      'sourcedid',
      'institution id',
    ],
    ...[
      'matricula',
      'no de matricula',
      'numero de matricula',
      'numero',
      'identificador',
      'dni',
      'expediente',
    ],
    ...['no etudiant', 'numero etudiant', 'numero d etudiant', 'matricule', 'identifiant etudiant'],
    ...['matrikelnummer', 'رقم الطالب', 'الرقم الجامعي', 'رقم القيد', 'الرقم'],
  ],
  given: [
    ...[
      'given name',
      'first name',
      'firstname',
      'forename',
      'given',
      'given names',
      'first',
      'preferred name',
    ],
    ...['nombre de pila', 'nombre', 'nombres', 'prenom', 'prenoms', 'vorname', 'givenname'],
    ...['الاسم الاول', 'الاسم الشخصي'],
  ],
  family: [
    ...['family name', 'last name', 'lastname', 'surname', 'family', 'last', 'familyname'],
    ...['apellidos', 'apellido', 'primer apellido', 'nom', 'nom de famille', 'nachname'],
    ...['اسم العائله', 'اسم العائلة', 'اللقب', 'الكنيه'],
  ],
  familyGiven: [
    ...['family given', 'last first', 'family name given name', 'last name first name', 'surname given name'],
    ...['surname first name', 'apellidos nombre', 'apellidos y nombre', 'nom prenom', 'nom et prenom'],
    ...['nachname vorname', 'family name first name'],
  ],
  name: [
    ...['name', 'full name', 'student name', 'student', 'display name', 'learner', 'participant', 'who'],
    ...['nombre completo', 'nombre y apellidos', 'alumno', 'estudiante', 'nom complet', 'etudiant'],
    ...['prenom nom', 'الاسم', 'الاسم الكامل', 'اسم الطالب'],
  ],
  address: [
    ...['email', 'e mail', 'mail', 'email address', 'e mail address', 'address', 'student email'],
    ...['correo', 'correo electronico', 'direccion de correo', 'courriel', 'adresse', 'adresse electronique'],
    ...['adresse e mail', 'البريد الالكتروني', 'البريد', 'عنوان البريد'],
  ],
  userName: [
    ...['user name', 'username', 'user', 'login', 'account', 'user id', 'net id', 'netid', 'login id'],
    ...['usuario', 'nombre de usuario', 'identifiant', 'nom d utilisateur', 'utilisateur', 'compte'],
    ...['اسم المستخدم', 'المستخدم'],
  ],
  class: [
    ...['class', 'section', 'class code', 'course section', 'class section', 'crn', 'cohort', 'stream'],
    ...['clase', 'seccion', 'curso', 'classe', 'promotion', 'klasse', 'الصف', 'الشعبه', 'الشعبة', 'الفصل'],
  ],
  role: ['role', 'roles', 'type', 'rol', 'papel', 'fonction', 'rolle', 'الدور', 'الصفه', 'الصفة'],
  group: [
    ...['group', 'groups', 'team', 'project group', 'lab group', 'grupo', 'equipo', 'groupe', 'equipe'],
    ...['gruppe', 'المجموعه', 'المجموعة', 'الفريق'],
  ],
};

const BY_WORDS = new Map<string, ListColumn>(
  Object.entries(HEADINGS).flatMap(([column, words]) =>
    words.map((word): [string, ListColumn] => [bare(word), column as ListColumn]),
  ),
);

/** @returns what a column with this heading is; null: no heading that is known. "Family, Given" is one column. */
export function columnCalled(heading: string): ListColumn | null {
  return (
    BY_WORDS.get(
      bare(heading)
        .replaceAll(/[,،;]+ */g, ' ')
        .trim(),
    ) ?? null
  );
}

const ROLES: Readonly<Record<ListRole, readonly string[]>> = {
  learner: [
    ...[
      'learner',
      'learners',
      'student',
      'students',
      'participant',
      'pupil',
      'alumno',
      'alumna',
      'estudiante',
    ],
    ...['etudiant', 'etudiante', 'eleve', 'متعلم', 'طالب', 'طالبه', 'طالبة'],
  ],
  assistant: [
    ...['assistant', 'teaching assistant', 'ta', 'tutor', 'ayudante', 'asistente', 'assistante', 'tuteur'],
    ...['مساعد', 'معيد'],
  ],
  instructor: [
    ...['instructor', 'teacher', 'lecturer', 'professor', 'faculty', 'docente', 'profesor', 'profesora'],
    ...['enseignant', 'enseignante', 'professeur', 'مدرس', 'استاذ', 'محاضر'],
  ],
};
const BY_ROLE = new Map<string, ListRole>(
  Object.entries(ROLES).flatMap(([role, words]) =>
    words.map((word): [string, ListRole] => [bare(word), role as ListRole]),
  ),
);

export const roleCalled = (word: string): ListRole | null => BY_ROLE.get(bare(word)) ?? null;

/** What a line below a list begins with that counts it. */
const SUMS = [
  ...['total', 'totals', 'sum', 'count', 'enrolled', 'students', 'learners', 'end of list', 'end of report'],
  ...[
    'generated',
    'printed',
    'exported',
    'report',
    'suma',
    'totales',
    'generado',
    'fin del listado',
    'somme',
  ],
  ...['totaux', 'effectif', 'genere', 'imprime', 'fin de liste', 'المجموع', 'الاجمالي', 'العدد'],
].map(bare);

export function isSum(cell: string): boolean {
  const words = bare(cell);
  return SUMS.some((sum) => words === sum || words.startsWith(`${sum} `));
}

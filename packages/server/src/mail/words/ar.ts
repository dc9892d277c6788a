import type { MailWords } from '../letters.ts';

export const AR: MailWords = {
  roles: { instructor: 'مدرّس', assistant: 'مساعد', learner: 'متعلّم', visitor: 'زائر' },
  foot: ({ institution }) => `أرسله Itinerary باسم ${institution}. لا أحد يقرأ ما يُرسل إلى هذا العنوان.`,
  letters: {
    confirm: {
      subject: ({ institution }) => `حسابك في ${institution}`,
      lines: ({ institution, until }) => [
        `طلب أحدهم، ونرجو أن يكون أنت، حسابًا في ${institution} بهذا العنوان.`,
        `اختر كلمة مرور فيكون الحساب جاهزًا. يعمل هذا مرة واحدة حتى ${until ?? ''}.`,
        'إن لم تكن أنت فلا تفعل شيئًا: لن يُنشأ أي حساب.',
      ],
      press: 'اختيار كلمة مرور',
    },
    known: {
      subject: ({ institution }) => `لديك حساب في ${institution} بالفعل`,
      lines: ({ institution }) => [
        `أراد أحدهم، ونرجو أن يكون أنت، إنشاء حساب في ${institution} بهذا العنوان. يوجد حساب بالفعل.`,
        'سجّل الدخول به. إن نسيت كلمة المرور فيمكنك هناك تعيين كلمة جديدة.',
      ],
      press: 'تسجيل الدخول',
    },
    reset: {
      subject: () => 'كلمة مرور جديدة',
      lines: ({ institution, until }) => [
        `طلب أحدهم، ونرجو أن يكون أنت، كلمة مرور جديدة لحسابك في ${institution}.`,
        `يعمل هذا مرة واحدة حتى ${until ?? ''}. ويخرج عندئذ كل من دخل بالكلمة القديمة.`,
        'إن لم تكن أنت فلا تفعل شيئًا: تبقى كلمة مرورك كما هي.',
      ],
      press: 'تعيين كلمة مرور جديدة',
    },
    invitation: {
      subject: ({ course }) => `دعوة إلى ${course ?? ''}`,
      lines: ({ by, course, institution, role, description, until }) => [
        `يدعوك ${by ?? ''} إلى «${course ?? ''}» في ${institution} بصفة ${role}.`,
        description ?? null,
        until === undefined ? null : `الدعوة صالحة حتى ${until}.`,
      ],
      press: 'الاطلاع على المقرر والانضمام إليه',
    },
    offer: {
      subject: ({ course }) => `مقعد لك في ${course ?? ''}`,
      lines: ({ course, until }) => [
        `كنت تنتظر مقعدًا في «${course ?? ''}». صار مقعد شاغرًا وهو محفوظ لك.`,
        `خذه قبل ${until ?? ''}؛ بعدها يذهب إلى التالي.`,
      ],
      press: 'أخذ المقعد',
    },
    asked: {
      subject: ({ by, course }) => `${by ?? ''} يطلب الانضمام إلى ${course ?? ''}`,
      lines: ({ by, course, question, answer }) => [
        `${by ?? ''} يطلب الانضمام إلى «${course ?? ''}».`,
        question === undefined ? null : `${question}\n${answer ?? ''}`,
      ],
      press: 'الرد على الطلب',
    },
    accepted: {
      subject: ({ course }) => `أنت الآن في ${course ?? ''}`,
      lines: ({ course }) => [`طلبت الانضمام إلى «${course ?? ''}». الجواب نعم: أنت فيه الآن.`],
      press: 'فتح المقرر',
    },
    refused: {
      subject: ({ course }) => `طلبك الانضمام إلى ${course ?? ''}`,
      lines: ({ course, reason }) => [
        `طلبت الانضمام إلى «${course ?? ''}». الجواب لا، لهذا السبب:`,
        reason ?? null,
      ],
      press: 'الاطلاع على المقرر',
    },
    in_line: {
      subject: ({ course }) => `أنت في قائمة انتظار ${course ?? ''}`,
      lines: ({ course }) => [
        `طلبت الانضمام إلى «${course ?? ''}». الجواب نعم، لكن المقاعد كلها مشغولة: أنت في قائمة الانتظار، وسنكتب إليك فور شغور مقعد.`,
      ],
      press: 'معرفة ترتيبك في القائمة',
    },
    receipt: {
      subject: ({ receipt, course }) => `إيصال ${receipt ?? 0}: ${course ?? ''}`,
      lines: ({ amount, course, institution, on, receipt, until }) => [
        `دُفع: ${amount ?? ''}`,
        `عن «${course ?? ''}» في ${institution}، في ${on ?? ''}. إيصال ${receipt ?? 0}. أنت في المقرر.`,
        until === undefined ? null : `يسري حتى ${until}.`,
      ],
      press: 'فتح المقرر',
    },
    paid_back: {
      subject: ({ course }) => `نقودك عن ${course ?? ''}`,
      lines: ({ amount, course }) => [
        `أُعيد إليك ${amount ?? ''} عن «${course ?? ''}»، ولم تعد في المقرر. وكل ما فعلته فيه محفوظ.`,
      ],
      press: 'الاطلاع على المقرر',
    },
    renews: {
      subject: ({ course }) => `يُدفع عن ${course ?? ''} من جديد قريبًا`,
      lines: ({ amount, course, until }) => [
        `مكانك في «${course ?? ''}» مدفوع حتى ${until ?? ''}. عندئذ يؤخذ ${amount ?? ''} عن مدة مثلها. إن لم تعد تريد ذلك فقله قبلها.`,
      ],
      press: 'الاطلاع أو الإنهاء',
    },
    ends: {
      subject: ({ course }) => `ينتهي مكانك في ${course ?? ''} قريبًا`,
      lines: ({ course, until }) => [
        `مكانك في «${course ?? ''}» مدفوع حتى ${until ?? ''}، وقد قلت إنه ينتهي عندئذ. وكل ما فعلته فيه محفوظ.`,
      ],
      press: 'الاطلاع أو المتابعة',
    },
    not_renewed: {
      subject: ({ course }) => `تعذّر الدفع من جديد عن ${course ?? ''}`,
      lines: ({ amount, course, until }) => [
        `تعذّر أخذ ${amount ?? ''} عن «${course ?? ''}». أنت في المقرر حتى ${until ?? ''}؛ ادفع قبلها لتبقى فيه.`,
      ],
      press: 'الدفع',
    },
    lapsed: {
      subject: ({ course }) => `انتهى مكانك في ${course ?? ''}`,
      lines: ({ course, until }) => [
        `كان مكانك في «${course ?? ''}» مدفوعًا حتى ${until ?? ''}. لم تعد في المقرر؛ وكل ما فعلته فيه محفوظ، ويمكنك أن تعود.`,
      ],
      press: 'الاطلاع على المقرر',
    },
    posted: {
      subject: ({ thread }) => `جديد في «${thread ?? ''}»`,
      lines: ({ by, course, thread }) => [
        by === undefined
          ? `كُتب شيء جديد في «${thread ?? ''}» ضمن «${course ?? ''}».`
          : `كتب ${by} في «${thread ?? ''}» ضمن «${course ?? ''}».`,
        'أنت تتابع هذا النقاش. تصلك الرسالة التالية عنه بعد أن تقرأ ما فيه، ويمكنك التوقف عن متابعته في صفحته.',
      ],
      press: 'اقرأه',
    },
  },
};

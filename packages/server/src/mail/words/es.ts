import type { MailWords } from '../letters.ts';

export const ES: MailWords = {
  roles: {
    instructor: 'docente',
    assistant: 'asistente',
    learner: 'estudiante',
    visitor: 'visitante',
  },
  foot: ({ institution }) =>
    `Enviado por Itinerary para ${institution}. Nadie lee lo que se responde a esta dirección.`,
  letters: {
    confirm: {
      subject: ({ institution }) => `Tu cuenta en ${institution}`,
      lines: ({ institution, until }) => [
        `Alguien, esperamos que tú, quiere una cuenta en ${institution} con esta dirección.`,
        `Elige una contraseña y estará lista. Esto funciona una sola vez, hasta ${until ?? ''}.`,
        'Si no has sido tú, no hagas nada: no habrá ninguna cuenta.',
      ],
      press: 'Elegir una contraseña',
    },
    known: {
      subject: ({ institution }) => `Ya tienes una cuenta en ${institution}`,
      lines: ({ institution }) => [
        `Alguien, esperamos que tú, quería crear una cuenta en ${institution} con esta dirección. Ya existe una.`,
        'Entra con ella. Si ya no sabes la contraseña, allí puedes poner una nueva.',
      ],
      press: 'Entrar',
    },
    reset: {
      subject: () => 'Una contraseña nueva',
      lines: ({ institution, until }) => [
        `Alguien, esperamos que tú, quiere una contraseña nueva para tu cuenta en ${institution}.`,
        `Esto funciona una sola vez, hasta ${until ?? ''}. Quien haya entrado con la anterior saldrá entonces.`,
        'Si no has sido tú, no hagas nada: tu contraseña sigue igual.',
      ],
      press: 'Poner una contraseña nueva',
    },
    invitation: {
      subject: ({ course }) => `Invitación a ${course ?? ''}`,
      lines: ({ by, course, institution, role, description, until }) => [
        `${by ?? ''} te invita a «${course ?? ''}» en ${institution}, como ${role}.`,
        description ?? null,
        until === undefined ? null : `La invitación vale hasta ${until}.`,
      ],
      press: 'Mirar el curso y entrar en él',
    },
    offer: {
      subject: ({ course }) => `Una plaza para ti en ${course ?? ''}`,
      lines: ({ course, until }) => [
        `Esperabas una plaza en «${course ?? ''}». Ahora hay una libre, y está guardada para ti.`,
        `Tómala antes de ${until ?? ''}; después pasa a quien sigue.`,
      ],
      press: 'Tomar la plaza',
    },
    asked: {
      subject: ({ by, course }) => `${by ?? ''} pide entrar en ${course ?? ''}`,
      lines: ({ by, course, question, answer }) => [
        `${by ?? ''} pide entrar en «${course ?? ''}».`,
        question === undefined ? null : `${question}\n${answer ?? ''}`,
      ],
      press: 'Responder',
    },
    accepted: {
      subject: ({ course }) => `Ya estás en ${course ?? ''}`,
      lines: ({ course }) => [`Pediste entrar en «${course ?? ''}». La respuesta es sí: ya estás dentro.`],
      press: 'Abrir el curso',
    },
    refused: {
      subject: ({ course }) => `Tu solicitud para ${course ?? ''}`,
      lines: ({ course, reason }) => [
        `Pediste entrar en «${course ?? ''}». La respuesta es no, por este motivo:`,
        reason ?? null,
      ],
      press: 'Mirar el curso',
    },
    in_line: {
      subject: ({ course }) => `Estás en la lista de espera de ${course ?? ''}`,
      lines: ({ course }) => [
        `Pediste entrar en «${course ?? ''}». La respuesta es sí, pero no quedan plazas: estás en la lista de espera. Te escribiremos en cuanto haya una.`,
      ],
      press: 'Ver tu puesto en la lista',
    },
    receipt: {
      subject: ({ receipt, course }) => `Recibo ${receipt ?? 0}: ${course ?? ''}`,
      lines: ({ amount, course, institution, on, receipt, until }) => [
        `Pagado: ${amount ?? ''}`,
        `Por «${course ?? ''}» en ${institution}, el ${on ?? ''}. Recibo ${receipt ?? 0}. Ya estás en el curso.`,
        until === undefined ? null : `Vale hasta: ${until}.`,
      ],
      press: 'Abrir el curso',
    },
    paid_back: {
      subject: ({ course }) => `Tu dinero de ${course ?? ''}`,
      lines: ({ amount, course }) => [
        `${amount ?? ''} por «${course ?? ''}» te ha sido devuelto, y ya no estás en el curso. Todo lo que has hecho en él se conserva.`,
      ],
      press: 'Mirar el curso',
    },
    renews: {
      subject: ({ course }) => `Pronto se vuelve a pagar ${course ?? ''}`,
      lines: ({ amount, course, until }) => [
        `Tu plaza en «${course ?? ''}» está pagada hasta ${until ?? ''}. Entonces se cobran ${amount ?? ''} por otro tanto. Si ya no lo quieres, dilo antes.`,
      ],
      press: 'Verlo o terminarlo',
    },
    ends: {
      subject: ({ course }) => `Tu plaza en ${course ?? ''} termina pronto`,
      lines: ({ course, until }) => [
        `Tu plaza en «${course ?? ''}» está pagada hasta ${until ?? ''}, y has dicho que entonces termina. Todo lo que has hecho se conserva.`,
      ],
      press: 'Verlo o seguir',
    },
    not_renewed: {
      subject: ({ course }) => `No se ha podido volver a pagar ${course ?? ''}`,
      lines: ({ amount, course, until }) => [
        `No se han podido cobrar ${amount ?? ''} por «${course ?? ''}». Estás en el curso hasta ${until ?? ''}; paga antes para quedarte.`,
      ],
      press: 'Pagar',
    },
    lapsed: {
      subject: ({ course }) => `Tu plaza en ${course ?? ''} ha terminado`,
      lines: ({ course, until }) => [
        `Tu plaza en «${course ?? ''}» estaba pagada hasta ${until ?? ''}. Ya no estás en el curso; todo lo que has hecho se conserva, y puedes volver.`,
      ],
      press: 'Mirar el curso',
    },
    posted: {
      subject: ({ thread }) => `Novedades en «${thread ?? ''}»`,
      lines: ({ by, course, thread }) => [
        by === undefined
          ? `Hay algo nuevo en «${thread ?? ''}», en «${course ?? ''}».`
          : `${by} ha escrito en «${thread ?? ''}», en «${course ?? ''}».`,
        'Sigue este hilo. La próxima carta sobre él llegará cuando haya leído lo que hay; puede dejar de seguirlo en su página.',
      ],
      press: 'Leerlo',
    },
  },
};

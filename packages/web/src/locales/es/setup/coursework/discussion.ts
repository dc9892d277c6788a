/** Un debate: quién abre hilos, y qué se ve cuándo. */
export default {
  title: 'El debate',
  starts: 'Quién puede abrir un hilo',
  startsOf: { everybody: 'Todo el mundo', staff: 'Solo el profesorado' },
  firstPost: 'Los mensajes de los demás se ven después de uno propio',
  ownEdits: 'Quienes aprenden pueden cambiar y retirar sus mensajes',
  mayAttach: 'Los mensajes pueden llevar archivos',
  shut: 'Cerrado: ya no se publica nada',
  look: 'Ver el debate',
};

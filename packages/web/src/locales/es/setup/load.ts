export default {
  button: 'Carga',
  title: 'Lo que pide cada sección',
  chart: 'Minutos de cada sección, frente al objetivo',
  total: 'En total, {length}.',
  target: 'Se pueden pedir {hours} horas por semana.',
  noTarget: 'No se ha dicho cuánto se puede pedir: en «Números y lectura».',
  targetLine: 'Objetivo',
  heavy:
    'Ninguna sección pasa del objetivo | Una sección pasa del objetivo | {count} secciones pasan del objetivo',
  over: '{length} de más',
  asTable: 'Como tabla',
  asks: 'Pide',
  due: 'Entregas',
  unsaid: 'Sin minutos',
};

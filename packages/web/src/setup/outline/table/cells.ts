/** Arrow keys between the cells of a line: left and right, in a text only at its ends. */
export function nextCell(cell: HTMLElement, event: KeyboardEvent): HTMLElement | null {
  if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return null;
  const row = cell.closest<HTMLElement>('[data-row]');
  if (row === null) return null;
  switch (event.key) {
    case 'ArrowLeft':
    case 'ArrowRight': {
      const step = event.key === 'ArrowLeft' ? -1 : 1;
      if (cell instanceof HTMLInputElement && !isAtEnd(cell, step)) return null;
      const cells = [...row.querySelectorAll<HTMLElement>('[data-cell]')];
      return cells[cells.indexOf(cell) + step] ?? null;
    }
    default:
      return null;
  }
}

function isAtEnd(input: HTMLInputElement, step: number): boolean {
  const whole = input.selectionStart === 0 && input.selectionEnd === input.value.length;
  return whole || (step < 0 ? input.selectionEnd === 0 : input.selectionStart === input.value.length);
}

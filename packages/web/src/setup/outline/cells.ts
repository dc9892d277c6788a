/** Arrow keys between the cells of the outline: up and down in a column, left and right at a text's ends. */
export function nextCell(
  table: HTMLElement | null,
  cell: HTMLElement,
  event: KeyboardEvent,
): HTMLElement | null {
  if (table === null || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return null;
  const row = cell.closest<HTMLElement>('[data-row]');
  if (row === null) return null;
  switch (event.key) {
    case 'ArrowUp':
    case 'ArrowDown': {
      const rows = [...table.querySelectorAll<HTMLElement>('[data-row]')];
      const step = event.key === 'ArrowUp' ? -1 : 1;
      for (let at = rows.indexOf(row) + step; at >= 0 && at < rows.length; at += step) {
        const next = rows[at]?.querySelector<HTMLElement>(`[data-cell="${cell.dataset['cell'] ?? ''}"]`);
        if (next) return next;
      }
      return null;
    }
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

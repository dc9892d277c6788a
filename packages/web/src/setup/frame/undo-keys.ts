/** Ctrl or ⌘ with Z takes back, with Shift and Z or Y makes again; a rich text keeps its own, finer history. */
interface Retraceable {
  undo(): void;
  redo(): void;
}

export function undoKeys(plan: Retraceable): (event: KeyboardEvent) => void {
  return (event) => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey || event.defaultPrevented) return;
    const key = event.key.toLowerCase();
    if (key !== 'z' && key !== 'y') return;
    if ((event.target as HTMLElement | null)?.isContentEditable) return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) plan.redo();
    else plan.undo();
  };
}

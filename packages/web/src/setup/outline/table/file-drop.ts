/** Files dragged from the desk onto a part of the page. */
import { ref } from 'vue';
import type { Ref } from 'vue';

export interface FileDrop {
  readonly isFileOver: Ref<boolean>;
  readonly overFiles: (event: DragEvent) => void;
  readonly dropFiles: (event: DragEvent) => void;
}

const hasFiles = (event: DragEvent): boolean => event.dataTransfer?.types.includes('Files') === true;

export function useFileDrop(mayDrop: () => boolean, take: (file: File) => void): FileDrop {
  const isFileOver = ref(false);
  return {
    isFileOver,
    overFiles: (event) => {
      if (!mayDrop() || !hasFiles(event)) return;
      event.preventDefault();
      isFileOver.value = true;
    },
    dropFiles: (event) => {
      isFileOver.value = false;
      if (!mayDrop() || !hasFiles(event)) return;
      event.preventDefault();
      for (const file of event.dataTransfer?.files ?? []) take(file);
    },
  };
}

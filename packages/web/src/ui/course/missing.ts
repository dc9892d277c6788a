/** Pictures that did not come: something else takes their place, until another is wanted. */
import { shallowReactive } from 'vue';

export interface Missing {
  readonly isMissing: (source: string) => boolean;
  readonly miss: (source: string) => void;
}

export function useMissing(): Missing {
  const sources = shallowReactive(new Set<string>());
  return {
    isMissing: (source) => sources.has(source),
    miss: (source) => void sources.add(source),
  };
}

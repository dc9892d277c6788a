/** A dozen colours to begin from, by what they are the colour of. */
export const PRESETS = [
  { name: 'saltmarsh', seed: '#4f7a4a' },
  { name: 'deep_water', seed: '#1d4e89' },
  { name: 'wet_slate', seed: '#4a5a68' },
  { name: 'sea_pink', seed: '#b4527a' },
  { name: 'buoy', seed: '#c2461e' },
  { name: 'gorse', seed: '#c79a00' },
  { name: 'mussel', seed: '#3b3f6b' },
  { name: 'lichen', seed: '#8a9a2b' },
  { name: 'oyster', seed: '#7b6f63' },
  { name: 'samphire', seed: '#2f8f6b' },
  { name: 'dusk', seed: '#7a4fa3' },
  { name: 'spray', seed: '#2a8fa8' },
] as const;
export type PresetName = (typeof PRESETS)[number]['name'];

import { h } from 'vue';
import type { IconProps } from 'vuetify';
import type { FunctionalComponent } from 'vue';

/** An icon given as the path of a 24×24 line drawing, for the few icons that Vuetify draws itself. */
export const PathIcon: FunctionalComponent<IconProps> = ({ icon, tag }) =>
  h(
    String(tag ?? 'i'),
    {},
    h(
      'svg',
      {
        viewBox: '0 0 24 24',
        width: '1em',
        height: '1em',
        fill: 'none',
        stroke: 'currentColor',
        'stroke-width': 1.75,
        'stroke-linecap': 'round',
        'stroke-linejoin': 'round',
        'aria-hidden': 'true',
      },
      h('path', { d: typeof icon === 'string' ? icon : '' }),
    ),
  );

<script setup lang="ts">
/** The route: the stops on their line, with what is left to settle at each. */
import { isBlocker } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { STOPS } from './stops.ts';
import type { Stop } from './stops.ts';

const props = defineProps<{ courseId: string; stop: Stop }>();
const { t } = useI18n();
const plan = usePlan();

/**
 * On a phone the route is a row that scrolls: where one is stays in view. It waits for the stop to be drawn, which
 * would else be laid out twice.
 */
const list = ref<HTMLElement | null>(null);
const toHere = (): void =>
  list.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'center' });
watch(
  () => props.stop,
  () => requestAnimationFrame(() => setTimeout(toHere)),
  { flush: 'post', immediate: true },
);

const counts = computed(
  () =>
    Object.fromEntries(
      STOPS.map((stop) => {
        const here =
          stop === 'readiness' ? plan.found : plan.found.filter((finding) => finding.stop === stop);
        return [stop, { all: here.length, blockers: here.filter(isBlocker).length }];
      }),
    ) as Record<Stop, { all: number; blockers: number }>,
);

const mark = (stop: Stop): 'blocked' | 'left' | 'settled' => {
  const { all, blockers } = counts.value[stop];
  return blockers > 0 ? 'blocked' : all > 0 ? 'left' : 'settled';
};
</script>

<template>
  <nav class="setup-route" :aria-label="t('setup.route')">
    <ol ref="list">
      <li v-for="name in STOPS" :key="name" :class="[mark(name), { here: name === stop }]">
        <RouterLink :to="`/setup/${courseId}/${name}`" :aria-current="name === stop ? 'page' : undefined">
          <svg class="mark" viewBox="0 0 22 22" width="22" height="22" aria-hidden="true">
            <path v-if="mark(name) === 'blocked'" d="M11 2.5L19.5 11L11 19.5L2.5 11Z" class="diamond" />
            <template v-else>
              <circle cx="11" cy="11" r="7.5" class="ring" />
              <path
                v-if="mark(name) === 'left' && name !== stop"
                d="M11 3.5A7.5 7.5 0 0 0 11 18.5Z"
                class="half"
              />
            </template>
          </svg>
          <span class="name">{{ t(`setup.stops.${name}`) }}</span>
          <span v-if="counts[name].all > 0" class="count figures">
            {{ counts[name].all }}<span class="visually-hidden"> {{ t('setup.bar.toSettle') }}</span>
          </span>
        </RouterLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.setup-route {
  padding: 18px 12px;
  border-inline-end: 1px solid var(--rule);
  background: var(--rail);
}

ol {
  padding: 0;
  list-style: none;
}

li {
  position: relative;
}

li::before {
  content: '';
  position: absolute;
  inset-inline-start: 15px;
  top: 0;
  bottom: 0;
  width: 3px;
  background: var(--route);
}

li:first-child::before {
  top: 50%;
}

li:last-child::before {
  bottom: 50%;
}

a {
  position: relative;
  display: flex;
  align-items: center;
  gap: 11px;
  min-height: 40px;
  padding: 4px 6px 4px 5px;
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
}

a:hover {
  background: color-mix(in srgb, var(--bottle-pale) 60%, transparent);
}

.here a {
  background: var(--bottle-pale);
  color: var(--bottle);
  font-weight: 650;
}

.here::before {
  z-index: 1;
}

.mark {
  position: relative;
  z-index: 2;
  flex: none;
}

.ring {
  fill: var(--rail);
  stroke: var(--route);
  stroke-width: 3.5;
}

.half,
.settled .ring {
  fill: var(--route);
}

.here .ring {
  fill: var(--card);
  stroke: var(--bottle);
  stroke-width: 4.5;
}

.diamond {
  fill: var(--card);
  stroke: var(--blocker);
  stroke-width: 2.5;
}

.name {
  flex: 1;
}

.count {
  min-width: 22px;
  padding: 0 6px;
  border-radius: 4px;
  background: var(--advice-pale);
  color: var(--advice);
  font-size: 13px;
  text-align: center;
}

.blocked .count {
  background: var(--blocker-pale);
  color: var(--blocker);
}

@media (max-width: 1080px) {
  .setup-route {
    padding: 4px 12px;
    border-inline-end: 0;
    border-bottom: 1px solid var(--rule);
  }

  ol {
    display: flex;
    overflow-x: auto;
  }

  li::before {
    display: none;
  }

  a {
    white-space: nowrap;
  }
}
</style>

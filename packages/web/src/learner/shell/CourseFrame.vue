<script setup lang="ts">
/** The menu of a course with a page beside it or below it. Also the preview's, inside its screen. */
import type { LookView, MenuItemView, MenuView } from '@itinerary/core';
import CourseLook from './CourseLook.vue';
import CourseMenu from './CourseMenu.vue';

withDefaults(
  defineProps<{
    courseId: string;
    /** Null: no page of the course has one for this reader. */
    menu: MenuView | null;
    place: 'top' | 'side';
    current: string | null;
    unread: number;
    look: LookView | null;
    dark?: boolean | undefined;
    /** Inside a screen of its own, whose height it fills. */
    told?: boolean;
  }>(),
  { dark: undefined },
);
const emit = defineEmits<{ go: [item: MenuItemView] }>();
</script>

<template>
  <CourseLook :look="look" :dark="dark" :class="['frame', { told }]">
    <div :class="['columns', place]">
      <CourseMenu
        v-if="menu !== null && menu.groups.length > 0"
        class="course-menu no-print"
        :course-id="courseId"
        :menu="menu"
        :place="place"
        :current="current"
        :unread="unread"
        :told="told"
        @go="emit('go', $event)"
      />
      <!-- In a screen of its own this is what scrolls, so that no entry of the menu lies over what is read. -->
      <div class="content" :tabindex="told ? 0 : undefined"><slot /></div>
    </div>
  </CourseLook>
</template>

<style scoped>
.frame {
  container: shell / inline-size;
  background: var(--card);
}

.columns {
  display: flex;
  flex-direction: column;
  min-height: calc(100vh - var(--bar-height));
}

.told,
.told .columns {
  height: 100%;
  min-height: 0;
}

.content {
  flex: 1;
  min-width: 0;
}

.told .content {
  overflow-y: auto;
}

@container shell (max-width: 759px) {
  .content {
    /* What sticks to the lower edge sticks above the menu. */
    --menu-below: 62px;
  }

  .course-menu {
    position: sticky;
    bottom: 0;
    z-index: 10;
    order: 2;
  }
}

@container shell (min-width: 760px) {
  .columns.side {
    flex-direction: row;
    align-items: stretch;
  }

  .side .course-menu {
    flex: none;
    width: 216px;
  }

  .columns.top .course-menu {
    position: sticky;
    top: var(--bar-height);
    z-index: 10;
    /* A menu of more lines than that scrolls by itself, so that there is always a page to read below it. */
    max-height: 40vh;
    overflow-y: auto;
  }

  .told .columns.top .course-menu {
    top: 0;
  }
}
</style>

<script setup lang="ts">
/** Something that is pressed and looks like what it holds: a line, a card, a chip. Its look is that of whoever uses it. */
import { VBtn } from 'vuetify/components/VBtn';
</script>

<template>
  <VBtn class="bare-button" variant="text" :ripple="false"><slot /></VBtn>
</template>

<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import AppBar from '../ui/frame/AppBar.vue';
import NothingHere from '../ui/frame/NothingHere.vue';

const { t } = useI18n();
</script>

<template>
  <AppBar />
  <NothingHere :title="t('common.nowhere.title')" :text="t('common.nowhere.text')" />
</template>

<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../words'

/** Says that there is a new version, and goes over to it when asked. */
defineEmits<{ use: [] }>()
</script>

<template>
  <aside class="new-version" role="status">
    <span>{{ t('new-version.is-ready') }}</span>
    <Button link :label="t('new-version.use-it')" @click="$emit('use')" />
  </aside>
</template>

<style scoped>
.new-version {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: center;
  height: var(--told);
  padding-inline: 16px;
  border-bottom: 1.5px solid var(--ink);
  white-space: nowrap;
}
</style>

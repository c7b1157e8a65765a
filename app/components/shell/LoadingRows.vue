<script setup lang="ts">
import Skeleton from 'primevue/skeleton'

/** What is being fetched, in the shape that it will have; said in words to the ear. */
withDefaults(defineProps<{ words: string; rows?: number; rowHeight?: string }>(), { rows: 5, rowHeight: '44px' })
</script>

<template>
  <div class="loading">
    <p class="hidden-words" role="status">{{ words }}</p>
    <Skeleton v-for="n in rows" :key="n" :height="rowHeight" :width="n % 3 ? '100%' : '72%'" />
  </div>
</template>

<style scoped>
.loading {
  display: grid;
  gap: 12px;
  padding-block: 8px;
}
</style>

<script setup lang="ts">
import BackButton from './BackButton.vue'
/** What stands in the keys' place when asked for: a title, the way back, and a list that scrolls. */
defineProps<{ title: string; label: string }>()
defineEmits<{ back: [] }>()
</script>

<template>
  <div class="side frame">
    <div class="title">
      <h2>{{ title }}</h2>
      <BackButton @back="$emit('back')" />
    </div>
    <div class="scroll" tabindex="0" role="region" :aria-label="label"><slot /></div>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 10px;
  min-height: 0;
  height: 100%;
}
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 24px;
}
.scroll {
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 2px 6px 6px 2px;
}
.scroll > :deep(*) {
  flex: none;
}
</style>

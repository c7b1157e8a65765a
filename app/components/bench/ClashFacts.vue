<script setup lang="ts">
import type { ClashWords } from '~~/core/job'

/** Answers that cannot all be so, one against the other. */
defineProps<{ clash: ClashWords }>()
</script>

<template>
  <ul class="clash" data-testid="clash">
    <li><small>now</small>{{ clash.newest }}</li>
    <li v-for="fact in clash.against.slice(0, 2)" :key="fact.id"><small>before</small>{{ fact.words }}</li>
    <li v-if="clash.against.length > 2"><small>and</small>{{ clash.against.length - 2 }} more</li>
  </ul>
  <p class="advice">{{ clash.advice }}</p>
</template>

<style scoped>
.clash {
  list-style: none;
  margin: 8px 0 4px;
  padding: 0;
  border-left: 5px solid var(--ink);
}
li {
  display: grid;
  grid-template-columns: 52px 1fr;
  padding: 2px 0 2px 10px;
  font: 600 17px/1.25 var(--figures);
}
small {
  font: 400 14px/1.5 var(--sentences);
  color: var(--ink2);
}
.advice {
  margin-bottom: 10px;
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
}
</style>

<script setup lang="ts">
import type { ClashWords } from '~~/core/job'
import { t, tell } from '../../words'

/** Answers that cannot all be so, one against the other. */
defineProps<{ clash: ClashWords }>()
</script>

<template>
  <ul class="clash" data-testid="clash">
    <li>
      <small>{{ t('common.now') }}</small>{{ tell(clash.newest) }}
    </li>
    <li v-for="fact in clash.against.slice(0, 2)" :key="fact.id">
      <small>{{ t('clash-facts.before') }}</small>{{ tell(fact.words) }}
    </li>
    <li v-if="clash.against.length > 2">
      <small>{{ t('clash-facts.and') }}</small>{{ t('clash-facts.more', { count: clash.against.length - 2 }) }}
    </li>
  </ul>
  <p class="advice">{{ tell(clash.advice) }}</p>
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

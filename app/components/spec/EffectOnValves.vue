<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Verdict } from '~~/core/feeler'
import type { Affected, RevisionRow } from '~~/shared/spec-book'
import { t } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'
import VerdictShape from '../bench/VerdictShape.vue'
import EffectRule from './EffectRule.vue'
import { revisionTitle } from './revision-words'

/** What a revision would say of the valves as they were last left. `first` is the kind of valve looked at first. */
const props = defineProps<{
  effect: Affected[]
  before: RevisionRow
  after: RevisionRow
  first: 'intake' | 'exhaust'
}>()
const role = ref(props.first)
const readings = computed(() => props.effect.filter(r => r.role === role.value))
const counts = computed(() =>
  (['in', 'unproved', 'tight', 'loose'] as Verdict[])
    .map(v => ({ v, n: readings.value.filter(r => r.after === v).length }))
    .filter(c => c.n > 0),
)
</script>

<template>
  <div class="effect">
    <div>
      <h2>{{ t('effect-on-valves.what-it-would-do') }}</h2>
      <p>
        {{
          t('effect-on-valves.to-valves-of-machines-as', {
            count: readings.length,
            role,
            size: new Set(readings.map(r => r.tag)).size,
          })
        }}
      </p>
      <p v-for="c in counts" :key="c.v" class="count" :data-count="c.v">
        <VerdictShape :verdict="c.v" :size="20" /> <b>{{ c.n }} {{ VERDICT_WORDS[c.v].toLowerCase() }}</b>
      </p>
      <p class="roles">
        <Button
          v-for="r in ['intake', 'exhaust'] as const"
          :key="r"
          severity="secondary"
          outlined
          :aria-pressed="role === r"
          @click="role = r"
        >
          {{ t(`common.${r}`) }}
        </Button>
      </p>
    </div>
    <div>
      <EffectRule
        v-if="readings.length"
        :readings="readings"
        :before="before.engine.clearance[role]"
        :after="after.engine.clearance[role]"
      />
      <p class="legend">
        {{
          t('effect-on-valves.dashed-lines-limits-of-field', {
            before: revisionTitle(before).toLowerCase(),
            after: revisionTitle(after).toLowerCase(),
          })
        }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.effect {
  display: grid;
  grid-template-columns: 250fr 620fr;
  gap: 18px;
  padding: 14px 20px;
  background: var(--sunk);
  font-family: var(--figures);
}
.effect > div {
  display: grid;
  gap: 6px;
  align-content: start;
}
.effect h2 {
  font-size: 19px;
}
.count {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 18px;
}
.roles {
  display: flex;
  gap: 6px;
}
.roles [aria-pressed='true'] {
  background: var(--petrol);
  color: var(--on-petrol);
}
.legend {
  font-size: 14.5px;
  color: var(--ink2);
}
@media (max-width: 900px) {
  .effect {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

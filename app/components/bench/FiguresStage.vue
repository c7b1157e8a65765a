<script setup lang="ts">
import { computed } from 'vue'
import type { Role } from '~~/core/engine'
import { spanOf } from '~~/core/feeler'
import { clearanceWords, disagreeing, type JobView } from '~~/core/job'
import { t } from '../../words'
import ClearanceRule from './ClearanceRule.vue'

/** The printed figures that disagree, one under the other on the same scale, each with its source. */
const props = defineProps<{ view: JobView; role: Role }>()
const engine = computed(() => props.view.tools.pin.spec.engine)
const figures = computed(() =>
  [
    {
      clearance: engine.value.clearance[props.role],
      source: `${engine.value.source}, ${engine.value.sourceDate}`,
      own: true,
    },
    ...disagreeing(engine.value, props.role).map(o => ({ clearance: o.clearance, source: o.source, own: false })),
  ].map(f => ({ ...f, ...spanOf(f.clearance), words: clearanceWords(f.clearance) })),
)
const topMm = computed(() => Math.max(0.2, ...figures.value.map(f => Math.ceil((f.maxMm + 0.04) * 20) / 20)))
</script>

<template>
  <div class="figures-stage">
    <h2>{{ t('figures-stage.two-figures-for-the', { role }) }}</h2>
    <section v-for="f in figures" :key="f.words + f.source">
      <p class="figures">
        {{ f.words }}<small>{{ f.own ? t('figures-stage.the-specs-own') : '' }}{{ f.source }}</small>
      </p>
      <ClearanceRule
        :min-mm="f.minMm"
        :max-mm="f.maxMm"
        :target-mm="(f.minMm + f.maxMm) / 2"
        :top-mm="topMm"
        :reading="null"
        verdict="not measured"
        :length="620"
      />
    </section>
    <p class="note">
      {{ t('figures-stage.figures-are-never-averaged-a') }}
    </p>
  </div>
</template>

<style scoped>
.figures-stage {
  padding: 28px 32px;
  display: grid;
  gap: 22px;
  align-content: start;
  height: 100%;
}
h2 {
  font-size: 24px;
}
.figures {
  font-size: 21px;
  padding-bottom: 6px;
}
small {
  display: block;
  font: 400 15px/1.3 var(--sentences);
  color: var(--ink2);
}
.note {
  color: var(--ink2);
  max-width: 60ch;
}
@media (max-width: 700px) {
  .figures-stage {
    padding: 14px 16px;
  }
}
</style>

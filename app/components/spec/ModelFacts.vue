<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, windowsOf } from '~~/core/engine'
import type { SpecLineId } from '~~/core/spec-book'
import { t } from '../../words'
import CamSign from '../engine/CamSign.vue'
import MarkStrip from './MarkStrip.vue'
import { toldLines } from './spec-lines'

/** The rest of what a revision says: torques, tools, what comes off, marks and stops. */
const props = defineProps<{ engine: Engine }>()
const TORQUES = ['locknut', 'cover', 'plug'] as const
const lines = computed(() => new Map(toldLines(props.engine).map(l => [l.id, l])))
const comesOff = computed(() => props.engine.parts?.map(p => p.name) ?? props.engine.stripDown)
const fact = (id: SpecLineId) => lines.value.get(id)!
</script>

<template>
  <section class="part facts" :aria-label="t('page-spec-book-id.torques-tools-marks')">
    <h2>{{ t('common.torques') }}</h2>
    <p v-for="id in TORQUES" :key="id" class="line">
      <span>{{ fact(id).name }}{{ fact(id).sub ? `, ${fact(id).sub}` : '' }}</span
      ><span v-if="fact(id).value"
        ><b>{{ fact(id).value }}</b> {{ fact(id).more }}</span
      ><i v-else>{{ t('page-spec-book-id.not-given') }}</i>
    </p>
    <h2>{{ t('page-spec-book-id.tools-and-parts') }}</h2>
    <p class="line">
      <span>{{ t('common.tools') }}</span><span>{{ engine.tools || '–' }}</span>
    </p>
    <p class="line">
      <span>{{ t('common.plug-gap') }}</span><span>{{ engine.plugGap || '–' }}</span>
    </p>
    <p class="line">
      <span>{{ t('common.gasket') }}</span><span>{{ engine.gasket || '–' }}</span>
    </p>
    <p class="line">
      <span>{{ engine.setWhen === 'hot' ? t('page-spec-book-id.set-hot') : t('page-spec-book-id.cold') }}</span><span
        >{{ fact('cold').value }}{{ fact('cold').more ? `, ${fact('cold').more}` : '' }}</span
      >
    </p>
    <p v-if="comesOff.length" class="line">
      <span>{{ t('page-spec-book-id.comes-off') }}</span><span>{{ comesOff.join(', ') }}</span>
    </p>
    <p class="line">
      <span>{{ t('page-spec-book-id.check-every') }}</span><span>{{ fact('interval').value || '–' }}</span>
    </p>
    <p class="row marks-head">
      <b class="h">{{ t('page-spec-book-id.marks') }}</b><span>{{ windowsOf(engine).join(', ') }}</span>
    </p>
    <MarkStrip :engine="engine" />
    <p v-for="m in engine.camMarks" :key="m.words" class="small sign">
      <CamSign v-if="m.picture" :picture="m.picture" :label="m.words" />{{
        t('page-spec-book-id.cam-sign', { words: m.words, angleDeg: m.angleDeg })
      }}
    </p>
    <p v-if="engine.makersStops.length" class="small">
      {{ t('page-spec-book-id.the-makers-own-stops', { fact: fact('stops').value }) }}
    </p>
  </section>
</template>

<style scoped src="./model-page.css"></style>
<style scoped>
.sign {
  display: flex;
  gap: 12px;
  align-items: center;
}
.sign .cam-sign {
  width: 110px;
  flex: none;
}
.facts {
  gap: 6px;
}
.facts h2:not(:first-child),
.marks-head {
  margin-top: 8px;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
  font-size: 15.5px;
  line-height: 1.25;
}
.line span:last-child {
  text-align: right;
  overflow-wrap: anywhere;
}
.line b {
  font-size: 17px;
  white-space: nowrap;
}
</style>

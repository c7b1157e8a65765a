<script setup lang="ts">
import { computed } from 'vue'
import { limitsOf, spanOf, targetOf } from '~~/core/feeler'
import { derivedFacts, doubtsOf } from '~~/core/spec-book'
import type { ModelResponse } from '~~/shared/spec-book'
import { t, tell } from '../../words'
import ClearanceRule from '../bench/ClearanceRule.vue'
import { toldLines } from './spec-lines'
import TwoLanes from './TwoLanes.vue'

/** What a revision says of the gaps and of the screw that sets them, with what is odd about it. */
const props = defineProps<{ revision: ModelResponse['revisions'][number] }>()
const ROLES = ['intake', 'exhaust'] as const
const engine = computed(() => props.revision.engine)
const lines = computed(() => new Map(toldLines(engine.value).map(l => [l.id, l])))
const topMm = computed(() =>
  Math.max(0.2, ...ROLES.map(r => Math.ceil((spanOf(engine.value.clearance[r]).maxMm + 0.03) * 20) / 20)),
)
const clearances = computed(() =>
  ROLES.map(role => {
    const c = engine.value.clearance[role]
    return {
      role,
      c,
      span: spanOf(c),
      target: targetOf(c),
      line: lines.value.get(role)!,
      also: engine.value.alsoPrinted[role],
      form: limitsOf(c)
        ? c.form === 'tolerance'
          ? t('page-spec-book-id.printed', { text: c.text, unit: c.unit })
          : ''
        : t('page-spec-book-id.a-bare-figure-a-drag'),
    }
  }),
)
const doubts = computed(() => doubtsOf(engine.value))
const clash = computed(() =>
  clearances.value.find(c => c.also && doubts.value.some(d => d.id.startsWith(`units:${c.role}`))),
)
const others = computed(() => doubts.value.filter(d => !d.id.startsWith('units:')))
const answeredBy = (id: string) =>
  props.revision.answered.some(a => a.id === id)
    ? t('page-spec-book-id.answered-as-printed-by', {
        author: props.revision.author,
        createdAt: props.revision.createdAt.slice(0, 10),
      })
    : ''
const screw = computed(() => derivedFacts(engine.value).screw)
</script>

<template>
  <section class="part" :aria-label="t('common.clearances')">
    <p class="row">
      <b class="h">{{ t('page-spec-book-id.clearances-2', { setWhen: engine.setWhen }) }}</b><span
        >{{ revision.source }}, {{ revision.sourceDate }}</span
      >
    </p>
    <div v-for="c in clearances" :key="c.role" class="clearance">
      <p class="row">
        <b class="h">{{ c.line.name }}</b><span class="value"
          ><b>{{ c.line.value }}</b> {{ c.line.more }}</span
        >
      </p>
      <ClearanceRule
        :min-mm="c.span.minMm"
        :max-mm="c.span.maxMm"
        :target-mm="c.target"
        :top-mm="topMm"
        :reading="null"
        verdict="not measured"
        :length="376"
      />
      <p v-if="c.form" class="small">{{ c.form }}</p>
    </div>
    <div v-if="clash?.also" class="clash">
      <p class="h">
        <span class="bang" aria-hidden="true">!</span
        >{{ t('page-spec-book-id.the-page-gives-two-readings', { name: clash.line.name }) }}
      </p>
      <TwoLanes :used="clash.c" :aside="clash.also" />
      <p class="small">
        {{
          answeredBy(doubts.find(d => d.id.startsWith(`units:${clash!.role}`))!.id) ||
          t('page-spec-book-id.nobody-has-said-yet-which')
        }}
      </p>
    </div>
    <p v-for="o in engine.otherClearances" :key="o.source" class="small">
      <b>{{ t(`common.${o.role}`) }} {{ o.clearance.text }} {{ o.clearance.unit }}</b>
      {{ t('page-spec-book-id.by-each-job-asks-a', { source: o.source }) }}
    </p>
    <p v-for="d in others" :key="d.id" class="small odd">
      <span class="bang" aria-hidden="true">!</span>{{ tell(d.says) }} {{ answeredBy(d.id) }}
    </p>
    <div v-if="screw" class="screw">
      <p class="small">
        {{
          t('page-spec-book-id.screw', {
            pitchAssumed: engine.adjuster.pitchAssumed
              ? t('page-spec-book-id.mm-pitch', { pitchMm: engine.adjuster.pitchMm })
              : lines.get('screw')!.value,
          })
        }}<span v-if="engine.adjuster.pitchAssumed" class="assumed">{{ t('common.assumed') }}</span
        >{{ t('page-spec-book-id.clockwise-closes', { more: lines.get('screw')!.more }) }}
      </p>
      <dl>
        <div>
          <dt>0.01 mm</dt>
          <dd>{{ screw.perHundredthDeg.toFixed(1) }}°</dd>
        </div>
        <div>
          <dt>1 thou</dt>
          <dd>{{ screw.perThouDeg.toFixed(1) }}°</dd>
        </div>
        <div>
          <dt>{{ t('page-spec-book-id.a-flat') }}</dt>
          <dd class="ink">{{ screw.flatMm.toFixed(3) }} mm</dd>
        </div>
      </dl>
    </div>
    <p v-if="engine.shim" class="small">
      {{ t('page-spec-book-id.shims', { fact: lines.get('shim')!.value, more: lines.get('shim')!.more }) }}
    </p>
  </section>
</template>

<style scoped src="./model-page.css"></style>
<style scoped>
.clash .h {
  white-space: normal;
}
.value b {
  font-size: 21px;
  color: var(--ink);
  white-space: nowrap;
}
.clearance {
  display: grid;
  gap: 2px;
}
.clash {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  display: grid;
  gap: 5px;
}
.bang {
  display: inline-grid;
  place-items: center;
  width: 22px;
  height: 22px;
  border-radius: 50%;
  background: var(--ink);
  color: var(--sheet);
  font: 600 15px/1 var(--figures);
  margin-right: 8px;
}
.odd {
  color: var(--ink);
}
.screw {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
dl {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  margin: 4px 0 0;
}
dl div {
  display: flex;
  flex-direction: column-reverse;
}
dd {
  margin: 0;
  font: 600 23px/1.2 var(--figures);
  color: var(--petrol);
}
dd.ink {
  color: var(--ink);
}
dt {
  font-size: 15px;
  color: var(--ink2);
}
</style>

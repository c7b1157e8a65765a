<script setup lang="ts">
import { navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import { computed, onMounted, ref } from 'vue'
import { limitsOf, spanOf, targetOf } from '~~/core/feeler'
import { compareSpecs, derivedFacts, displacementCc, doubtsOf, specLines } from '~~/core/spec-book'
import type { ModelResponse } from '~~/shared/spec-book'
import ClearanceRule from '../../../components/bench/ClearanceRule.vue'
import MarkStrip from '../../../components/spec/MarkStrip.vue'
import ModelPicture from '../../../components/spec/ModelPicture.vue'
import RevisionRule from '../../../components/spec/RevisionRule.vue'
import TwoLanes from '../../../components/spec/TwoLanes.vue'
import { useForm } from '../../../composables/useForm'
import { useKeys } from '../../../composables/useKeys'
import { api } from '../../../utils/api'

const route = useRoute()
const modelId = Number(route.params.id)
const bookPath = route.query.machine ? `/spec-book?machine=${String(route.query.machine)}` : '/spec-book'
const form = useForm()
const given = ref<ModelResponse | null>(null)
const shownId = ref(0)
const load = async () => {
  given.value = await form.send(() => api('GET /api/models/:id', { id: modelId }))
  shownId.value = given.value?.model.revisionId ?? 0
}
onMounted(load)
const model = computed(() => given.value?.model)
const name = computed(() => (model.value ? `${model.value.maker} ${model.value.model}` : ''))
useHead({ title: () => (name.value ? `${name.value}, Wembric` : 'Spec book, Wembric') })
const now = new Date().toISOString()

const revision = computed(() => given.value?.revisions.find(r => r.id === shownId.value))
const engine = computed(() => revision.value?.engine)
const lines = computed(() => new Map(engine.value ? specLines(engine.value).map(l => [l.id, l]) : []))
const inForce = computed(() => revision.value?.id === model.value?.revisionId)
const state = computed(() =>
  !revision.value
    ? ''
    : revision.value.approvedAt
      ? inForce.value
        ? 'approved'
        : 'superseded'
      : revision.value.sentBackAt
        ? 'sent back'
        : 'draft',
)
const decide = computed(() => state.value === 'draft' && given.value!.revisions.length > 1)
const about = computed(() => {
  if (!model.value || !engine.value) return ''
  const cc = model.value.displacementCc ?? displacementCc(engine.value)
  return [
    model.value.code,
    lines.value.get('cylinders')?.value,
    cc === null ? '' : `${Math.round(cc)} cm³`,
    model.value.family && `family ${model.value.family}`,
    model.value.yearFrom === null && model.value.yearTo === null
      ? ''
      : `${model.value.yearFrom ?? ''}–${model.value.yearTo ?? ''}`,
  ]
    .filter(Boolean)
    .join(', ')
})
const topMm = computed(() =>
  engine.value
    ? Math.max(
        0.2,
        ...(['intake', 'exhaust'] as const).map(
          r => Math.ceil((spanOf(engine.value!.clearance[r]).maxMm + 0.03) * 20) / 20,
        ),
      )
    : 0.2,
)
const clearances = computed(() =>
  !engine.value
    ? []
    : (['intake', 'exhaust'] as const).map(role => {
        const c = engine.value!.clearance[role]
        return {
          role,
          c,
          span: spanOf(c),
          target: targetOf(c),
          line: lines.value.get(role)!,
          also: engine.value!.alsoPrinted[role],
          form: limitsOf(c)
            ? c.form === 'tolerance'
              ? `printed ${c.text} ${c.unit}`
              : ''
            : 'a bare figure: a drag is in',
        }
      }),
)
const doubts = computed(() => (engine.value ? doubtsOf(engine.value) : []))
const clash = computed(() =>
  clearances.value.find(c => c.also && doubts.value.some(d => d.id.startsWith(`units:${c.role}`))),
)
const others = computed(() => doubts.value.filter(d => !d.id.startsWith('units:')))
const answeredBy = (id: string) =>
  revision.value?.answered.some(a => a.id === id)
    ? `Answered “as printed” by ${revision.value!.author}, ${revision.value!.createdAt.slice(0, 10)}.`
    : ''
const facts = computed(() => (engine.value ? derivedFacts(engine.value) : null))
const fact = (id: string) => lines.value.get(id)!
const changes = computed(() =>
  Object.fromEntries(
    (given.value?.revisions ?? []).map((r, i, all) => [
      r.id,
      i === 0
        ? ''
        : compareSpecs(all[i - 1]!.engine, r.engine)
            .filter(l => l.change !== 'same')
            .map(l => `${l.name.toLowerCase()} ${l.change === 'removed' ? 'left out' : l.after.value}`)
            .slice(0, 2)
            .join(', '),
    ]),
  ),
)
const compareTo = computed(() => {
  const all = given.value?.revisions ?? []
  const other = inForce.value ? all.findLast(r => r.id !== shownId.value) : given.value?.model
  const otherId = other && ('revisionId' in other ? other.revisionId : other.id)
  return otherId
    ? `/spec-book/${modelId}/compare?a=${Math.min(otherId, shownId.value)}&b=${Math.max(otherId, shownId.value)}`
    : null
})
const draftPath = `/spec-book/${modelId}/draft`
useKeys({
  '/': () => {
    void navigateTo(bookPath)
  },
  'n': () => {
    void navigateTo(draftPath)
  },
})
</script>

<template>
  <main class="model">
    <p v-if="form.failed.value" class="wrong alone" role="alert">
      {{ form.failed.value }} <NuxtLink to="/spec-book">Back to the book</NuxtLink>
    </p>
    <p v-else-if="!given" class="alone" role="status">Opening the page …</p>
    <template v-if="given && model && engine && revision">
      <header class="title">
        <h1>{{ name }}</h1>
        <p class="about">{{ about }}</p>
        <p class="state" :class="state">
          <span v-if="state === 'approved'" class="tick" aria-hidden="true">✓</span
          >{{ state === 'draft' ? 'Draft' : 'Revision' }} {{ revision.revision }}, {{ state }}
        </p>
        <NuxtLink class="quiet" :to="bookPath">Find a model <kbd>/</kbd></NuxtLink
        ><NuxtLink v-if="decide && compareTo" class="quiet strong" :to="compareTo">Decide</NuxtLink
        ><NuxtLink class="quiet" :to="draftPath">New draft <kbd>N</kbd></NuxtLink>
      </header>
      <div class="columns">
        <section aria-label="Engine"><ModelPicture :engine="engine" /></section>
        <section class="middle" aria-label="Clearances">
          <p class="row">
            <b class="h">Clearances, {{ engine.setWhen }}</b
            ><span>{{ revision.source }}, {{ revision.sourceDate }}</span>
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
              <span class="bang" aria-hidden="true">!</span>{{ clash.line.name }}: the page gives two readings
            </p>
            <TwoLanes :used="clash.c" :aside="clash.also" />
            <p class="small">
              {{
                answeredBy(doubts.find(d => d.id.startsWith(`units:${clash!.role}`))!.id) ||
                'Nobody has said yet which one is right.'
              }}
            </p>
          </div>
          <p v-for="o in engine.otherClearances" :key="o.source" class="small">
            <b>{{ o.role }} {{ o.clearance.text }} {{ o.clearance.unit }}</b> by {{ o.source }}: each job asks a lead
            which stands.
          </p>
          <p v-for="d in others" :key="d.id" class="small odd">
            <span class="bang" aria-hidden="true">!</span>{{ d.says }} {{ answeredBy(d.id) }}
          </p>
          <div v-if="facts?.screw" class="screw">
            <p class="small">
              Screw {{ engine.adjuster.pitchAssumed ? `${engine.adjuster.pitchMm} mm pitch, ` : fact('screw').value
              }}<span v-if="engine.adjuster.pitchAssumed" class="assumed">assumed</span>, {{ fact('screw').more }};
              clockwise closes
            </p>
            <dl>
              <div>
                <dt>0.01 mm</dt>
                <dd>{{ facts.screw.perHundredthDeg.toFixed(1) }}°</dd>
              </div>
              <div>
                <dt>1 thou</dt>
                <dd>{{ facts.screw.perThouDeg.toFixed(1) }}°</dd>
              </div>
              <div>
                <dt>a flat</dt>
                <dd class="ink">{{ facts.screw.flatMm.toFixed(3) }} mm</dd>
              </div>
            </dl>
          </div>
          <p v-if="engine.shim" class="small">Shims {{ fact('shim').value }}, {{ fact('shim').more }}</p>
        </section>
        <section class="facts" aria-label="Torques, tools, marks">
          <h2>Torques</h2>
          <p v-for="id in ['locknut', 'cover', 'plug']" :key="id" class="line">
            <span>{{ fact(id).name }}{{ fact(id).sub ? `, ${fact(id).sub}` : '' }}</span
            ><span v-if="fact(id).value"
              ><b>{{ fact(id).value }}</b> {{ fact(id).more }}</span
            ><i v-else>not given</i>
          </p>
          <h2>Tools and parts</h2>
          <p class="line">
            <span>Tools</span><span>{{ engine.tools || '–' }}</span>
          </p>
          <p class="line">
            <span>Plug gap</span><span>{{ engine.plugGap || '–' }}</span>
          </p>
          <p class="line">
            <span>Gasket</span><span>{{ engine.gasket || '–' }}</span>
          </p>
          <p class="line">
            <span>{{ engine.setWhen === 'hot' ? 'Set hot' : 'Cold' }}</span><span
              >{{ fact('cold').value }}{{ fact('cold').more ? `, ${fact('cold').more}` : '' }}</span
            >
          </p>
          <p v-if="engine.stripDown.length" class="line">
            <span>Comes off</span><span>{{ engine.stripDown.join(', ') }}</span>
          </p>
          <p class="line">
            <span>Check every</span><span>{{ fact('interval').value || '–' }}</span>
          </p>
          <p class="row marks-head">
            <b class="h">Marks</b><span>{{ engine.markWindow }}</span>
          </p>
          <MarkStrip :engine="engine" />
          <p v-for="m in engine.camMarks" :key="m.words" class="small">Cam sign: {{ m.words }}, {{ m.angleDeg }}°</p>
          <p v-if="engine.makersStops.length" class="small">The maker’s own stops: {{ fact('stops').value }}</p>
        </section>
      </div>
      <p class="caution">
        <span aria-hidden="true">!</span> These are the shop’s own notes. Where they and the maker’s manual differ, the
        manual wins; if unsure, ask a qualified technician.
      </p>
      <RevisionRule
        :revisions="given.revisions"
        :in-force-id="model.revisionId"
        :shown-id="shownId"
        :now="now"
        :changes="changes"
        @show="shownId = $event"
      />
      <p class="foot">
        <NuxtLink v-if="compareTo" :to="compareTo">Compare two, side by side</NuxtLink
        ><span v-if="given.openJobs.length"
          >Open jobs:
          <NuxtLink v-for="j in given.openJobs" :key="j.id" :to="`/jobs/${j.id}`"
            >{{ j.machine }} (revision {{ j.revision }})</NuxtLink
          ></span
        ><a :href="`/api/spec-export?format=json&ids=${modelId}`" download>Save as JSON</a
        ><a :href="`/api/spec-export?format=csv&ids=${modelId}`" download>as CSV</a>
      </p>
    </template>
  </main>
</template>

<style scoped>
.model {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
}
.alone {
  padding: 24px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: center;
  padding: 12px 20px;
  border-bottom: 1.5px solid var(--ink);
  min-height: 76px;
}
h1 {
  font-size: 34px;
  line-height: 1.05;
  overflow-wrap: anywhere;
}
.about {
  color: var(--ink2);
  font-size: 16.5px;
}
.state {
  margin-left: auto;
  font: 600 18px/1.2 var(--figures);
  color: var(--petrol);
  display: flex;
  gap: 8px;
  align-items: center;
}
.state.draft,
.state.sent,
.state.superseded {
  color: var(--ink2);
}
.tick {
  display: inline-grid;
  place-items: center;
  width: 22px;
  height: 22px;
  border-radius: 50%;
  background: var(--petrol);
  color: var(--on-petrol);
  font-size: 14px;
}
.strong {
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--petrol);
}
.columns {
  display: grid;
  grid-template-columns: 488fr 416fr 376fr;
  min-height: 480px;
}
.columns > section {
  border-right: 1.5px solid var(--ink);
  min-width: 0;
}
.columns > section:last-child {
  border-right: 0;
  background: var(--sheet);
}
.middle,
.facts {
  padding: 14px 20px;
  display: grid;
  gap: 9px;
  align-content: start;
  font-family: var(--figures);
}
.facts {
  gap: 6px;
}
.h,
h2 {
  font: 600 19px/1.2 var(--figures);
  color: var(--ink);
  white-space: nowrap;
}
.clash .h {
  white-space: normal;
}
.facts h2:not(:first-child),
.marks-head {
  margin-top: 8px;
}
.row {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: baseline;
  font-size: 15px;
  color: var(--ink2);
}
.row > span {
  text-align: right;
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
.small {
  font-size: 15px;
  line-height: 1.3;
  color: var(--ink2);
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
.assumed,
i {
  font-style: normal;
  border-bottom: 2px dotted var(--ink2);
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
.caution {
  font-size: 15px;
  padding: 8px 20px;
  border-top: 1px solid var(--line);
  color: var(--ink2);
}
.caution span {
  font-weight: 700;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  padding: 10px 20px 18px;
  background: var(--sunk);
  font-size: 16px;
}
.foot span {
  display: inline-flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr 1fr;
  }
  .columns > section:last-child {
    grid-column: 1 / -1;
    border-top: 1.5px solid var(--ink);
  }
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .columns > section {
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  h1 {
    font-size: 27px;
  }
  .state {
    margin-left: 0;
  }
}
</style>

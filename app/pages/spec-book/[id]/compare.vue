<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import { computed, onMounted, ref } from 'vue'
import { spanOf, targetOf, type Verdict } from '~~/core/feeler'
import { compareSpecs } from '~~/core/spec-book'
import type { Affected, ModelResponse, RevisionRow } from '~~/shared/spec-book'
import ClearanceRule from '../../../components/bench/ClearanceRule.vue'
import VerdictShape from '../../../components/bench/VerdictShape.vue'
import TextField from '../../../components/forms/TextField.vue'
import EffectRule from '../../../components/spec/EffectRule.vue'
import { useForm } from '../../../composables/useForm'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'

const route = useRoute()
const modelId = Number(route.params.id)
const session = useSessionStore()
const form = useForm()
const given = ref<ModelResponse | null>(null)
const effect = ref<Affected[]>([])
const a = ref(Number(route.query.a))
const b = ref(Number(route.query.b))
async function load(): Promise<void> {
  given.value = await form.send(() => api('GET /api/models/:id', { id: modelId }))
  // the kind of valve whose figure changes is looked at first
  if (
    lines.value.find(l => l.id === 'intake')?.change !== 'same' &&
    lines.value.find(l => l.id === 'exhaust')?.change === 'same'
  )
    role.value = 'intake'
  effect.value = (await form.send(() => api('GET /api/revisions/:id/effect', { id: b.value }))) ?? []
}
onMounted(load)
const of = (id: number) => given.value?.revisions.find(r => r.id === id)
const before = computed(() => of(a.value))
const after = computed(() => of(b.value))
useHead({ title: 'Two revisions side by side, Wembric' })
const lines = computed(() => (before.value && after.value ? compareSpecs(before.value.engine, after.value.engine) : []))
const allShown = ref(false)
const shown = computed(() => lines.value.filter(l => allShown.value || l.change !== 'same' || l.before.clearance))
const same = computed(() => lines.value.filter(l => l.change === 'same' && !l.before.clearance))
const topMm = computed(() =>
  Math.max(
    0.2,
    ...[before.value, after.value].flatMap(r =>
      r
        ? (['intake', 'exhaust'] as const).map(
            role => Math.ceil((spanOf(r.engine.clearance[role]).maxMm + 0.03) * 20) / 20,
          )
        : [],
    ),
  ),
)
const FLAGS = { same: '= same', changed: '≠ Changed', added: '+ Added', removed: '− Removed' }
const title = (r: RevisionRow) => `${r.approvedAt ? 'Revision' : 'Draft'} ${r.revision}`
const day = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: session.shop?.timeZone,
  }).format(new Date(iso))
const when = (r: RevisionRow) =>
  r.id === given.value?.model.revisionId && r.approvedAt
    ? `in force since ${day(r.approvedAt)}`
    : r.approvedAt
      ? `approved ${day(r.approvedAt)}`
      : r.sentBackAt
        ? `sent back by ${r.sentBackBy}: ${r.sentBackReason}`
        : `by ${r.author}, ${day(r.createdAt)}`

const open = computed(() => (after.value && !after.value.approvedAt && !after.value.sentBackAt ? after.value : null))
const own = computed(() => open.value?.authorId === session.person?.id)
const mayApprove = computed(() => session.isLead && open.value && (!own.value || given.value?.mayApproveOwn))
const asking = ref<'approve' | 'back' | null>(null)
const reason = ref('')
async function approve(): Promise<void> {
  if (own.value && asking.value !== 'approve') return void (asking.value = 'approve')
  if (await form.send(() => api('POST /api/revisions/:id/approve', { id: b.value, body: { reason: reason.value } })))
    await decided()
}
async function sendBack(): Promise<void> {
  if (asking.value !== 'back') return void (asking.value = 'back')
  if (await form.send(() => api('POST /api/revisions/:id/send-back', { id: b.value, body: { reason: reason.value } })))
    await decided()
}
async function decided(): Promise<void> {
  asking.value = null
  reason.value = ''
  await load()
}
const role = ref<'intake' | 'exhaust'>('exhaust')
const readings = computed(() => effect.value.filter(r => r.role === role.value))
const counts = computed(() =>
  (['in', 'unproved', 'tight', 'loose'] as Verdict[])
    .map(v => ({ v, n: readings.value.filter(r => r.after === v).length }))
    .filter(c => c.n > 0),
)
const oldJobs = computed(() => given.value?.openJobs.filter(j => j.revisionId !== b.value) ?? [])
</script>

<template>
  <main class="compare">
    <p v-if="form.failed.value && !given" class="wrong alone" role="alert">{{ form.failed.value }}</p>
    <p v-else-if="given && (!before || !after)" class="alone" role="alert">
      One of these two revisions is not of this model. <NuxtLink :to="`/spec-book/${modelId}`">Back to it</NuxtLink>
    </p>
    <template v-if="given && before && after">
      <section class="table" aria-label="Side by side">
        <div class="tr head">
          <div class="name">
            <h1>
              <NuxtLink :to="`/spec-book/${modelId}`">{{ given.model.maker }} {{ given.model.model }}</NuxtLink>
            </h1>
            <small>{{ given.model.code }}</small>
          </div>
          <div>
            <h2>{{ title(before) }}</h2>
            <small>{{ when(before) }}</small>
          </div>
          <div class="flag" />
          <div>
            <h2>{{ title(after) }}</h2>
            <small>{{ when(after) }}</small>
          </div>
        </div>
        <div v-for="l in shown" :key="l.id" class="tr" :class="l.change" :data-line="l.id">
          <div class="name">
            <b>{{ l.name }}</b><small>{{ l.sub }}</small>
          </div>
          <div>
            <ClearanceRule
              v-if="l.before.clearance"
              :min-mm="spanOf(l.before.clearance).minMm"
              :max-mm="spanOf(l.before.clearance).maxMm"
              :target-mm="targetOf(l.before.clearance)"
              :top-mm="topMm"
              :reading="null"
              verdict="not measured"
            />
            <p v-if="l.before.value">
              <b>{{ l.before.value }}</b> <small>{{ l.before.more }}</small>
            </p>
            <p v-else class="none">none given</p>
          </div>
          <div class="flag">
            <span :class="l.change">{{ FLAGS[l.change] }}</span>
          </div>
          <div>
            <ClearanceRule
              v-if="l.after.clearance && l.change !== 'same'"
              :min-mm="spanOf(l.after.clearance).minMm"
              :max-mm="spanOf(l.after.clearance).maxMm"
              :target-mm="targetOf(l.after.clearance)"
              :top-mm="topMm"
              :reading="null"
              verdict="not measured"
              :ghost="spanOf(l.before.clearance!)"
            />
            <p v-if="l.change === 'removed'" class="none">
              <s>{{ l.before.value }}</s> not in this source
            </p>
            <p v-else>
              <b>{{ l.after.value }}</b> <small>{{ l.after.more }}</small>
            </p>
            <p v-if="l.note" class="note">
              {{ l.note }}{{ l.after.clearance ? `. Dashed: ${title(before).toLowerCase()}` : '' }}
            </p>
          </div>
        </div>
        <p v-if="same.length" class="folded">
          <b>= {{ same.length }} more the same</b><span>{{ same.map(l => l.name.toLowerCase()).join(', ') }}</span
          ><button type="button" class="link" @click="allShown = !allShown">
            {{ allShown ? 'Fold them' : 'Show them' }}
          </button>
        </p>
        <div v-if="effect.length" class="effect">
          <div>
            <h2>What it would do</h2>
            <p>
              To {{ readings.length }} {{ role }} valves of {{ new Set(readings.map(r => r.tag)).size }} machines, as
              last left:
            </p>
            <p v-for="c in counts" :key="c.v" class="count" :data-count="c.v">
              <VerdictShape :verdict="c.v" :size="20" /> <b>{{ c.n }} {{ c.v }}</b>
            </p>
            <p class="roles">
              <button
                v-for="r in ['intake', 'exhaust'] as const"
                :key="r"
                type="button"
                class="quiet"
                :aria-pressed="role === r"
                @click="role = r"
              >
                {{ r }}
              </button>
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
              Dashed lines: limits of {{ title(before).toLowerCase() }}. Field: {{ title(after).toLowerCase() }}. One
              bar a valve.
            </p>
          </div>
        </div>
        <p v-else class="folded">No machine of this model has a proved reading yet: what it would do is not known.</p>
      </section>
      <aside class="panel">
        <p class="label">{{ after.reason }}</p>
        <h1>
          {{
            open
              ? `Approve draft ${after.revision}?`
              : after.sentBackAt
                ? 'Sent back'
                : `${title(after)} ${after.id === given.model.revisionId ? 'is in force' : 'was approved'}`
          }}
        </h1>
        <dl>
          <dt>Who</dt>
          <dd>{{ after.author }}, {{ day(after.createdAt) }}</dd>
          <dt>Why</dt>
          <dd>{{ after.reason }}</dd>
          <dt>Source</dt>
          <dd>
            {{ after.source }}, <span class="whole">{{ after.sourceDate }}</span>
          </dd>
          <template v-if="after.approvedBy"
            ><dt>Approved</dt>
            <dd>{{ after.approvedBy }}{{ after.approvalReason ? `: ${after.approvalReason}` : '' }}</dd></template
          ><template v-if="after.answered.length"
            ><dt>Answered</dt>
            <dd>
              <span v-for="d in after.answered" :key="d.id">{{ d.says }} <b>As printed.</b> </span>
            </dd></template
          >
        </dl>
        <template v-if="open && mayApprove">
          <button v-if="asking !== 'back'" type="button" class="key" @click="approve">
            <b>Approve</b
            ><small
              >new jobs use revision {{ after.revision }} from now;
              {{
                oldJobs.length === 0
                  ? 'no job is open'
                  : oldJobs.length === 1
                    ? 'the open job is offered it'
                    : `${oldJobs.length} open jobs are offered it`
              }}</small
            >
          </button>
          <button v-if="asking !== 'approve'" type="button" class="key" @click="sendBack">
            <b>Send back</b><small>with a reason, to {{ after.author }}</small>
          </button>
          <form v-if="asking" @submit.prevent="asking === 'approve' ? approve() : sendBack()">
            <TextField
              v-model="reason"
              :label="asking === 'approve' ? 'Your own draft: why approve it yourself?' : 'Why back?'"
              :wrong="form.wrong('reason')"
            />
            <p class="two">
              <button type="submit" class="quiet">
                {{ asking === 'approve' ? 'Approve it' : 'Send it back' }}</button><button
                type="button"
                class="quiet"
                @click="asking = null"
              >
                Wait
              </button>
            </p>
          </form>
          <NuxtLink v-else class="key" :to="`/spec-book/${modelId}`"
            ><b>Wait</b><small>it stays a draft</small></NuxtLink
          >
        </template>
        <p v-else-if="open" class="needs">
          {{
            own
              ? 'An author does not approve their own draft: a lead who did not write it looks at it.'
              : 'A lead approves it or sends it back.'
          }}
        </p>
        <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
        <section v-if="oldJobs.length" class="jobs">
          <h2>{{ oldJobs.length === 1 ? '1 open job goes' : `${oldJobs.length} open jobs go` }} by an earlier one</h2>
          <p v-for="j in oldJobs" :key="j.id">
            <NuxtLink :to="`/jobs/${j.id}`">Job {{ j.number }}, {{ j.machine }}</NuxtLink
            ><span>{{ j.person }}, revision {{ j.revision }}</span>
          </p>
          <p class="note">They keep it until their mechanic takes the new one, and the sheet says which.</p>
        </section>
        <p class="others"><NuxtLink :to="`/spec-book/${modelId}`">Back to the model</NuxtLink></p>
      </aside>
    </template>
  </main>
</template>

<style scoped>
.compare {
  display: grid;
  grid-template-columns: minmax(0, 896fr) 384fr;
  min-height: calc(100vh - 54px);
}
.alone {
  padding: 24px;
  grid-column: 1 / -1;
}
.table {
  border-right: 1.5px solid var(--ink);
  display: grid;
  align-content: start;
}
.tr {
  display: grid;
  grid-template-columns: 140fr 312fr 132fr 312fr;
  border-bottom: 1px solid var(--line);
  font-family: var(--figures);
}
.tr > div {
  padding: 12px 16px;
  min-width: 0;
  border-right: 1px solid var(--line);
  display: grid;
  align-content: center;
  gap: 3px;
}
.tr > div:last-child {
  border-right: 0;
}
.tr > .flag {
  padding: 12px 8px;
  justify-items: center;
}
.tr.changed,
.tr.added,
.tr.removed {
  background: var(--sheet);
}
.head h1 {
  font-size: 19px;
  overflow-wrap: anywhere;
}
.head h1 a {
  color: var(--ink);
  text-decoration: none;
}
.head h2 {
  font-size: 21px;
}
small {
  font: 500 15px/1.3 var(--figures);
  color: var(--ink2);
}
.tr p {
  font-size: 17px;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.tr p b {
  font-size: 18px;
  font-weight: 600;
}
.name b {
  font-size: 18px;
}
.tr.same > div:last-child {
  color: var(--ink2);
}
.tr.same > div:last-child b {
  font-weight: 500;
}
.note,
.tr p.note {
  font-size: 15px;
  color: var(--ink2);
}
.none {
  color: var(--ink2);
}
.flag span {
  font: 600 16px/1 var(--figures);
  white-space: nowrap;
}
.flag .same {
  color: var(--ink2);
  font-weight: 500;
}
.flag .changed,
.flag .added,
.flag .removed {
  padding: 9px 22px 9px 10px;
  clip-path: polygon(0 0, calc(100% - 14px) 0, 100% 50%, calc(100% - 14px) 100%, 0 100%);
  background: var(--ink);
  color: var(--sheet);
}
.flag .added,
.flag .removed {
  background: var(--sunk);
  color: var(--ink);
}
.flag .removed {
  background: repeating-linear-gradient(135deg, var(--sunk) 0 6px, var(--line) 6px 8px);
}
.folded {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 10px 20px;
  font: 500 15.5px/1.3 var(--figures);
  color: var(--ink2);
  border-bottom: 1.5px solid var(--ink);
}
.folded b {
  color: var(--ink);
  white-space: nowrap;
}
.folded button {
  margin-left: auto;
  white-space: nowrap;
}
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
.panel {
  background: var(--sheet);
  padding: 20px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.panel h1 {
  font-size: 33px;
  line-height: 1.1;
}
.label {
  font: 600 16px/1.2 var(--figures);
  color: var(--petrol);
}
dl {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 4px 10px;
  margin: 0;
  font-size: 16px;
  line-height: 1.3;
}
dt {
  font: 600 16px/1.3 var(--figures);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
.key {
  padding: 12px 16px;
  gap: 3px;
  text-decoration: none;
  color: var(--ink);
}
.key b {
  font: 600 20px/1.2 var(--figures);
}
.key small {
  font-family: var(--sentences);
}
.needs {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  color: var(--ink2);
}
.whole,
.jobs span {
  white-space: nowrap;
}
.two {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
.jobs {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  display: grid;
  gap: 6px;
}
.jobs h2 {
  font-size: 18px;
}
.jobs p {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  font-size: 16px;
}
@media (max-width: 900px) {
  .compare {
    grid-template-columns: minmax(0, 1fr);
  }
  .table {
    border-right: 0;
  }
  .tr {
    grid-template-columns: 1fr 1fr;
  }
  .tr > .name {
    grid-column: 1 / -1;
    border: 0;
    padding-bottom: 0;
  }
  .tr > .flag {
    order: 3;
    grid-column: 1 / -1;
    justify-items: start;
    padding: 0 16px 12px;
  }
  .effect {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

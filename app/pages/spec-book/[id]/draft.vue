<script setup lang="ts">
import { navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import { computed, onMounted, ref } from 'vue'
import { compareSpecs } from '~~/core/spec-book'
import type { ModelResponse, RevisionRow } from '~~/shared/spec-book'
import TextField from '../../../components/forms/TextField.vue'
import DoubtList from '../../../components/spec/DoubtList.vue'
import IdentityFields from '../../../components/spec/IdentityFields.vue'
import SpecFields from '../../../components/spec/SpecFields.vue'
import { useForm } from '../../../composables/useForm'
import { useModelForm } from '../../../composables/useModelForm'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'

const modelId = Number(useRoute().params.id)
const session = useSessionStore()
const form = useForm()
const naming = useForm()
const drafted = useModelForm()
const { model, spec, firing, wrong, doubts, answered } = drafted
const given = ref<ModelResponse | null>(null)
/** The newest revision that was looked at: a save says so. */
const basedOn = ref<RevisionRow | null>(null)
const between = ref<RevisionRow | null>(null)
const reason = ref('')
useHead({ title: 'New draft, Wembric' })
onMounted(async () => {
  given.value = await form.send(() => api('GET /api/models/:id', { id: modelId }))
  if (!given.value) return
  // a draft is begun from what is in force, but knows of every revision until now
  basedOn.value = given.value.revisions.at(-1)!
  drafted.fill(given.value.model.engine, given.value.model)
  answered.value =
    given.value.revisions.find(r => r.id === given.value!.model.revisionId)?.answered.map(a => a.id) ?? []
})
const betweenLines = computed(() =>
  between.value && given.value
    ? compareSpecs(given.value.model.engine, between.value.engine).filter(l => l.change !== 'same')
    : [],
)

async function submit(): Promise<void> {
  const engine = drafted.engine()
  if (!engine || drafted.open().length) return
  const made = await form.send(() =>
    api('POST /api/models/:id/drafts', {
      id: modelId,
      body: {
        engine,
        reason: reason.value,
        basedOn: basedOn.value?.id,
        answered: answered.value,
      },
    }),
  )
  if (made) await navigateTo(`/spec-book/${modelId}/compare?a=${given.value!.model.revisionId}&b=${made.id}`)
  else if (form.refusal.value?.problem.code === 'newer-revision') {
    const now = await api('GET /api/models/:id', { id: modelId })
    between.value = now.revisions.at(-1)!
  }
}
/** What was typed stays; the other's revision now counts as seen. */
function seen(): void {
  basedOn.value = between.value
  between.value = null
  form.failed.value = ''
}
async function rename(): Promise<void> {
  const named = await naming.send(() => api('PUT /api/models/:id', { id: modelId, body: drafted.identity() }))
  if (named && given.value) given.value = { ...given.value, model: { ...given.value.model, ...named } }
}
</script>

<template>
  <main>
    <p v-if="!given && form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div v-if="given" class="form">
      <h1>New draft: {{ given.model.maker }} {{ given.model.model }}</h1>
      <p class="lead">
        It begins with the figures in force, revision {{ given.model.revision }}. Change what the new source says
        otherwise. Jobs that are open keep theirs.
      </p>
      <section v-if="between" class="between" role="alert">
        <h2>
          {{ between.author }} saved {{ between.approvedAt ? 'revision' : 'draft' }} {{ between.revision }} while you
          were typing
        </h2>
        <p>{{ between.reason }}. Against the figures in force it says:</p>
        <ul>
          <li v-for="l in betweenLines" :key="l.id">
            <b>{{ l.name }}</b>: {{ l.before.value || 'none' }} → {{ l.after.value || 'none' }}
          </li>
          <li v-if="betweenLines.length === 0">nothing else than before</li>
        </ul>
        <p>What you typed is still below. Keep what is right, then save.</p>
        <button type="button" class="quiet" @click="seen">I have checked it</button>
      </section>
      <form novalidate class="inner" @submit.prevent="submit">
        <SpecFields v-model:spec="spec" v-model:firing="firing" :wrong="wrong" :odd="f => drafted.doubtAt(f)?.says" />
        <h2>Why</h2>
        <TextField
          v-model="reason"
          label="Reason for the change"
          placeholder="Bulletin 7 raises the exhaust"
          :wrong="form.wrong('reason')"
        />
        <DoubtList v-model="answered" :doubts="doubts" />
        <p v-if="Object.keys(wrong).length" class="wrong" role="alert">
          Look at the fields that are marked: {{ Object.values(wrong)[0] }}
        </p>
        <p v-else-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
        <div class="actions">
          <Button
            type="submit"
            label="Save the draft"
            :loading="form.busy.value"
            :disabled="between !== null"
          /><NuxtLink class="quiet" :to="`/spec-book/${modelId}`">Back</NuxtLink>
        </div>
      </form>
      <form v-if="session.isLead" novalidate class="inner" @submit.prevent="rename">
        <h2>What it is called and found by</h2>
        <p class="lead">This isn’t part of the figures and takes effect at once.</p>
        <IdentityFields v-model="model" :wrong="naming.wrong" />
        <p v-if="naming.failed.value" class="wrong" role="alert">{{ naming.failed.value }}</p>
        <div class="actions">
          <Button type="submit" label="Rename it" severity="secondary" :loading="naming.busy.value" />
        </div>
      </form>
    </div>
  </main>
</template>

<style scoped>
.inner {
  display: grid;
  gap: 18px;
}
.between {
  border: 2px solid var(--ink);
  background: var(--white);
  padding: 14px 18px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
ul {
  margin: 0;
  padding-left: 20px;
}
</style>

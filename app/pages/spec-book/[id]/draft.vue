<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { identitySchema, type SpecField } from '~~/core/spec-book'
import { draftSchema, type ModelResponse, type RevisionRow } from '~~/shared/spec-book'
import CheckedForm from '../../../components/forms/CheckedForm.vue'
import TextField from '../../../components/forms/TextField.vue'
import DoubtList from '../../../components/spec/DoubtList.vue'
import FromPage from '../../../components/spec/FromPage.vue'
import IdentityFields from '../../../components/spec/IdentityFields.vue'
import ModelSoFar from '../../../components/spec/ModelSoFar.vue'
import PhotoUnsent from '../../../components/spec/PhotoUnsent.vue'
import { toldComparison } from '../../../components/spec/spec-lines'
import SpecFields from '../../../components/spec/SpecFields.vue'
import { useForm } from '../../../composables/useForm'
import { useModelForm } from '../../../composables/useModelForm'
import { usePagePhoto } from '../../../composables/usePagePhoto'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'
import { t } from '../../../words'

definePageMeta({ words: ['spec-book'] })
const route = useRoute()
const modelId = Number(route.params.id)
const session = useSessionStore()
const form = useForm()
const naming = useForm()
const drafted = useModelForm()
const { model, spec, firing, wrong, doubts, answered, soFar } = drafted
const { photo, unsent, send } = usePagePhoto()
const fields = useTemplateRef<{ show: (...fields: SpecField[]) => Promise<void> }>('fields')
const saved = ref('')
const given = ref<ModelResponse | null>(null)
/** The newest revision that was looked at: a save says so. */
const basedOn = ref<RevisionRow | null>(null)
const between = ref<RevisionRow | null>(null)
const reason = ref('')
useHead({ title: t('page-spec-book-id-draft.new-draft-wembric') })
onMounted(async () => {
  given.value = await form.send(() => api('GET /api/models/:id', { id: modelId }))
  if (!given.value) return
  // a draft is begun from what is in force, but knows of every revision until now
  basedOn.value = given.value.revisions.at(-1)!
  drafted.fill(given.value.model.engine, given.value.model)
  // whoever comes from a job or from the model's page has said that they want its list
  if (route.query.learn !== undefined && given.value.learned) {
    drafted.exact.value = { ...drafted.exact.value, parts: given.value.learned.parts }
    reason.value = t('page-spec-book-id-draft.learned-from', { number: given.value.learned.jobNumber })
  }
  answered.value =
    given.value.revisions.find(r => r.id === given.value!.model.revisionId)?.answered.map(a => a.id) ?? []
})
const betweenLines = computed(() =>
  between.value && given.value
    ? toldComparison(given.value.model.engine, between.value.engine).filter(l => l.change !== 'same')
    : [],
)

const schema = draftSchema.pick({ reason: true }).and(drafted.specSchema)
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
  if (made) {
    saved.value = `/spec-book/${modelId}/compare?a=${given.value!.model.revisionId}&b=${made.id}`
    if (await send(made.id)) await navigateTo(saved.value)
  } else if (form.refusal.value?.problem.code === 'newer-revision') {
    const now = await api('GET /api/models/:id', { id: modelId })
    between.value = now.revisions.at(-1)!
  }
}
async function again(): Promise<void> {
  if (await send(unsent.value!.revisionId)) await navigateTo(saved.value)
}
/** What is wrong stands in parts that may be closed. */
async function stopped(): Promise<void> {
  drafted.engine()
  await fields.value?.show(...(Object.keys(wrong) as SpecField[]))
}
/** What was typed stays; the other's revision now counts as seen. */
function seen(): void {
  basedOn.value = between.value
  between.value = null
  form.failed.value = ''
}
async function rename(): Promise<void> {
  const body = { ...drafted.identity(), was: drafted.called.seen() }
  const named = await naming.send(() => api('PUT /api/models/:id', { id: modelId, body }))
  if (!named && !naming.isChangedMeanwhile()) return
  const model = named ?? (await form.send(() => api('GET /api/models/:id', { id: modelId })))?.model
  if (!model || !given.value) return
  drafted.called.follow(model)
  given.value = { ...given.value, model: { ...given.value.model, ...model } }
}
</script>

<template>
  <main>
    <p v-if="!given && form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div v-if="given" class="form model">
      <h1>{{ t('page-spec-book-id-draft.new-draft', { maker: given.model.maker, model: given.model.model }) }}</h1>
      <p class="lead">
        {{ t('page-spec-book-id-draft.it-begins-with-the-figures', { revision: given.model.revision }) }}
      </p>
      <section v-if="between" class="between" role="alert">
        <h2>
          {{
            t('page-spec-book-id-draft.saved-while-you-were-typing', {
              author: between.author,
              approved: between.approvedAt !== null,
              revision: between.revision,
            })
          }}
        </h2>
        <p>{{ t('page-spec-book-id-draft.against-the-figures-in-force', { reason: between.reason }) }}</p>
        <ul>
          <li v-for="l in betweenLines" :key="l.id">
            <b>{{ l.name }}</b>: {{ l.before.value || t('spec-value.none') }} →
            {{ l.after.value || t('spec-value.none') }}
          </li>
          <li v-if="betweenLines.length === 0">{{ t('page-spec-book-id-draft.nothing-else-than-before') }}</li>
        </ul>
        <p>{{ t('page-spec-book-id-draft.what-you-typed-is-still') }}</p>
        <Button severity="secondary" outlined @click="seen">{{
          t('page-spec-book-id-draft.i-have-checked-it')
        }}</Button>
      </section>
      <CheckedForm
        :form="form"
        :schema="schema"
        :body="() => ({ ...spec, reason })"
        class="inner"
        @send="submit"
        @stopped="stopped"
      >
        <FromPage v-model:photo="photo" @take="drafted.take" />
        <div class="sides">
          <SpecFields
            ref="fields"
            v-model:spec="spec"
            v-model:firing="firing"
            v-model:exact="drafted.exact.value"
            :engine="soFar"
            :kind="drafted.model.kind"
            :learned="given.learned"
            :odd="f => drafted.doubtAt(f)"
          />
          <ModelSoFar v-if="soFar" class="beside" :engine="soFar" @tell="fields?.show($event)" />
        </div>
        <h2>{{ t('common.why') }}</h2>
        <TextField
          v-model="reason"
          :label="t('page-spec-book-id-draft.reason-for-the-change')"
          :placeholder="t('page-spec-book-id-draft.bulletin-7-raises-the-exhaust')"
          name="reason"
        />
        <DoubtList v-model="answered" :doubts="doubts" />
        <p v-if="Object.keys(wrong).length" class="wrong" role="alert">
          {{ t('page-spec-book-id-draft.look-at-the-fields-that', { wrong: Object.values(wrong)[0] ?? '' }) }}
        </p>
        <p v-else-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
        <PhotoUnsent v-if="unsent" :why="unsent.why" :to="saved" @again="again" />
        <div v-if="saved === ''" class="actions">
          <Button
            type="submit"
            :label="t('page-spec-book-id-draft.save-the-draft')"
            :loading="form.busy.value"
            :disabled="between !== null"
          /><NuxtLink class="quiet" :to="`/spec-book/${modelId}`">{{ t('common.back') }}</NuxtLink>
        </div>
      </CheckedForm>
      <CheckedForm
        v-if="session.isLead"
        :form="naming"
        :schema="identitySchema"
        :body="drafted.identity"
        class="inner"
        @send="rename"
      >
        <h2>{{ t('page-spec-book-id-draft.what-it-is-called-and') }}</h2>
        <p class="lead">{{ t('page-spec-book-id-draft.this-isnt-part-of-the') }}</p>
        <IdentityFields v-model="model" />
        <p v-if="naming.failed.value" class="wrong" role="alert">{{ naming.failed.value }}</p>
        <div class="actions">
          <Button
            type="submit"
            :label="t('page-spec-book-id-draft.rename-it')"
            severity="secondary"
            :loading="naming.busy.value"
          />
        </div>
      </CheckedForm>
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
<style scoped src="../../../components/spec/model-form.css"></style>

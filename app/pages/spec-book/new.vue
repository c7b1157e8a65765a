<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref, useTemplateRef } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { identitySchema, type SpecField } from '~~/core/spec-book'
import CheckedForm from '../../components/forms/CheckedForm.vue'
import TextField from '../../components/forms/TextField.vue'
import DoubtList from '../../components/spec/DoubtList.vue'
import FromPage from '../../components/spec/FromPage.vue'
import IdentityFields from '../../components/spec/IdentityFields.vue'
import ModelSoFar from '../../components/spec/ModelSoFar.vue'
import PhotoUnsent from '../../components/spec/PhotoUnsent.vue'
import SpecFields from '../../components/spec/SpecFields.vue'
import { useForm } from '../../composables/useForm'
import { useModelForm } from '../../composables/useModelForm'
import { usePagePhoto } from '../../composables/usePagePhoto'
import { useSessionStore } from '../../stores/session'
import { api } from '../../utils/api'
import { t } from '../../words'

definePageMeta({ words: ['spec-book'] })
useHead({ title: t('page-spec-book-new.add-a-model-wembric') })
const session = useSessionStore()
const form = useForm()
const given = useModelForm()
const { model, spec, firing, wrong, doubts, answered, soFar } = given
const { photo, unsent, send } = usePagePhoto()
const fields = useTemplateRef<{ show: (...fields: SpecField[]) => Promise<void> }>('fields')
const saved = ref<number | null>(null)
// what was looked for and not found is the model's name, most likely
model.model = String(useRoute().query.model ?? '').slice(0, 60)
const approveBecause = ref('')
const onlyLead = ref(false)
onMounted(async () => {
  if (!session.isLead) return
  const people = await form.send(() => api('GET /api/people'))
  onlyLead.value = people?.filter(p => p.role === 'lead').length === 1
})

const schema = identitySchema.and(given.specSchema)
const body = () => ({ ...spec, ...given.identity() })
async function submit(): Promise<void> {
  const engine = given.engine()
  if (!engine || given.open().length) return
  const made = await form.send(() =>
    api('POST /api/models', {
      body: {
        ...given.identity(),
        engine,
        answered: answered.value,
        approveBecause: onlyLead.value ? approveBecause.value : '',
      },
    }),
  )
  if (!made) return
  saved.value = made.id
  if (await send(made.revisionId)) await navigateTo(`/spec-book/${made.id}`)
}
async function again(): Promise<void> {
  if (await send(unsent.value!.revisionId)) await navigateTo(`/spec-book/${saved.value}`)
}
/** What is wrong stands in parts that may be closed. */
async function stopped(): Promise<void> {
  given.engine()
  await fields.value?.show(...(Object.keys(wrong) as SpecField[]))
}
</script>

<template>
  <main>
    <CheckedForm :form="form" :schema="schema" :body="body" class="form model" @send="submit" @stopped="stopped">
      <h1>{{ t('page-spec-book-new.add-a-model-and-its') }}</h1>
      <p class="lead">
        {{ t('page-spec-book-new.what-you-leave-empty-is') }}
        <NuxtLink to="/spec-book/import">{{ t('page-spec-book-new.import') }}</NuxtLink>.
        {{ onlyLead ? t('page-spec-book-new.as-the-shops-only-lead') : t('page-spec-book-new.it-is-a-draft-until') }}
      </p>
      <FromPage v-model:photo="photo" @take="given.take" />
      <div class="sides">
        <div class="told">
          <IdentityFields v-model="model" part="name" />
          <SpecFields
            ref="fields"
            v-model:spec="spec"
            v-model:firing="firing"
            v-model:exact="given.exact.value"
            :engine="soFar"
            :kind="model.kind"
            :odd="f => given.doubtAt(f)"
          />
          <h2>{{ t('page-spec-book-new.found-by') }}</h2>
          <IdentityFields v-model="model" part="more" />
        </div>
        <ModelSoFar v-if="soFar" class="beside" :engine="soFar" @tell="fields?.show($event)" />
      </div>
      <div v-if="onlyLead" class="grid">
        <TextField
          v-model="approveBecause"
          :label="t('common.why-you-approve-your-own-entry')"
          :note="t('page-spec-book-new.empty-it-stays-a-draft')"
        />
      </div>
      <DoubtList v-model="answered" :doubts="doubts" />
      <p v-if="Object.keys(wrong).length" class="wrong" role="alert">
        {{ t('page-spec-book-new.look-at-the-fields-that', { wrong: Object.values(wrong)[0] ?? '' }) }}
      </p>
      <p v-else-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <PhotoUnsent v-if="unsent" :why="unsent.why" :to="`/spec-book/${saved}`" @again="again" />
      <div v-if="saved === null" class="actions">
        <Button type="submit" :label="t('common.add-it')" :loading="form.busy.value" /><NuxtLink
          class="quiet"
          to="/spec-book"
          >{{ t('common.back') }}</NuxtLink
        >
      </div>
    </CheckedForm>
  </main>
</template>

<style scoped src="../../components/spec/model-form.css"></style>

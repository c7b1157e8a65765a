<script setup lang="ts">
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { identitySchema } from '~~/core/spec-book'
import TextField from '../../components/forms/TextField.vue'
import DoubtList from '../../components/spec/DoubtList.vue'
import IdentityFields from '../../components/spec/IdentityFields.vue'
import SpecFields from '../../components/spec/SpecFields.vue'
import { useForm } from '../../composables/useForm'
import { useModelForm } from '../../composables/useModelForm'
import { useSessionStore } from '../../stores/session'
import { api } from '../../utils/api'
import { t } from '../../words'
import CheckedForm from '../../components/forms/CheckedForm.vue'

definePageMeta({ words: ['spec-book'] })
useHead({ title: t('page-spec-book-new.add-a-model-wembric') })
const session = useSessionStore()
const form = useForm()
const given = useModelForm()
const { model, spec, firing, wrong, doubts, answered } = given
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
  if (made) await navigateTo(`/spec-book/${made.id}`)
}
</script>

<template>
  <main>
    <CheckedForm :form="form" :schema="schema" :body="body" class="form" @send="submit" @stopped="given.engine()">
      <h1>{{ t('page-spec-book-new.add-a-model-and-its') }}</h1>
      <p class="lead">
        {{ t('page-spec-book-new.what-you-leave-empty-is') }}
        <NuxtLink to="/spec-book/import">{{ t('page-spec-book-new.import') }}</NuxtLink>.
        {{ onlyLead ? t('page-spec-book-new.as-the-shops-only-lead') : t('page-spec-book-new.it-is-a-draft-until') }}
      </p>
      <IdentityFields v-model="model" />
      <SpecFields v-model:spec="spec" v-model:firing="firing" :odd="f => given.doubtAt(f)" />
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
      <div class="actions">
        <Button type="submit" :label="t('common.add-it')" :loading="form.busy.value" /><NuxtLink
          class="quiet"
          to="/spec-book"
          >{{ t('common.back') }}</NuxtLink
        >
      </div>
    </CheckedForm>
  </main>
</template>

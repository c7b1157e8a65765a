<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead, useRoute } from '#imports'
import { compareSpecs } from '~~/core/spec-book'
import type { Affected, ModelResponse } from '~~/shared/spec-book'
import DecidePanel from '../../../components/spec/DecidePanel.vue'
import EffectOnValves from '../../../components/spec/EffectOnValves.vue'
import SideBySide from '../../../components/spec/SideBySide.vue'
import { useForm } from '../../../composables/useForm'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'
import { t } from '../../../words'

definePageMeta({ words: ['spec-book'] })
useHead({ title: t('page-spec-book-id-compare.two-revisions-side-by-side') })
const { params, query } = useRoute()
const modelId = Number(params.id)
const session = useSessionStore()
const form = useForm()
const given = ref<ModelResponse | null>(null)
const effect = ref<Affected[]>([])
async function load(): Promise<void> {
  const [model, affected] = await Promise.all([
    form.send(() => api('GET /api/models/:id', { id: modelId })),
    form.send(() => api('GET /api/revisions/:id/effect', { id: Number(query.b) })),
  ])
  effect.value = affected ?? []
  given.value = model
}
onMounted(load)
const revision = (id: unknown) => given.value?.revisions.find(r => r.id === Number(id))
const before = computed(() => revision(query.a))
const after = computed(() => revision(query.b))
/** The kind of valve whose figure changes is looked at first. */
const first = computed(() => {
  if (!before.value || !after.value) return 'exhaust'
  const lines = compareSpecs(before.value.engine, after.value.engine)
  const changes = (id: string) => lines.find(l => l.id === id)?.change !== 'same'
  return changes('intake') && !changes('exhaust') ? 'intake' : 'exhaust'
})
</script>

<template>
  <main class="compare">
    <p v-if="form.failed.value && !given" class="wrong alone" role="alert">{{ form.failed.value }}</p>
    <p v-else-if="given && (!before || !after)" class="alone" role="alert">
      {{ t('page-spec-book-id-compare.one-of-these-two-revisions') }}
      <NuxtLink :to="`/spec-book/${modelId}`">{{ t('page-spec-book-id-compare.back-to-it') }}</NuxtLink>
    </p>
    <template v-if="given && before && after">
      <section class="table" :aria-label="t('page-spec-book-id-compare.side-by-side')">
        <SideBySide :model="given.model" :before="before" :after="after" :time-zone="session.shop?.timeZone" />
        <EffectOnValves v-if="effect.length" :effect="effect" :before="before" :after="after" :first="first" />
        <p v-else class="unknown">{{ t('page-spec-book-id-compare.no-machine-of-this-model') }}</p>
      </section>
      <DecidePanel :given="given" :after="after" @decided="load" />
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
.unknown {
  padding: 10px 20px;
  font: 500 15.5px/1.3 var(--figures);
  color: var(--ink2);
  border-bottom: 1.5px solid var(--ink);
}
@media (max-width: 900px) {
  .compare {
    grid-template-columns: minmax(0, 1fr);
  }
  .table {
    border-right: 0;
  }
}
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { displacementCc } from '~~/core/spec-book'
import LoadingRows from '../../../components/shell/LoadingRows.vue'
import ModelClearances from '../../../components/spec/ModelClearances.vue'
import ModelFacts from '../../../components/spec/ModelFacts.vue'
import ModelPicture from '../../../components/spec/ModelPicture.vue'
import { REVISION_STATES, revisionState } from '../../../components/spec/revision-words'
import RevisionRule from '../../../components/spec/RevisionRule.vue'
import SaveAs from '../../../components/spec/SaveAs.vue'
import { toldComparison, toldLines } from '../../../components/spec/spec-lines'
import { useKeys } from '../../../composables/useKeys'
import { useModelPage } from '../../../composables/useModelPage'
import { dayAndTime } from '../../../utils/day-and-time'
import { t } from '../../../words'

definePageMeta({ words: ['spec-book'] })
const route = useRoute()
const modelId = Number(route.params.id)
const bookPath = route.query.machine ? `/spec-book?machine=${String(route.query.machine)}` : '/spec-book'
const { form, given, fetchedAt } = useModelPage(modelId)
const shownId = ref(0)
watch(given, now => {
  shownId.value = now?.model.revisionId ?? 0
})
const model = computed(() => given.value?.model)
const name = computed(() => (model.value ? `${model.value.maker} ${model.value.model}` : ''))
useHead({
  title: () => (name.value ? t('page-spec-book-id.wembric', { name: name.value }) : t('common.spec-book-wembric')),
})
const now = new Date().toISOString()

const revision = computed(() => given.value?.revisions.find(r => r.id === shownId.value))
const engine = computed(() => revision.value?.engine)
const inForce = computed(() => revision.value?.id === model.value?.revisionId)
const state = computed(() => revision.value && revisionState(revision.value, model.value!.revisionId))
const decide = computed(() => state.value === 'draft' && given.value!.revisions.length > 1)
const about = computed(() => {
  if (!model.value || !engine.value) return ''
  const cc = model.value.displacementCc ?? displacementCc(engine.value)
  return [
    model.value.code,
    toldLines(engine.value).find(l => l.id === 'cylinders')?.value,
    cc === null ? '' : `${Math.round(cc)} cm³`,
    model.value.family && t('page-spec-book-id.family', { family: model.value.family }),
    model.value.yearFrom === null && model.value.yearTo === null
      ? ''
      : `${model.value.yearFrom ?? ''}–${model.value.yearTo ?? ''}`,
  ]
    .filter(Boolean)
    .join(', ')
})
const changes = computed(() =>
  Object.fromEntries(
    (given.value?.revisions ?? []).map((r, i, all) => [
      r.id,
      i === 0
        ? ''
        : toldComparison(all[i - 1]!.engine, r.engine)
            .filter(l => l.change !== 'same')
            .map(
              l =>
                `${l.name.toLowerCase()} ${l.change === 'removed' ? t('page-spec-book-id.left-out') : l.after.value}`,
            )
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
      {{ form.failed.value }} <NuxtLink to="/spec-book">{{ t('page-spec-book-id.back-to-the-book') }}</NuxtLink>
    </p>
    <LoadingRows v-else-if="!given" class="alone" :words="t('page-spec-book-id.opening-the-page')" row-height="72px" />
    <template v-if="given && model && engine && revision">
      <header class="title">
        <h1>{{ name }}</h1>
        <p class="about">{{ about }}</p>
        <p class="state" :class="state">
          <span v-if="state === 'in force'" class="tick" aria-hidden="true">✓</span
          >{{ state === 'draft' ? t('common.draft') : t('common.revision') }} {{ revision.revision }},
          {{ state === 'in force' ? t('revision-words.is-approved') : REVISION_STATES[state!] }}
        </p>
        <NuxtLink class="quiet" :to="bookPath">{{ t('common.find-a-model') }} <kbd>/</kbd></NuxtLink
        ><NuxtLink v-if="decide && compareTo" class="quiet strong" :to="compareTo">{{
          t('page-spec-book-id.decide')
        }}</NuxtLink
        ><NuxtLink class="quiet" :to="draftPath">{{ t('page-spec-book-id.new-draft') }} <kbd>N</kbd></NuxtLink>
      </header>
      <p v-if="given.learned" class="alone">
        {{ t('page-spec-book-id.no-list-yet', { number: given.learned.jobNumber, count: given.learned.parts.length }) }}
        <NuxtLink :to="`${draftPath}?learn`">{{ t('page-spec-book-id.keep-the-list') }}</NuxtLink>
      </p>
      <p v-if="fetchedAt" class="alone" role="status">
        {{ t('page-spec-book.from-this-device', { at: dayAndTime(fetchedAt) }) }}
      </p>
      <div class="columns">
        <section :aria-label="t('common.engine')"><ModelPicture :engine="engine" /></section>
        <ModelClearances :revision="revision" />
        <ModelFacts :engine="engine" />
      </div>
      <p class="caution"><span aria-hidden="true">!</span> {{ t('page-spec-book-id.these-are-the-shops-own') }}</p>
      <RevisionRule
        :revisions="given.revisions"
        :in-force-id="model.revisionId"
        :shown-id="shownId"
        :now="now"
        :changes="changes"
        @show="shownId = $event"
      />
      <p class="foot">
        <NuxtLink v-if="compareTo" :to="compareTo">{{ t('page-spec-book-id.compare-two-side-by-side') }}</NuxtLink><span
          v-if="given.openJobs.length"
          >{{ t('page-spec-book-id.open-jobs') }}
          <NuxtLink v-for="j in given.openJobs" :key="j.id" :to="`/jobs/${j.id}`">{{
            t('page-spec-book-id.revision-2', { machine: j.machine, revision: j.revision })
          }}</NuxtLink></span
        ><a v-if="revision?.page" :href="`/api/revisions/${revision.id}/page`" target="_blank" rel="noopener">{{
          t('page-spec-book-id.photo-of-its-page')
        }}</a
        ><SaveAs :label="t('page-spec-book.save-as')" :ids="[modelId]" />
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

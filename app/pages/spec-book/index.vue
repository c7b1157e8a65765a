<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Column from 'primevue/column'
import DataTable, { type DataTableRowClickEvent } from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import type { ModelHit } from '~~/shared/spec-book'
import LoadingRows from '../../components/shell/LoadingRows.vue'
import SaveAs from '../../components/spec/SaveAs.vue'
import { useKeys } from '../../composables/useKeys'
import { useModelSearch } from '../../composables/useModelSearch'
import { LOCALE } from '../../language'
import { dayAndTime } from '../../utils/day-and-time'
import { t } from '../../words'

definePageMeta({ words: ['spec-book'] })
useHead({ title: t('common.spec-book-wembric') })
const query = useRoute().query
// come from a machine, its own model stands first
const { q, found, failed, find, fetchedAt } = useModelSearch(
  20,
  typeof query.machine === 'string' ? query.machine : undefined,
)
const field = useTemplateRef<{ $el: HTMLInputElement }>('field')
onMounted(async () => {
  q.value = String(query.q ?? '')
  await find()
  field.value?.$el.focus()
})
/** The row that Enter opens. */
const at = ref(0)
watch(found, () => {
  at.value = 0
})
const rows = computed(() => found.value?.rows ?? [])
const open = (row: ModelHit | undefined) => (row ? navigateTo(`/spec-book/${row.id}`) : undefined)
/** A row is a way to its model, but for what else can be pressed in it. */
function openRow({ data, originalEvent }: DataTableRowClickEvent): void {
  if (!(originalEvent.target as Element).closest('a, input, .p-checkbox')) void open(data as ModelHit)
}
const move = (by: number) => {
  at.value = Math.min(rows.value.length - 1, Math.max(0, at.value + by))
}
const picked = ref<number[]>([])
const pick = (id: number) => {
  picked.value = picked.value.includes(id) ? picked.value.filter(p => p !== id) : [...picked.value, id]
}
const about = (m: ModelHit) =>
  [
    m.kind,
    m.code,
    m.displacementCc === null ? '' : `${m.displacementCc} cm³`,
    m.layout,
    m.yearFrom === null && m.yearTo === null ? '' : `${m.yearFrom ?? ''}–${m.yearTo ?? ''}`,
  ]
    .filter(Boolean)
    .join(', ')
useKeys({
  '/': () => field.value?.$el.focus(),
  'n': () => {
    void navigateTo('/spec-book/new')
  },
})
</script>

<template>
  <main class="form book">
    <div class="actions">
      <h1>{{ t('common.spec-book') }}</h1>
      <span class="count">{{
        found ? t('page-spec-book.models', { total: found.total, shown: found.total.toLocaleString(LOCALE) }) : ''
      }}</span>
      <div class="right">
        <NuxtLink class="quiet" to="/spec-book/import">{{ t('page-spec-book.import') }}</NuxtLink><SaveAs
          :label="
            picked.length ? t('page-spec-book.save-picked', { count: picked.length }) : t('page-spec-book.save-as')
          "
          :ids="picked"
        /><NuxtLink class="quiet" to="/spec-book/new">{{ t('common.add-a-model') }} <kbd>N</kbd></NuxtLink>
      </div>
    </div>
    <div class="find">
      <label for="find">{{ t('common.find-a-model') }} <kbd>/</kbd></label
      ><InputText
        id="find"
        ref="field"
        v-model="q"
        type="search"
        :placeholder="t('page-spec-book.maker-model-engine-code-family')"
        autocomplete="off"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="open(rows[at])"
      />
    </div>
    <p v-if="fetchedAt" class="lead" role="status">
      {{ t('page-spec-book.from-this-device', { at: dayAndTime(fetchedAt) }) }}
    </p>
    <p v-if="failed" class="wrong" role="alert">
      {{ failed }} <Button link @click="find">{{ t('common.try-again') }}</Button>
    </p>
    <LoadingRows v-else-if="!found" :words="t('page-spec-book.opening-the-book')" :rows="9" />
    <template v-else-if="rows.length === 0">
      <p v-if="found.total === 0" class="lead">
        {{ t('page-spec-book.no-models-yet-add-one') }}
      </p>
      <p v-else class="lead" role="status">
        {{ t('page-spec-book.nothing-like-in-this-book', { q }) }}
        <NuxtLink :to="`/spec-book/new?model=${encodeURIComponent(q)}`">{{
          t('page-spec-book.add-it-from-the-manual')
        }}</NuxtLink>.
      </p>
    </template>
    <template v-else>
      <p class="note" role="status">
        {{
          found.recent
            ? t('page-spec-book.last-used-here-first')
            : q
              ? t('page-spec-book.that-fit', { count: rows.length, best: rows.length === 20 })
              : ''
        }}<template v-if="picked.length">
          {{ t('page-spec-book.chosen-csv-and-json-hold', { count: picked.length }) }}</template
        >
      </p>
      <DataTable
        class="models"
        :value="rows"
        data-key="id"
        row-hover
        :row-class="row => ({ at: row === rows[at] && q !== '' })"
        @row-click="openRow"
      >
        <Column body-class="pick-cell">
          <template #header
            ><span class="hidden-words">{{ t('page-spec-book.choose') }}</span></template
          >
          <template #body="{ data: m }: { data: ModelHit }">
            <Checkbox
              :model-value="picked.includes(m.id)"
              binary
              :aria-label="t('page-spec-book.choose-2', { maker: m.maker, model: m.model })"
              @update:model-value="pick(m.id)"
            />
          </template>
        </Column>
        <Column field="model" :header="t('common.model')" body-class="figures">
          <template #body="{ data: m }: { data: ModelHit }">
            <NuxtLink :to="`/spec-book/${m.id}`">{{ m.maker }} {{ m.model }}</NuxtLink
            ><br /><small>{{ about(m) }}</small>
          </template>
        </Column>
        <Column field="intake" :header="t('common.intake')" body-class="figures whole" />
        <Column field="exhaust" :header="t('common.exhaust')" body-class="figures whole right-on-phone" />
        <Column field="thou" header="thou" body-class="figures whole wide-only" />
        <Column field="source" :header="t('common.source')" body-class="source wide-only">
          <template #body="{ data: m }: { data: ModelHit }">
            {{ m.source }}, <span class="whole">{{ m.sourceDate }}</span>
          </template>
        </Column>
        <Column field="revision" :header="t('common.revision')" body-class="figures whole right-on-phone">
          <template #body="{ data: m }: { data: ModelHit }">
            <span v-if="m.status === 'approved'" class="ok"
              >✓ <span class="phone-only">{{ t('common.revision') }}</span> {{ m.revision }}</span
            ><span v-else class="draft">{{ t('page-spec-book.draft', { revision: m.revision }) }}</span
            ><br v-if="m.waiting" /><small v-if="m.waiting">{{
              m.waiting === 1
                ? t('page-spec-book.a-draft-waits')
                : t('page-spec-book.drafts-wait', { waiting: m.waiting })
            }}</small>
          </template>
        </Column>
      </DataTable>
    </template>
  </main>
</template>

<style scoped>
.book {
  max-width: 1240px;
  gap: 14px;
}
.right {
  margin-left: auto;
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.count {
  font: 500 17px/1 var(--figures);
  color: var(--ink2);
  align-self: center;
}
.find {
  display: grid;
  gap: 6px;
}
.find input {
  font-size: 20px;
  min-height: 56px;
  width: 100%;
  border-width: 1.5px;
  border-color: var(--ink);
}
.models :deep(small) {
  font: 400 14.5px/1.3 var(--sentences);
  color: var(--ink2);
}
.models :deep(table) {
  width: 100%;
  border-collapse: collapse;
}
.models :deep(th) {
  font-size: 15px;
}
.models :deep(td) {
  vertical-align: top;
}
.models :deep(th),
.models :deep(.whole) {
  white-space: nowrap;
}
.models :deep(tbody tr) {
  cursor: pointer;
}
.models :deep(tr.at) {
  box-shadow: inset 5px 0 0 var(--petrol);
  background: var(--sheet);
}
.models :deep(.pick-cell) {
  width: 46px;
  padding-left: 12px;
}
.models :deep(td.figures) {
  font: 600 17px/1.35 var(--figures);
}
.models :deep(.figures a) {
  color: var(--ink);
  text-decoration: none;
  font-size: 18px;
}
.models :deep(.figures a:hover) {
  text-decoration: underline;
}
.models :deep(.source) {
  font-size: 15px;
  color: var(--ink2);
  overflow-wrap: anywhere;
}
.ok {
  color: var(--petrol);
  font-weight: 600;
}
.draft {
  border: 1.5px dashed var(--ink2);
  border-radius: 4px;
  padding: 2px 6px;
}
.phone-only {
  display: none;
}
/* A phone: a model is a few lines instead of a row. */
@media (max-width: 700px) {
  .models :deep(thead),
  .models :deep(.wide-only) {
    display: none;
  }
  .models :deep(tbody tr) {
    display: grid;
    grid-template-columns: 44px minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
  .models :deep(td) {
    padding: 0;
    border: 0;
    grid-column: 2;
  }
  .models :deep(td.pick-cell) {
    grid-row: 1 / span 4;
    grid-column: 1;
    /* the name's line is as high as a thumb */
    padding: 12px 0 0;
  }
  .phone-only {
    display: inline;
  }
  .models :deep(td.right-on-phone) {
    grid-column: 3;
    text-align: right;
  }
  .models :deep(.figures a) {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
  .right {
    margin-left: 0;
  }
}
</style>

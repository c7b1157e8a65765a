<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onBeforeUnmount, reactive, useTemplateRef } from 'vue'
import { formatLength, numberOf } from '~~/core/units'
import type { Unfinished } from '~~/shared/api'
import { type ShimRequest, shimRequestSchema, type ShimStockRow } from '~~/shared/shelf'
import type { useForm } from '../../composables/useForm'
import { useShimCounts } from '../../composables/useShimCounts'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import TextField from '../forms/TextField.vue'

/**
 * Shims in stock by diameter and thickness; whoever takes or finds one counts it. A signed job takes its own off the
 * shelf.
 */
const props = defineProps<{
  shims: ShimStockRow[]
  form: ReturnType<typeof useForm>
  /** Sets how many there are. @returns whether the shelf took it */
  count: (shim: Unfinished<ShimRequest>) => Promise<boolean>
}>()
const typed = reactive({ diameter: '', size: '', count: '1' })
const diameters = computed(() =>
  [...new Set(props.shims.map(s => s.diameterMm))].map(mm => ({
    mm,
    shims: props.shims.filter(s => s.diameterMm === mm),
  })),
)
/** No shim is thicker or wider than this, mm: a point before three digits is no thousand. */
const MOST_MM = 100
const number = (text: string): number | null => numberOf(text.replace(/\s*mm$/i, ''), mm => mm <= MOST_MM)
const element = useTemplateRef('element')
const body = () => ({ diameterMm: number(typed.diameter), sizeMm: number(typed.size), count: number(typed.count) })
async function add(): Promise<void> {
  if (!(await props.count(body()))) return
  Object.assign(typed, { size: '', count: '1' })
  element.value?.forget()
}

const { shown, step, finish, isRefused, refusedKey } = useShimCounts(shim => props.count(shim))
onBeforeUnmount(() => finish(props.shims))
</script>

<template>
  <h2>{{ t('shim-stock.shims') }}</h2>
  <section v-for="d in diameters" :key="d.mm" class="diameter">
    <h3>{{ t('shim-stock.mm-across', { mm: d.mm }) }}</h3>
    <ul>
      <li v-for="s in d.shims" :key="s.sizeMm">
        <b>{{ formatLength(s.sizeMm, 'mm') }}</b><Button
          severity="secondary"
          outlined
          :aria-label="t('shim-stock.one-less', { sizeMm: formatLength(s.sizeMm, 'mm') })"
          @click="step(s, -1)"
        >
          −</Button
        ><output :aria-label="t('shim-stock.in-stock', { sizeMm: formatLength(s.sizeMm, 'mm') })">{{ shown(s) }}</output
        ><Button
          severity="secondary"
          outlined
          :aria-label="t('shim-stock.one-more', { sizeMm: formatLength(s.sizeMm, 'mm') })"
          @click="step(s, 1)"
        >
          +
        </Button>
        <p v-if="isRefused(s)" class="wrong" role="alert">{{ form.failed.value }}</p>
      </li>
    </ul>
  </section>
  <p v-if="shims.length === 0" class="note">{{ t('shim-stock.none-counted-yet') }}</p>
  <CheckedForm
    ref="element"
    class="grid"
    :aria-label="t('shim-stock.shims')"
    :form="form"
    :schema="shimRequestSchema"
    :body="body"
    @send="add"
  >
    <TextField
      v-model="typed.diameter"
      :label="t('shim-stock.diameter-mm')"
      inputmode="decimal"
      placeholder="9.5"
      name="diameterMm"
    /><TextField
      v-model="typed.size"
      :label="t('shim-stock.thickness-mm')"
      inputmode="decimal"
      placeholder="2.35"
      name="sizeMm"
    /><TextField v-model="typed.count" :label="t('shim-stock.how-many')" inputmode="numeric" name="count" />
    <p v-if="form.failed.value && !refusedKey" class="wrong wide" role="alert">{{ form.failed.value }}</p>
    <div class="actions wide">
      <Button type="submit" :label="t('shim-stock.count-them')" :loading="form.busy.value" />
    </div>
  </CheckedForm>
</template>

<style scoped>
h3 {
  font-size: 18px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 8px 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 6px 18px;
}
li {
  display: grid;
  grid-template-columns: 1fr 44px 34px 44px;
  align-items: center;
  font: 600 18px/1 var(--figures);
}
li .wrong {
  grid-column: 1 / -1;
  padding: 6px 0;
}
output {
  text-align: center;
}
li .p-button {
  justify-content: center;
  padding: 0;
}
.note {
  color: var(--ink2);
  font-size: 15px;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { valveById } from '~~/core/engine'
import { type JobView, shimFromWords, shimWork, targetFor } from '~~/core/job'
import { formatLength } from '~~/core/units'
import { t, tell } from '../../words'

/** Which shim goes where: old, measured, wanted, what goes in and from where, what must be bought. */
const props = defineProps<{ view: JobView; valveId: string }>()
const work = computed(() => shimWork(props.view))
const mm = (v: number | null | undefined) => (v === null || v === undefined ? '?' : formatLength(v, 'mm'))
const name = (id: string) => valveById(props.view.pin.spec.engine, id).name
const kind = computed(() => props.view.pin.spec.engine.shim)
</script>

<template>
  <div class="shims">
    <h2>{{ t('shims-stage.which-shim-goes-where') }}</h2>
    <div class="scroll">
      <table class="rows">
        <thead>
          <tr>
            <th>{{ t('common.valve') }}</th>
            <th class="how">{{ t('shims-stage.gap') }}</th>
            <th class="how">{{ t('shims-stage.target') }}</th>
            <th>{{ t('shims-stage.old-shim') }}</th>
            <th class="how">{{ t('shims-stage.sum') }}</th>
            <th>{{ t('shims-stage.goes-in') }}</th>
            <th>{{ t('shims-stage.new-gap') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in work.lines" :key="l.valveId" :class="{ here: l.valveId === valveId }" :data-shim="l.valveId">
            <td class="figures">{{ name(l.valveId) }}</td>
            <td class="how">{{ mm(l.measuredMm) }}</td>
            <td class="how">{{ mm(targetFor(view, l.valveId)) }}</td>
            <td>
              {{ mm(l.oldMm)
              }}<small v-if="l.engravedMm !== null && l.engravedMm !== l.oldMm">
                {{ t('shims-stage.reads', { engravedMm: mm(l.engravedMm) }) }}</small
              >
            </td>
            <td class="how">{{ mm(l.wantedMm) }}</td>
            <td>
              <b>{{ mm(l.place?.mm) }}</b><small>{{ l.fitted ? '✓ in' : tell(shimFromWords(view, l)) }}</small>
            </td>
            <td>{{ mm(l.place?.clearanceMm) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="sum">
      <b>{{
        work.buyMm.length
          ? t('shims-stage.to-buy', { buyMm: work.buyMm.map(v => mm(v)).join(', ') })
          : t('shims-stage.nothing-to-buy')
      }}</b><span v-if="work.leftMm.length">{{
        t('shims-stage.left-over', { leftMm: work.leftMm.map(v => mm(v)).join(', ') })
      }}</span
      ><span v-if="work.without.length">{{
        t('shims-stage.no-size-would-do', { without: work.without.map(name).join(', ') })
      }}</span>
    </p>
    <p class="note">
      {{
        t('shims-stage.new-shim-old-gap-wanted', {
          kind: kind
            ? t('shims-stage.shims-mm-across-in-steps', {
                diameterMm: kind.diameterMm,
                stepMm: kind.stepMm,
                count: view.pin.shimStockMm.length,
              })
            : '',
        })
      }}
    </p>
  </div>
</template>

<style scoped>
.shims {
  padding: 24px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
  height: 100%;
  overflow: auto;
}
h2 {
  font-size: 24px;
}
.scroll {
  overflow-x: auto;
}
.rows {
  min-width: 560px;
}
.rows td {
  font: 500 18px/1.25 var(--figures);
  padding-block: 12px;
}
.rows b {
  font-size: 21px;
}
small {
  display: block;
  font-size: 14.5px;
  color: var(--ink2);
}
.here td {
  background: var(--sheet);
  box-shadow:
    inset 0 2px 0 var(--petrol),
    inset 0 -2px 0 var(--petrol);
}
.sum {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  font: 500 17px/1.3 var(--figures);
}
.note {
  font-size: 15px;
  line-height: 1.35;
  color: var(--ink2);
  max-width: 62ch;
}
/* a phone keeps which shim goes where; how it was reckoned stands above the keys */
@media (max-width: 700px) {
  .shims {
    padding: 12px 16px;
  }
  .how {
    display: none;
  }
  .rows {
    min-width: 0;
  }
}
</style>

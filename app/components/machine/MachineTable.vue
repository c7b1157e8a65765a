<script setup lang="ts">
import Column from 'primevue/column'
import DataTable, { type DataTableSortEvent } from 'primevue/datatable'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { formatMeter } from '~~/core/units'
import {
  type MachineListRequest,
  type MachineListResponse,
  type MachineListRow,
  MACHINES_SORTED,
} from '~~/shared/machines'
import { t } from '../../words'
import { dayWords, verdictOf } from './machine-list-words'

/** A page of the shop's machines: how the last visit left each, when it is due, whether it is here. */
const props = defineProps<{
  found: MachineListResponse
  asked: Omit<MachineListRequest, 'q' | 'most'>
  most: number
}>()
const emit = defineEmits<{ ask: [change: Partial<MachineListRequest>] }>()

const order = computed(() => (props.asked.down === 'yes' ? -1 : 1))
function sorted({ sortField, sortOrder }: DataTableSortEvent): void {
  const sort = MACHINES_SORTED.find(s => s === sortField) ?? 'name'
  emit('ask', { sort, down: sortOrder === -1 ? 'yes' : 'no' })
}
const about = ({ plate, serial }: MachineListRow) => [plate, serial].filter(Boolean).join(', ')
</script>

<template>
  <DataTable
    class="machines"
    :value="found.rows"
    data-key="id"
    lazy
    paginator
    :always-show-paginator="false"
    :rows="most"
    :first="asked.from"
    :total-records="found.total"
    :sort-field="asked.sort"
    :sort-order="order"
    paginator-template="PrevPageLink CurrentPageReport NextPageLink"
    :current-page-report-template="
      t('machine-table.page', { first: '{first}', last: '{last}', total: '{totalRecords}' })
    "
    row-hover
    @sort="sorted"
    @page="emit('ask', { from: $event.first })"
  >
    <Column field="name" sortable :header="t('common.machine')">
      <template #body="{ data }: { data: MachineListRow }">
        <NuxtLink class="name" :to="`/machines/${data.id}`">{{ data.name }}</NuxtLink>
        <small
          ><span class="figures">{{ data.tag }}</span
          ><template v-if="about(data)">, {{ about(data) }}</template></small
        >
      </template>
    </Column>
    <Column field="owner" sortable :header="t('common.owner')">
      <template #body="{ data }: { data: MachineListRow }">
        <NuxtLink class="owner" :to="`/customers/${data.customerId}`">{{ data.owner }}</NuxtLink>
      </template>
    </Column>
    <Column field="model" :header="t('common.engine')">
      <template #body="{ data }: { data: MachineListRow }">
        {{ data.model }} <small>{{ data.kind }}</small>
      </template>
    </Column>
    <Column field="meter" :header="t('common.meter')" body-class="figures">
      <template #body="{ data }: { data: MachineListRow }">
        {{ data.lastMeter === null ? t('common.not-read') : formatMeter(data.lastMeter, data.meterUnit) }}
      </template>
    </Column>
    <Column field="visit" sortable :header="t('machine-table.last-check')">
      <template #body="{ data }: { data: MachineListRow }">
        <template v-if="data.lastVisit">
          <span
            class="verdict"
            :class="{ well: verdictOf(data.lastVisit).well, out: verdictOf(data.lastVisit).well === false }"
            >{{ verdictOf(data.lastVisit).words }}</span
          >
          <small>{{ dayWords(data.lastVisit.day) }}</small>
        </template>
        <small v-else>{{ t('machine-table.never') }}</small>
      </template>
    </Column>
    <Column field="due" sortable :header="t('page-machines-id.next-due')">
      <template #body="{ data }: { data: MachineListRow }">
        <template v-if="data.due">
          <b class="day" :class="{ over: data.due.over }">{{
            data.due.over ? data.due.days : dayWords(data.due.day)
          }}</b>
          <small>{{ data.due.cause }}</small>
        </template>
        <small v-else>{{ t('machine-table.no-date') }}</small>
      </template>
    </Column>
    <Column field="job" body-class="job">
      <template #header
        ><span class="hidden-words">{{ t('page-jobs-id-sheet.job') }}</span></template
      >
      <template #body="{ data }: { data: MachineListRow }">
        <NuxtLink v-if="data.openJobId" class="quiet here" :to="`/jobs/${data.openJobId}`">{{
          t('machine-table.open-job')
        }}</NuxtLink>
        <NuxtLink v-else class="quiet" :to="`/jobs/new?machine=${data.id}`">{{ t('machine-table.start') }}</NuxtLink>
      </template>
    </Column>
  </DataTable>
</template>

<style scoped>
.machines :deep(table) {
  width: 100%;
  border-collapse: collapse;
}
.machines :deep(th) {
  font-size: 15px;
  white-space: nowrap;
}
.machines :deep(td) {
  vertical-align: top;
}
.machines :deep(td.figures) {
  font: 600 17px/1.35 var(--figures);
  white-space: nowrap;
}
.machines :deep(td.job) {
  text-align: right;
  padding-right: 0;
  white-space: nowrap;
}
.name {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font: 600 19px/1.2 var(--figures);
}
.owner {
  display: inline-block;
  padding: 3px 0;
}
small {
  display: block;
  font: 400 15px/1.3 var(--sentences);
  color: var(--ink2);
}
.verdict {
  font: 600 16px/1.3 var(--figures);
}
.verdict.well::before {
  content: '✓ ';
  color: var(--petrol);
}
.verdict.out {
  color: var(--tight);
}
.verdict.out::before {
  content: '! ';
}
.day {
  font: 600 17px/1.3 var(--figures);
  white-space: nowrap;
}
.day.over {
  color: var(--alarm);
}
.here {
  border-color: var(--petrol);
  box-shadow: inset 5px 0 0 var(--petrol);
  padding-left: 16px;
}
/* A phone and a narrow tablet: a machine is a few lines instead of a row. */
@media (max-width: 900px) {
  .machines :deep(thead) {
    display: none;
  }
  .machines :deep(tbody tr) {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 4px 16px;
    padding: 12px 0;
    border-bottom: 1px solid var(--line);
  }
  .machines :deep(td) {
    padding: 0;
    border: 0;
    overflow-wrap: anywhere;
  }
  .machines :deep(td:first-child) {
    grid-column: 1 / -1;
  }
  .name,
  .owner {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>

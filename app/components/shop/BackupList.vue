<script setup lang="ts">
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import type { BackupFile } from '~~/shared/backups'
import { LOCALE } from '../../language'
import { t } from '../../words'

/** The backups there are, the newest first; each can be taken away from the server. */
const props = defineProps<{ files: BackupFile[]; timeZone: string }>()
const at = (iso: string): string =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short', timeZone: props.timeZone }).format(
    new Date(iso),
  )
const megabytes = new Intl.NumberFormat(LOCALE, { maximumSignificantDigits: 2 })
</script>

<template>
  <DataTable class="few" :value="files" data-key="name">
    <Column field="madeAt" sortable :header="t('api-tokens.made')" body-class="figures">
      <template #body="{ data }: { data: BackupFile }">{{ at(data.madeAt) }}</template>
    </Column>
    <Column field="kind" sortable :header="t('page-backups.why')">
      <template #body="{ data }: { data: BackupFile }">
        {{ t('page-backups.kind', { kind: data.kind })
        }}<template v-if="data.encrypted">, {{ t('page-backups.encrypted') }}</template>
      </template>
    </Column>
    <Column field="bytes" sortable :header="t('page-backups.size')" body-class="figures">
      <template #body="{ data }: { data: BackupFile }">{{ megabytes.format(data.bytes / 1e6) }} MB</template>
    </Column>
    <Column>
      <template #header
        ><span class="hidden-words">{{ t('page-backups.fetch') }}</span></template
      >
      <template #body="{ data }: { data: BackupFile }">
        <a
          class="quiet"
          :href="`/api/backups/${data.name}`"
          :download="data.name"
          :aria-label="t('page-backups.fetch-of', { at: at(data.madeAt) })"
          >{{ t('page-backups.fetch') }}</a
        >
      </template>
    </Column>
  </DataTable>
</template>

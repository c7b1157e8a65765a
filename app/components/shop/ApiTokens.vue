<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { ref } from 'vue'
import { type ApiTokenRow, tokenSchema } from '~~/shared/tokens'
import type { useForm } from '../../composables/useForm'
import { LOCALE } from '../../language'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import EndButton from '../forms/EndButton.vue'
import TextField from '../forms/TextField.vue'

/** Keys by which other software of the shop reads the spec book: made, told once, ended. */
defineProps<{ tokens: ApiTokenRow[]; made: string | null; timeZone: string; form: ReturnType<typeof useForm> }>()
defineEmits<{ make: [name: string]; end: [id: number] }>()
/** Where other software reads what it can ask. */
const ADDRESS = '/api/v1/openapi.json'
const name = ref('')
const day = (iso: string | null, zone: string) =>
  iso === null
    ? t('api-tokens.not-yet')
    : new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: zone }).format(new Date(iso))
</script>

<template>
  <section class="tokens" :aria-label="t('api-tokens.other-software')">
    <h2>{{ t('api-tokens.other-software') }}</h2>
    <p class="note">
      {{ t('api-tokens.a-token-lets-another-of') }}
      <a :href="ADDRESS">{{ ADDRESS }}</a>.
    </p>
    <p v-if="made" class="made" role="status">
      <b>{{ t('common.copy-it-now-it-is-not') }}</b><code>{{ made }}</code>
    </p>
    <DataTable v-if="tokens.length" class="few" :value="tokens" data-key="id">
      <Column field="name" sortable :header="t('api-tokens.token')" body-class="figures" />
      <Column field="madeBy" sortable :header="t('api-tokens.made-by')" />
      <Column field="madeAt" sortable :header="t('api-tokens.made')">
        <template #body="{ data }: { data: ApiTokenRow }">{{ day(data.madeAt, timeZone) }}</template>
      </Column>
      <Column field="usedAt" sortable :header="t('api-tokens.last-used')">
        <template #body="{ data }: { data: ApiTokenRow }">{{ day(data.usedAt, timeZone) }}</template>
      </Column>
      <Column>
        <template #header
          ><span class="hidden-words">{{ t('api-tokens.end') }}</span></template
        >
        <template #body="{ data }: { data: ApiTokenRow }">
          <span v-if="data.revokedAt">{{ t('api-tokens.ended', { revokedAt: day(data.revokedAt, timeZone) }) }}</span>
          <EndButton
            v-else
            :label="t('common.cancel-it')"
            :ask="t('api-tokens.stops', { name: data.name })"
            :aria-label="t('api-tokens.cancel', { name: data.name })"
            @end="$emit('end', data.id)"
          />
        </template>
      </Column>
    </DataTable>
    <CheckedForm class="make" :form="form" :schema="tokenSchema" :body="() => ({ name })" @send="$emit('make', name)">
      <TextField
        v-model="name"
        :label="t('api-tokens.a-token-for')"
        :placeholder="t('api-tokens.parts-counter')"
        name="name"
      /><Button type="submit" severity="secondary" outlined>
        {{ t('api-tokens.make-a-token') }}
      </Button>
    </CheckedForm>
  </section>
</template>

<style scoped>
.tokens {
  display: grid;
  gap: 14px;
}
.make {
  display: flex;
  gap: 14px;
  align-items: end;
  flex-wrap: wrap;
}
.make > :first-child {
  flex: 0 1 320px;
}
.made {
  border: 2px solid var(--petrol);
  background: var(--white);
  padding: 12px 14px;
  display: grid;
  gap: 6px;
}
code {
  font-size: 17px;
  overflow-wrap: anywhere;
  user-select: all;
}
</style>

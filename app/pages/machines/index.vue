<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { NuxtLink } from '#components'
import { onMounted, ref } from 'vue'
import { formatMeter } from '~~/core/units'
import type { MachineRow } from '~~/shared/responses'
import MachineForm from '../../components/forms/MachineForm.vue'
import TextField from '../../components/forms/TextField.vue'
import { useMachineSearch } from '../../composables/useMachineSearch'
import { t } from '../../words'

useHead({ title: t('page-machines.machines-wembric') })
const adding = ref(false)
const added = (row: MachineRow) => navigateTo(`/machines/${row.id}`)
const { q: text, found: rows, failed, find } = useMachineSearch()
onMounted(find)
</script>

<template>
  <main class="form">
    <h1>{{ t('common.machines') }}</h1>
    <MachineForm v-if="adding" @added="added" @back="adding = false" />
    <template v-else>
      <div class="top">
        <TextField
          v-model="text"
          :label="t('page-machines.find-by-owner-plate-serial')"
          :placeholder="t('page-machines.start-typing')"
        /><button type="button" class="quiet" @click="adding = true">{{ t('common.add-a-machine') }}</button>
      </div>
      <p v-if="failed" class="wrong" role="alert">{{ failed }}</p>
      <p v-if="rows?.length === 0" class="lead">
        {{
          t('page-machines.a-new-one-is-added', {
            text: text ? t('page-machines.no-machine-like-that-in') : t('page-machines.this-shop-has-no-machines'),
          })
        }}
      </p>
      <table v-else-if="rows" class="rows">
        <thead>
          <tr>
            <th>{{ t('common.machine') }}</th>
            <th>{{ t('common.tag') }}</th>
            <th>{{ t('page-machines.plate-number') }}</th>
            <th>{{ t('common.owner') }}</th>
            <th>{{ t('common.engine') }}</th>
            <th>{{ t('common.meter') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="m in rows" :key="m.id">
            <td>
              <NuxtLink :to="`/machines/${m.id}`">{{ m.name }}</NuxtLink>
            </td>
            <td class="figures">{{ m.tag }}</td>
            <td>{{ [m.plate, m.serial].filter(Boolean).join(', ') }}</td>
            <td>
              <NuxtLink :to="`/customers/${m.customerId}`">{{ m.owner }}</NuxtLink>
            </td>
            <td>{{ m.model }}</td>
            <td class="figures">
              {{ m.lastMeter === null ? t('common.not-read') : formatMeter(m.lastMeter, m.meterUnit) }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="rows && rows.length >= 50" class="note">{{ t('page-machines.the-first-50-are-shown') }}</p>
      <p v-else-if="!rows && !failed" role="status">{{ t('common.looking') }}</p>
    </template>
  </main>
</template>

<style scoped>
.form {
  max-width: 1100px;
}
.top {
  display: flex;
  gap: 16px;
  align-items: end;
}
.top > :first-child {
  flex: 1;
}
td a {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  font: 600 18px/1.2 var(--figures);
}
/* A phone: a machine is a few lines instead of a row. */
@media (max-width: 700px) {
  .top {
    flex-wrap: wrap;
  }
  .top > :first-child {
    flex: 1 0 100%;
  }
  thead {
    display: none;
  }
  tbody tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 14px;
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
  td {
    padding: 0;
    border: 0;
    overflow-wrap: anywhere;
  }
  td:nth-child(even) {
    text-align: right;
  }
  td a {
    min-height: 44px;
  }
}
</style>

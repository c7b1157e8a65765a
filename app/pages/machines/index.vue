<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { NuxtLink } from '#components'
import { onMounted, ref } from 'vue'
import { formatMeter } from '~~/core/units'
import type { MachineRow } from '~~/shared/responses'
import MachineForm from '../../components/forms/MachineForm.vue'
import TextField from '../../components/forms/TextField.vue'
import { useMachineSearch } from '../../composables/useMachineSearch'

useHead({ title: 'Machines, Wembric' })
const adding = ref(false)
const added = (row: MachineRow) => navigateTo(`/machines/${row.id}`)
const { q: text, found: rows, failed, find } = useMachineSearch()
onMounted(find)
</script>

<template>
  <main class="form">
    <h1>Machines</h1>
    <MachineForm v-if="adding" @added="added" @back="adding = false" />
    <template v-else>
      <div class="top">
        <TextField
          v-model="text"
          label="Find by owner, plate, serial number, tag, name or model"
          placeholder="Start typing"
        /><button type="button" class="quiet" @click="adding = true">Add a machine</button>
      </div>
      <p v-if="failed" class="wrong" role="alert">{{ failed }}</p>
      <p v-if="rows?.length === 0" class="lead">
        {{ text ? 'No machine like that in this shop.' : 'This shop has no machines yet.' }} A new one is added here, or
        when its first job is opened.
      </p>
      <table v-else-if="rows" class="rows">
        <thead>
          <tr>
            <th>Machine</th>
            <th>Tag</th>
            <th>Plate, number</th>
            <th>Owner</th>
            <th>Engine</th>
            <th>Meter</th>
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
            <td class="figures">{{ m.lastMeter === null ? 'not read' : formatMeter(m.lastMeter, m.meterUnit) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="rows && rows.length >= 50" class="note">The first 50 are shown: type to find others.</p>
      <p v-else-if="!rows && !failed" role="status">Looking …</p>
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
</style>

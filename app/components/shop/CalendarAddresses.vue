<script setup lang="ts">
import { LOCALE } from '~~/core/units'
import type { CalendarAddressRow } from '~~/shared/machines'

/** Secret addresses under which a calendar program fetches what is due: made, told once, ended. */
defineProps<{ addresses: CalendarAddressRow[]; made: string | null; timeZone: string }>()
defineEmits<{ make: []; end: [id: number] }>()
const day = (iso: string, zone: string) =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: zone }).format(new Date(iso))
</script>

<template>
  <section class="calendar" aria-label="Calendar">
    <h2>Calendar</h2>
    <p class="note">
      A calendar program with this address sees what is due, with owners’ names, without signing in. Share it with
      nobody else, and cancel it if it gets out.
      <a href="/api/calendar" download="wembric-due.ics">Or download it once as a file</a>.
    </p>
    <p v-if="made" class="made" role="status">
      <b>Copy it now; it is not shown again.</b><code data-testid="calendar-address">{{ made }}</code>
    </p>
    <ul v-if="addresses.length">
      <li v-for="(a, i) in addresses" :key="a.id">
        <span>Made by {{ a.madeBy }}, {{ day(a.madeAt, timeZone) }}</span
        ><button type="button" class="quiet" :aria-label="`Cancel address ${i + 1}`" @click="$emit('end', a.id)">
          Cancel it
        </button>
      </li>
    </ul>
    <p class="actions"><button type="button" class="quiet" @click="$emit('make')">Make an address</button></p>
  </section>
</template>

<style scoped>
.calendar {
  display: grid;
  gap: 14px;
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
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 6px 0;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import type { CalendarAddressRow } from '~~/shared/machines'
import { LOCALE } from '../../language'
import { t } from '../../words'
import EndButton from '../forms/EndButton.vue'

/** Secret addresses under which a calendar program fetches what is due: made, told once, ended. */
defineProps<{ addresses: CalendarAddressRow[]; made: string | null; timeZone: string }>()
defineEmits<{ make: []; end: [id: number] }>()
const day = (iso: string, zone: string) =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: zone }).format(new Date(iso))
</script>

<template>
  <section class="calendar" :aria-label="t('calendar-addresses.calendar')">
    <h2>{{ t('calendar-addresses.calendar') }}</h2>
    <p class="note">
      {{ t('calendar-addresses.a-calendar-program-with-this') }}
      <a href="/api/calendar" download="wembric-due.ics">{{ t('calendar-addresses.or-download-it-once-as') }}</a>.
    </p>
    <p v-if="made" class="made" role="status">
      <b>{{ t('common.copy-it-now-it-is-not') }}</b><code data-testid="calendar-address">{{ made }}</code>
    </p>
    <ul v-if="addresses.length">
      <li v-for="(a, i) in addresses" :key="a.id">
        <span>{{
          t('calendar-addresses.made-by', { madeBy: a.madeBy, madeAt: day(a.madeAt, timeZone) })
        }}</span><EndButton
          :label="t('common.cancel-it')"
          :ask="t('calendar-addresses.stops')"
          :aria-label="t('calendar-addresses.cancel-address', { nth: i + 1 })"
          @end="$emit('end', a.id)"
        />
      </li>
    </ul>
    <p class="actions">
      <Button severity="secondary" outlined @click="$emit('make')">{{
        t('calendar-addresses.make-an-address')
      }}</Button>
    </p>
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

<script setup lang="ts">
import { LOCALE } from '~~/core/units'
import { ref } from 'vue'
import type { ApiTokenRow } from '~~/shared/spec-book'
import TextField from '../forms/TextField.vue'

/** Keys by which other software of the shop reads the spec book: made, told once, ended. */
defineProps<{ tokens: ApiTokenRow[]; made: string | null; timeZone: string; wrong?: string }>()
defineEmits<{ make: [name: string]; end: [id: number] }>()
const name = ref('')
const day = (iso: string | null, zone: string) =>
  iso === null
    ? 'not yet'
    : new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: zone }).format(new Date(iso))
</script>

<template>
  <section class="tokens" aria-label="Other software">
    <h2>Other software</h2>
    <p class="note">
      A token lets another of the shop’s programs read models and current figures, and nothing else. What it can ask:
      <a href="/api/v1/openapi.json">/api/v1/openapi.json</a>.
    </p>
    <p v-if="made" class="made" role="status">
      <b>Copy it now; it is not shown again.</b><code>{{ made }}</code>
    </p>
    <table v-if="tokens.length" class="rows">
      <thead>
        <tr>
          <th>Token</th>
          <th>Made by</th>
          <th>Made</th>
          <th>Last used</th>
          <th><span class="hidden-words">End</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="t in tokens" :key="t.id" :data-token="t.name">
          <td class="figures">{{ t.name }}</td>
          <td>{{ t.madeBy }}</td>
          <td>{{ day(t.madeAt, timeZone) }}</td>
          <td>{{ day(t.usedAt, timeZone) }}</td>
          <td>
            <span v-if="t.revokedAt">ended {{ day(t.revokedAt, timeZone) }}</span
            ><button v-else type="button" class="quiet" :aria-label="`Cancel ${t.name}`" @click="$emit('end', t.id)">
              Cancel it
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="make" @submit.prevent="$emit('make', name)">
      <TextField v-model="name" label="A token for" placeholder="Parts counter" :wrong="wrong" /><button
        type="submit"
        class="quiet"
      >
        Make a token
      </button>
    </form>
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

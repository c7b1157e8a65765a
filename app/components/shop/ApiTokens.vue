<script setup lang="ts">
import Button from 'primevue/button'
import { LOCALE } from '../../language'
import { ref } from 'vue'
import type { ApiTokenRow } from '~~/shared/spec-book'
import TextField from '../forms/TextField.vue'
import { t } from '../../words'

/** Keys by which other software of the shop reads the spec book: made, told once, ended. */
defineProps<{ tokens: ApiTokenRow[]; made: string | null; timeZone: string; wrong?: string }>()
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
    <table v-if="tokens.length" class="rows">
      <thead>
        <tr>
          <th>{{ t('api-tokens.token') }}</th>
          <th>{{ t('api-tokens.made-by') }}</th>
          <th>{{ t('api-tokens.made') }}</th>
          <th>{{ t('api-tokens.last-used') }}</th>
          <th>
            <span class="hidden-words">{{ t('api-tokens.end') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="token in tokens" :key="token.id" :data-token="token.name">
          <td class="figures">{{ token.name }}</td>
          <td>{{ token.madeBy }}</td>
          <td>{{ day(token.madeAt, timeZone) }}</td>
          <td>{{ day(token.usedAt, timeZone) }}</td>
          <td>
            <span v-if="token.revokedAt">{{
              t('api-tokens.ended', { revokedAt: day(token.revokedAt, timeZone) })
            }}</span><Button
              v-else
              severity="secondary"
              outlined
              :aria-label="t('api-tokens.cancel', { name: token.name })"
              @click="$emit('end', token.id)"
            >
              {{ t('common.cancel-it') }}
            </Button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="make" @submit.prevent="$emit('make', name)">
      <TextField
        v-model="name"
        :label="t('api-tokens.a-token-for')"
        :placeholder="t('api-tokens.parts-counter')"
        :wrong="wrong"
      /><Button type="submit" severity="secondary" outlined>
        {{ t('api-tokens.make-a-token') }}
      </Button>
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

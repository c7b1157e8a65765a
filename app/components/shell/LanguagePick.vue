<script setup lang="ts">
import Button from 'primevue/button'
import { type Language, LANGUAGES } from '~~/shared/languages'
import { useOwnLanguage } from '../../composables/useOwnLanguage'
import { LANGUAGE, speak } from '../../language'

/** The other languages, each by its own name: a tap loads the page again in that one. */
const others = (Object.keys(LANGUAGES) as Language[]).filter(l => l !== LANGUAGE)
const own = useOwnLanguage()
async function choose(language: Language): Promise<void> {
  await own.keep(language)
  speak(language)
}
</script>

<template>
  <Button v-for="l in others" :key="l" severity="secondary" outlined :lang="l" @click="choose(l)">
    {{ LANGUAGES[l] }}
  </Button>
</template>

<script setup lang="ts">
import Button from 'primevue/button'
import { LANGUAGE, speak } from '../../language'
import { LANGUAGES, type Language } from '~~/shared/languages'
import { useOwnLanguage } from '../../composables/useOwnLanguage'

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

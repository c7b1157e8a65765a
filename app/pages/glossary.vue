<script setup lang="ts">
import { useHead } from '#imports'
import { TERMS } from '../components/shell/glossary'
import GlossaryPicture from '../components/shell/GlossaryPicture.vue'
import { t } from '../words'

useHead({ title: t('glossary.title') })
</script>

<template>
  <main class="glossary">
    <h1>{{ t('glossary.title') }}</h1>
    <p class="lead">{{ t('glossary.lead') }}</p>
    <ul>
      <li v-for="term in TERMS" :id="term" :key="term">
        <GlossaryPicture :term="term" />
        <div>
          <h2>{{ t(`glossary.${term}`) }}</h2>
          <p>{{ t(`glossary.${term}.says`) }}</p>
        </div>
      </li>
    </ul>
  </main>
</template>

<style scoped>
.glossary {
  padding: 16px 20px 40px;
}
ul {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
  gap: 14px;
}
li {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 14px;
  align-items: start;
  padding: 12px;
  border: 1.5px solid var(--line);
}
li:target {
  border-color: var(--petrol);
}
h2 {
  margin: 0 0 4px;
  font-size: 21px;
}
li p {
  margin: 0;
}
</style>

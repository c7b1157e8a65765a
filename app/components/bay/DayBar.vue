<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { NuxtLink } from '#components'
import { navigateTo } from '#imports'
import { t } from '../../words'

/** The day, how much is open, by what the board is parted, and the ways into a job. */
defineProps<{ today: string | null; open: number; mine: number }>()
const by = defineModel<'stage' | 'person'>('by', { required: true })
const text = ref('')
</script>

<template>
  <div class="day">
    <h1>{{ today ?? t('common.today') }}</h1>
    <p v-if="today">{{ t('page-bay.open-jobs', { open }) }}{{ mine ? t('page-bay.of-them-yours', { mine }) : '' }}</p>
    <div class="by" role="group" :aria-label="t('common.columns')">
      <Button severity="secondary" outlined :aria-pressed="by === 'stage'" @click="by = 'stage'">
        {{ t('page-bay.by-stage') }}</Button><Button
        severity="secondary"
        outlined
        :aria-pressed="by === 'person'"
        @click="by = 'person'"
      >
        {{ t('page-bay.by-person') }}
      </Button>
    </div>
    <form class="find" role="search" @submit.prevent="navigateTo({ path: '/jobs/new', query: { q: text } })">
      <label for="bay-find" class="hidden-words">{{ t('page-bay.scan-a-tag-or-type') }}</label><InputText
        id="bay-find"
        v-model="text"
        :placeholder="t('page-bay.scan-a-tag-type-a')"
        autocomplete="off"
      />
    </form>
    <NuxtLink to="/quick" class="new quick">{{ t('quick.title') }} <kbd>Q</kbd></NuxtLink>
    <NuxtLink to="/jobs/new" class="new">{{ t('common.new-job') }} <kbd>N</kbd></NuxtLink>
  </div>
</template>

<style scoped>
.day {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
}
.day h1 {
  font-size: 34px;
  line-height: 36px;
  white-space: nowrap;
}
.day p {
  color: var(--ink2);
  white-space: nowrap;
}
.by {
  display: flex;
  margin-left: auto;
}
.by .p-button {
  border-radius: 0;
}
.by .p-button:first-child {
  border-radius: 8px 0 0 8px;
  border-right: 0;
}
.by .p-button:last-child {
  border-radius: 0 8px 8px 0;
}
.by [aria-pressed='true'] {
  background: var(--ink);
  color: var(--ground);
  border-color: var(--ink);
}
.find {
  flex: 0 1 230px;
  min-width: 120px;
}
.find input {
  width: 100%;
  min-height: 56px;
  font-size: 17px;
}
.new {
  background: var(--petrol);
  color: var(--on-petrol);
  border-radius: 8px;
  font: 600 21px/1 var(--figures);
  padding: 0 18px;
  min-height: 56px;
  display: inline-flex;
  align-items: center;
  gap: 12px;
  text-decoration: none;
  white-space: nowrap;
}
.new.quick {
  background: var(--sheet);
  color: var(--ink);
  border: 1.5px solid var(--ink);
}
.new kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
@media (max-width: 1400px) {
  .day p {
    display: none;
  }
  .day h1 {
    white-space: normal;
  }
}
.by .p-button {
  white-space: nowrap;
}
@media (max-width: 1100px) {
  .find {
    display: none;
  }
}
@media (max-width: 900px) {
  .day {
    gap: 10px;
    flex-wrap: wrap;
    padding: 12px 20px;
  }
  .day h1 {
    font-size: 26px;
    flex: 1 1 100%;
  }
  .day p {
    display: none;
  }
  .by {
    margin-left: 0;
    flex: 1 1 100%;
  }
  .new {
    flex: 1;
    justify-content: center;
  }
  .new kbd {
    display: none;
  }
  .by .p-button {
    flex: 1;
    padding: 0 12px;
    min-height: 56px;
  }
}
</style>

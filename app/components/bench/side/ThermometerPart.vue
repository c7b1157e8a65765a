<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { hasSerial, type LinePort, openSerial, openStandIn, readThermometer } from '../../../devices/thermometer'
import { wordsFor } from '../../../utils/errors'
import { t } from '../../../words'

/** The air about the engine, and the temperature by a thermometer on a line instead of by hand. */
defineProps<{ standIn: boolean }>()
const air = defineModel<string>('air', { required: true })
const emit = defineEmits<{ read: [headC: number] }>()
const state = ref('')
const busy = ref(false)
async function read(open: () => Promise<LinePort> | LinePort): Promise<void> {
  busy.value = true
  state.value = t('thermometer-part.reading')
  try {
    const { headC, airC } = await readThermometer(await open())
    if (airC !== null) air.value = String(airC)
    state.value = t('thermometer-part.read-c-look-whether-it', { headC })
    emit('read', headC)
  } catch (error) {
    state.value = wordsFor(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="part">
    <label for="ask-air">{{ t('thermometer-part.air-temperature-c') }}</label>
    <InputText
      id="ask-air"
      v-model="air"
      :placeholder="t('thermometer-part.20-c-if-blank')"
      inputmode="decimal"
      autocomplete="off"
    />
    <p class="doors">
      <Button v-if="hasSerial()" severity="secondary" outlined :disabled="busy" @click="read(openSerial)">
        {{ t('thermometer-part.from-the-thermometer') }}</Button><Button
        v-if="standIn"
        severity="secondary"
        outlined
        :disabled="busy"
        @click="read(() => openStandIn(() => Date.now()))"
      >
        {{ t('thermometer-part.demo-reading') }}
      </Button>
    </p>
    <p v-if="state" class="note" role="status">{{ state }}</p>
  </div>
</template>

<style scoped>
.part {
  display: grid;
  gap: 8px;
}
.doors {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.part :deep(input) {
  width: 100%;
  min-height: 48px;
}
label {
  font-size: 16px;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, ref, useTemplateRef } from 'vue'
import type { CrewMember } from '~~/shared/change-of-hands'
import { pinSignInSchema } from '~~/shared/change-of-hands'
import type { useForm } from '../../composables/useForm'
import { t } from '../../words'
import CheckedForm from './CheckedForm.vue'
import TextField from './TextField.vue'

/** Who takes over: a tap on the name, and a PIN. */
defineProps<{ crew: CrewMember[]; form: ReturnType<typeof useForm>; here: number | null }>()
const emit = defineEmits<{ take: [personId: number, pin: string] }>()
const chosen = ref<CrewMember | null>(null)
const pin = ref('')
const element = useTemplateRef<HTMLElement>('element')
async function choose(person: CrewMember): Promise<void> {
  chosen.value = person
  pin.value = ''
  await nextTick()
  element.value?.querySelector('input')?.focus()
}
const body = () => ({ personId: chosen.value?.id, pin: pin.value })
</script>

<template>
  <section ref="element" class="crew" :aria-label="t('crew-pick.who-takes-over')">
    <h2>{{ t('crew-pick.who-takes-over') }}</h2>
    <div class="names">
      <Button
        v-for="p in crew"
        :key="p.id"
        severity="secondary"
        outlined
        :disabled="p.id === here"
        :aria-pressed="chosen?.id === p.id"
        @click="choose(p)"
        >{{ p.name }}<small v-if="p.id === here">{{ t('crew-pick.here-now') }}</small></Button
      >
    </div>
    <template v-if="chosen">
      <p v-if="!chosen.hasPin" class="said">{{ t('crew-pick.no-pin', { name: chosen.name }) }}</p>
      <CheckedForm
        v-else
        :key="chosen.id"
        class="pin"
        :form="form"
        :schema="pinSignInSchema"
        :body="body"
        @send="emit('take', chosen.id, pin)"
      >
        <TextField
          v-model="pin"
          :label="t('crew-pick.pin-of', { name: chosen.name })"
          name="pin"
          type="password"
          inputmode="numeric"
          autocomplete="off"
        />
        <p v-if="form.failed.value && !form.wrong('pin')" class="wrong" role="alert">{{ form.failed.value }}</p>
        <Button type="submit" :label="t('crew-pick.take-over')" :loading="form.busy.value" />
      </CheckedForm>
    </template>
  </section>
</template>

<style scoped>
.crew,
.pin {
  display: grid;
  gap: 14px;
}
.names {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 10px;
}
.names .p-button {
  min-height: 64px;
  display: grid;
  font-size: 20px;
}
.names small {
  font-size: 14px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import type { Clearance, Role } from '~~/core/engine'
import { clearanceWords, disagreeing, figureRefused, type Happening, type JobView, EVENTS } from '~~/core/job'
import { parseClearance } from '~~/core/spec-book'
import PanelFrame from './PanelFrame.vue'

/** Which of two printed figures stands, or one between them: a lead says so, with a reason, and the sheet shows it. */
const props = defineProps<{ view: JobView; role: Role; isLead: boolean }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const engine = computed(() => props.view.tools.pin.spec.engine)
const printed = computed(() => [
  { clearance: engine.value.clearance[props.role], source: engine.value.source },
  ...disagreeing(engine.value, props.role).map(o => ({ clearance: o.clearance, source: o.source })),
])
const OWN = -1
const chosen = ref<number | null>(null)
const own = ref('')
const reason = ref('')
const wrong = ref('')

function settle(): void {
  wrong.value = ''
  try {
    if (chosen.value === null) throw new Error('Choose a figure first.')
    const clearance: Clearance =
      chosen.value === OWN ? parseClearance(own.value, props.view.pin.unit) : printed.value[chosen.value]!.clearance
    const refusal = figureRefused(engine.value, props.role, clearance)
    if (refusal) throw new Error(refusal)
    const parsed = EVENTS['figure-settled'].payload.safeParse({ role: props.role, clearance, reason: reason.value })
    if (!parsed.success)
      throw new Error(
        parsed.error.issues[0]!.path[0] === 'reason'
          ? 'Give the reason: it goes on the sheet.'
          : parsed.error.issues[0]!.message,
      )
    emit('record', { type: 'figure-settled', payload: parsed.data })
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : 'That isn’t valid. Check the unit and type it again.'
  }
}
</script>

<template>
  <PanelFrame :title="`Figure for the ${role}`" label="Printed figures" @back="$emit('back')">
    <p v-if="!isLead" class="note">
      A lead decides which is right. Ask one to sign in on this device, or go back and continue with a reason.
    </p>
    <template v-else>
      <button
        v-for="(p, i) in printed"
        :key="i"
        type="button"
        class="key pick"
        :class="{ chosen: chosen === i }"
        :aria-pressed="chosen === i"
        @click="chosen = i"
      >
        <b>{{ clearanceWords(p.clearance) }}</b><span>{{ p.source }}</span>
      </button>
      <button
        type="button"
        class="key pick"
        :class="{ chosen: chosen === OWN }"
        :aria-pressed="chosen === OWN"
        @click="chosen = OWN"
      >
        <b>A figure between them</b><span>not averaged for you: type it</span>
      </button>
      <div v-if="chosen === OWN" class="field">
        <label for="own-figure">Figure, in {{ view.pin.unit }}</label
        ><InputText id="own-figure" v-model="own" placeholder="0.11–0.15" />
      </div>
      <div class="field">
        <label for="figure-reason">Why this one?</label
        ><Textarea id="figure-reason" v-model="reason" rows="2" auto-resize />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button label="Use this figure" @click="settle" />
    </template>
  </PanelFrame>
</template>

<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import type { Clearance, Role } from '~~/core/engine'
import { clearanceWords, disagreeing, EVENTS, figureRefused, type Happening, type JobView } from '~~/core/job'
import { parseClearance } from '~~/core/spec-book/spec-text'
import { wordsFor } from '../../../utils/errors'
import { t, tell } from '../../../words'
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
    if (chosen.value === null) throw new Error(t('figure-panel.choose-a-figure-first'))
    const clearance: Clearance =
      chosen.value === OWN ? parseClearance(own.value, props.view.pin.unit) : printed.value[chosen.value]!.clearance
    const refusal = figureRefused(engine.value, props.role, clearance)
    if (refusal) throw new Error(tell(refusal))
    const parsed = EVENTS['figure-settled'].payload.safeParse({ role: props.role, clearance, reason: reason.value })
    if (!parsed.success)
      throw new Error(
        parsed.error.issues[0]!.path[0] === 'reason'
          ? t('figure-panel.give-the-reason-it-goes')
          : wordsFor(parsed.error),
      )
    emit('record', { type: 'figure-settled', payload: parsed.data })
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <PanelFrame
    :title="t('figure-panel.figure-for-the', { role })"
    :label="t('figure-panel.printed-figures')"
    @back="$emit('back')"
  >
    <p v-if="!isLead" class="note">
      {{ t('figure-panel.a-lead-decides-which-is') }}
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
        <b>{{ t('figure-panel.a-figure-between-them') }}</b><span>{{
          t('figure-panel.not-averaged-for-you-type')
        }}</span>
      </button>
      <div v-if="chosen === OWN" class="field">
        <label for="own-figure">{{ t('figure-panel.figure-in', { unit: view.pin.unit }) }}</label><InputText
          id="own-figure"
          v-model="own"
          placeholder="0.11–0.15"
        />
      </div>
      <div class="field">
        <label for="figure-reason">{{ t('figure-panel.why-this-one') }}</label><Textarea
          id="figure-reason"
          v-model="reason"
          rows="2"
          auto-resize
        />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button :label="t('figure-panel.use-this-figure')" @click="settle" />
    </template>
  </PanelFrame>
</template>

<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { parseClock } from '~~/core/adjuster'
import { gainWords, type JobView, type Stage, toolWords, turnDoubt } from '~~/core/job'
import { say } from '~~/core/said'
import { wordsFor } from '../../utils/errors'
import { t, tell } from '../../words'

/** How far the screw is to be turned: more or less by five degrees, or to an hour; without a turn, what to turn it with. */
const props = defineProps<{
  view: JobView
  stage: Extract<Stage, { kind: 'screw' }>
  turnDeg: number | null
}>()
const emit = defineEmits<{ turn: [deg: number]; point: [clockDeg: number] }>()
const adjuster = computed(() => props.view.pin.spec.engine.adjuster)
const change = (by: number) => emit('turn', (props.turnDeg ?? 0) + by)
const hour = ref('')
const wrong = ref('')
watch(
  () => props.view.state,
  () => {
    hour.value = ''
    wrong.value = ''
  },
)
function point(): void {
  wrong.value = ''
  try {
    emit('point', parseClock(hour.value))
    // the answer keys take over again
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <div class="turn">
    <template v-if="turnDeg !== null">
      <span class="words"
        >{{ tell(say('turn.flats', { deg: turnDeg }))
        }}<template v-if="stage.turn">, {{ tell(turnDoubt(stage.turn)) }}</template></span
      >
      <Button severity="secondary" outlined :aria-label="t('screw-stage.5-degrees-less-clockwise')" @click="change(-5)">
        −5° <kbd>[</kbd>
      </Button>
      <output class="figures">{{ turnDeg < 0 ? '−' : turnDeg > 0 ? '+' : '' }}{{ Math.abs(turnDeg) }}°</output>
      <Button severity="secondary" outlined :aria-label="t('screw-stage.5-degrees-more-clockwise')" @click="change(5)">
        +5° <kbd>]</kbd>
      </Button>
      <form class="hour" @submit.prevent="point">
        <label for="slot-hour">{{
          t('screw-stage.at', { head: adjuster.head === 'slot' ? t('screw-stage.slot') : t('screw-stage.mark') })
        }}</label><InputText
          id="slot-hour"
          v-model="hour"
          placeholder="2:30"
          autocomplete="off"
          :invalid="!!wrong"
          aria-describedby="slot-wrong"
          @change="hour && point()"
        />
      </form>
      <p v-if="wrong" id="slot-wrong" class="wrong" role="alert">{{ wrong }}</p>
    </template>
    <span v-else class="words"
      >{{ tell(say('said.capital', { of: toolWords(adjuster) })) }}. {{ view.pin.spec.engine.tools }}.
      {{ tell(gainWords(adjuster)) }}</span
    >
  </div>
</template>

<style scoped>
.turn {
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  padding: 7px 20px;
  min-height: 58px;
}
.words {
  font: 500 16px/1.25 var(--figures);
  color: var(--ink2);
  margin-right: auto;
}
output {
  font-size: 22px;
  font-weight: 700;
  min-width: 60px;
  text-align: center;
  color: var(--petrol);
}
.hour {
  display: flex;
  gap: 6px;
  align-items: center;
  font: 600 15.5px/1 var(--figures);
}
.hour input {
  width: 74px;
  min-height: 44px;
  font-size: 17px;
}
.wrong {
  flex-basis: 100%;
}
@media (max-width: 700px) {
  .turn {
    padding: 6px 16px;
    gap: 8px;
  }
  .words {
    flex-basis: 100%;
  }
}
</style>

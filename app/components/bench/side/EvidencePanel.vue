<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { EVENTS, type Happening, type JobView, offeredWords, turnsToTell, turnTold } from '~~/core/job'
import { wordsFor } from '../../../utils/errors'
import { t, tell } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/** Anything else that was seen, felt or done with the crank: what would tell most stands first. */
const props = defineProps<{ view: JobView }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const offered = computed(() => offeredWords(props.view))
const turns = computed(() => turnsToTell(props.view))
/** What was answered here stands after what would still tell something, so that it can be answered anew. */
const ordered = computed(() => [
  ...offered.value.filter(q => q.share > 0),
  ...offered.value.filter(q => q.share === 0 && q.answered),
  ...offered.value.filter(q => q.share === 0 && !q.answered),
])
const degrees = ref('')
const wrong = ref('')

function tellTurn(back: boolean): void {
  const given = /^\s*(\d+(?:[.,]\d+)?)\s*°?\s*$/.exec(degrees.value)
  const deg = given ? Number(given[1]!.replace(',', '.')) : Number.NaN
  const happening = turnTold(back ? -deg : deg)
  const parsed = EVENTS.crank.payload.safeParse(happening.payload)
  if (Number.isNaN(deg)) wrong.value = t('evidence-panel.type-the-degrees-as-a')
  else if (parsed.success) emit('record', happening)
  else wrong.value = wordsFor(parsed.error)
}
</script>

<template>
  <PanelFrame
    :title="t('evidence-panel.seen-felt-or-turned')"
    :label="t('evidence-panel.what-you-can-tell')"
    @back="emit('back')"
  >
    <h3>{{ t('evidence-panel.what-tells-the-most-is') }}</h3>
    <div v-for="q in ordered" :key="tell(q.ask)" class="ask" :class="{ idle: q.share === 0 }" data-testid="offered">
      <p>
        <span
          >{{ tell(q.ask)
          }}<small v-if="q.answered">{{ t('evidence-panel.answered', { answered: tell(q.answered) }) }}</small></span
        ><span
          class="share"
          :title="
            q.share === 0
              ? t('evidence-panel.tells-nothing-new-here')
              : t('evidence-panel.would-tell-bits-now', { share: q.share.toFixed(2) })
          "
          ><i :style="{ width: `${Math.max(4, q.share * 100)}%` }"
        /></span>
      </p>
      <div class="answers">
        <Button
          v-for="a in q.answers"
          :key="tell(a.title)"
          severity="secondary"
          outlined
          :aria-pressed="q.answered !== null && tell(a.title) === tell(q.answered)"
          @click="emit('record', a.happening)"
        >
          {{ tell(a.title) }}
        </Button>
      </div>
    </div>
    <h3>{{ t('evidence-panel.the-crank-was-turned') }}</h3>
    <form class="turn" @submit.prevent="tellTurn(false)">
      <label for="turned-by">{{ t('evidence-panel.by-how-many-degrees') }}</label>
      <InputText
        id="turned-by"
        v-model="degrees"
        inputmode="decimal"
        placeholder="90"
        autocomplete="off"
        :invalid="!!wrong"
        :aria-describedby="wrong ? 'turned-wrong' : undefined"
      />
      <Button type="submit" :label="t('evidence-panel.forward')" /><Button
        severity="secondary"
        outlined
        @click="tellTurn(true)"
      >
        {{ t('evidence-panel.back-a-bit') }}
      </Button>
      <p v-if="wrong" id="turned-wrong" class="wrong" role="alert">{{ wrong }}</p>
    </form>
    <div class="turns">
      <Button
        v-for="turn in turns"
        :key="tell(turn.title)"
        severity="secondary"
        outlined
        @click="emit('record', turn.happening)"
      >
        {{ tell(turn.title) }}
      </Button>
    </div>
  </PanelFrame>
</template>

<style scoped>
h3 {
  font-size: 16px;
  color: var(--petrol);
  padding-top: 6px;
}
.ask {
  padding: 6px 0 8px;
  border-bottom: 1px solid var(--line);
}
.ask p {
  font: 600 16.5px/1.25 var(--figures);
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
}
.ask small {
  display: block;
  font: 400 14px/1.2 var(--sentences);
  color: var(--ink2);
}
.answers [aria-pressed='true'] {
  border: 2px solid var(--petrol);
}
.ask.idle p {
  color: var(--ink3);
}
.share {
  flex: none;
  width: 56px;
  height: 8px;
  background: var(--sunk);
  display: block;
}
.share i {
  display: block;
  height: 100%;
  background: var(--petrol);
}
.idle .share i {
  background: var(--edge);
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-top: 6px;
}
.answers .p-button {
  min-height: 44px;
  background: var(--white);
  text-align: left;
  line-height: 1.15;
  padding-block: 6px;
}
.turn {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 6px 8px;
  align-items: center;
  padding: 4px 0 8px;
}
.turn label,
.turn .wrong {
  grid-column: 1 / -1;
  font-size: 16px;
}
.turn input {
  min-height: 48px;
  width: 100%;
  font-size: 18px;
}
.turn :deep(.p-button) {
  min-height: 48px;
}
.turns {
  display: grid;
  gap: 6px;
}
.turns .p-button {
  min-height: 48px;
  text-align: left;
  line-height: 1.2;
  padding-block: 8px;
  background: var(--white);
}
</style>

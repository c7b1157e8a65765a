<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import ProgressBar from 'primevue/progressbar'
import Textarea from 'primevue/textarea'
import { ref, useId, watch } from 'vue'
import type { SpecText } from '~~/core/spec-book'
import { usePageReading } from '../../composables/usePageReading'
import { t, tell } from '../../words'
import { fieldName, fieldSays } from './field-names'

/** The page of a manual, pasted or photographed: each figure with where it is from; what is ticked is filled in. */
const emit = defineEmits<{ take: [fields: Partial<SpecText>] }>()
/** The photo that the figures were read from: it stays with the revision. */
const photo = defineModel<File | null>('photo', { required: true })
const page = usePageReading()
const { text, offered, taken, part, problem, read, sure } = page
watch(page.photo, file => {
  photo.value = file
})
const pasting = ref(false)
/** How many figures of this page were filled in. */
const done = ref(0)
const id = useId()
async function chosen(event: Event): Promise<void> {
  done.value = 0
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  pasting.value = false
  if (file) await page.photograph(file)
}
function readText(): void {
  done.value = 0
  page.paste()
}
function take(): void {
  emit('take', page.fields())
  done.value = taken.value.length
  page.settle()
  pasting.value = false
}
</script>

<template>
  <section class="from" :aria-labelledby="`${id}-title`">
    <h2 :id="`${id}-title`">{{ t('from-page.from-the-page') }}</h2>
    <p class="note">{{ t('from-page.paste-or-photograph') }}</p>
    <div class="actions">
      <Button severity="secondary" outlined :aria-expanded="pasting" @click="pasting = !pasting">{{
        t('from-page.paste-its-text')
      }}</Button>
      <label class="quiet take"
        >{{ t('from-page.photograph-it')
        }}<input type="file" accept="image/jpeg,image/png,image/webp" :disabled="part !== null" @change="chosen"
      /></label>
    </div>
    <div v-if="pasting" class="field">
      <label :for="id">{{ t('from-page.text-of-the-page') }}</label>
      <Textarea :id="id" v-model="text" :rows="6" auto-resize />
      <div class="actions"><Button :label="t('from-page.read-it')" @click="readText" /></div>
    </div>
    <div v-if="part !== null" role="status">
      <p>{{ t('from-page.reading') }}</p>
      <ProgressBar :value="Math.round(part * 100)" />
    </div>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="read && offered.length === 0" role="status">{{ t('from-page.nothing-found') }}</p>
    <p v-if="done" role="status">{{ t('from-page.filled-in', { count: done }) }}</p>
    <template v-if="offered.length">
      <p role="status">
        {{
          done
            ? t('from-page.still-left', { count: offered.length })
            : t('from-page.tick-what-is-right', { count: offered.length })
        }}
      </p>
      <ul>
        <li v-for="(f, i) in offered" :key="i" :class="{ doubtful: f.doubts.length }">
          <Checkbox
            :input-id="`${id}-${i}`"
            :model-value="taken.includes(f)"
            binary
            @update:model-value="page.toggle(f)"
          />
          <label :for="`${id}-${i}`"
            ><span>{{ fieldName(f.field) }}</span> <b>{{ fieldSays(f.field, f.text) }}</b></label
          >
          <img v-if="f.piece" :src="f.piece" :alt="f.quote" />
          <q v-else>{{ f.quote }}</q>
          <p v-for="(d, n) in f.doubts" :key="n" class="doubt">{{ tell(d) }}</p>
        </li>
      </ul>
      <div class="actions">
        <Button
          v-if="taken.length === 0 && sure.length"
          :label="t('from-page.tick-all-without-doubt', { count: sure.length })"
          @click="page.takeSure()"
        />
        <Button
          v-else
          :label="t('from-page.fill-in', { count: taken.length })"
          :disabled="!taken.length"
          @click="take"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
.from {
  display: grid;
  gap: 12px;
  padding: 16px 18px;
  background: var(--white);
  border: 1px solid var(--edge);
}
.from h2 {
  border: 0;
  padding: 0;
}
.note {
  color: var(--ink2);
}
.take {
  position: relative;
  overflow: hidden;
}
.take input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.take:focus-within {
  outline: 3px solid var(--petrol);
  outline-offset: 2px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 420px), 1fr));
  gap: 0 32px;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 12px;
  align-items: center;
  align-content: start;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
li > label {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
  min-height: 44px;
  align-content: center;
}
li > label b {
  font: 600 20px/1.2 var(--figures);
}
li > :is(q, img, .doubt) {
  grid-column: 2;
}
q {
  color: var(--ink2);
  font-size: 15.5px;
}
img {
  max-width: 100%;
  max-height: 72px;
  object-fit: contain;
  object-position: left;
}
.doubt::before {
  content: '! ';
}
.doubt {
  font-weight: 600;
  font-size: 15.5px;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { CAM_PICTURES, type CamPicture, type Engine, type Mark, MARK_SHAPES, shapeOf } from '~~/core/engine'
import { camMarksText, marksText, parseCamMarks, parseMarks, type SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import CamSign from '../../engine/CamSign.vue'
import MarkShape from '../../engine/MarkShape.vue'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import TileChoice from '../../forms/TileChoice.vue'

/** What each mark and sign that is typed above looks like, chosen from drawings; the fields say it in words. */
const spec = defineModel<SpecText>('spec', { required: true })

/** What is typed, as far as it can be read. */
function read<T>(parse: (text: string) => T[], text: string): T[] {
  try {
    return parse(text)
  } catch {
    return []
  }
}
const marks = computed(() => read(parseMarks, spec.value.marks))
const signs = computed(() => read(parseCamMarks, spec.value.camMarks))
/** In the notation of the field, brackets, commas and semicolons end what is told. */
const plain = (text: string) => text.replace(/[(),;\n]+/g, ' ')

function tellMark(at: number, told: Partial<Mark>): void {
  spec.value.marks = marksText(marks.value.map((m, i) => (i === at ? { ...m, ...told } : m)))
}
function tellSign(at: number, told: Partial<Engine['camMarks'][number]>): void {
  spec.value.camMarks = camMarksText(signs.value.map((s, i) => (i === at ? { ...s, ...told } : s)))
}
const kinds = [
  { value: 'top' as const, label: t('mark-strip.top') },
  { value: 'fire' as const, label: t('mark-strip.fires') },
  { value: 'advance' as const, label: t('mark-strip.advance') },
]
const shapes = MARK_SHAPES.map(value => ({ value, label: t('mark-looks.shape', { shape: value }) }))
const pictures = CAM_PICTURES.map(value => ({ value, label: t('mark-looks.picture', { picture: value }) }))
</script>

<template>
  <div v-if="marks.length || signs.length" class="looks">
    <div v-for="(mark, i) in marks" :key="`m${i}`" class="one">
      <TileChoice
        :model-value="shapeOf(mark)"
        :label="t('mark-looks.looks-like', { name: mark.letter })"
        :options="shapes"
        :data-mark="mark.letter"
        @update:model-value="tellMark(i, { shape: $event })"
      >
        <template #default="{ value }">
          <svg viewBox="-44 -24 88 48" class="drawn" aria-hidden="true">
            <path d="M -44 -24 H 44 M -44 24 H 44" stroke="var(--line)" />
            <MarkShape :shape="value" :letter="mark.letter" :sign="1" :half="20" :bold="false" :font-size="19" />
          </svg>
        </template>
      </TileChoice>
      <ChoiceField
        :model-value="mark.kind"
        :label="t('mark-looks.is-for', { name: mark.letter })"
        :options="kinds"
        @update:model-value="$event && tellMark(i, { kind: $event })"
      />
      <TextField
        :model-value="mark.through ?? ''"
        :label="t('mark-looks.through', { name: mark.letter })"
        :placeholder="spec.markWindow"
        :note="t('mark-looks.only-if-another')"
        @update:model-value="tellMark(i, { through: plain($event) || undefined })"
      />
    </div>
    <div v-for="(sign, i) in signs" :key="`s${i}`" class="one">
      <TileChoice
        :model-value="sign.picture ?? ('' as CamPicture)"
        :label="t('mark-looks.looks-like', { name: sign.words })"
        :options="pictures"
        :data-sign="i + 1"
        @update:model-value="tellSign(i, { picture: $event })"
      >
        <template #default="{ value }"><CamSign class="drawn" :picture="value" label="" aria-hidden="true" /></template>
      </TileChoice>
      <TextField
        :model-value="sign.through ?? ''"
        :label="t('mark-looks.through', { name: sign.words })"
        @update:model-value="tellSign(i, { through: plain($event) || undefined })"
      />
    </div>
  </div>
</template>

<style scoped>
.looks,
.one {
  display: grid;
  gap: 14px;
}
.looks {
  padding-top: 18px;
}
.one {
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
.drawn {
  height: 48px;
  width: 88px;
}
</style>

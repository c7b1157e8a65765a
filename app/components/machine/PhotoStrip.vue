<script setup lang="ts">
import type { PhotoRow } from '~~/shared/machines'
import { usePhotos } from '../../composables/usePhotos'
import { LOCALE } from '../../language'
import { t } from '../../words'
import EndButton from '../forms/EndButton.vue'

/** Photos of a machine, or of one job on it: taken with the phone’s camera or chosen, shown small, opened large. */
const props = defineProps<{ machineId: number; jobId?: number }>()
const { photos, waiting, part, failed, take, drop, discard } = usePhotos(props)
async function chosen(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) await take(file)
  field.value = ''
}
const words = (p: PhotoRow) =>
  `${new Date(p.madeAt).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', year: 'numeric' })}, ${p.person}`
</script>

<template>
  <div class="photos">
    <p v-if="failed" class="wrong" role="alert">{{ failed }}</p>
    <ul v-if="photos.length || waiting.length" :aria-label="t('common.photos')">
      <li v-for="p in waiting" :key="p.id" data-testid="photo-waiting">
        <img :src="p.address" :alt="t('photo-strip.photo-kept-on-this-device')" width="108" height="81" />
        <small>{{ p.refused ?? t('photo-strip.saved-on-this-device-not') }}</small>
        <EndButton
          link
          :label="t('common.remove')"
          :ask="t('photo-strip.gone-for-good')"
          :aria-label="t('photo-strip.remove-the-photo-that-was')"
          @end="discard(p.id)"
        />
      </li>
      <li v-for="p in photos" :key="p.id">
        <a :href="`/api/photos/${p.id}`" target="_blank" rel="noopener"
          ><img
            :src="`/api/photos/${p.id}?size=small`"
            :alt="p.caption || t('photo-strip.photo-of', { day: words(p) })"
            width="108"
            height="81"
            loading="lazy" /></a
        ><small>{{ words(p) }}</small
        ><EndButton
          link
          :label="t('common.remove')"
          :ask="t('photo-strip.gone-for-good')"
          :aria-label="t('photo-strip.remove-the-photo-of', { day: words(p) })"
          @end="drop(p.id)"
        />
      </li>
    </ul>
    <label class="quiet take"
      >{{ part === null ? t('photo-strip.add-a-photo') : t('photo-strip.sending', { part: Math.round(part * 100) })
      }}<input type="file" accept="image/jpeg,image/png,image/webp" :disabled="part !== null" @change="chosen"
    /></label>
  </div>
</template>

<style scoped>
.photos {
  display: grid;
  gap: 10px;
  justify-items: start;
}
ul {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  width: 108px;
}
img {
  object-fit: cover;
  border: 1px solid var(--edge);
  display: block;
}
small {
  font-size: 14px;
  color: var(--ink2);
}
.p-button {
  padding: 4px 0;
  font-size: 15px;
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
</style>

<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { PhotoRow } from '~~/shared/machines'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'
import { upload } from '../../utils/upload'

/** Photos of a machine, or of one job on it: taken with the phone’s camera or chosen, shown small, opened large. */
const props = defineProps<{ machineId: number; jobId?: number }>()
const form = useForm()
const photos = ref<PhotoRow[]>([])
const part = ref<number | null>(null)
const load = async () => {
  photos.value = (
    (await form.send(() => api.get<PhotoRow[]>(`/api/machines/${props.machineId}/photos`))) ?? photos.value
  ).filter(p => props.jobId === undefined || p.jobId === props.jobId)
}
onMounted(load)
const MOST = 5 * 1024 * 1024
async function take(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  part.value = 0
  await form.send(async () => {
    if (file.size > MOST)
      throw new Error(
        `This photo has ${(file.size / 1024 / 1024).toFixed(1)} MB; 5 MB is the limit. Take it smaller, or crop it.`,
      )
    const query = new URLSearchParams(props.jobId === undefined ? {} : { job: String(props.jobId) })
    return upload<PhotoRow>(
      `/api/machines/${props.machineId}/photos?${query}`,
      file,
      p => {
        part.value = p
      },
      new AbortController().signal,
    )
  })
  part.value = null
  field.value = ''
  const wrong = form.failed.value
  await load()
  form.failed.value = wrong
}
async function drop(id: number): Promise<void> {
  if (await form.send(() => api.delete(`/api/photos/${id}`))) await load()
}
const words = (p: PhotoRow) =>
  `${new Date(p.madeAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })}, ${p.person}`
</script>

<template>
  <div class="photos">
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <ul v-if="photos.length" aria-label="Photos">
      <li v-for="p in photos" :key="p.id">
        <a :href="`/api/photos/${p.id}`" target="_blank" rel="noopener"
          ><img
            :src="`/api/photos/${p.id}?size=small`"
            :alt="p.caption || `Photo of ${words(p)}`"
            width="108"
            height="81"
            loading="lazy" /></a
        ><small>{{ words(p) }}</small
        ><button type="button" class="link" :aria-label="`Remove the photo of ${words(p)}`" @click="drop(p.id)">
          Remove
        </button>
      </li>
    </ul>
    <label class="quiet take"
      >{{ part === null ? 'Add a photo' : `Sending ${Math.round(part * 100)} %`
      }}<input type="file" accept="image/jpeg,image/png,image/webp" :disabled="part !== null" @change="take"
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
  font-size: 13px;
  color: var(--ink2);
}
.link {
  min-height: 32px;
  padding: 4px 0;
  font-size: 14px;
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

<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { useConfirm } from 'primevue/useconfirm'
import { computed, ref } from 'vue'
import type { OneTimeCode, PersonRow } from '~~/shared/people'
import { LOCALE } from '../../language'
import { t } from '../../words'
import MenuButton from '../shell/MenuButton.vue'

/** Who works here; a lead changes roles, ends and gives back access, and makes one-time codes. */
const props = defineProps<{
  people: PersonRow[]
  isLead: boolean
  /** A code that was just made: it is shown this once. */
  code: { person: PersonRow; made: OneTimeCode } | null
  timeZone: string
}>()
const emit = defineEmits<{
  role: [person: PersonRow]
  code: [person: PersonRow]
  signOut: [person: PersonRow]
  end: [person: PersonRow]
  back: [person: PersonRow]
}>()
const confirm = useConfirm()
const left = computed(() => props.people.filter(p => p.endedAt !== null))
const showLeft = ref(false)
const shown = computed(() => props.people.filter(p => p.endedAt === null || showLeft.value))

/** What ends something is asked about first. */
function asked(message: string, acceptLabel: string, accept: () => void): void {
  confirm.require({
    message,
    acceptLabel,
    rejectLabel: t('common.leave-it'),
    rejectProps: { severity: 'secondary', outlined: true },
    target: document.activeElement as HTMLElement,
    accept,
  })
}
function itemsFor(person: PersonRow) {
  if (person.endedAt) return [{ label: t('crew-panel.let-back'), command: () => emit('back', person) }]
  const { name } = person
  return [
    {
      label: person.role === 'lead' ? t('crew-panel.make-mechanic') : t('crew-panel.make-lead'),
      command: () => emit('role', person),
    },
    { label: t('crew-panel.make-code'), command: () => emit('code', person) },
    {
      label: t('page-shop.sign-out-everywhere-2'),
      command: () =>
        asked(t('page-shop.signs-in-again', { name }), t('page-shop.sign-out-everywhere-2'), () =>
          emit('signOut', person),
        ),
    },
    {
      label: t('crew-panel.end'),
      command: () => asked(t('crew-panel.end-asks', { name }), t('crew-panel.end'), () => emit('end', person)),
    },
  ]
}
const until = (iso: string): string =>
  new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short', timeZone: props.timeZone }).format(
    new Date(iso),
  )
</script>

<template>
  <div class="crew">
    <DataTable class="few" :value="shown" data-key="id">
      <Column field="name" sortable :header="t('common.name')" body-class="figures" />
      <Column field="signIn" sortable :header="t('page-shop.signs-in-as')" />
      <Column field="role" sortable :header="t('page-shop.role')">
        <template #body="{ data }: { data: PersonRow }">{{
          data.endedAt ? t('crew-panel.access-ended') : t(`common.${data.role}`)
        }}</template>
      </Column>
      <Column v-if="isLead">
        <template #header
          ><span class="hidden-words">{{ t('common.change') }}</span></template
        >
        <template #body="{ data }: { data: PersonRow }">
          <MenuButton
            :label="t('common.change')"
            :name="t('crew-panel.changes', { name: data.name })"
            :items="itemsFor(data)"
          />
        </template>
      </Column>
    </DataTable>
    <Button
      v-if="isLead && left.length"
      link
      :aria-pressed="showLeft"
      :label="t('crew-panel.show-left', { count: left.length })"
      @click="showLeft = !showLeft"
    />
    <section v-if="code" class="made" role="status">
      <h3>{{ t('crew-panel.code-for', { name: code.person.name }) }}</h3>
      <p class="figure" data-testid="one-time-code">{{ code.made.code }}</p>
      <p class="note">{{ t('crew-panel.code-how', { until: until(code.made.until) }) }}</p>
    </section>
  </div>
</template>

<style scoped>
.crew {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.crew > :first-child {
  width: 100%;
}
.made {
  border-left: 6px solid var(--petrol);
  padding: 6px 0 6px 14px;
}
.figure {
  font: 600 34px/1.2 var(--figures);
  letter-spacing: 0.08em;
}
</style>

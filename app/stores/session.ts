import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { Hands } from '~~/core/job'
import type { SessionResponse } from '~~/shared/session'
import { rememberedSession, rememberSession } from '../local/database'
import { api, isAway, Refused } from '../utils/api'

/** Who works at this browser, and how far its clock is from the server's. */
export const useSessionStore = defineStore('session', () => {
  const session = ref<SessionResponse | null>(null)
  const expired = ref(false)
  const offline = ref(false)
  /** Add to the device's clock for the server's time. */
  const skewMs = ref(0)
  const loaded = ref(false)

  const learnTime = (now: string): void => {
    skewMs.value = Date.parse(now) - Date.now()
  }

  function begin(given: SessionResponse): void {
    session.value = given
    expired.value = false
    offline.value = false
    learnTime(given.now)
    rememberSession(given).catch(() => {})
  }

  /** Asks the server who is signed in; when nobody answers, carries on as the last person here. */
  async function load(): Promise<void> {
    try {
      begin(await api('GET /api/session'))
    } catch (error) {
      if (isAway(error)) {
        offline.value = true
        session.value = await rememberedSession().catch(() => null)
      } else if (error instanceof Refused && error.status === 401) session.value = null
      else throw error
    }
    loaded.value = true
  }

  /** How much this person is asked before a job begins, on every device; here at once. */
  async function chooseHands(hands: Hands): Promise<void> {
    if (!session.value) return
    session.value = { ...session.value, person: { ...session.value.person, hands } }
    rememberSession(session.value).catch(() => {})
    await api('PUT /api/hands', { body: { hands } }).catch(() => {})
  }

  async function signOut(): Promise<void> {
    await api('DELETE /api/session')
    await rememberSession(null).catch(() => {})
    session.value = null
  }

  return {
    session,
    expired,
    offline,
    skewMs,
    loaded,
    begin,
    load,
    chooseHands,
    signOut,
    learnTime,
    person: computed(() => session.value?.person ?? null),
    shop: computed(() => session.value?.shop ?? null),
    isLead: computed(() => session.value?.person.role === 'lead'),
  }
})

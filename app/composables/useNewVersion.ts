import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { HOUR_MS } from '~~/core/units'

/**
 * A new version of the application that the server has: it is fetched beside the one that runs, and waits. It is told
 * at a seam, between two answers or two pages, and used when somebody says so: a page never changes under a hand.
 * @returns `told` once there is one and a seam was reached; `seam` says that one is; `use` goes over to it
 */
export function useNewVersion() {
  const waiting = shallowRef<ServiceWorker | null>(null)
  /** Another page of this browser went over to it: this one still is the old one. */
  const left = ref(false)
  const atSeam = ref(false)
  const worker = typeof navigator === 'undefined' ? undefined : navigator.serviceWorker
  let registration: ServiceWorkerRegistration | null = null

  const look = () => {
    if (registration?.waiting && worker?.controller) waiting.value = registration.waiting
  }
  onMounted(async () => {
    if (!worker || import.meta.dev) return
    const before = worker.controller
    // where service workers are not allowed there is no copy to keep either
    registration = await worker.register('/sw.js').catch(() => null)
    look()
    registration?.addEventListener('updatefound', () => {
      registration?.installing?.addEventListener('statechange', look)
    })
    useEventListener(worker, 'controllerchange', () => {
      if (before) left.value = true
    })
  })
  useIntervalFn(() => registration?.update().catch(() => {}), HOUR_MS)

  const isThere = computed(() => waiting.value !== null || left.value)
  return {
    told: computed(() => isThere.value && atSeam.value),
    seam: () => {
      if (isThere.value) atSeam.value = true
    },
    use: () => {
      if (left.value || !waiting.value) return location.reload()
      worker?.addEventListener('controllerchange', () => location.reload(), { once: true })
      waiting.value.postMessage({ type: 'SKIP_WAITING' })
    },
  }
}

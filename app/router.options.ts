import type { RouterConfig } from 'nuxt/schema'
import type { WordGroup } from './words'

declare module 'vue-router' {
  interface RouteMeta {
    /** What this page says beyond what every page does. */
    words?: WordGroup[]
  }
}

/** A page's words are there before its own files are read: parts of it are told then already. */
export default {
  routes: pages =>
    pages.map(page => {
      const read = page.component
      if (typeof read !== 'function') throw new Error(`${page.path} is not read when it opens`)
      return {
        ...page,
        component: async () => {
          // not from the start: the words are awaited, and what starts the application is what they wait for
          const { fetchWords } = await import('./words')
          await fetchWords(page.meta?.words ?? [])
          return (read as () => Promise<unknown>)()
        },
      }
    }),
} satisfies RouterConfig as RouterConfig

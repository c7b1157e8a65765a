import { defineNuxtRouteMiddleware } from '#imports'
import { fetchWords, type WordGroup } from '../words'

declare module 'vue-router' {
  interface RouteMeta {
    /** What this page says beyond what every page does. */
    words?: WordGroup[]
  }
}

/** A page finds its words when it opens: parts of it are told as its files are read. */
export default defineNuxtRouteMiddleware(to => fetchWords(to.meta.words ?? []))

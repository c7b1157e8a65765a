/** Packages of one page, or that start the application: they go with what asks for them. */
const WITH_THEIR_PAGE = '(?!@primevue|vue-draggable-plus|sortablejs)'
const STARTING = '(?!nuxt/dist/(?:pages|app/(?:entry|plugins|components/nuxt-(?:root|error))))'
/** What the bundler and its plugins put in by themselves. */
const HELPERS = '^\\0(?:commonjsHelpers|vite/preload-helper|plugin-vue:export-helper)|^virtual:public'

const part = (...patterns: string[]) => new RegExp(patterns.join('|'))
/** The first that fits. */
const FILES: [name: string, of: RegExp][] = [
  ['chart', part('node_modules/(?:chart\\.js|@kurkle)/')],
  ['practice-core', part('/core/practice/')],
  [
    'core',
    part('/(?:core|shared)/[a-z-]+(?:/[a-z-]+)*\\.ts$', '/words/[^/]+\\.ts$', 'node_modules/(?:zod|fast-deep-equal)/'),
  ],
  // large parts that the Bench has none of; they need the others, and none of the others needs them
  ['tables', part('node_modules/primevue/(?:datatable|column|columngroup|row|paginator|inputnumber|radiobutton)/')],
  [
    'fields',
    part(
      'node_modules/primevue/(?:datepicker|autocomplete|drawer|fileupload|tabs|tab|tablist|tabpanels?|slider)/',
      'node_modules/(?:@primevue|@primeuix)/forms/',
    ),
  ],
  ['parts', part('node_modules/(?:primevue|@primevue/(?:core|icons)|@primeuix)/')],
  ['frame', part(HELPERS, `node_modules/${WITH_THEIR_PAGE}${STARTING}.*\\.m?js$`)],
  ['engine', part('/app/components/engine/')],
  [
    'bench',
    part(
      '/app/(?:bench|components/bench)/',
      '/app/composables/use(?:Bench|Blades|Clash|HandOver|Advice|Frame|NewerSpec)',
    ),
  ],
  ['forms', part('/app/components/forms/', '/app/composables/use(?:Form|MachineSearch|ModelSearch|Customers)')],
  [
    'shell',
    part(
      '/app/(?:stores|utils|local|middleware|layouts|components/shell|language|words)',
      '/app/composables/use(?:Keys|Live|Rest|Own)',
    ),
  ],
]

/**
 * Which file of the browser's code a module goes into, so that a page is a dozen requests and not a hundred: left to
 * itself, the bundler makes a file for each set of pages that share something. What is not named goes with its page.
 * Files must not need one another in a circle: the shell waits for the words (app/words.ts), the words need the core,
 * and a core that needed the shell would wait for ever.
 */
export const chunkOf = (id: string): string | undefined => FILES.find(([, of]) => of.test(id))?.[0]

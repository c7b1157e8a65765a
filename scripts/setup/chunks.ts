/** Packages of one page, or that start the application: they go with what asks for them. */
const WITH_THEIR_PAGE = '(?!@primevue|vue-draggable-plus|sortablejs|qrcode|dijkstrajs|date-fns|tesseract)'
const STARTING = '(?!nuxt/dist/(?:pages|app/(?:entry|plugins|components/nuxt-(?:root|error))))'
/** What the bundler and its plugins put in by themselves. */
const HELPERS = '^\\0(?:commonjsHelpers|vite/preload-helper|plugin-vue:export-helper)|^virtual:public'

const part = (...patterns: string[]) => new RegExp(patterns.join('|'))
/** Parts of the component library, by name, and the styles of each. */
const parts = (...names: string[]) => part(`node_modules/(?:primevue|@primeuix/styles/dist)/(?:${names.join('|')})/`)
/** Icons that are on the Bench, in its menus and notices; the others have a file of their own. */
const BENCH_ICONS = [
  'angledown',
  'baseicon',
  'check',
  'exclamationtriangle',
  'infocircle',
  'minus',
  'spinner',
  'times',
  'timescircle',
]
/** The first that fits. */
const FILES: [name: string, of: RegExp][] = [
  ['chart', part('node_modules/(?:chart\\.js|@kurkle)/')],
  ['practice-core', part('/core/practice/')],
  ['shell', part('/app/components/forms/EndButton', '/app/composables/useForm')],
  [
    'forms',
    part(
      '/app/components/forms/',
      '/shared/(?:backups|board|customers|jobs|machines|papers|people|phones|session|shelf)\\.ts$',
      '/shared/(?:shop|shop-log|shops|tokens)\\.ts$',
      '/app/composables/use(?:MachineSearch|ModelSearch|Customers)',
    ),
  ],
  // a quick job makes its engine of the spec book's plain fields
  ['quick-core', part('/core/quick/', '/core/job/quick-pin\\.ts$', '/shared/quick-jobs\\.ts$')],
  // what only the spec book needs of the core: it needs the core, and never the other way around
  [
    'spec-book-core',
    part(
      '/core/(?:spec-book|exchange|search|page-text)/',
      '/core/access/(?:usual-parts|fastener-text)',
      '/shared/spec-book\\.ts$',
    ),
  ],
  // only the sheet's page puts its lines together
  ['sheet-lines', part('/core/job/sheet/(?:together|lift-paths)\\.ts$')],
  // what becomes of a job that the shop did not open is asked in a panel
  ['panels', part('/core/job/carry-over\\.ts$', '/app/composables/useNotOpened\\.ts$')],
  [
    'core',
    part(
      '/(?:core|shared)/[a-z-]+(?:/[a-z-]+)*\\.ts$',
      '/words/(?:teller|turning|en/grammar|es/finish)\\.ts$',
      'node_modules/(?:zod|fast-deep-equal)/',
    ),
  ],
  // what answers say is in the sheet's words too: it goes with what is there already
  ...['en', 'es'].map((language): [string, RegExp] => [
    `everywhere.${language}`,
    part(`/words/${language}/(?:groups/everywhere|answers|turns)\\.ts$`),
  ]),
  // large parts that the Bench has none of, with their styles: they need the others, and none of the others needs them
  ['tables', parts('datatable', 'column', 'columngroup', 'row', 'paginator', 'inputnumber', 'radiobutton')],
  [
    'fields',
    part(
      parts(
        'accordion(?:content|header|panel)?',
        'autocomplete',
        'datepicker',
        'drawer',
        'fileupload',
        'message',
        'select',
        'slider',
        'virtualscroller',
      ).source,
      parts('tab', 'tablist', 'tabpanel', 'tabpanels', 'tabs').source,
      'node_modules/(?:@primevue|@primeuix)/forms/',
      'node_modules/date-fns/',
    ),
  ],
  ['icons', part(`node_modules/@primevue/icons/(?!index|(?:${BENCH_ICONS.join('|')})/)`)],
  ['parts', part('node_modules/(?:primevue|@primevue/(?:core|icons)|@primeuix)/')],
  ['frame', part(HELPERS, `node_modules/${WITH_THEIR_PAGE}${STARTING}.*\\.m?js$`)],
  ['engine', part('/app/components/engine/', '/app/bench/picture-words')],
  ['panels', part('/app/components/bench/side/')],
  [
    'bench',
    part(
      '/app/pages/jobs/\\[id\\]/index',
      '/app/(?:bench|components/bench)/',
      '/app/composables/use(?:Bench|Blades|Clash|HandOver|Advice|Frame|NewerSpec|Side)',
    ),
  ],
  [
    'shell',
    part(
      // what only forms and photos need goes with them
      '/app/(?:stores|local|middleware|layouts|components/shell|language|words)',
      '/app/utils/(?!shrunk|zones|day-and-time|shop-day|path-here)',
      '/app/composables/use(?:Keys|Live|Rest|Own|DeviceShop)',
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

/** Files by name, so that it can be read what a page fetches: words of one name are told apart by their language. */
export const fileNameOf = ({ name, facadeModuleId }: { name: string; facadeModuleId: string | null }): string => {
  const language = name.includes('.') ? undefined : /\/words\/(\w+)\/groups\//.exec(facadeModuleId ?? '')?.[1]
  return `_nuxt/${name.replaceAll(/[^\w.-]/g, '')}.${language ? `${language}.` : ''}[hash].js`
}

interface Warning {
  code?: string
  message: string
}
/** Files that need one another in a circle build, and fail in the browser: such a build is none. */
export function noCircle(warning: Warning, tell: (warning: Warning) => void): void {
  if (warning.code === 'CIRCULAR_CHUNK') throw new Error(`${warning.message} See scripts/setup/chunks.ts.`)
  tell(warning)
}

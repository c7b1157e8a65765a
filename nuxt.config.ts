import { join } from 'node:path'
import { build } from 'esbuild'
import { WembricPreset } from './app/theme/preset'
import { chunkOf, fileNameOf, noCircle } from './scripts/setup/chunks'
import { noJsonSchema } from './scripts/setup/no-json-schema'

const security = {
  corsHandler: false as const,
  rateLimiter: false as const,
  xssValidator: false as const,
  requestSizeLimiter: false as const,
  headers: {
    contentSecurityPolicy: {
      'base-uri': ["'none'"],
      'object-src': ["'none'"],
      'frame-ancestors': ["'none'"],
      'form-action': ["'self'"],
      'default-src': ["'self'"],
      'connect-src': ["'self'"],
      'font-src': ["'self'", 'data:'],
      'img-src': ["'self'", 'data:', 'blob:'],
      // the reader of photographed pages is compiled for speed
      'script-src': ["'self'", "'nonce-{{nonce}}'", "'strict-dynamic'", "'wasm-unsafe-eval'"],
      // the component library writes its theme into a style element
      'style-src': ["'self'", "'unsafe-inline'"],
      'worker-src': ["'self'", 'blob:'],
      'upgrade-insecure-requests': process.env.WEMBRIC_TLS === '1',
    },
    crossOriginEmbedderPolicy: 'unsafe-none' as const,
    strictTransportSecurity: process.env.WEMBRIC_TLS === '1' ? { maxAge: 15552000 } : (false as const),
  },
}

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@primevue/nuxt-module', 'nuxt-security', '@vite-pwa/nuxt', '@nuxt/eslint'],
  $development: {
    vite: {
      // what the first pages need, bundled at once: found one by one, each makes the page reload
      optimizeDeps: {
        include: ['@vueuse/core', 'chart.js', 'comlink', 'fast-deep-equal', 'idb', 'uuid', 'vue-draggable-plus', 'zod'],
      },
      // with rendering in the browser alone, the dev server's node side asks for an entry of this name
      $client: { build: { rollupOptions: { input: { server: 'nuxt/dist/app/entry-spa' } } } },
    },
  },
  // behind a login and used offline: rendered in the browser, the server is the API (docs/decisions/0003)
  ssr: false,
  components: false,
  imports: { scan: false },
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Wembric',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'theme-color', content: '#F3EFE4' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  css: [
    '@fontsource/barlow-semi-condensed/500.css',
    '@fontsource/barlow-semi-condensed/600.css',
    '@fontsource/barlow-semi-condensed/700.css',
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    '~/assets/base.css',
    '~/assets/forms.css',
  ],
  // the API answers JSON and is never a page: its few headers are set in server/middleware
  routeRules: Object.fromEntries(
    ['/api/**', '/lan/**', '/metrics'].map(path => [path, { security: { headers: false as const } }]),
  ),
  compatibilityDate: '2026-11-01',
  nitro: {
    preset: 'node',
    serveStatic: true,
    minify: false,
    // what seals backups wants other versions of its helpers than what draws PDFs: it is built in, with its own
    externals: {
      inline: ['age-encryption', '@noble/curves', '@noble/post-quantum', '@noble/ciphers', '@noble/hashes'],
    },
    compressPublicAssets: true,
    // what reads a photographed page knows two languages; it lies on the shop's own server
    publicAssets: ['eng', 'spa'].map(language => ({
      dir: join(import.meta.dirname, `node_modules/@tesseract.js-data/${language}/4.0.0_best_int`),
      baseURL: '/ocr',
      maxAge: 31_536_000,
    })),
    // threads are programs of their own: what is due, workbooks, and backups
    hooks: {
      compiled: async nitro =>
        void (await build({
          entryPoints: ['outlook', 'workbook', 'backup'].map(name => `server/workers/${name}.ts`),
          outdir: join(nitro.options.output.serverDir, 'workers'),
          outExtension: { '.js': '.mjs' },
          bundle: true,
          platform: 'node',
          format: 'esm',
          // packages of the older kind ask for the runtime's own modules
          banner: {
            js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
          },
        })),
    },
  },
  // the language’s words are awaited before anything is said (app/words.ts)
  vite: {
    // one sheet of styles: 20 kB, where a page would ask for a dozen
    build: { target: 'es2022', cssCodeSplit: false },
    worker: { format: 'es' },
    $client: {
      // at the top of `vite` it has no effect on the client; the type of this level does not know plugins
      ...({ plugins: [noJsonSchema] } as object),
      build: {
        rollupOptions: {
          output: { manualChunks: chunkOf, entryFileNames: '_nuxt/entry.[hash].js', chunkFileNames: fileNameOf },
          onwarn: noCircle,
        },
      },
    },
  },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  // every page is kept on the device by the service worker: what a link leads to need not be fetched ahead
  experimental: { defaults: { nuxtLink: { prefetch: false } } },
  hooks: {
    'build:manifest': manifest => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
  },
  telemetry: false,
  eslint: { config: { stylistic: false } },
  primevue: {
    autoImport: false,
    components: { include: [] },
    directives: { include: [] },
    composables: { include: [] },
    options: {
      ripple: false,
      theme: { preset: WembricPreset, options: { darkModeSelector: '.dark', cssLayer: false } },
    },
  },
  pwa: {
    // a page goes over to a new version when somebody says so (app/composables/useNewVersion)
    registerType: 'prompt',
    injectRegister: false,
    client: { registerPlugin: false },
    manifest: {
      name: 'Wembric',
      short_name: 'Wembric',
      description: 'Valve clearances at the bench',
      start_url: '/',
      display: 'standalone',
      background_color: '#F3EFE4',
      theme_color: '#F3EFE4',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg}'],
      // what reads a photographed page is 9 MB: kept from its first use on, and fetched by nobody else
      globIgnores: ['**/*.wasm*.js', '**/worker.min*.js', 'ocr/**'],
      runtimeCaching: [
        {
          urlPattern: /\/ocr\/|\.wasm[^/]*\.js$|worker\.min[^/]*\.js$/,
          handler: 'CacheFirst',
          options: { cacheName: 'page-reader' },
        },
      ],
      navigateFallback: '/',
      // the page itself is made by the server; kept with its headers, so that its nonce fits, anew at each build
      additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
      navigateFallbackDenylist: [/^\/api\//],
      cleanupOutdatedCaches: true,
      clientsClaim: true,
    },
  },
  security,
})

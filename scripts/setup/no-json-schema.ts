/** Of the schema library: what makes JSON Schemas. The server publishes them; a device only checks what is typed. */
const MAKERS = /zod\/v4\/core\/(?:to-json-schema|json-schema-processors)\.js$/
const EXPORTED = /^export (?:const|function) (\w+)/gm

/**
 * Leaves out of the client's build what makes JSON Schemas: 6 kB of the Bench, gzipped, which every schema would draw
 * in and nothing there calls. Each export stays, so that the library still links.
 */
export const noJsonSchema = {
  name: 'no-json-schema',
  transform(code: string, id: string) {
    if (!MAKERS.test(id)) return null
    const names = [...code.matchAll(EXPORTED)].map(([, name]) => name)
    return { code: names.map(name => `export const ${name} = () => undefined`).join('\n'), map: null }
  },
}

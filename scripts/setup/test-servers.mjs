import { cpSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer } from './server.mjs'

const temporary = name => mkdtempSync(join(tmpdir(), `wembric-${name}-`))

/** A data folder with the demo in it, made once: the servers under test begin with copies of it. */
export async function demoTemplate(root) {
  const folder = temporary('template')
  const data = join(folder, 'data')
  const making = join(folder, 'making')
  const server = await startServer({ root, data: making })
  await server.stop()
  // a name of its own shows that it is whole
  renameSync(making, data)
  return { data, remove: () => rmSync(folder, { recursive: true, force: true }) }
}

/** Servers with the demo, each on a free port and in a folder that is thrown away. */
export async function withServers(root, template, count, work) {
  const servers = []
  try {
    for (let i = 0; i < count; i++) {
      const data = temporary('test')
      if (existsSync(template)) cpSync(template, data, { recursive: true })
      servers.push(await startServer({ root, data }))
    }
    await work(servers)
  } finally {
    await Promise.all(servers.map(server => server.stop()))
    for (const server of servers) rmSync(server.data, { recursive: true, force: true })
  }
}

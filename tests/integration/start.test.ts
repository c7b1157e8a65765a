import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
// @ts-expect-error plain scripts
import { ensureRoom } from '../../scripts/setup/machine.mjs'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'

const root = process.cwd()
const folders: string[] = []
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'wembric-start-'))
  folders.push(made)
  return made
}
afterAll(() => folders.forEach(f => rmSync(f, { recursive: true, force: true })))

const databasePid = (data: string): number => (JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8')) as { pid: number }).pid
const lives = (pid: number): boolean => {
  const status = spawnSync('sh', ['-c', `cat /proc/${pid}/stat 2>/dev/null`], { encoding: 'utf8' }).stdout
  return status !== '' && !status.split(') ')[1]!.startsWith('Z')
}
const shops = async (url: string): Promise<boolean> => (await (await fetch(`${url}/api/setup`)).json() as { needed: boolean }).needed === false

describe('npm start', () => {
  it('stops cleanly on SIGTERM: no database is left running', async () => {
    const data = folder()
    const server = await startServer({ root, data, args: ['--empty'] })
    const pid = databasePid(data)
    expect(lives(pid)).toBe(true)
    await server.stop()
    expect(server.child.exitCode).toBe(0)
    expect(lives(pid)).toBe(false)
    expect(existsSync(join(data, 'mariadb.json'))).toBe(false)
  }, 60_000)

  it('after kill -9 of the server, and of the database, the next start recovers with the data', async () => {
    const data = folder()
    const first = await startServer({ root, data, args: ['--empty'] })
    const setup = { shop: 'Kept', timeZone: 'Etc/UTC', unit: 'mm', lead: { name: 'Ada', signIn: 'ada', password: 'longenough' } }
    expect((await fetch(`${first.env.WEMBRIC_TEST_URL}/api/setup`, { method: 'POST', body: JSON.stringify(setup), headers: { 'content-type': 'application/json', 'origin': first.env.WEMBRIC_TEST_URL } })).status).toBe(200)
    const left = databasePid(data)
    first.child.kill('SIGKILL')
    await new Promise(resolve => first.child.once('exit', resolve))
    expect(lives(left)).toBe(true)

    const second = await startServer({ root, data })
    expect(databasePid(data), 'the database left behind is taken over').toBe(left)
    expect(await shops(second.env.WEMBRIC_TEST_URL)).toBe(true)
    second.child.kill('SIGKILL')
    await new Promise(resolve => second.child.once('exit', resolve))
    process.kill(left, 'SIGKILL')

    const third = await startServer({ root, data })
    expect(databasePid(data)).not.toBe(left)
    expect(await shops(third.env.WEMBRIC_TEST_URL)).toBe(true)
    await third.stop()
  }, 120_000)

  it('a taken port is named, with what to type instead', async () => {
    const blocker = createServer()
    await new Promise<void>(resolve => blocker.listen(0, '127.0.0.1', resolve))
    const { port } = blocker.address() as { port: number }
    const child = spawn('node', ['scripts/start.mjs'], { cwd: root, env: { ...process.env, PORT: String(port), WEMBRIC_DATA: folder() } })
    let said = ''
    child.stderr.on('data', (chunk: Buffer) => { said += chunk.toString() })
    const code = await new Promise(resolve => child.once('exit', resolve))
    blocker.close()
    expect(code).toBe(1)
    expect(said).toContain(`port ${port} is taken by another program`)
    expect(said).toContain(`PORT=${port + 1} npm start`)
  })

  it('an empty shop stays empty on later starts', async () => {
    const data = folder()
    const first = await startServer({ root, data, args: ['--empty'] })
    await first.stop()
    const again = await startServer({ root, data })
    expect(await shops(again.env.WEMBRIC_TEST_URL)).toBe(false)
    await again.stop()
  }, 60_000)

  it('too little room is said before anything is begun', () => {
    expect(() => ensureRoom(root)).not.toThrow()
    expect(() => ensureRoom(root, Number.MAX_SAFE_INTEGER)).toThrow(/MB are free here/)
  })
})

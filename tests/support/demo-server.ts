import { cpSync, existsSync } from 'node:fs'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'

export interface DemoServer {
  env: Record<string, string>
  stop: () => Promise<void>
}
/** A server of a test's own with the demo in it: copied where the test command has made one, for loading takes long. */
export async function demoServer(data: string, env: Record<string, string> = {}): Promise<DemoServer> {
  const template = process.env.WEMBRIC_TEST_TEMPLATE ?? ''
  if (existsSync(template)) cpSync(template, data, { recursive: true })
  return (await startServer({ root: process.cwd(), data, env })) as DemoServer
}

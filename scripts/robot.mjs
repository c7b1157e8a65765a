#!/usr/bin/env node
// npm run robot: bundles the robot mechanic once, so that its workers start fast and run without a loader, and runs it.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { command } from './setup/commands.mjs'
import { ensurePackages } from './setup/packages.mjs'
import { run } from './setup/say.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
run(async () => {
  await ensurePackages(root)
  const { build } = await import('esbuild')
  const out = mkdtempSync(join(tmpdir(), 'wembric-robot-'))
  try {
    await build({
      entryPoints: ['index', 'worker'].map(name => join(root, 'scripts/robot', `${name}.ts`)),
      outdir: out,
      outExtension: { '.js': '.mjs' },
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      logLevel: 'error',
    })
    await command(process.execPath, [join(out, 'index.mjs'), ...process.argv.slice(2)], { cwd: root })
  } finally {
    rmSync(out, { recursive: true, force: true })
  }
})

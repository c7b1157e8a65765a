import { readFileSync } from 'node:fs'
import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter'

/** Prints what the page showed where a test failed: elsewhere nobody can look at it afterward. */
export default class PageReporter implements Reporter {
  onTestEnd(test: TestCase, result: TestResult): void {
    if (result.status === 'passed' || result.status === 'skipped') return
    const context = result.attachments.find(a => a.name === 'error-context')?.path
    const shown = context && /# Page snapshot\s+([^]*?)(?=\n# |$)/.exec(readFileSync(context, 'utf8'))?.[1]
    if (shown) process.stdout.write(`\nThe page where “${test.title}” failed:\n${shown.slice(0, 4000)}\n`)
  }
  printsToStdio(): boolean {
    return true
  }
}

import { chromium, expect, type Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { CHROMIUM, CHROMIUM_FLAGS } from './place.ts'

/** A browser of its own, whose process can be killed as a power cut would. */
export async function startBrowser(profile: string): Promise<{ page: Page; kill: () => Promise<void> }> {
  rmSync(join(profile, 'DevToolsActivePort'), { force: true })
  const browser: ChildProcess = spawn(
    CHROMIUM,
    ['--headless=new', ...CHROMIUM_FLAGS, `--user-data-dir=${profile}`, '--remote-debugging-port=0', 'about:blank'],
    {
      stdio: 'ignore',
      detached: true,
    },
  )
  const exited = new Promise<void>((resolve) => browser.once('exit', () => resolve()))
  await expect.poll(() => readPort(profile), { timeout: 20_000 }).not.toBeNull()
  const connection = await chromium.connectOverCDP(`http://127.0.0.1:${readPort(profile)}`)
  const page = await connection.contexts()[0]!.newPage()
  return {
    page,
    kill: async () => {
      // The whole process group, at once and without a word.
      process.kill(-browser.pid!, 'SIGKILL')
      await exited
    },
  }
}

function readPort(profile: string): string | null {
  try {
    return readFileSync(join(profile, 'DevToolsActivePort'), 'utf8').split('\n')[0] ?? null
  } catch {
    return null
  }
}

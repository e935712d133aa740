import { chromium, expect, type Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
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
  const page = await firstPage(profile).catch((error: unknown) => {
    // What did not answer is not left behind, writing into the profile.
    process.kill(-browser.pid!, 'SIGKILL')
    throw error
  })
  // A returning visitor: the first screen does not ask which household to show.
  await page.addInitScript(() => {
    if (localStorage.getItem('brinvo-which') === null) localStorage.setItem('brinvo-which', 'sample')
  })
  return {
    page,
    kill: async () => {
      // The whole process group, at once and without a word.
      process.kill(-browser.pid!, 'SIGKILL')
      await exited
      // The leader is gone at once, its helpers a moment later; until then they write into the profile.
      for (let i = 0; i < GONE_TRIES && isThere(browser.pid!); i++) await sleep(GONE_MS)
    },
  }
}

async function firstPage(profile: string): Promise<Page> {
  await expect.poll(() => readPort(profile), { timeout: 60_000 }).not.toBeNull()
  const connection = await chromium.connectOverCDP(`http://127.0.0.1:${readPort(profile)}`)
  return connection.contexts()[0]!.newPage()
}

const GONE_TRIES = 50
const GONE_MS = 100

/** Whether any process of a group is left. */
function isThere(group: number): boolean {
  try {
    return process.kill(-group, 0)
  } catch {
    return false
  }
}

/** Takes a killed browser's profile away. Whatever still writes into it gets some seconds to end. */
export const removeProfile = (profile: string): void =>
  rmSync(profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 50 })

function readPort(profile: string): string | null {
  try {
    return readFileSync(join(profile, 'DevToolsActivePort'), 'utf8').split('\n')[0] ?? null
  } catch {
    return null
  }
}

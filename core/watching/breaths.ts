/** Fewer taps than this tell no rate. */
const LEAST_TAPS = 6
/** A rate is taken over the last so many milliseconds: long enough to be even, short enough to follow. */
const WINDOW_MS = 15_000
/** After a pause so long somebody begins again. */
const PAUSE_MS = 4_000

/** Gill beats at rest, a minute: quarantine.md 1, breath-rate (EA). */
export const BREATHS = { warn: 80, alarm: 120 } as const

/** The taps that still count: after a pause only the last of them. */
export function tapsAfter(taps: readonly number[], at: number): number[] {
  const last = taps.at(-1)
  return last !== undefined && at - last > PAUSE_MS ? [at] : [...taps, at].filter((tap) => at - tap <= WINDOW_MS)
}

/** Beats a minute by the taps of a finger, one a beat; null until there are enough. */
export function breathsFrom(taps: readonly number[]): number | null {
  if (taps.length < LEAST_TAPS) return null
  const minutes = (taps.at(-1)! - taps[0]!) / 60_000
  return minutes > 0 ? (taps.length - 1) / minutes : null
}

/** What a rate means. */
export const breathsWords = (perMinute: number): { tone: 'calm' | 'warn' | 'alarm'; words: string } =>
  perMinute > BREATHS.alarm
    ? { tone: 'alarm', words: `over ${BREATHS.alarm}: something is wrong with gills or water` }
    : perMinute > BREATHS.warn
      ? { tone: 'warn', words: `over ${BREATHS.warn}: fast; count again in ten minutes of calm` }
      : { tone: 'calm', words: 'as it should be' }

import { isScore, NO_SCORE, type Score } from '../../../../core/microscope/practice.ts'

const KEY = 'brinvo-microscope-practice'

/** The score on this device; of nothing where there is none, or where another version wrote it. */
export function readScore(): Score {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null')
    return isScore(kept) ? kept : NO_SCORE
  } catch {
    return NO_SCORE
  }
}

/** Keeps the score; a browser without local storage keeps it as long as the page is open. */
export function keepScore(score: Score): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(score))
  } catch {
    // The page still shows it.
  }
}

export function forgetScore(): void {
  try {
    localStorage.removeItem(KEY)
  } catch {
    // Nothing was kept.
  }
}

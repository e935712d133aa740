import type { Which } from './which.ts'

const exportKey = (which: Which) => `brinvo-${which}-exported`

/** Remembers that a journal was exported from this device. @param at ms */
export function rememberExport(which: Which, at: number): void {
  try {
    localStorage.setItem(exportKey(which), String(at))
  } catch {
    // Then it is asked for once more than it need be.
  }
}

/** When a journal was last exported from this device, ms; null where nothing is known. */
export function lastExport(which: Which): number | null {
  try {
    return Number(localStorage.getItem(exportKey(which))) || null
  } catch {
    return null
  }
}

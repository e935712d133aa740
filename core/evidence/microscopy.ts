import { erfc, wilson95 } from '../numbers/normal.ts'
import { ok, type Result } from '../result/result.ts'
import { iso } from '../time/zone.ts'
import type { Microscopy, MicroscopyInput } from './evidence.schema.ts'

/**
 * The share of dinoflagellates among what was counted, slide by slide, with its interval; and whether the last slide differs
 * from the first by more than chance (two proportions, pooled).
 */
export function microscopyRatio({ counts }: MicroscopyInput): Result<Microscopy> {
  const slides = counts
    .map(({ at, diatoms, dinos }) => ({ ms: Date.parse(at), dinos, total: diatoms + dinos }))
    .sort((a, b) => a.ms - b.ms)
  const points = slides.map(({ ms, dinos, total }) => ({
    at: iso(ms),
    share: total > 0 ? dinos / total : null,
    ...wilson95(dinos, total),
  }))
  const [first, last] = [slides[0], slides.at(-1)]
  if (!first || !last || slides.length < 2 || first.total === 0 || last.total === 0) return ok({ points, change: null })
  const pooled = (first.dinos + last.dinos) / (first.total + last.total)
  if (pooled === 0 || pooled === 1) return ok({ points, change: null })
  const sd = Math.sqrt(pooled * (1 - pooled) * (1 / first.total + 1 / last.total))
  const z = (last.dinos / last.total - first.dinos / first.total) / sd
  return ok({ points, change: { z, p: erfc(Math.abs(z) / Math.SQRT2) } })
}

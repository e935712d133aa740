import type { Journal } from '../journal/journal.ts'
import { median } from '../numbers/median.ts'
import { breathsWords } from './breaths.ts'

/** Over its own usual rate by so much: quarantine.md 1, breath-rate (EA). */
const OVER_OWN = { warn: 1.3, alarm: 1.6 } as const
/** Fewer readings than this are no baseline: quarantine.md 1, "three readings". */
const LEAST_READINGS = 3

/** The usual breathing of some animals by what was counted before; null with too few counts. */
export function usualBreaths(journal: Journal, animalIds: readonly string[], before: number): number | null {
  const own = new Set(animalIds)
  const counted = journal
    .ofKind('sighting')
    .flatMap(({ at, content }) =>
      at < before && content.breathsPerMinute !== undefined && content.animalIds.some((id) => own.has(id))
        ? [content.breathsPerMinute]
        : [],
    )
  return counted.length < LEAST_READINGS ? null : median(counted)
}

/** What a breathing rate means beside the usual one of the same animals. */
export function judgeBreaths(perMinute: number, usual: number | null): ReturnType<typeof breathsWords> {
  const plain = breathsWords(perMinute)
  if (usual === null || plain.tone === 'alarm') return plain
  const over = `${Math.round(100 * (perMinute / usual - 1))} % over its own usual ${Math.round(usual)}`
  if (perMinute > OVER_OWN.alarm * usual) return { tone: 'alarm', words: `${over}: gills or water` }
  if (perMinute > OVER_OWN.warn * usual) return { tone: 'warn', words: `${over}; count again in ten minutes of calm` }
  return plain.tone === 'warn' ? plain : { tone: 'calm', words: `its own usual is ${Math.round(usual)}` }
}

import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { BREATHS } from './breaths.ts'

/** A sign that was seen on an animal, and when. */
export interface SeenSign {
  at: number
  animalId: string
  sign: string
}

/**
 * The signs that a sighting shows: those that were ticked, and what was counted or scored beside them (quarantine.md 1: over 120 breaths a minute,
 * nothing eaten, white stringy faeces).
 * @example
 * signsOfSighting({ …, signs: [], breathsPerMinute: 130 }) // ['breathing-fast']
 */
export function signsOfSighting({
  signs,
  breathsPerMinute,
  appetite,
  faeces,
}: Pick<ContentOf<'sighting'>, 'signs' | 'breathsPerMinute' | 'appetite' | 'faeces'>): string[] {
  const seen = new Set(signs.flatMap(({ sign, present }) => (present ? [sign] : [])))
  if (breathsPerMinute !== undefined && breathsPerMinute > BREATHS.alarm) seen.add('breathing-fast')
  if (appetite === 0) seen.add('not-eating')
  if (faeces === 'stringy') seen.add('faeces-white-stringy')
  return [...seen]
}

/**
 * The signs of animals that were answered as seen in a case of Diagnose, in time order.
 * @param from ms, counted
 * @param until ms, counted
 */
export function signsOfCases(
  journal: Journal,
  isOf: (start: ContentOf<'case-start'>) => boolean,
  from: number,
  until: number,
): SeenSign[] {
  const cases = new Map(
    journal.ofKind('case-start').flatMap(({ content }) => (isOf(content) ? [[content.caseId, content]] : [])),
  )
  if (cases.size === 0) return []
  return journal.ofKind('case-mark').flatMap(({ content, at }) => {
    const start = cases.get(content.caseId)
    if (!start || at < from || at > until || content.mark !== 'signs') return []
    return (content.signs ?? []).flatMap(({ sign, answer }) =>
      answer === 'present' ? start.animalIds.map((animalId) => ({ at, animalId, sign })) : [],
    )
  })
}

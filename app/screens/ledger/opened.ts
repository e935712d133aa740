import { useCallback } from 'react'
import { useSearchParams } from 'react-router'
import { dayFromText, dayText, type Day } from '../../../core/time/zone.ts'

/** The forms of the ledger, by their names in its address. */
export const FORMS = [
  'reading',
  'water-change',
  'dose',
  'sighting',
  'move',
  'death',
  'bath',
  'count',
  'feed',
  'top-off',
  'contact',
  'note',
  'photo',
] as const

export type FormKind = (typeof FORMS)[number]

/** What stands open beside the ledger; kept in the address, so that a reload or a link shows the same. */
export type Beside =
  | { show: 'day'; tankId: string; day: Day }
  | { show: 'entry'; id: string }
  | { show: 'form'; form: FormKind; tankId: string; day: Day | null }

function read(params: URLSearchParams): Beside | null {
  const entry = params.get('entry')
  if (entry) return { show: 'entry', id: entry }
  const tankId = params.get('tank')
  const day = dayFromText(params.get('day') ?? '')
  const form = params.get('form')
  if (tankId && form && (FORMS as readonly string[]).includes(form))
    return { show: 'form', form: form as FormKind, tankId, day }
  return tankId && day !== null ? { show: 'day', tankId, day } : null
}

function write(beside: Beside | null): Record<string, string> {
  if (!beside) return {}
  if (beside.show === 'entry') return { entry: beside.id }
  if (beside.show === 'day') return { tank: beside.tankId, day: dayText(beside.day) }
  return { tank: beside.tankId, form: beside.form, ...(beside.day !== null && { day: dayText(beside.day) }) }
}

/** What is open beside the ledger, and opening something else there (null closes). */
export function useBeside(): [Beside | null, (beside: Beside | null) => void] {
  const [params, setParams] = useSearchParams()
  const open = useCallback((beside: Beside | null) => setParams(write(beside)), [setParams])
  return [read(params), open]
}

/** What is logged most at a tank, as its words stand in a row. */
export const QUICK_FORMS: readonly [FormKind, string][] = [
  ['reading', 'readings'],
  ['water-change', 'change'],
  ['sighting', 'seen'],
]

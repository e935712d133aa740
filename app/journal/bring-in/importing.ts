import equal from 'fast-deep-equal'
import { isCorrection, isStrikeOut, type ContentKind, type Entry } from '../../../core/journal/entry.ts'

/** What an import would add to a journal. */
export interface Preview {
  fresh: Entry[]
  same: number
  /** Ids that the journal has with other content. */
  conflicts: string[]
  /** How many of what, most first. */
  counts: [what: string, count: number][]
  /** "1 Aug 2026 to 23 Nov 2026". */
  span: string | null
}

const NAMES: Record<ContentKind, string> = {
  household: 'household settings',
  'tank-setup': 'tanks',
  'tank-change': 'tank changes',
  equipment: 'equipment switches',
  'kit-setup': 'kits',
  'kit-change': 'kit changes',
  'product-setup': 'products',
  'product-change': 'product changes',
  arrival: 'arrivals',
  'animal-change': 'animal descriptions',
  expected: 'expected arrivals',
  'dead-on-arrival': 'dead on arrival',
  'acclimation-start': 'acclimations',
  'acclimation-event': 'acclimation steps',
  'acclimation-end': 'acclimation ends',
  move: 'moves',
  death: 'deaths',
  departure: 'departures',
  reading: 'readings',
  'water-change': 'water changes',
  dose: 'doses',
  sighting: 'sightings',
  count: 'counts and scores',
  photo: 'photos',
  'introduction-start': 'introductions',
  'introduction-mark': 'introduction marks',
  'introduction-end': 'introduction ends',
  skirmish: 'skirmishes',
  training: 'feeding training',
  note: 'notes',
  task: 'tasks',
  'course-start': 'courses',
  'course-change': 'course changes',
  'course-event': 'course events',
  'course-end': 'course ends',
  'course-mark': 'course marks',
  away: 'days away',
  chore: 'chores',
  bath: 'baths',
  feed: 'feeds',
  'top-off': 'top-offs',
  contact: 'contacts',
  'new-water': 'new water',
  'part-setup': 'parts',
  'part-change': 'part changes',
  'gear-setup': 'tools',
  'gear-change': 'tool changes',
  'gear-clean': 'tools cleaned',
  'bench-start': 'bench sessions',
  'bench-mark': 'bench steps',
  'bench-end': 'bench ends',
  'case-start': 'cases',
  'case-mark': 'case marks',
  'case-end': 'case ends',
  tally: 'tallies',
  clip: 'clips',
  'lab-result': 'lab results',
  'csv-columns': 'kinds of tables',
  device: 'devices',
  'pump-plan': 'pump plans',
}

const kindOf = (entry: Entry): string =>
  isStrikeOut(entry) ? 'strike-outs' : isCorrection(entry) ? 'corrections' : NAMES[entry.content.kind]

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

/**
 * Compares a file's entries with the journal, without keeping anything.
 * @param knownEntry the journal's entry of an id
 */
export function previewOf(knownEntry: (id: string) => Entry | undefined, entries: readonly Entry[]): Preview {
  const fresh: Entry[] = []
  const conflicts: string[] = []
  const counts = new Map<string, number>()
  let same = 0
  let [first, last] = [Infinity, -Infinity]
  for (const entry of entries) {
    const known = knownEntry(entry.id)
    if (known) {
      if (equal(known, entry)) same++
      else conflicts.push(entry.id)
      continue
    }
    fresh.push(entry)
    const what = kindOf(entry)
    counts.set(what, (counts.get(what) ?? 0) + 1)
    if ('content' in entry) {
      const at = Date.parse(entry.content.happened)
      first = Math.min(first, at)
      last = Math.max(last, at)
    }
  }
  return {
    fresh,
    same,
    conflicts,
    counts: [...counts].sort((a, b) => b[1] - a[1]),
    span: first <= last ? `${DATE.format(first)} to ${DATE.format(last)}` : null,
  }
}

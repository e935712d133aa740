import type { Content, ContentOf, Entry } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { scribe } from '../journal/testing.ts'
import { MS_PER_MINUTE } from '../time/zone.ts'
import { benchRun, nextOccasion, openBenches } from './follow.ts'

const START = Date.parse('2026-06-01T20:00:00Z')

/** An instant of a session, minutes after it began. */
export const at = (minute: number) => ({ happened: new Date(START + minute * MS_PER_MINUTE).toISOString() })
export const now = (minute: number) => START + minute * MS_PER_MINUTE

/** A tank of some litres, with whatever else a session needs in the journal before it. */
export const tank = (tankId: string, litres: number, water: 'marine' | 'freshwater' = 'marine'): Content => ({
  kind: 'tank-setup',
  ...at(-10_000),
  tankId,
  name: tankId,
  water,
  role: 'display',
  sheet: { shape: { kind: 'known', litres } },
})

export const part = (
  partId: string,
  what: ContentOf<'part-setup'>['what'],
  more: Partial<ContentOf<'part-setup'>> = {},
): Content => ({ kind: 'part-setup', ...at(-9000), partId, tankId: 'study', what, name: `the ${partId}`, ...more })

export const fish = (animalId: string, tankId = 'study'): Content => ({
  kind: 'arrival',
  ...at(-9000),
  animalId,
  tankId,
  species: 'longnose hawkfish',
  group: 'hawkfish',
  count: 1,
  name: animalId,
})

/** A session at the bench, written press by press. */
export function session(
  procedure: string,
  start: Partial<ContentOf<'bench-start'>> = {},
  before: readonly Content[] = [],
) {
  const { record, strike } = scribe('2026-01-01T00:00:00Z')
  let journal = new Journal()
  const entries: Entry[] = []
  const add = (entry: Entry) => {
    entries.push(entry)
    journal.add([entry])
    return entry
  }
  for (const content of before) add(record(content))
  add(record({ kind: 'bench-start', ...at(0), benchId: 'b', procedure, tankId: 'study', ...start }))
  const run = () => benchRun(journal, 'b')!
  return {
    run,
    journal: () => journal,
    next: (minute = 0) => nextOccasion(run(), now(minute)),
    find: (step: string, subjectId: string | null = null) =>
      run().occasions.find((one) => one.step === step && one.subjectId === subjectId)!,
    /** The browser is killed: what is on disk is read again. */
    kill: () => {
      journal = new Journal()
      journal.add(JSON.parse(JSON.stringify(entries)) as Entry[])
    },
    open: () => openBenches(journal),
    write: (content: Content) => add(record(content)),
    strike: (id: string) => add(strike(entries.find((entry) => entry.id === id)!)),
    mark: (
      minute: number,
      step: string,
      state: 'begun' | 'done' | 'skipped' = 'done',
      more: Partial<ContentOf<'bench-mark'>> = {},
    ) => add(record({ kind: 'bench-mark', ...at(minute), benchId: 'b', step, state, ...more })),
    /** Everything of the list before, at one minute. */
    prepare: (minute: number) => {
      for (const { place, step } of run().occasions)
        if (place === 'before') add(record({ kind: 'bench-mark', ...at(minute), benchId: 'b', step, state: 'done' }))
    },
    end: (minute: number, more: Partial<ContentOf<'bench-end'>> = {}) =>
      add(record({ kind: 'bench-end', ...at(minute), benchId: 'b', outcome: 'finished', ...more })),
  }
}

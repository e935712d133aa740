import { strToU8 } from 'fflate'
import { ImportService } from '../../app/journal/bring-in/import-service.ts'
import { packArchive } from '../../app/journal/bring-in/archive.ts'
import type { Entry } from '../../core/journal/entry.ts'
import { exportJournal } from '../../core/journal/export.ts'
import { Journal } from '../../core/journal/journal.ts'
import { RandomStream } from '../../core/numbers/random.ts'
import { iso } from '../../core/time/zone.ts'
import { openSampleJournal } from './lines.ts'
import { tallyOf, type Tally } from './tally.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
/** Reading and working out one small file, ms. */
const HUNG_MS = 5000
const ENTRIES_A_FILE = 60
const FIGURES = [0, -1, 1e-12, 1e-9, 1e9, 1e12, 1e300, 9_007_199_254_740_991]
const TEXTS = [
  '',
  '\u0000',
  'x'.repeat(5000),
  '1000-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  '__proto__',
  '=1+1',
  '‮',
]

/** Mutated journal files: each is refused with its faults, or taken in whole, read again, and worked out. */
export async function attackFiles(tries: number, seed: number): Promise<Tally> {
  const tally = tallyOf('files')
  const { entries } = await openSampleJournal()
  const random = new RandomStream(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!
  const few = entries.filter((entry) => 'content' in entry && ['household', 'tank-setup'].includes(entry.content.kind))
  const textOf = (some: readonly Entry[]) => {
    const journal = new Journal()
    journal.add(some)
    return exportJournal(journal, iso(NOW))
  }
  /** Changes one value somewhere in an entry. */
  const mutate = (value: unknown): unknown => {
    const isNear = random.next() < 0.6
    if (typeof value === 'number') return isNear ? value * 10 ** (6 * random.next() - 3) : pick(FIGURES)
    if (typeof value === 'string' && /^\d{4}-/.test(value) && isNear)
      return iso(Date.parse(value) + (random.next() - 0.5) * 40 * 365 * 86_400_000)
    if (typeof value === 'string' && isNear) return `${value}${pick(['x', '-', '2', ' '])}`
    if (typeof value !== 'object' || value === null) return random.next() < 0.5 ? pick(FIGURES) : pick(TEXTS)
    const copy = structuredClone(value) as Record<string, unknown>
    const key = pick(Object.keys(copy))
    if (key === undefined) return pick(FIGURES)
    const how = random.next()
    if (how < 0.1) delete copy[key]
    else if (how < 0.2) copy[`${key}x`] = copy[key]
    else copy[key] = mutate(copy[key])
    return copy
  }
  for (let i = 0; i < tries; i++) {
    tally.tries++
    const some = [...new Set([...few, ...Array.from({ length: ENTRIES_A_FILE }, () => pick(entries))])]
    const how = random.next()
    let bytes: Uint8Array
    if (how < 0.6) {
      const at = Math.floor(random.next() * some.length)
      bytes = strToU8(
        JSON.stringify({
          format: 'brinvo-journal',
          version: 2,
          exported: iso(NOW),
          entries: some.map((entry, k) => (k === at ? mutate(entry) : entry)),
        }),
      )
    } else {
      bytes =
        how < 0.8
          ? strToU8(textOf(some))
          : packArchive(textOf(some), new Map([['p', Uint8Array.from([0xff, 0xd8, 1])]]))
      for (let flips = 0; flips <= Math.floor(random.next() * 3); flips++)
        bytes[Math.floor(random.next() * bytes.length)]! ^= 1 << Math.floor(random.next() * 8)
      if (random.next() < 0.2) bytes = bytes.slice(0, Math.floor(random.next() * bytes.length))
    }
    const began = performance.now()
    try {
      const service = new ImportService()
      const read = service.read(bytes, [], NOW, () => {})
      if ('problems' in read) {
        tally.asked++
        if (read.problems.every(({ message }) => message === '')) throw new Error('refused without a word')
      } else {
        await service.workOut(NOW, () => {})
        const journal = new Journal()
        journal.add(service.fresh)
        const again = new ImportService()
        const second = again.read(strToU8(exportJournal(journal, iso(NOW))), journal.entries(), NOW, () => {})
        if ('look' in second && second.look.fresh === 0 && second.look.same === journal.size) tally.kept++
        else {
          tally.lost++
          tally.cases.push(`lost: file ${i} of seed ${seed}`)
        }
      }
    } catch (error) {
      tally.hung++
      tally.cases.push(`threw: file ${i} of seed ${seed}: ${(error as Error).message}`)
    }
    if (performance.now() - began > HUNG_MS) {
      tally.hung++
      tally.cases.push(`${Math.round(performance.now() - began)} ms: file ${i} of seed ${seed}`)
    }
  }
  return tally
}

import { buildSample } from '../../demo/index.ts'
import { loadDefinitions } from '../../core/catalogue/courses/load-definitions.ts'
import { startInWords } from '../../core/courses/course.ts'
import { settingsOf } from '../../core/household/settings.ts'
import { entryFault } from '../../core/journal/check.ts'
import type { Entry } from '../../core/journal/entry.ts'
import { exportJournal } from '../../core/journal/export.ts'
import { Journal } from '../../core/journal/journal.ts'
import { implausible } from '../../core/journal/plausible.ts'
import { readJournal } from '../../core/journal/read.ts'
import { readLine } from '../../core/logline/read.ts'
import { RandomStream } from '../../core/numbers/random.ts'
import { iso } from '../../core/time/zone.ts'
import { tallyOf, type Tally } from './tally.ts'

const NOW = Date.parse('2026-11-23T18:30:00Z')
/** A line that takes longer holds the page up at every key, ms. */
const HUNG_MS = 1000

const WORDS =
  'quar hall study tub needle burr no3 no2 nh3 cu po4 alk ph temp salinity sg change 20L 5gal 20% dose 2.6mL ate dead died moved to fed bath dip note ago hours days minutes yesterday at 9:15 31.2. 2026-02-30 1e13 1e-13 -5 0 00 9999999999 <0.05 >50 5-10 ± 3x one both all , ; . ? ! : 2,1 1.000,5 ½ ² ´ µ ° ‮ \u2060 \u0000 💧 عربى  ' +
  'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa __proto__ constructor =1+1 <b>x</b> ../.. null NaN Infinity'
const SOUND = [
  'quar cu 2.1',
  'quar no3 5 2 days ago',
  'hall change 20L',
  'quar needle ate',
  'hall alk 8.1 at 9:15 yesterday',
  'quar dose 2.6 mL copper bottle',
  'study note cut the stems',
  'hall temp 25.4',
]

/** The sample household, open. */
export async function openSampleJournal(): Promise<{ entries: Entry[]; journal: Journal }> {
  const entries = buildSample({ now: NOW, timeZone: 'Europe/Lisbon' })
  await loadDefinitions(
    entries.flatMap((entry) =>
      'content' in entry && entry.content.kind === 'course-start' ? [startInWords(entry.content).definition] : [],
    ),
  )
  const journal = new Journal()
  journal.add(entries)
  return { entries, journal }
}

/** Hostile log lines: each is asked about, or what it keeps can be written and read again. */
export async function attackLines(tries: number, seed: number): Promise<Tally> {
  const tally = tallyOf('log lines')
  const { journal } = await openSampleJournal()
  const settings = settingsOf(journal)!
  const random = new RandomStream(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!
  const words = WORDS.split(' ')
  const hostile = (): string => {
    const line =
      random.next() < 0.5
        ? pick(SOUND).split(' ')
        : Array.from({ length: 1 + Math.floor(random.next() * 9) }, () => pick(words))
    for (let change = 0; change < Math.floor(random.next() * 4); change++) {
      const at = Math.floor(random.next() * line.length)
      const how = random.next()
      if (how < 0.4) line.splice(at, 1, pick(words))
      else if (how < 0.7) line.splice(at, 0, pick(words))
      else if (how < 0.85) line.splice(at, 1)
      else line[at] = `${line[at] ?? ''}${String.fromCodePoint(Math.floor(random.next() * 0xd7ff))}`
    }
    return line.join(pick([' ', ' ', ' ', '  ', '\t']))
  }
  for (let i = 0; i < tries; i++) {
    tally.tries++
    const line = hostile()
    const began = performance.now()
    try {
      const back = readLine(line, { journal, settings, now: NOW, locale: pick(['en', 'de', 'fr']) })
      if (back.state !== 'keep') tally.asked++
      else {
        const entries = back.contents.map((content, k): Entry => ({ id: `line-${i}-${k}`, logged: iso(NOW), content }))
        // What cannot be written is said beside the line, and not kept.
        if (entries.some((entry) => entryFault(entry) ?? implausible(entry, NOW))) tally.asked++
        else {
          const one = new Journal()
          one.add(entries)
          const again = readJournal({ text: exportJournal(one, iso(NOW)) })
          const isBack = again.ok && JSON.stringify(again.value.entries) === JSON.stringify(one.entries())
          if (isBack) tally.kept++
          else {
            tally.lost++
            tally.cases.push(`lost: ${JSON.stringify(line)}`)
          }
        }
      }
    } catch (error) {
      tally.hung++
      tally.cases.push(`threw: ${JSON.stringify(line)}: ${(error as Error).message}`)
    }
    if (performance.now() - began > HUNG_MS) {
      tally.hung++
      tally.cases.push(`${Math.round(performance.now() - began)} ms: ${JSON.stringify(line)}`)
    }
  }
  return tally
}

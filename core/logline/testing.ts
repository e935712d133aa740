import { METRIC } from '../household/settings.ts'
import type { Content } from '../journal/entry.ts'
import { Journal } from '../journal/journal.ts'
import { arrival, bareTank, copper, scribe } from '../journal/testing.ts'
import { contentFault } from '../journal/check.ts'
import { zoneClock } from '../time/zone.ts'
import { readLine } from './read.ts'
import type { ReadBack } from './types.ts'

/** A Monday evening in Lisbon, winter time: 18:30 on the wall. */
export const NOW = Date.parse('2026-11-23T18:30:00Z')

/** Reads lines in a household of five tanks with their animals and bottles. */
export function household({
  units = METRIC,
  now = NOW,
  extra = [] as Content[],
  locale = undefined as string | undefined,
} = {}) {
  const { record } = scribe()
  const journal = new Journal()
  const tank = (tankId: string, name: string, water: 'marine' | 'freshwater' = 'marine'): Content =>
    ({ ...bareTank(tankId, name), water }) as Content
  const contents: Content[] = [
    { ...tank('hall', 'Hall reef'), sheet: { shape: { kind: 'known', litres: 286 } } } as Content,
    { ...tank('quar', 'Quarantine'), short: 'quar' } as Content,
    tank('side', 'Side tub'),
    tank('study', 'Study planted', 'freshwater'),
    tank('jar', 'Shrimp jar'),
    { ...arrival('plum', 'hall', 1, 1, 'Plum'), species: 'royal gramma' } as Content,
    arrival('needle', 'quar', 2, 1, 'Needle'),
    { ...arrival('burr', 'quar', 2, 1, 'Burr'), species: 'matted filefish' } as Content,
    { ...arrival('tetras', 'study', 3, 9), species: 'ember tetras' } as Content,
    {
      kind: 'product-setup',
      happened: '2026-07-01T00:00:00Z',
      productId: 'cu',
      name: 'copper bottle',
      ingredient: 'cu-chelated',
      strength: { kind: 'solution', mgPerMl: 10 },
    },
    {
      kind: 'product-setup',
      happened: '2026-07-01T00:00:00Z',
      productId: 'kno3',
      name: 'nitrate stock',
      ingredient: 'potassium-nitrate',
      strength: { kind: 'solution', mgPerMl: 10 },
    },
    copper('quar', 140, 2.11),
    ...extra,
  ]
  journal.add(contents.map((content) => record(content)))
  return (line: string) =>
    readLine(line, {
      journal,
      settings: { timeZone: 'Europe/Lisbon', units: units, clock: zoneClock('Europe/Lisbon') },
      now,
      ...(locale !== undefined && { locale }),
    })
}

/** The contents that a line would keep, each as a journal takes it. */
export function kept(back: ReadBack): Content[] {
  if (back.state !== 'keep') throw new Error(`${back.state}: ${JSON.stringify(back)}`)
  for (const content of back.contents) expect(contentFault(content)).toBeNull()
  return back.contents
}
/** What a line asks to be chosen from. */
export const labels = (back: ReadBack) => ('choices' in back ? back.choices.map(({ label }) => label) : [])

import { animalById, animalLabel, residentsOf } from '../household/animals.ts'
import { runningIn } from '../courses/course.ts'
import { fullCourseName } from '../courses/names.ts'
import type { Settings } from '../household/settings.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { lastValue } from '../readings/evidence.ts'
import { ammoniaProof } from './run/water-checks.ts'

/** The water of a neutral tank is as near to theirs, °C and psu, as a move without acclimation asks (EA). */
const MATCH = { temp: 1, salinity: 1 } as const

/**
 * What is not yet so of a neutral tank for two rivals: it is set up and proven like any tank (further-schools.md 1): volume, ammonia by
 * two methods, matched water, nobody’s own ground, and no medicine in it.
 * @returns sentences; empty where nothing is missing
 */
export function neutralTankFaults(
  journal: Journal,
  settings: Settings,
  tankId: string,
  animalIds: readonly string[],
  now: number,
): string[] {
  const tank = tankById(journal, tankId)
  if (!tank) return []
  const faults: string[] = []
  if (tank.volume === null) faults.push('Its net volume is not worked out: fill in its sheet.')
  const ammonia = ammoniaProof({ journal, settings, now, tank }, now)
  if (ammonia.state !== 'ok') faults.push(ammonia.words)
  const animals = animalIds.flatMap((id) => animalById(journal, id) ?? [])
  const owners = animals.filter(({ stays }) => stays.some((stay) => stay.tankId === tankId))
  if (owners.length > 0)
    faults.push(`${owners.map(animalLabel).join(' and ')} lived there: it is no neutral ground. Rebuild its hides.`)
  const others = residentsOf(journal, tankId).filter(({ id }) => !animalIds.includes(id))
  if (others.length > 0)
    faults.push(`${others.map(animalLabel).join(', ')} ${others.length === 1 ? 'lives' : 'live'} there already.`)
  for (const course of runningIn(journal, tankId)) faults.push(`${fullCourseName(course)} runs in it.`)
  const homes = [...new Set(animals.flatMap(({ stays }) => stays.at(-1)?.tankId ?? []))].filter((id) => id !== tankId)
  for (const parameter of ['temp', 'salinity'] as const) {
    const there = lastValue(journal, tankId, parameter, now + 1)
    const here = homes.flatMap((id) => lastValue(journal, id, parameter, now + 1) ?? [])
    const name = parameter === 'temp' ? 'temperature' : 'salinity'
    if (!there) faults.push(`Its ${name} was not read yet.`)
    else if (here.some(({ value }) => Math.abs(value - there.value) > MATCH[parameter]))
      faults.push(`Its ${name} does not match theirs.`)
  }
  return faults
}

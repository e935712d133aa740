import { SET_UP, STOCKING } from '../../catalogue/handbook/set-up.data.ts'
import { measureText } from '../../words/measure.ts'
import { coursesOf } from '../../courses/course.ts'
import { fullAtOf } from '../../courses/progress.ts'
import { shortCourseName } from '../../courses/names.ts'
import { residentsOf } from '../../household/animals.ts'
import { volumeWords, type Settings } from '../../household/settings.ts'
import { tankById } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { wordOn } from '../../schedule/task.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../../time/zone.ts'
import { eveningBefore, kindOf, type Asking, type Preparation, type PreparationDraft } from '../asking.ts'
import { boxesOf, type Box } from './boxes.ts'
import { CM_PER_INCH } from '../../units/units.ts'
import { restarts } from '../run/restarts.ts'
import { PREPARATION_TICKS, tickId } from '../run/ticks.ts'
import { air, copper, cycled, heater, salinity, tests } from '../run/water-checks.ts'

export type { Preparation } from '../asking.ts'

/** A box and a move on the same day are one pair of hands (EA). */
const NEAR_MS = 12 * MS_PER_HOUR
/** The table rounds ten gallons, 37.9 L, to 40: so much smaller still counts as the row. */
const TEN_GALLONS = 1.06

/** The table's 5 and 10 cm are 2 and 4 in: a fish of just that still belongs to the row. */
const SMALL_CM = 2 * CM_PER_INCH
const MEDIUM_CM = 4 * CM_PER_INCH

/** How many fish the tank carries by the handbook's table, against who is there and who comes. */
function stocking({ journal, tank, animals, settings }: Asking): PreparationDraft | null {
  const coming = animals.filter((animal) => kindOf(animal) === 'fish')
  if (coming.length === 0 || !tank.volume || tank.role === 'display') return null
  const there = residentsOf(journal, tank.id).filter((animal) => kindOf(animal) === 'fish')
  const row = [...STOCKING.rows].reverse().find(({ tankL }) => (tankL?.from ?? 0) <= tank.volume!.netL * TEN_GALLONS)
  const title = 'Room for it'
  // Without a size a fish counts as middling.
  const carried = ({ sizeCm = 8 }: { sizeCm?: number }) =>
    (row && (sizeCm <= SMALL_CM ? row.small : sizeCm <= MEDIUM_CM ? row.medium : row.large)) ?? 0
  const room = (animal: { sizeCm?: number }) => 1 / carried(animal)
  const load =
    coming.reduce((sum, animal) => sum + animal.count * room(animal), 0) +
    there.reduce((sum, { count }) => sum + count * room({}), 0)
  const long = (cm: number) => measureText(cm, 'cm', settings.units, settings.units.length === 'in' && cm < 25 ? 1 : 2)
  const holds = volumeWords(Math.round(tank.volume.netL), settings.units)
  if (!row)
    return {
      id: 'stocking',
      state: 'warns',
      title,
      words: `${holds} is under the smallest of the handbook’s quarantine tanks (${volumeWords(40, settings.units)}): ammonia daily, changes ready.`,
      by: null,
      mend: 'elsewhere',
    }
  const tooLarge = coming.filter((animal) => carried(animal) === 0)
  if (tooLarge.length > 0)
    return {
      id: 'stocking',
      state: 'warns',
      title,
      words: `${holds} carries no fish over ${long(10)}: a larger tank for ${tooLarge.map(({ name, species }) => name ?? species).join(', ')}.`,
      by: null,
      mend: 'elsewhere',
    }
  return load <= 1.001
    ? { id: 'stocking', state: 'ok', title, words: `${holds} with a fully seeded sponge carries them.`, by: null }
    : {
        id: 'stocking',
        state: 'warns',
        title,
        words: `${holds} carries ${row.small} fish to ${long(5)}, ${row.medium} to ${long(10)} or ${row.large} larger, with a fully seeded sponge; this is ${load.toFixed(1)} times that.`,
        by: null,
        mend: 'elsewhere',
      }
}

/** What else wants the keeper's hands, and what would come into the same water before this count is over. */
function calendar({ journal, tank, box, settings, now }: Asking): PreparationDraft {
  const title = 'Room on the calendar'
  const clash: string[] = []
  for (const course of coursesOf(journal)) {
    if (course.ended) continue
    const completesAt = fullAtOf(journal, course, now)
    if (completesAt !== null && Math.abs(completesAt - box.dueAt) < NEAR_MS)
      clash.push(`${shortCourseName(course)} in ${tankById(journal, course.tankId)?.name ?? 'a tank'} is full that day`)
  }
  for (const other of boxesOf(journal)) {
    if (other.id === box.id) continue
    const same = other.animals.some(({ tankId }) => tankId === tank.id)
    if (Math.abs(other.dueAt - box.dueAt) < NEAR_MS) clash.push('another box is due that day')
    else if (same && Math.abs(other.dueAt - box.dueAt) < 30 * MS_PER_DAY)
      clash.push(
        `another newcomer is due in the same water ${momentBeside(other.dueAt, now, settings.clock)}: whoever is second starts the count over`,
      )
  }
  const hours = 'Two hours at the door, half an hour a day after it for weeks.'
  return clash.length === 0
    ? { id: 'calendar', state: 'ok', title, words: hours, by: null }
    : { id: 'calendar', state: 'warns', title, words: `${clash.join('; ')}. ${hours}`, by: null }
}

/** What a seller has to be asked: the light a coral came from. */
function light({ animals, now, box }: Asking): PreparationDraft[] {
  return animals
    .filter((animal) => kindOf(animal) === 'coral')
    .map((animal) => {
      const who = animal.name ?? animal.species
      return {
        id: `light-${animal.expectedId}`,
        title: `Light ${who} comes from`,
        ...(animal.lightUmol === undefined
          ? {
              state: 'asks' as const,
              words: 'Ask the seller: µmol, or lamp, height and hours. Without it the start is a third of the lamp.',
              by: Math.min(box.dueAt, now + MS_PER_DAY),
              mend: 'seller' as const,
            }
          : { state: 'ok' as const, words: `${animal.lightUmol} µmol; it starts at half of it.`, by: null }),
      }
    })
}

function ticks(asking: Asking): PreparationDraft[] {
  const { journal, box, tank, animals } = asking
  const fish = animals.some((animal) => kindOf(animal) === 'fish')
  return PREPARATION_TICKS.filter(
    ({ fishOnly, quarantineOnly }) => (!fishOnly || fish) && (!quarantineOnly || tank.role !== 'display'),
  ).map(({ id, title }) => {
    const row = SET_UP.rows.find((one) => one.id === id)
    const isDone = wordOn(journal, tickId(box.id, tank.id, id))?.state === 'done'
    return {
      id,
      state: isDone ? ('ok' as const) : ('missing' as const),
      title,
      // A reason that is a place in the handbook says nothing here.
      words: row ? [row.spec, ...(/^section \d/.test(row.why) ? [] : [row.why])].join(': ') : '',
      by: isDone ? null : eveningBefore(asking),
      isTick: true,
    }
  })
}

const RANK: Record<Preparation['state'], number> = { never: 0, missing: 1, warns: 2, asks: 3, ok: 4 }

/**
 * What has to be ready in one tank before its animals of a box come: what the journal can tell is checked, what it cannot
 * is ticked. The handbook: quarantine.md 7.4, 7.5 and 8, acclimation.md. What is missing first, by when.
 */
export function preparationsFor(
  journal: Journal,
  settings: Settings,
  box: Box,
  tankId: string,
  now: number,
): Preparation[] {
  const tank = tankById(journal, tankId)
  if (!tank) return []
  const asking: Asking = {
    journal,
    settings,
    now,
    box,
    tank,
    animals: box.animals.filter((animal) => animal.tankId === tankId),
  }
  const drafts = [
    copper(asking),
    ...restarts(asking),
    cycled(asking),
    salinity(asking),
    heater(asking),
    air(asking),
    stocking(asking),
    tests(asking),
    ...light(asking),
    calendar(asking),
    ...ticks(asking),
  ]
  return drafts
    .flatMap((draft) => (draft ? [{ isTick: false, ...draft, tankId }] : []))
    .sort((a, b) => RANK[a.state] - RANK[b.state])
}

import type { ContainerPlan } from '../../acclimation/together.ts'
import type { Way } from '../../acclimation/ways.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { iso } from '../../time/zone.ts'
import type { BagReading } from '../box/bag-form.ts'

/** What a run is begun by: who goes where, the plan's form as read, and the way chosen for its container. */
export interface RunStarted {
  runId: string
  /** As the run keeps them; of several containers all. A part of a group still goes by the group's id, and names it. */
  animals: ContentOf<'acclimation-start'>['animals']
  tank: Pick<Tank, 'id'>
  /** The own tank they come from. */
  from: Pick<Tank, 'id'> | null
  /** Who sent them. */
  source: string | null
  read: BagReading
  container: Pick<ContainerPlan, 'ids' | 'bag' | 'limits' | 'tank'>
  way: Pick<Way, 'kind' | 'method' | 'broken'>
  now: number
}

/** Longest name of a field that a run keeps as assumed. */
const ASSUMED_NAME = 40

/** A run as it begins: what it rests on, how it goes, and, between own tanks, that it is open from the start. */
export function runStarted({ runId, animals, tank, from, source, read, container, way, now }: RunStarted): {
  runId: string
  contents: Content[]
} {
  const question = read.question!
  const happened = iso(now)
  const start: ContentOf<'acclimation-start'> = {
    kind: 'acclimation-start',
    happened,
    runId,
    tankId: tank.id,
    ...(from && { fromTankId: from.id }),
    animals: animals
      .filter(({ animalId }) => container.ids.includes(animalId))
      .map((animal, i) => (animal.partOf === undefined ? animal : { ...animal, animalId: `${runId}-${i}` })),
    way: way.kind,
    ...(way.method && { method: way.method }),
    setting: {
      bag: container.bag,
      tank: container.tank,
      container: question.container,
      room: question.room,
      float: question.float,
      ...(question.gasExchangePerHour !== undefined && { gasExchangePerHour: question.gasExchangePerHour }),
    },
    limits: container.limits,
    shippingHours: question.shippingHours,
    ...(source !== null && { source }),
    assumed: read.guessed.map((id) => id.slice(-ASSUMED_NAME)),
    ...(way.broken.length > 0 && { knowing: way.broken.map(({ words }) => words).join('; ') }),
  }
  const opened: Content[] =
    question.float.minutes === 0 ? [{ kind: 'acclimation-event', happened, runId, event: 'opened' }] : []
  return { runId, contents: [start, ...opened] }
}

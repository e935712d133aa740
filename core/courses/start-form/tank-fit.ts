import type { Definition, Role } from '../../catalogue/courses/definitions.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import { animalLabel, residentsOf } from '../../household/animals.ts'
import { coralsOf } from '../../household/corals.ts'
import { tanksOf, type Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { listed } from '../../words/numbers.ts'
import { runningIn } from '../course.ts'
import { fullCourseName } from '../names.ts'
import { isFor } from './who-and-where.ts'

/** A tank and why it cannot have a role in a course, said after its name and a colon; null where it can. */
export interface TankFit {
  tank: Tank
  why: string | null
}

const WATERS: Readonly<Record<Tank['water'], string>> = { marine: 'sea water', freshwater: 'fresh water' }
/** What baths are given in. */
const BATH_ROLES: ReadonlySet<Tank['role']> = new Set(['tub', 'jar', 'bucket'])
/** What is bleached and dried between two uses. */
const BARE_ROLES: ReadonlySet<Tank['role']> = new Set(['quarantine', 'tub'])
/** What days without fish are counted in: quarantine.md 7.5. */
const FALLOW_ROLES: ReadonlySet<Tank['role']> = new Set(['display', 'frag', 'tub'])

/** Whether the fish of a definition move between two sets. */
const isTransfer = ({ roles }: Definition): boolean => roles.some(({ role }) => role === 'other')

function notBare({ role, contents = [] }: Tank): string | null {
  if (!BARE_ROLES.has(role)) return 'not a bare quarantine tank, which is bleached and dried'
  const kept = contents.filter((one) => one === 'rock' || one === 'sand')
  return kept.length === 0 ? null : `holds ${listed(kept)}, which cannot be bleached and dried`
}

/** Who lives in a tank, or what runs there; null where it is free. */
function notFree(journal: Journal, { id }: Tank): string | null {
  const living = [...residentsOf(journal, id).map(animalLabel), ...coralsOf(journal, id).map(({ name }) => name)]
  if (living.length > 0)
    return `has ${living.length > 2 ? `${living[0]!} and ${living.length - 1} others` : listed(living)} in it`
  const [course] = runningIn(journal, id)
  return course ? `in use for ${fullCourseName(course)}` : null
}

/**
 * Why a tank cannot have a role in a course.
 * @returns null where it can
 * @example
 * whyNotFit(journal, definitionById('qt-add-formalin')!, 'tub', hallReef) // 'not a tub, jar or bucket'
 */
export function whyNotFit(journal: Journal, definition: Definition, role: Role, tank: Tank): string | null {
  if (!isFor(definition, tank.water))
    return `holds ${WATERS[tank.water]}, and this is for ${WATERS[tank.water === 'marine' ? 'freshwater' : 'marine']}`
  switch (role) {
    case 'main':
      if (definition.kind === 'fallow' && !FALLOW_ROLES.has(tank.role))
        return 'not a display or a tank of corals: it is emptied and dried instead'
      return isTransfer(definition) ? notBare(tank) : null
    case 'observe':
      return notBare(tank)
    case 'other':
      return notBare(tank) ?? notFree(journal, tank)
    case 'tub':
      return BATH_ROLES.has(tank.role) ? notFree(journal, tank) : 'not a tub, jar or bucket'
  }
}

const hasFish = (journal: Journal, { id }: Tank): boolean =>
  residentsOf(journal, id).some(({ group }) => animalGroupById(group)?.kind === 'fish')

/**
 * The tanks of the household for a role of a course, those that fit first. Days without fish are offered first where none are.
 * @example
 * tankFits(journal, definition, 'tub').filter(({ why }) => why === null)
 */
export function tankFits(journal: Journal, definition: Definition, role: Role): TankFit[] {
  const rank = ({ tank, why }: TankFit): number =>
    why !== null ? 2 : definition.kind === 'fallow' && role === 'main' && hasFish(journal, tank) ? 1 : 0
  return tanksOf(journal)
    .map((tank) => ({ tank, why: whyNotFit(journal, definition, role, tank) }))
    .sort((a, b) => rank(a) - rank(b))
}

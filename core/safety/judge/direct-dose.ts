import { isCopper } from '../../catalogue/treatments/groups.ts'
import { rampOf, type Dose } from '../../catalogue/treatments/treatments.ts'
import { listed } from '../../words/numbers.ts'
import type { Journal } from '../../journal/journal.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { isNamedBy } from '../water/agents.ts'
import { openCases } from '../water/contexts.ts'
import { isInvertebrate, residentsIn, type Resident } from '../water/residents.ts'
import { sensitivityOf } from './sensitivities.ts'

/** Whether straight-to-the-dose is offered: by itself, by a written reason, or not at all; and why, in words. */
export interface DirectDose {
  offer: 'default' | 'by-reason' | 'no'
  why: string
}

/** The disease that cannot wait for a ramp: quarantine.md 5.5. */
const VELVET = 'marine-velvet'
/** Red flag rf-velvet, quarantine.md 3.3: the first sign with any of the others. */
const VELVET_FLAG = {
  with: 'breathing-fast',
  any: ['into-flow', 'shuns-light', 'fine-dust-sheen', 'rapid-course'],
} as const
/** Signs seen this recently are of now (EA). */
const SIGN_HOURS = 48

const isFlagged = (signs: ReadonlySet<string>): boolean =>
  signs.has(VELVET_FLAG.with) && VELVET_FLAG.any.some((sign) => signs.has(sign))

/** Whether a case names velvet, or velvet’s red flag stands by its signs or by what was seen in the tank lately. */
function isVelvetSuspected(
  journal: Journal,
  tankId: string,
  residents: readonly Resident[],
  at: number,
  caseId?: string,
): boolean {
  const cases = openCases(journal, tankId, at)
  if (cases.some(({ causes }) => causes.includes(VELVET))) return true
  const ids = new Set([...cases.map(({ id }) => id), ...(caseId === undefined ? [] : [caseId])])
  for (const id of ids) {
    const signs = new Set<string>()
    let names = false
    for (const { content, struck } of journal.about(`case:${id}`)) {
      if (struck || content.kind !== 'case-mark') continue
      if (content.cause === VELVET && content.mark !== 'ruled-out') names = true
      for (const { sign, answer } of content.signs ?? []) if (answer === 'present') signs.add(sign)
    }
    if (names || isFlagged(signs)) return true
  }
  return residents.some(({ animal }) => {
    if (!animal) return false
    const seen = new Set<string>()
    for (const { content, at: when, struck } of journal.about(`animal:${animal.id}`))
      if (!struck && content.kind === 'sighting' && when <= at && at - when < SIGN_HOURS * MS_PER_HOUR)
        for (const { sign, present } of content.signs) if (present) seen.add(sign)
    return isFlagged(seen)
  })
}

/** Whether the row of a group avoids an agent, and whether it speaks of its rise alone. */
const avoids = (resident: Resident, agent: string, isRise: boolean): boolean =>
  (sensitivityOf(resident)?.avoid ?? []).some(
    (one) =>
      (one.only === 'fast-ramp') === isRise &&
      one.only !== 'high-band' &&
      one.agents.some((id) => isNamedBy(agent, id)),
  )

const names = (residents: readonly Resident[]): string => listed(residents.map(({ label }) => label))

/**
 * Whether a drug may go straight to its dose for those in a tank: quarantine.md 5.5 and further-schools.md 1, cu-at-once.
 * @param at ms
 * @param caseId the case that the course answers
 * @example
 * directDose(journal, 'quar', doseById('cu-chelated-std')!, now).offer // 'default' with velvet's red flag in the tank
 */
export function directDose(journal: Journal, tankId: string, dose: Dose, at: number, caseId?: string): DirectDose {
  const { emergency } = rampOf(dose.agent)
  if (emergency.allowed !== 'yes')
    return {
      offer: 'no',
      why:
        emergency.allowed === 'vet'
          ? 'this form of copper goes to its dose by the ramp only, unless a veterinarian or the label says otherwise'
          : 'never: its ramp is slow on purpose',
    }
  if (!isCopper(dose.agent) || emergency.to === null) return { offer: 'no', why: emergency.words }
  const residents = residentsIn(journal, tankId, at)
  const never = residents.filter((one) => isInvertebrate(one) || avoids(one, dose.agent, false))
  if (never.length > 0) return { offer: 'no', why: `not with ${names(never)}: copper is not tolerated` }
  const slow = residents.filter((one) => avoids(one, dose.agent, true))
  if (slow.length > 0)
    return { offer: 'by-reason', why: `${names(slow)} ${slow.length === 1 ? 'does' : 'do'} not tolerate a fast rise` }
  return isVelvetSuspected(journal, tankId, residents, at, caseId)
    ? { offer: 'default', why: `to ${emergency.to.toFixed(1)} mg/L at once, for active velvet` }
    : {
        offer: 'by-reason',
        why: `to ${emergency.to.toFixed(1)} mg/L at once is for active velvet: say why it cannot wait for the ramp`,
      }
}

import { ingredientById } from '../../catalogue/ingredient.ts'
import { APART_MINUTES } from './raise.ts'
import type { CorrectionSalt } from './salts.ts'

/** What is minded whenever a level is raised by a salt; the salt's own cautions come first. */
export function raiseCautions(salt: CorrectionSalt): string[] {
  const { caution = null, law = null } = ingredientById(salt.id) ?? {}
  return [
    ...(caution === null ? [] : [caution]),
    ...(law === null ? [] : [law]),
    `Dissolve it in fresh water first, into strong flow, away from corals; calcium and alkalinity at least ${APART_MINUTES} minutes apart.`,
    ...(salt.parameter === 'k' ? ['Confirm potassium by a second kit or a lab before the first dose.'] : []),
    ...(salt.parameter === 'ca' ? ['Check magnesium first: too little of it and calcium falls out again.'] : []),
    'Test before each day’s dose; a level that jumped means a day without.',
  ]
}

/** What is minded whenever a level is brought down by water changes. */
export const LOWER_CAUTIONS: readonly string[] = [
  'Find the source first: a level that drops in a day harms corals more than one that is high.',
  'Match temperature and salinity; take heaters and pumps off the mains before the water falls under them.',
]

import { animalById, animalLabel } from '../../household/animals.ts'
import { lesionLooks, looksOnEnd } from '../../watching/lesions.ts'
import { addJudge } from './late-judges.ts'
import type { Judged, RuleInput } from './rules.ts'

/** So many looks on end with a worse lesion, and the drug is not the one: issue of the antibiotics (EA). */
const WORSE_ON_END = 3

/** Whether the lesion of any fish of the course was worse on three looks on end. */
function lesionWorse({ journal, facts }: RuleInput): Judged {
  const { course, now } = facts
  const worst = course.animalIds
    .map((id) => ({ id, count: looksOnEnd(lesionLooks(journal, id, course.startedAt, now), 'worse') }))
    .sort((a, b) => b.count - a.count)[0]
  if (!worst || worst.count === 0) return { state: 'not-yet', says: 'not worse at the last look' }
  const animal = animalById(journal, worst.id)
  return {
    state: worst.count >= WORSE_ON_END ? 'holds' : 'not-yet',
    says: `${animal ? animalLabel(animal) : 'one'}: worse on ${worst.count} of ${WORSE_ON_END} looks on end`,
    is: worst.count,
    limit: WORSE_ON_END,
  }
}

addJudge('lesion-worse', lesionWorse)

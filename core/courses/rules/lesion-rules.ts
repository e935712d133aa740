import { animalById, animalLabel } from '../../household/animals.ts'
import { lesionLooks, looksInARow } from '../../watching/lesions.ts'
import { addJudge } from './late-judges.ts'
import type { Judged, RuleInput } from './rules.ts'

/** After so many looks in a row with a worse lesion the drug does not help (EA). */
const WORSE_IN_A_ROW = 3

/** Whether the lesion of any fish of the course was worse on three looks in a row. */
function lesionWorse({ journal, facts }: RuleInput): Judged {
  const { course, now } = facts
  const worst = course.animalIds
    .map((id) => ({ id, count: looksInARow(lesionLooks(journal, id, course.startedAt, now), 'worse') }))
    .sort((a, b) => b.count - a.count)[0]
  if (!worst || worst.count === 0) return { state: 'not-yet', says: 'not worse at the last look' }
  const animal = animalById(journal, worst.id)
  return {
    state: worst.count >= WORSE_IN_A_ROW ? 'holds' : 'not-yet',
    says: `${animal ? animalLabel(animal) : 'one'}: worse on ${worst.count} of ${WORSE_IN_A_ROW} looks in a row`,
    is: worst.count,
    limit: WORSE_IN_A_ROW,
  }
}

addJudge('lesion-worse', lesionWorse)

import { animalGroupById } from '../../catalogue/animal-group.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { rampOf, type Dose } from '../../catalogue/treatments/treatments.ts'
import { animalLabel, residentsOf } from '../../household/animals.ts'
import type { Journal } from '../../journal/journal.ts'

/** Whether straight-to-the-dose is allowed for these animals, quarantine.md 5.5, and in which words. */
export function directDose(journal: Journal, tankId: string, dose: Dose): { allowed: boolean; why: string } {
  const { emergency } = rampOf(dose.agent)
  if (emergency.allowed !== 'yes')
    return {
      allowed: false,
      why:
        emergency.allowed === 'vet'
          ? 'only by a veterinarian’s or the label’s word'
          : 'never: the ramp is slow on purpose',
    }
  const sensitive = residentsOf(journal, tankId).find((animal) => animalGroupById(animal.group)?.sensitivity)
  if (sensitive)
    return { allowed: false, why: `not with ${animalLabel(sensitive)} in the water: its group does not tolerate it` }
  return { allowed: isCopper(dose.agent) && emergency.to !== null, why: emergency.words }
}

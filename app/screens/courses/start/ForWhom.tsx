import type { Control } from 'react-hook-form'
import type { Definition } from '../../../../core/catalogue/courses/definitions.ts'
import { animalLabel } from '../../../../core/household/animals.ts'
import { ChipsField } from '../../../fields/fields.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Small } from '../../../look/text.ts'
import type { StartValues } from '../../../../core/courses/start-form/start-form.ts'
import { coralChoices, fishIn, isOfCorals, isOfFish } from '../../../../core/courses/start-form/who-and-where.ts'

/** The fish or the corals that a course is for, where it is for named ones. */
export function ForWhom({
  control,
  definition,
  tankId,
  problems,
}: {
  control: Control<StartValues>
  definition: Definition
  tankId: string
  problems: Readonly<Record<string, Problem>>
}) {
  const { journal } = useHousehold()
  const fish = fishIn(journal, tankId)
  const corals = coralChoices(journal, tankId)
  return (
    <>
      {isOfFish(definition) && (
        <>
          {fish.length === 0 && <Small>No fish is in this tank: this is for fish.</Small>}
          <ChipsField
            control={control}
            name="animalIds"
            label="Fish"
            problem={problems['animalIds']}
            options={fish.map((animal) => ({ value: animal.id, label: animalLabel(animal) }))}
          />
        </>
      )}
      {isOfCorals(definition) && (
        <>
          {corals.length === 0 && (
            <Small>No coral is in this tank yet: add the animals, or name the corals on its page.</Small>
          )}
          <ChipsField control={control} name="partIds" label="Corals" problem={problems['partIds']} options={corals} />
        </>
      )}
    </>
  )
}

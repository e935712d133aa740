import { NAME_LETTERS } from '../../../../core/journal/contents/text-limits.ts'
import { useState } from 'react'
import { styled } from 'styled-components'
import type { Subject } from '../../../../core/bench/subjects.ts'
import type { Procedure, SubjectKind } from '../../../../core/catalogue/procedures/procedure.types.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { iso } from '../../../../core/time/zone.ts'
import { inputShape, labelShape } from '../../../fields/shell.tsx'
import { thisInstant } from '../../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { newId } from '../../../journal/opened.ts'
import { Button } from '../../../look/buttons.ts'
import { CheckChip } from '../../../look/CheckChip.ts'
import { Heading, Line, Small, Stack } from '../../../look/text.ts'

const Input = styled.input`
  ${inputShape}
`

const Another = styled.label`
  ${labelShape}
  display: grid;
  gap: 5px;
  flex: 1 1 180px;
  max-width: 320px;
`

type PartKind = ContentOf<'part-setup'>['what']
const isPart = (kind: SubjectKind): kind is PartKind => kind !== 'animal'

/** What it is done to: chosen among what the tank holds; a rock, a coral or a patch that has no name yet is named here. */
export function SubjectsField({
  procedure,
  tankId,
  subjects,
  chosen,
  onChosen,
}: {
  procedure: Procedure
  tankId: string
  subjects: readonly Subject[]
  chosen: readonly string[]
  onChosen: (ids: readonly string[]) => void
}) {
  const { keep, busy, unkept } = useKeeping()
  const [name, setName] = useState('')
  const kinds = procedure.subjects.filter(isPart)
  const forbidden = subjects.filter(({ mustNot }) => mustNot !== null)
  const add = async () => {
    const partId = newId()
    const kept = await keep([
      { kind: 'part-setup', happened: iso(thisInstant()), partId, tankId, what: kinds[0]!, name: name.trim() },
    ])
    if (!kept) return
    setName('')
    onChosen([...chosen, partId])
  }
  return (
    <section>
      <Heading>{kinds.length > 0 ? `Which ${kinds.join(', ')}` : 'Who'}</Heading>
      <Stack $gap={12} style={{ paddingTop: 12 }}>
        <Line $gap={8}>
          {subjects
            .filter(({ mustNot }) => mustNot === null)
            .map((one) => (
              <CheckChip
                key={one.id}
                isSelected={chosen.includes(one.id)}
                onChange={(isIn) => onChosen(isIn ? [...chosen, one.id] : chosen.filter((id) => id !== one.id))}
              >
                {one.name}
              </CheckChip>
            ))}
        </Line>
        {forbidden.map((one) => (
          <Small key={one.id}>
            Not {one.name}: {one.mustNot}.
          </Small>
        ))}
        {kinds.length > 0 && (
          <form
            onSubmit={(event) => {
              event.preventDefault()
              if (name.trim() !== '') void add()
            }}
          >
            <Line $gap={10} style={{ alignItems: 'flex-end' }}>
              <Another>
                Name another {kinds[0]}
                <Input value={name} maxLength={NAME_LETTERS} onChange={(event) => setName(event.target.value)} />
              </Another>
              <Button type="submit" isDisabled={busy || name.trim() === ''}>
                Add it
              </Button>
            </Line>
          </form>
        )}
        {kinds.length === 0 && subjects.length === 0 && <Small>Nobody lives in this tank by the ledger.</Small>}
        {unkept && <UnkeptNote unkept={unkept} />}
      </Stack>
    </section>
  )
}

import { useForm } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import type { Case } from '../../../../core/diagnosis/cases.ts'
import { tanksOf, type Tank } from '../../../../core/household/tanks.ts'
import { SelectField } from '../../../fields/fields.tsx'
import { UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { Missing } from '../../../look/Missing.tsx'
import { PartLinks } from '../../../look/PartLinks.tsx'
import { Page, PageHead } from '../../../look/page.ts'
import { Line, Quiet, Title } from '../../../look/text.ts'
import { caseName } from '../../../words/case-entries.ts'
import { Following } from './Following.tsx'
import { Kinds } from './Kinds.tsx'
import { MovingKey } from './MovingKey.tsx'
import { Practice } from './Practice.tsx'
import { SampleRun } from './SampleRun.tsx'
import { Tally } from './tally/Tally.tsx'
import { useAskedDrop, useMicroscopeSubject, type MicroscopeSubject } from './useSubject.ts'

const PARTS = [
  { id: 'sample', name: 'Sample', Body: SampleRun },
  { id: 'key', name: 'Which kind', Body: MovingKey },
  { id: 'tally', name: 'Tally', Body: Tally },
  { id: 'next', name: 'What follows', Body: Following },
  { id: 'kinds', name: 'Side by side', Body: Kinds },
  { id: 'practice', name: 'Practice', Body: Practice },
] as const

/** From a film to a drop, to its kind and its share, and to what follows. */
export function Microscope() {
  const drop = useAskedDrop()
  if (!drop)
    return (
      <Missing title="Microscope" back="Set up a tank" href="/tanks/new">
        A drop needs a tank that it is taken from.
      </Missing>
    )
  return <OfDrop key={`${drop.tank.id} ${drop.one?.id ?? ''}`} {...drop} />
}

function OfDrop(drop: { tank: Tank; one: Case | null }) {
  const { part = 'sample' } = useParams()
  const subject = useMicroscopeSubject(drop)
  const here = PARTS.find(({ id }) => id === part)
  if (!here)
    return (
      <Missing title="No such part" back="The microscope" href={subject.addressOf('sample')}>
        The microscope has a sample run, a key, a tally, what follows, and practice.
      </Missing>
    )
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Microscope</Title>
          <Quiet>
            {subject.tank.name}
            {subject.one && <> · {caseName(subject.one.start)}</>}
          </Quiet>
        </div>
        <WhichDrop subject={subject} part={here.id} />
      </PageHead>
      <PartLinks
        label="Parts of the microscope"
        here={here.id}
        parts={PARTS.map(({ id, name }) => ({ id, name, href: subject.addressOf(id) }))}
      />
      {subject.keeping.unkept && <UnkeptNote unkept={subject.keeping.unkept} />}
      <here.Body subject={subject} />
    </Page>
  )
}

/** Which tank the drop is from, and which case it is for. */
function WhichDrop({ subject, part }: { subject: MicroscopeSubject; part: string }) {
  const { journal } = useHousehold()
  const navigate = useNavigate()
  const { tank, one, open } = subject
  const tanks = tanksOf(journal)
  const form = useForm({ defaultValues: { tankId: tank.id } })
  if (one) return <ButtonLink href={`/diagnose/${one.id}`}>The case</ButtonLink>
  return (
    <Line $gap={14} style={{ alignItems: 'end' }}>
      {tanks.length > 1 && (
        <SelectField
          control={form.control}
          name="tankId"
          label="Drop from"
          options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
          onPick={(id) => void navigate(`/diagnose/microscope/${part}?tank=${id}`)}
        />
      )}
      {open.map(({ id, start }) => (
        <ButtonLink key={id} href={`/diagnose/microscope/${part}?case=${id}`}>
          For the case: {caseName(start)}
        </ButtonLink>
      ))}
    </Line>
  )
}

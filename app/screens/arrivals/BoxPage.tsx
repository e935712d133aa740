import { Link } from 'react-aria-components'
import { useParams } from 'react-router'
import { styled } from 'styled-components'
import { boxById, type Box } from '../../../core/arrivals/box/boxes.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Page } from '../../look/page.ts'
import { Line, Small, Stack, Title } from '../../look/text.ts'
import { newcomerName, tankName } from '../../words/entries.ts'
import { capital, figures, listed } from '../../../core/words/numbers.ts'
import { Inspect } from './Inspect.tsx'
import { Plan } from './plan/Plan.tsx'
import { Prepare } from './plan/Prepare.tsx'

const STEPS = [
  { id: 'prepare', name: 'Prepare' },
  { id: 'inspect', name: 'Look it over' },
  { id: 'plan', name: 'Plan the way' },
] as const

const Steps = styled.nav`
  display: flex;
  gap: 4px;
  border-bottom: 1.5px solid var(--ink);
  a {
    display: flex;
    align-items: center;
    min-height: 44px;
    padding: 4px 14px 0;
    border-bottom: 4px solid transparent;
    margin-bottom: -1.5px;
    color: var(--quiet);
    text-decoration: none;
    font-size: 16px;
  }
  a[aria-current='step'] {
    color: var(--ink);
    font-weight: 700;
    border-bottom-color: var(--second);
  }
`

/** One box: what has to be ready, the animals looked over, and the way from the bag to the tank. */
export function BoxPage() {
  const { boxId = '', step = 'prepare' } = useParams()
  const { journal } = useHousehold()
  const box = boxById(journal, boxId)
  if (!box)
    return (
      <Page>
        <Stack>
          <Title>Nothing awaited here</Title>
          <Small>
            Everything in this box has come, or it was never announced. <Link href="/arrivals">Arrivals</Link> lists
            what is awaited and what came.
          </Small>
        </Stack>
      </Page>
    )
  return (
    <Page>
      <Stack $gap={16}>
        <BoxHead box={box} />
        <Steps aria-label="Steps">
          {STEPS.map(({ id, name }) => (
            <Link key={id} href={`/arrivals/box/${box.id}/${id}`} aria-current={id === step ? 'step' : undefined}>
              {name}
            </Link>
          ))}
        </Steps>
        {step === 'inspect' ? <Inspect box={box} /> : step === 'plan' ? <Plan box={box} /> : <Prepare box={box} />}
      </Stack>
    </Page>
  )
}

function BoxHead({ box }: { box: Box }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const tanks = [...new Set(box.animals.map(({ tankId }) => tankId))]
  const due = momentBeside(box.dueAt, now, settings.clock)
  return (
    <div>
      <Line style={{ justifyContent: 'space-between' }}>
        <Title>{capital(listed(box.animals.map(newcomerName)))}</Title>
        <Link href={`/arrivals/box/${box.id}/change`}>change</Link>
      </Line>
      <Small style={{ fontSize: 15 }}>
        {[
          `${box.dueAt < now ? 'due since' : 'due'} ${due}`,
          box.hoursInTransit === null ? 'hours on the way not known' : `${figures(box.hoursInTransit)} h on the way`,
          box.source,
          `to ${listed(tanks.map((id) => tankName(journal, id)))}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Small>
    </div>
  )
}

import { consequencesOf, type Consequence, type WayOn } from '../../../core/courses/outlook/consequences.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { PARASITE_NAMES, riskText } from '../../courses/words.ts'
import { tankOfPlan } from '../../courses/usePlans.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PlainLink } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Figure, Heading, Rows, Ruled, Small, Stack } from '../../look/text.ts'
import { styled } from 'styled-components'

const Ways = styled.ol`
  margin: 0;
  padding-left: 22px;
  font-size: 15px;
  line-height: 1.45;
  li {
    padding: 2px 0;
  }
`

const TITLES: Readonly<Record<string, string>> = {
  'late-move': 'A move came late',
  'bath-spacing': 'A bath was on the wrong day',
  'level-low': 'The level was under its range',
  'cross-contact': 'Something wet came across',
  'new-fish': 'A new fish came in',
  'deworm-spacing': 'The second deworming was not in time',
  'missed-redose': 'A dose was missed',
  'salinity-high': 'The salinity rose',
}

/** What came late or wrong: what it means, what moves to when, the risk before and after, and the ways on. */
export function Consequences({ plan }: { plan: CoursePlan }) {
  const found = consequencesOf(plan)
  if (found.length === 0) return null
  return (
    <section>
      <Heading>What went wrong, and the ways on</Heading>
      <Rows>
        {found.map((one) => (
          <li key={`${one.rule}-${one.at}`}>
            <OneConsequence plan={plan} consequence={one} />
          </li>
        ))}
      </Rows>
    </section>
  )
}

function OneConsequence({ plan, consequence }: { plan: CoursePlan; consequence: Consequence }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { rule, at, means, fullAt, wasFullAt, risks, ways, isWithinError } = consequence
  const when = (ms: number) => momentBeside(ms, now, settings.clock)
  return (
    <Stack $gap={8}>
      <strong>
        {TITLES[rule] ?? rule}, {when(at)}
      </strong>
      <p>
        {means}{' '}
        {fullAt === null ? (
          'When the count would be full cannot be said until it is put right.'
        ) : (
          <>
            Full <Figure $size={17}>{when(fullAt)}</Figure>
            {wasFullAt !== null && wasFullAt !== fullAt && `, instead of ${when(wasFullAt)}`}, if all goes on in time.
          </>
        )}
      </p>
      {risks.length > 0 && (
        <>
          <Ruled>
            <thead>
              <tr>
                <th scope="col">{isWithinError ? 'Risk left, if it was under' : 'Risk left'}</th>
                <th scope="col">in time</th>
                <th scope="col">going on regardless</th>
                <th scope="col">as it is counted</th>
              </tr>
            </thead>
            <tbody>
              {risks.map(({ parasite, before, ignored, counted }) => (
                <tr key={parasite}>
                  <th scope="row">{PARASITE_NAMES[parasite] ?? parasite}</th>
                  <td>{riskText(before)}</td>
                  <td>
                    <strong>{riskText(ignored)}</strong>
                  </td>
                  <td>{riskText(counted)}</td>
                </tr>
              ))}
            </tbody>
          </Ruled>
          <Small>
            A model’s word, from a light infection. The rule decides; the risk says why.{' '}
            <HandbookLink to="life-cycles">handbook</HandbookLink>
          </Small>
        </>
      )}
      <Ways>
        {ways.map((way) => (
          <li key={way.id}>
            <Way plan={plan} way={way} />
          </li>
        ))}
      </Ways>
    </Stack>
  )
}

/** A way that leads to another screen is a link; one that is a task stands above, ready to be done. */
function Way({ plan, way }: { plan: CoursePlan; way: WayOn }) {
  const tankId = tankOfPlan(plan)
  if (way.id === 'other-school') return <PlainLink href={`/courses/compare?tank=${tankId}`}>{way.words}</PlainLink>
  if (way.id === 'rest') return <PlainLink href={`/courses/new?definition=rest&tank=${tankId}`}>{way.words}</PlainLink>
  return <>{way.words}</>
}

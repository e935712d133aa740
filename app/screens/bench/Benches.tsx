import { useForm } from 'react-hook-form'
import { Link } from 'react-aria-components'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { openBenches } from '../../../core/bench/follow.ts'
import type { Procedure } from '../../../core/catalogue/procedures/procedure.types.ts'
import { PROCEDURES } from '../../../core/catalogue/procedures/procedures.ts'
import { tankById, tanksOf } from '../../../core/household/tanks.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { SelectField } from '../../fields/fields.tsx'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead } from '../../look/page.ts'
import { Heading, Line, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'

const GROUPS: Record<Procedure['group'], string> = {
  corals: 'Corals',
  algae: 'Algae and films',
  pests: 'Pests, and looking for them',
  fish: 'Fish',
  water: 'Water',
}

const Groups = styled.div`
  columns: 340px 3;
  column-gap: 40px;
  > section {
    break-inside: avoid;
    padding-bottom: 26px;
  }
`

const Way = styled(Link)`
  display: block;
  padding: 8px 0;
  min-height: 44px;
  color: var(--ink);
  text-decoration: none;
  strong {
    color: var(--second);
    text-decoration: underline;
    text-decoration-color: var(--strong-rule);
    text-underline-offset: 4px;
  }
`

/** The bench: procedures for wet hands, and those that are under way. */
export function Benches() {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const [params, setParams] = useSearchParams()
  const tanks = tanksOf(journal)
  const tank = tankById(journal, params.get('tank') ?? '') ?? tanks[0]
  const form = useForm({ values: { tankId: tank?.id ?? '' } })
  if (!tank)
    return (
      <Missing title="Bench" back="Set up a tank" href="/tanks/new">
        A procedure is done at a tank.
      </Missing>
    )
  const running = openBenches(journal)
  const offered = PROCEDURES.filter(({ water }) => water === null || water === tank.water)
  return (
    <Page>
      <PageHead>
        <div>
          <Title>Bench</Title>
          <Quiet>one thing at a time, with wet hands</Quiet>
        </div>
      </PageHead>
      <Stack $gap={26}>
        {running.length > 0 && (
          <section>
            <Heading>Under way</Heading>
            <Rows>
              {running.map((run) => (
                <li key={run.id}>
                  <Line style={{ justifyContent: 'space-between' }}>
                    <div>
                      <strong>{run.procedure.name}</strong>
                      <Small>since {momentBeside(run.startedAt, now, settings.clock)}</Small>
                    </div>
                    <ButtonLink href={`/bench/${run.id}`}>Go on</ButtonLink>
                  </Line>
                </li>
              ))}
            </Rows>
          </section>
        )}
        <Line>
          <SelectField
            control={form.control}
            name="tankId"
            label="Tank"
            options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
            onPick={(id) => setParams({ tank: id })}
          />
        </Line>
        <Groups>
          {Object.entries(GROUPS).map(([group, heading]) => {
            const of = offered.filter((procedure) => procedure.group === group)
            return of.length === 0 ? null : (
              <section key={group}>
                <Heading>{heading}</Heading>
                <Rows>
                  {of.map(({ id, name, about }) => (
                    <li key={id}>
                      <Way href={`/bench/begin/${id}?tank=${tank.id}`}>
                        <strong>{name}</strong>
                        <Small>{about}</Small>
                      </Way>
                    </li>
                  ))}
                </Rows>
              </section>
            )
          })}
        </Groups>
      </Stack>
    </Page>
  )
}

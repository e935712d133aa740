import { useMemo, useState, type ReactNode } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { COMPARED_CONDITIONS, SCHOOL_LABELS, type Coverage } from '../../../../core/catalogue/courses/coverage.data.ts'
import { HANDLING_LIMITS } from '../../../../core/handling/points.ts'
import { animalGroupById } from '../../../../core/catalogue/animal-group.ts'
import { residentsOf } from '../../../../core/household/animals.ts'
import { awaitedAsAnimals } from '../../../../core/schools/awaited.ts'
import { compareSchools, type SchoolColumn } from '../../../../core/schools/compare.ts'
import { gatheredAdvice, splitAdvice } from '../../../../core/schools/advice.ts'
import { type Modelled } from '../../../../core/schools/risk.ts'
import { usualAssumption, type RiskAssumption } from '../../../../core/risk/shelter.ts'
import { tanksOf } from '../../../../core/household/tanks.ts'
import { capital, listed } from '../../../../core/words/numbers.ts'
import { PARASITE_NAMES, riskText } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { ButtonLink } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { Page, PageHead } from '../../../look/page.ts'
import { Bar, Figure, Heading, Rows, Small, Stack, Title } from '../../../look/text.ts'
import { Assumptions } from './Assumptions.tsx'
import { WhoAndWhere } from './WhoAndWhere.tsx'

const Wide = styled.div`
  overflow-x: auto;
  border: 1px solid var(--rule);
`

const Grid = styled.table`
  border-collapse: separate;
  border-spacing: 0;
  font-size: 14.5px;
  line-height: 1.35;
  th,
  td {
    padding: 8px 10px;
    vertical-align: top;
    text-align: left;
    border-bottom: 1px solid var(--rule);
    border-right: 1px solid var(--rule);
    min-width: 132px;
    max-width: 190px;
  }
  th[scope='row'],
  thead th:first-child {
    position: sticky;
    left: 0;
    z-index: 1;
    background: var(--ground);
    min-width: 128px;
    max-width: 128px;
    font-weight: 600;
  }
  thead th {
    font-weight: 700;
    border-bottom: 1.5px solid var(--ink);
    background: var(--ground);
  }
  thead th[data-advised] {
    box-shadow: inset 0 4px 0 var(--second);
  }
  @media (max-width: 759px) {
    th[scope='row'],
    thead th:first-child {
      min-width: 92px;
      max-width: 92px;
      padding: 8px 6px;
    }
  }
`

const Best = styled.span`
  display: block;
  font-size: 13px;
  font-weight: 500;
  color: var(--second);
`

const Group = styled.th`
  && {
    background: var(--band);
    font-size: 13px;
    color: var(--quiet);
  }
`

const Mark = styled.span<{ $how: Coverage }>`
  font-weight: 650;
  ${({ $how }) =>
    ({
      yes: 'color: var(--second);',
      part: 'color: var(--soon);',
      disputed: 'color: var(--soon);',
      no: 'color: var(--quiet); font-weight: 400;',
    })[$how]}
`

const COVER_WORDS: Record<Coverage, string> = {
  yes: 'covers',
  part: 'in part',
  disputed: 'disputed',
  no: 'not',
}

const CONDITION_NAMES: Readonly<Record<string, string>> = {
  'marine-ich': 'marine ich',
  'marine-velvet': 'velvet',
  brooklynella: 'brooklynella',
  uronema: 'uronema',
  'skin-flukes': 'skin flukes',
  'gill-flukes': 'gill flukes',
  'intestinal-worms': 'gut worms',
  'bacterial-external': 'bacteria',
}

/** The schools of quarantine side by side for the animals at hand. */
export function Compare() {
  const { journal } = useHousehold()
  const now = useNow()
  const [params, setParams] = useSearchParams()
  const marine = tanksOf(journal).filter(({ water }) => water === 'marine')
  const tankId = marine.find(({ id }) => id === params.get('tank'))?.id ?? null
  const there =
    tankId === null ? [] : residentsOf(journal, tankId).filter(({ group }) => animalGroupById(group)?.kind === 'fish')
  const awaited = awaitedAsAnimals(journal)
  const known = [...there, ...awaited]
  const named = params.get('fish')?.split(',')
  const animals = named ? known.filter(({ id }) => named.includes(id)) : known
  const [assumptions, setAssumptions] = useState<Record<Modelled, RiskAssumption>>({
    'marine-ich': usualAssumption('marine-ich'),
    'marine-velvet': usualAssumption('marine-velvet'),
  })
  const ids = animals.map(({ id }) => id).join()
  const { columns, advice } = useMemo(
    () => compareSchools(journal, { animals, tankId, now }, assumptions),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the animals by their ids; a minute changes nothing here
    [journal, ids, tankId, assumptions],
  )
  const split = splitAdvice(advice)
  const advised = new Set(advice.flatMap(({ schools }) => schools.slice(0, 1)))
  const change = (next: { tank?: string | null; fish?: string[] }) =>
    setParams((old) => {
      const changed = new URLSearchParams(old)
      if (next.tank !== undefined) {
        changed.delete('fish')
        if (next.tank === null) changed.delete('tank')
        else changed.set('tank', next.tank)
      }
      if (next.fish) changed.set('fish', next.fish.join(','))
      return changed
    })
  const startHref = (column: SchoolColumn) =>
    `/courses/new?definition=${column.definition.id}${tankId === null ? '' : `&tank=${tankId}`}`
  return (
    <Page>
      <PageHead>
        <Title>Compare the schools</Title>
      </PageHead>
      <Stack $gap={24}>
        <WhoAndWhere
          tanks={marine}
          tankId={tankId}
          known={known}
          chosen={animals.map(({ id }) => id)}
          onTank={(tank) => change({ tank })}
          onFish={(fish) => change({ fish })}
        />
        {advice.length > 0 && (
          <section>
            <Heading>For these animals</Heading>
            <Rows>
              {gatheredAdvice(advice).map(({ who, sentence, schools }) => (
                <li key={sentence}>
                  <strong>{capital(listed(who, 'and'))}</strong>: {sentence}{' '}
                  <Small as="span">Borne best: {schools.map((id) => SCHOOL_LABELS[id] ?? id).join('; or ')}.</Small>
                </li>
              ))}
            </Rows>
            {split && <Bar $tone="soon">{split}</Bar>}
            <Small>No school is proven best: each trades medicine against handling and time. You choose.</Small>
          </section>
        )}
        <Wide tabIndex={0} role="region" aria-label="Schools side by side">
          <Grid>
            <thead>
              <tr>
                <th scope="col">School</th>
                {columns.map(({ definition }) => (
                  <th key={definition.id} scope="col" {...(advised.has(definition.id) && { 'data-advised': '' })}>
                    {SCHOOL_LABELS[definition.id] ?? capital(definition.name)}
                    {advised.has(definition.id) && <Best>borne best here</Best>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <GroupRow title="Covers" span={columns.length + 1} />
              {COMPARED_CONDITIONS.map((condition, i) => (
                <Row key={condition} title={CONDITION_NAMES[condition] ?? condition} columns={columns}>
                  {({ covers }) => (
                    <>
                      <Mark $how={covers[i]!.how}>{COVER_WORDS[covers[i]!.how]}</Mark>
                      {covers[i]!.why && (
                        <>
                          <br />
                          <Small as="span">{covers[i]!.why}</Small>
                        </>
                      )}
                    </>
                  )}
                </Row>
              ))}
              <GroupRow title="Risk left, if the fish carried it and every rule was kept" span={columns.length + 1} />
              {(['marine-ich', 'marine-velvet'] as const).map((parasite, i) => (
                <Row key={parasite} title={PARASITE_NAMES[parasite] ?? parasite} columns={columns}>
                  {({ risks }) => (
                    <>
                      <Figure $size={18}>{risks[i]!.risk === null ? '–' : riskText(risks[i]!.risk)}</Figure>
                      {risks[i]!.why && (
                        <>
                          <br />
                          <Small as="span">{risks[i]!.why}</Small>
                        </>
                      )}
                    </>
                  )}
                </Row>
              ))}
              <GroupRow title="What it asks" span={columns.length + 1} />
              <Row title="Days" columns={columns}>
                {({ coreDays, watch }) => (
                  <>
                    {coreDays > 0 && <Figure $size={18}>{coreDays}</Figure>}
                    {watch && (
                      <Small as="span">
                        {coreDays > 0 ? ' + ' : ''}
                        {watch.least} to {watch.preferred} watched
                      </Small>
                    )}
                  </>
                )}
              </Row>
              <Row title="Moves" columns={columns}>
                {({ moves }) => <Figure>{moves === 0 ? 'none' : moves}</Figure>}
              </Row>
              <Row title="Doses and baths" columns={columns}>
                {({ doses }) => <Figure>{doses === 0 ? 'none' : doses}</Figure>}
              </Row>
              <Row title="Hands-on hours" columns={columns}>
                {({ effortHours }) => <Figure>{effortHours ? effortHours.join('–') : 'not told'}</Figure>}
              </Row>
              <Row title="Handling, worst week" columns={columns}>
                {({ load }) => (
                  <>
                    <Figure $size={18} style={load > HANDLING_LIMITS.said ? { color: 'var(--soon)' } : undefined}>
                      {load}
                    </Figure>
                    {load > HANDLING_LIMITS.said && (
                      <Small as="span"> over {HANDLING_LIMITS.said}: hard on a weak fish</Small>
                    )}
                  </>
                )}
              </Row>
              <Row title="To be owned" columns={columns}>
                {({ needs }) =>
                  needs.map(({ what, has }) => (
                    <div key={what} style={has ? undefined : { color: 'var(--act)' }}>
                      {has ? '✓' : '✕'} {what}
                      {!has && <Small as="span"> missing</Small>}
                    </div>
                  ))
                }
              </Row>
              <GroupRow title="What speaks against it here" span={columns.length + 1} />
              <Row title="These animals" columns={columns}>
                {({ concerns }) =>
                  concerns.length === 0 ? (
                    <Small as="span">nothing known</Small>
                  ) : (
                    concerns.map(({ rule, what, reason, severity }) => (
                      <div key={rule + what} style={{ marginBottom: 6 }}>
                        <strong style={severity === 'caution' ? undefined : { color: 'var(--act)' }}>{what}</strong>:{' '}
                        <Small as="span">{reason}</Small>
                      </div>
                    ))
                  )
                }
              </Row>
              <Row title="What breaks it" columns={columns}>
                {({ breaks }) => <Small as="span">{breaks}</Small>}
              </Row>
              <tr>
                <th scope="row">Then</th>
                {columns.map((column) => (
                  <td key={column.definition.id}>
                    <ButtonLink href={startHref(column)} aria-label={`Set up: ${column.definition.name}`}>
                      Set it up
                    </ButtonLink>
                    <div style={{ marginTop: 6 }}>
                      <HandbookLink to={`quarantine#${column.definition.id}`}>handbook</HandbookLink>
                    </div>
                  </td>
                ))}
              </tr>
            </tbody>
          </Grid>
        </Wide>
        <Assumptions assumptions={assumptions} onChange={setAssumptions} />
        <Small>
          Effort is an editorial assumption; flukes, worms, brooklynella and uronema have no model: covered, in part or
          not is all that is said of them.
        </Small>
      </Stack>
    </Page>
  )
}

function GroupRow({ title, span }: { title: string; span: number }) {
  return (
    <tr>
      <Group scope="colgroup" colSpan={span}>
        {title}
      </Group>
    </tr>
  )
}

function Row({
  title,
  columns,
  children,
}: {
  title: string
  columns: readonly SchoolColumn[]
  children: (column: SchoolColumn) => ReactNode
}) {
  return (
    <tr>
      <th scope="row">{title}</th>
      {columns.map((column) => (
        <td key={column.definition.id}>{children(column)}</td>
      ))}
    </tr>
  )
}

import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { canBeMatched } from '../../../core/arrivals/water-checks.ts'
import { waterOfTank } from '../../../core/arrivals/water.ts'
import { animalLabel, residentsOf, type Animal } from '../../../core/household/animals.ts'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { runningIn } from '../../../core/courses/course.ts'
import { courseName } from '../../../core/courses/names.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { inputShape } from '../../fields/shell.tsx'
import { Page } from '../../look/page.ts'
import { Bar, Line, Small, Stack, Title } from '../../look/text.ts'
import { PlanBoard, type PlanSource } from './PlanBoard.tsx'

const Select = styled.select`
  ${inputShape}
  width: auto;
  min-width: 200px;
`

const Who = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  button {
    min-height: 44px;
    padding: 4px 14px;
    border: 1.5px solid var(--strong-rule);
    border-radius: 2px;
    background: none;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--second);
    background: var(--second);
    color: var(--on-second);
    font-weight: 600;
  }
`

/** From one own tank to another, by the same plan as from a bag: the first tank's water is the bag's. */
export function BetweenTanks() {
  const { journal } = useHousehold()
  const [params, setParams] = useSearchParams()
  const lived = tanksOf(journal).filter((tank) => residentsOf(journal, tank.id).length > 0)
  // Release from quarantine is what it is asked for most.
  const from =
    tankById(journal, params.get('from') ?? '') ?? lived.find(({ role }) => role === 'quarantine') ?? lived[0] ?? null
  const others = tanksOf(journal).filter((tank) => tank.id !== from?.id && tank.water === from?.water)
  const to =
    others.find(({ id }) => id === params.get('to')) ??
    others.find(({ role }) => role === 'display') ??
    others[0] ??
    null
  const residents = from ? residentsOf(journal, from.id) : []
  const asked = (params.get('who') ?? '').split(',').filter(Boolean)
  const who = residents.filter(({ id }) => asked.includes(id))
  const go = (next: { from?: string; to?: string; who?: string[] }) => {
    const set = new URLSearchParams()
    const fromId = next.from ?? from?.id
    if (fromId) set.set('from', fromId)
    const toId = next.to ?? (next.from ? undefined : to?.id)
    if (toId) set.set('to', toId)
    const names = next.who ?? (next.from ? [] : who.map(({ id }) => id))
    if (names.length > 0) set.set('who', names.join(','))
    setParams(set, { replace: true })
  }
  return (
    <Page>
      <Stack $gap={20}>
        <div>
          <Title>Between two own tanks</Title>
          <Small style={{ fontSize: 15 }}>
            Release from quarantine, or a move of any kind: the water it comes from is the bag, the limits are the same.
          </Small>
        </div>
        {from === null ? (
          <Small>Nobody lives in any tank.</Small>
        ) : to === null ? (
          <Small>There is no other tank of the same kind of water.</Small>
        ) : (
          <>
            <Line $gap={14}>
              <label>
                <strong>From</strong>{' '}
                <Select value={from.id} onChange={(event) => go({ from: event.target.value })}>
                  {lived.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </Select>
              </label>
              <label>
                <strong>to</strong>{' '}
                <Select value={to.id} onChange={(event) => go({ to: event.target.value })}>
                  {others.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </Select>
              </label>
            </Line>
            <Who role="group" aria-label="Who goes">
              {residents.map((animal) => (
                <button
                  key={animal.id}
                  type="button"
                  aria-pressed={who.some(({ id }) => id === animal.id)}
                  onClick={() =>
                    go({
                      who: who.some(({ id }) => id === animal.id)
                        ? who.filter(({ id }) => id !== animal.id).map(({ id }) => id)
                        : [...who.map(({ id }) => id), animal.id],
                    })
                  }
                >
                  {animalLabel(animal)}
                </button>
              ))}
            </Who>
            <CourseWords from={from} to={to} />
            {who.length === 0 ? (
              <Small>Who goes? Pick them above.</Small>
            ) : (
              <Board key={`${from.id} ${to.id} ${who.map(({ id }) => id).join(' ')}`} from={from} to={to} who={who} />
            )}
          </>
        )}
      </Stack>
    </Page>
  )
}

/** What a move would do to courses at either end. */
function CourseWords({ from, to }: { from: Tank; to: Tank }) {
  const { journal } = useHousehold()
  const leaving = runningIn(journal, from.id)
  const coming = runningIn(journal, to.id)
  return (
    <>
      {leaving.map((course) => (
        <Bar key={course.id} $tone="soon">
          {courseName(course.protocol, course.dose.id)} runs in {from.name}: its own page says when its fish may go, and
          by which rules. Only the animal goes across, no water, net or pipe.
        </Bar>
      ))}
      {coming.map((course) => (
        <Bar key={course.id} $tone="act">
          {courseName(course.protocol, course.dose.id)} runs in {to.name}: a fish that comes starts its count over.
        </Bar>
      ))}
    </>
  )
}

function Board({ from, to, who }: { from: Tank; to: Tank; who: readonly Animal[] }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const key = who.map(({ id }) => id).join(' ')
  const source = useMemo(
    (): PlanSource => ({
      draft: `between-${from.id}-${to.id}-${key}`,
      source: null,
      animals: who.map(({ id, species, group, name, count }) => ({
        animalId: id,
        species,
        group,
        count,
        ...(name !== null && { name }),
      })),
      context: {
        animals: who.map((animal) => ({ id: animal.id, name: animalLabel(animal), group: animal.group })),
        tank: to,
        water: waterOfTank(journal, to, now),
        from: { tank: from, water: waterOfTank(journal, from, now) },
        hours: 0,
        canBeMatched: canBeMatched(journal, to),
        units: settings.units,
      },
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown; the key who goes
    [journal, revision, from, to, key, settings, now],
  )
  return <PlanBoard source={source} />
}

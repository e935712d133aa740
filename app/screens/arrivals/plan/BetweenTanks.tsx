import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { canBeMatched } from '../../../../core/arrivals/run/water-checks.ts'
import { figureHabits } from '../../../../core/arrivals/run/figures.ts'
import { waterOfTank } from '../../../../core/arrivals/run/water.ts'
import { animalLabel, residentsOf, type Animal } from '../../../../core/household/animals.ts'
import { tankById, tanksOf, type Tank } from '../../../../core/household/tanks.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { inputShape } from '../../../fields/shell.tsx'
import { Page } from '../../../look/page.ts'
import { Line, Small, Stack, Title } from '../../../look/text.ts'
import { CourseWords } from '../CourseWords.tsx'
import type { PlanSource } from './plan-source.ts'
import { PlanBoard } from './PlanBoard.tsx'

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

/** Who goes, and how many of a group. */
interface Going {
  animal: Animal
  count: number
}

/** As the address names them: "plum", "tetras.4" for four of a group. */
const asked = ({ animal, count }: Going) => (count < animal.count ? `${animal.id}.${count}` : animal.id)
const askedFor = (who: string, residents: readonly Animal[]): Going[] =>
  who.split(',').flatMap((one) => {
    const [id, part] = one.split('.')
    const animal = residents.find((resident) => resident.id === id)
    const some = Math.floor(Number(part ?? NaN))
    return animal ? [{ animal, count: some >= 1 ? Math.min(some, animal.count) : animal.count }] : []
  })
const idsOf = (who: readonly Going[]) => who.map(({ animal }) => animal.id).join(' ')
/** What to call those of a group who go. */
const goingLabel = ({ animal, count }: Going) =>
  animalLabel(count < animal.count ? { ...animal, name: null, count } : animal)

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
  const who = askedFor(params.get('who') ?? '', residents)
  const go = (next: { from?: string; to?: string; who?: readonly Going[] }) => {
    const set = new URLSearchParams()
    const fromId = next.from ?? from?.id
    if (fromId) set.set('from', fromId)
    const toId = next.to ?? (next.from ? undefined : to?.id)
    if (toId) set.set('to', toId)
    const goes = next.who ?? (next.from ? [] : who)
    if (goes.length > 0) set.set('who', goes.map(asked).join(','))
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
        ) : (
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
            {to === null ? (
              <span>There is no other tank with {from.water === 'marine' ? 'salt' : 'fresh'} water to go to.</span>
            ) : (
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
            )}
          </Line>
        )}
        {from && to && (
          <>
            <Who role="group" aria-label="Who goes">
              {residents.map((animal) => (
                <button
                  key={animal.id}
                  type="button"
                  aria-pressed={who.some((one) => one.animal.id === animal.id)}
                  onClick={() =>
                    go({
                      who: who.some((one) => one.animal.id === animal.id)
                        ? who.filter((one) => one.animal.id !== animal.id)
                        : [...who, { animal, count: animal.count }],
                    })
                  }
                >
                  {animalLabel(animal)}
                </button>
              ))}
            </Who>
            {who
              .filter(({ animal }) => animal.count > 1)
              .map(({ animal, count }) => (
                <label key={animal.id}>
                  <strong>How many of the {animalLabel(animal)}</strong>{' '}
                  <Select
                    value={count}
                    onChange={(event) =>
                      go({
                        who: who.map((one) =>
                          one.animal.id === animal.id ? { animal, count: Number(event.target.value) } : one,
                        ),
                      })
                    }
                  >
                    {Array.from({ length: animal.count }, (_, i) => animal.count - i).map((n) => (
                      <option key={n} value={n}>
                        {n === animal.count ? `all ${n}` : n}
                      </option>
                    ))}
                  </Select>
                </label>
              ))}
            <CourseWords from={from} to={to} />
            {who.length === 0 ? (
              <Small>Who goes? Pick them above.</Small>
            ) : (
              <Board key={`${from.id} ${to.id} ${idsOf(who)}`} from={from} to={to} who={who} />
            )}
          </>
        )}
      </Stack>
    </Page>
  )
}

function Board({ from, to, who }: { from: Tank; to: Tank; who: readonly Going[] }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const key = who.map(asked).join(' ')
  const source = useMemo(
    (): PlanSource => ({
      draft: `between-${from.id}-${to.id}-${idsOf(who)}`,
      source: null,
      animals: who.map(({ animal: { id, species, group, name, count: all }, count }) => ({
        animalId: id,
        species,
        group,
        count,
        // A part of a group is not who the group is: its name stays behind.
        ...(count < all ? { partOf: id } : name !== null && { name }),
      })),
      context: {
        animals: who.map((going) => ({ id: going.animal.id, name: goingLabel(going), group: going.animal.group })),
        tank: to,
        water: waterOfTank(journal, to, now),
        from: { tank: from, water: waterOfTank(journal, from, now) },
        hours: 0,
        canBeMatched: canBeMatched(journal, to),
        units: figureHabits(journal, settings.units, to.id),
      },
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown; the key who goes
    [journal, revision, from, to, key, settings, now],
  )
  return <PlanBoard source={source} />
}

import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { animalGroupById } from '../../../../core/catalogue/animal-group.ts'
import type { Box } from '../../../../core/arrivals/box/boxes.ts'
import { canBeMatched } from '../../../../core/arrivals/run/water-checks.ts'
import { waterOfTank } from '../../../../core/arrivals/run/water.ts'
import { figureHabits } from '../../../../core/arrivals/run/figures.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Small } from '../../../look/text.ts'
import { newcomerName, tankName } from '../../../words/entries.ts'
import { listed } from '../../../../core/words/numbers.ts'
import type { PlanSource } from './plan-source.ts'
import { PlanBoard } from './PlanBoard.tsx'

const Tanks = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  button {
    min-height: 48px;
    padding: 6px 14px;
    border: 1.5px solid var(--strong-rule);
    border-radius: 2px;
    background: none;
    text-align: start;
    line-height: 1.25;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--second);
    box-shadow: inset 0 4px 0 var(--second);
  }
  span {
    display: block;
    font-size: 14px;
    color: var(--quiet);
  }
`

/** The plan of a box, tank by tank: animals that go to different water never share a container. */
export function Plan({ box }: { box: Box }) {
  const { journal } = useHousehold()
  const [params, setParams] = useSearchParams()
  const tanks = [...new Set(box.animals.map(({ tankId }) => tankId))]
  const asked = params.get('tank')
  const tankId = asked !== null && tanks.includes(asked) ? asked : tanks[0]!
  return (
    <>
      {tanks.length > 1 && (
        <Tanks role="group" aria-label="Tank">
          {tanks.map((id) => (
            <button
              key={id}
              type="button"
              aria-pressed={id === tankId}
              onClick={() => setParams({ tank: id }, { replace: true })}
            >
              <strong>{tankName(journal, id)}</strong>
              <span>{listed(box.animals.filter((animal) => animal.tankId === id).map(newcomerName))}</span>
            </button>
          ))}
          <Small>Different water, a container each: planned apart, run side by side.</Small>
        </Tanks>
      )}
      <TankPlan key={tankId} box={box} tankId={tankId} />
    </>
  )
}

function TankPlan({ box, tankId }: { box: Box; tankId: string }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const source = useMemo((): PlanSource | null => {
    const tank = tankById(journal, tankId)
    if (!tank) return null
    const animals = box.animals.filter((animal) => animal.tankId === tankId)
    return {
      draft: `${box.id}-${tankId}`,
      source: box.source,
      animals: animals.map(({ expectedId, species, group, name, count, dip, lightUmol, noQuarantine }) => ({
        animalId: expectedId,
        species,
        group,
        count,
        ...(name !== undefined && { name }),
        ...(dip !== undefined && { dip }),
        ...(lightUmol !== undefined && { lightUmol }),
        ...(noQuarantine !== undefined && { noQuarantine }),
      })),
      context: {
        animals: animals.map((animal) => ({
          id: animal.expectedId,
          name: newcomerName(animal),
          group: animalGroupById(animal.group) ? animal.group : 'marine-fish',
          ...(animal.sellerPsu !== undefined && { sellerPsu: animal.sellerPsu }),
        })),
        tank,
        water: waterOfTank(journal, tank, now),
        from: null,
        hours: box.hoursInTransit,
        canBeMatched: canBeMatched(journal, tank),
        units: figureHabits(journal, settings.units, tank.id),
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
  }, [journal, revision, box, tankId, settings, now])
  return source ? <PlanBoard source={source} /> : <Small>This tank is not on record any more.</Small>
}

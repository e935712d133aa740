import { useMemo } from 'react'
import { roundOrder, type RoundPlace } from '../../../core/biosecurity/round-order.ts'
import { dueFirst, testsOf } from '../../../core/water/tests.ts'
import { plural } from '../../../core/words/numbers.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Heading, Quiet, Small, Stack } from '../../look/text.ts'
import { TankPad } from './TankPad.tsx'

const PLACES: Record<RoundPlace, string> = {
  'without-fish': 'counted without fish: the cleanest first',
  settled: 'settled',
  'corals-in-quarantine': 'corals in quarantine',
  observed: 'being watched',
  treated: 'under treatment',
  'new-fish': 'new fish: last, hands and vials after it washed',
}

/** The day's tests, tank by tank in the order of the round, each with its last value and what asks for it. */
export function Round() {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  const round = useMemo(
    () =>
      roundOrder(journal, minute).map(({ tank, place }) => ({
        tank,
        place,
        tests: testsOf(journal, tank, settings, thisInstant()).sort(dueFirst),
      })),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, settings, minute],
  )
  const due = round.reduce((sum, { tests }) => sum + tests.filter((test) => test.due !== null).length, 0)
  return (
    <Stack $gap={30}>
      <p style={{ fontSize: 20, fontWeight: 650 }}>
        {due === 0 ? 'Nothing has to be tested today.' : `${plural(due, 'test')} to do, clean tanks first.`}
      </p>
      {round.map(({ tank, place, tests }) => (
        <section key={tank.id} aria-label={tank.name}>
          <Heading>
            <span>{tank.name}</span>
            <Quiet>{PLACES[place]}</Quiet>
          </Heading>
          {tests.length === 0 ? (
            <Small style={{ paddingTop: 10 }}>
              No test belongs to it yet: give it a kind of tank or a kit on its page, or log a first reading.
            </Small>
          ) : (
            <TankPad tank={tank} tests={tests} />
          )}
        </section>
      ))}
    </Stack>
  )
}

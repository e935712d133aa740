import { houseRecord, LEAST_FOR_A_VERDICT, SURVIVAL_DAYS, type HouseKey } from '../../../core/schools/house-record.ts'
import { capital } from '../../../core/words/numbers.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Figure, Heading, Ruled, Small, Stack } from '../../look/text.ts'

const BY: Record<HouseKey, string> = {
  school: 'by school',
  source: 'by source',
  transit: 'by hours in transit',
  group: 'by kind of fish',
}

const percent = (share: number) => `${Math.round(100 * share)} %`

/** How fish fared in this house: counts with their interval, never a verdict from a few. */
export function HouseRecord() {
  const { journal } = useHousehold()
  const now = useNow()
  const rows = houseRecord(journal, now)
  return (
    <Stack $gap={12} as="section">
      <Heading>House record</Heading>
      {rows.length === 0 ? (
        <Small>No fish has been here for {SURVIVAL_DAYS} days yet.</Small>
      ) : (
        <>
          <Ruled>
            <thead>
              <tr>
                <th scope="col">Alive after {SURVIVAL_DAYS} days</th>
                <th scope="col">of</th>
                <th scope="col">19 times in 20 between</th>
              </tr>
            </thead>
            {(['school', 'source', 'transit', 'group'] as const).map((by) => (
              <tbody key={by}>
                <tr>
                  <th colSpan={3} scope="colgroup">
                    {BY[by]}
                  </th>
                </tr>
                {rows
                  .filter((row) => row.by === by)
                  .map(({ key, label, n, survived, low, high, isTelling }) => (
                    <tr key={key}>
                      <th scope="row">{capital(label)}</th>
                      <td>
                        <Figure>
                          {survived} of {n}
                        </Figure>
                      </td>
                      <td>
                        {percent(low)} and {percent(high)}
                        {!isTelling && <Small>too few to conclude from</Small>}
                      </td>
                    </tr>
                  ))}
              </tbody>
            ))}
          </Ruled>
          <Small>
            Wilson’s interval. Under {LEAST_FOR_A_VERDICT} nothing is concluded; and what goes with a school may come
            from the fish that were put to it.
          </Small>
        </>
      )}
    </Stack>
  )
}

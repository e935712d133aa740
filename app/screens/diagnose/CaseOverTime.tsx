import type { Case } from '../../../core/diagnosis/cases.ts'
import { askedSigns } from '../../../core/diagnosis/signs.ts'
import { talliesOf } from '../../../core/microscope/tallies.ts'
import { waterThen } from '../../../core/diagnosis/happened.ts'
import { dayAs } from '../../../core/time/words.ts'
import type { Day } from '../../../core/time/zone.ts'
import { percentSpan, percentText } from '../../../core/words/numbers.ts'
import { parameterValue, quantityText } from '../../../core/words/quantities.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Facts, Heading, Quiet, Rows, Small, Stack } from '../../look/text.ts'

/** How the signs went day by day, what was written, and the readings when it was opened. */
export function OverTime({ one }: { one: Case }) {
  const { journal, settings } = useHousehold()
  const { clock, units } = settings
  const signs = askedSigns(one.start.table)
  const days = new Map<Day, { present: string[]; absent: string[]; words: string[]; tallies: string[] }>()
  const of = (at: number) => {
    const day = clock.dayOf(at)
    const known = days.get(day) ?? { present: [], absent: [], words: [], tallies: [] }
    days.set(day, known)
    return known
  }
  for (const { at, sign, answer } of one.answers) {
    const label = signs.get(sign)?.label.toLowerCase() ?? sign
    if (answer === 'present') of(at).present.push(label)
    if (answer === 'absent') of(at).absent.push(label)
  }
  for (const { at, words } of one.remarks) of(at).words.push(words)
  // Counts of the cells belong to the case they were made for; plain ones to whatever was open in the tank.
  for (const { at, caseId, share, low, high, diatoms, dinos } of talliesOf(journal, one.start.tankId))
    if (share !== null && (caseId ?? one.id) === one.id && at >= one.startedAt && at <= (one.ended?.at ?? Infinity))
      of(at).tallies.push(
        `Tally: diatoms ${percentText(share)} (${percentSpan(low, high)}) of ${diatoms + dinos} cells.`,
      )
  const then = waterThen(journal, one.start.tankId, one.startedAt)
  return (
    <section>
      <Heading>Over the days</Heading>
      {days.size === 0 && <Small style={{ paddingTop: 10 }}>Nothing is answered or counted yet.</Small>}
      <Rows>
        {[...days]
          .sort(([a], [b]) => b - a)
          .map(([day, { present, absent, words, tallies }]) => (
            <li key={day}>
              <strong>{dayAs(day, 'EEE d MMM')}</strong> {present.length > 0 && <>{[...new Set(present)].join('; ')}</>}
              {absent.length > 0 && <Quiet> not: {[...new Set(absent)].join('; ')}</Quiet>}
              {tallies.map((line) => (
                <Small key={line}>{line}</Small>
              ))}
              {words.map((line) => (
                <Small key={line}>“{line}”</Small>
              ))}
            </li>
          ))}
      </Rows>
      {then.length > 0 && (
        <Stack $gap={4} style={{ paddingTop: 12 }}>
          <Quiet>The water when it was opened</Quiet>
          <Facts>
            {then.map(({ parameter, value }) => (
              <div key={parameter.id}>
                <dt>{parameter.name}</dt>
                <dd>{quantityText(parameterValue(parameter.id, value, units))}</dd>
              </div>
            ))}
          </Facts>
        </Stack>
      )}
    </section>
  )
}

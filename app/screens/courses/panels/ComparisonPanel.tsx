import type { TreatedUntreated } from '../../../../core/courses/outlook/plans/treated-untreated.ts'
import { dayBeside } from '../../../../core/time/words.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Bar, Figure, Heading, Small, Stack } from '../../../look/text.ts'

/** "1 time in 5"; "less than 1 time in 1000". */
function chanceWords(chance: number): string {
  if (chance >= 0.95) return 'nearly always'
  const times = Math.round(1 / chance)
  return times > 1000 ? 'less than 1 time in 1000' : `1 time in ${Math.max(2, times)}`
}

function verdictWords({ verdict, treated, untreated, chance, canBeSure, what, unit }: TreatedUntreated): string {
  const parts = `${what === 'patch' ? plural(treated, 'patch', 'patches') : plural(treated, what)} treated and ${untreated} left untreated`
  const err = unit === 'stages' ? 'one eye' : 'a count'
  switch (verdict) {
    case 'works':
      return `It works: with ${parts}, chance alone would do as much ${chanceWords(chance)}.`
    case 'hints':
      return !canBeSure
        ? `It looks as if it works, and it cannot be sure: with ${parts}, chance alone would do as much ${chanceWords(chance)}.`
        : `It looks as if it works: with ${parts}, chance alone would do as much ${chanceWords(chance)}.`
    case 'unclear':
      return `Not clear yet: with ${parts}, they differ by no more than ${err} may err.`
    case 'no-better':
      return `No better than what was left untreated (${parts}): identify it again before more is done.`
  }
}

/** What was treated against what was left untreated, with how sure that is. */
export function ComparisonPanel({ compared }: { compared: TreatedUntreated }) {
  const { settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const { difference, verdict, treatedSince, at, endedAt, wanted, unit, isByChange } = compared
  const day = (ms: number) => dayBeside(clock.dayOf(ms), clock.dayOf(now))
  return (
    <section>
      <Heading>
        <span>
          Treated against untreated{' '}
          <Figure $size={22}>
            {difference > 0 ? '+' : ''}
            {figures(difference, 2)}
          </Figure>{' '}
          {unit === 'stages' && Math.abs(difference) === 1 ? 'stage' : unit}
        </span>
      </Heading>
      <Stack $gap={6} style={{ paddingTop: 8 }}>
        {verdict === 'no-better' ? (
          <Bar $tone="soon">{verdictWords(compared)}</Bar>
        ) : (
          <span>{verdictWords(compared)}</span>
        )}
        <Small>
          Treated since {day(treatedSince)}, compared by {isByChange ? 'what changed since, up to' : 'the scores up to'}{' '}
          {day(at)}.
          {endedAt !== null &&
            ` What was left untreated was treated itself ${day(endedAt)}: nothing after that is compared.`}
          {verdict !== 'unclear' &&
            ' Look once, when the scores are due: who looks every day and stops at the first difference finds one by chance alone far more often.'}
          {wanted !== null && ` Next time leave ${wanted} of them untreated: then a clear result is more than chance.`}
        </Small>
      </Stack>
    </section>
  )
}

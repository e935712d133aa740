import { useMemo } from 'react'
import { fitStart, unkeptBeside } from '../../../../core/courses/outlook/fit-away.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import { dayAs, dayBeside } from '../../../../core/time/words.ts'
import { plural } from '../../../../core/words/numbers.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainLink } from '../../../look/buttons.ts'
import { Bar, Heading, Rows, Small, Stack } from '../../../look/text.ts'

/** Days away beside a course about to start: what they would cost, and the first start with which nothing is missed. */
export function StartBesideAway({
  start,
  onStartDay,
}: {
  start: ContentOf<'course-start'>
  onStartDay: (day: number) => void
}) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock } = settings
  const startAt = Date.parse(start.happened)
  const away = journal
    .ofKind('away')
    .map(({ content }) => ({ from: Date.parse(content.from), until: Date.parse(content.until) }))
    .filter(({ until }) => until > now)
  const key = JSON.stringify([
    start.definition,
    start.tanks,
    start.animalIds,
    start.options,
    clock.dayOf(startAt),
    away,
  ])
  const [unkept, fit] = useMemo(
    () => [unkeptBeside(journal, start, settings, startAt), fitStart(journal, start, settings, startAt)] as const,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what bears on it, to the day
    [journal, settings, key],
  )
  if (away.length === 0) return null
  const day = (ms: number) => dayAs(clock.dayOf(ms), 'EEE d MMM')
  const fitDay = clock.dayOf(fit.startAt)
  return (
    <section>
      <Heading>Beside your days away</Heading>
      {unkept.length === 0 ? (
        <Small>
          {plural(away.length, 'stretch', 'stretches')} away: every move, bath and dose falls on days at home, or may be
          done before and after.
        </Small>
      ) : (
        <Stack $gap={8} style={{ paddingTop: 8 }}>
          <Bar $tone="soon">Nobody would be at home for:</Bar>
          <Rows>
            {unkept.map(({ words, at }) => (
              <li key={`${words}-${at}`}>
                {day(at)}: {words}
              </li>
            ))}
          </Rows>
          {fit.unkept.length === 0 ? (
            <div>
              <Button onPress={() => onStartDay(fitDay)}>
                Begin {dayBeside(fitDay, clock.dayOf(now))}: then nothing is missed
              </Button>
            </div>
          ) : (
            <Small>
              No start within thirty days keeps them all. The best, {day(fit.startAt)}, still misses{' '}
              {fit.unkept.map(({ words }) => words).join('; ')}. Somebody has to stand in:{' '}
              <PlainLink href="/records/minder">a sheet for them</PlainLink>.
            </Small>
          )}
        </Stack>
      )}
    </section>
  )
}

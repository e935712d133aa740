import { useMemo, useRef, useState, type ReactNode } from 'react'
import { useForm } from 'react-hook-form'
import { tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { dayText, MS_PER_DAY } from '../../../core/time/zone.ts'
import { chartCsv, seriesOf, type ChartSeries } from '../../../core/water/series.ts'
import { AHEAD_SHARE } from '../../../core/water/trend-words.ts'
import { thinnedEvents, waterEvents } from '../../../core/water/water-events.ts'
import { SelectField } from '../../fields/fields.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'
import { downloadText } from '../../storage/download.ts'
import { savePicture } from './picture.ts'
import { useTankOfPage } from './useTankOfPage.tsx'
import { WaterCharts } from '../../water/WaterCharts.tsx'

const PERIODS: readonly { days: number | null; name: string }[] = [
  { days: 30, name: '30 days' },
  { days: 90, name: '90 days' },
  { days: 365, name: 'a year' },
  { days: null, name: 'all of it' },
]

/** A tank's readings as small charts on one time axis, beside another tank or the time before. */
export function Charts() {
  const { tank, field } = useTankOfPage({ retired: true })
  return <ChartsOf key={tank.id} tank={tank} field={field} />
}

function ChartsOf({ tank, field }: { tank: Tank; field: ReactNode }) {
  const { journal, settings, revision } = useHousehold()
  const minute = useNow()
  const [days, setDays] = useState<number | null>(90)
  const box = useRef<HTMLDivElement>(null)
  const tanks = tanksOf(journal, { retired: true })
  const form = useForm({ defaultValues: { beside: '' } })
  const beside = form.watch('beside')
  const shown = useMemo(
    () => {
      const now = thisInstant()
      const first = Math.min(...seriesOf(journal, tank.id, -Infinity, now).map(({ points }) => points[0]!.at))
      const since = days === null ? (Number.isFinite(first) ? first : now - 30 * MS_PER_DAY) : now - days * MS_PER_DAY
      const series = seriesOf(journal, tank.id, since, now)
      const other: ChartSeries[] =
        beside === ''
          ? []
          : beside === 'before'
            ? seriesOf(journal, tank.id, since - (now - since), since).map((one) => ({
                ...one,
                points: one.points.map((point) => ({ ...point, at: point.at + (now - since) })),
              }))
            : seriesOf(journal, beside, since, now)
      return {
        now,
        since,
        until: now + AHEAD_SHARE * (now - since),
        series,
        other,
        events: thinnedEvents(waterEvents(journal, tank.id, since, now), since, now),
      }
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, tank.id, days, beside, minute],
  )
  const named = `${tank.short}-${dayText(settings.clock.dayOf(shown.now))}`
  return (
    <Stack $gap={18}>
      <Line $gap={16} style={{ alignItems: 'end' }}>
        {field}
        <SelectField
          control={form.control}
          name="beside"
          label="Beside it"
          options={[
            { value: '', label: 'nothing' },
            { value: 'before', label: 'the time before' },
            ...tanks.filter(({ id }) => id !== tank.id).map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <Line $gap={8} role="group" aria-label="Time that is shown">
          {PERIODS.map((period) => (
            <Button key={period.name} aria-pressed={period.days === days} onPress={() => setDays(period.days)}>
              {period.name}
            </Button>
          ))}
        </Line>
        <Line $gap={8}>
          <Button
            isDisabled={shown.series.length === 0}
            onPress={() => downloadText(`brinvo-water-${named}.csv`, chartCsv(tank, shown.series), 'text/csv')}
          >
            Save as CSV
          </Button>
          <Button
            isDisabled={shown.series.length === 0}
            onPress={() => box.current && void savePicture(box.current, `brinvo-water-${named}.png`, tank.name)}
          >
            Save as a picture
          </Button>
        </Line>
      </Line>
      {shown.series.length === 0 && <Small>No readings in this time.</Small>}
      <WaterCharts
        series={shown.series}
        beside={shown.other}
        tank={tank}
        since={shown.since}
        until={shown.until}
        now={shown.now}
        events={shown.events}
        settings={settings}
        heading="h2"
        boxRef={box}
      />
      {shown.series.length > 0 && (
        <Small>
          Solid dots are tests, bars what they may be off, hollow dots do not fit the ones round them and count in no
          trend. The stripe is the band of this kind of tank; the hatched fan is the trend carried on. Flags: water
          changes, doses, courses.
        </Small>
      )}
    </Stack>
  )
}

import { useMemo, useRef, useState } from 'react'
import { useForm } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { tankById, tanksOf, type Tank } from '../../../core/household/tanks.ts'
import { dayText, MS_PER_DAY } from '../../../core/time/zone.ts'
import { chartCsv, seriesOf, type ChartSeries } from '../../../core/water/series.ts'
import { waterEvents } from '../../../core/water/water-events.ts'
import { SelectField } from '../../fields/fields.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Line, Small, Stack } from '../../look/text.ts'
import { downloadText } from '../../storage/download.ts'
import { savePicture } from './picture.ts'
import { WaterChart } from './WaterChart.tsx'

const Multiples = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(360px, 1fr));
  gap: 26px 32px;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
`

const PERIODS: readonly { days: number | null; name: string }[] = [
  { days: 30, name: '30 days' },
  { days: 90, name: '90 days' },
  { days: 365, name: 'a year' },
  { days: null, name: 'all of it' },
]

/** Days that a forecast is drawn ahead, as a share of the period that is shown (EA). */
const AHEAD_SHARE = 0.15

/** A tank's readings as small charts on one time axis, beside another tank or the time before. */
export function Charts() {
  const { journal } = useHousehold()
  const [params] = useSearchParams()
  const tank = tankById(journal, params.get('tank') ?? '') ?? tanksOf(journal)[0]!
  return <ChartsOf key={tank.id} tank={tank} />
}

function ChartsOf({ tank }: { tank: Tank }) {
  const { journal, settings, revision } = useHousehold()
  const [, setParams] = useSearchParams()
  const minute = useNow()
  const [days, setDays] = useState<number | null>(90)
  const box = useRef<HTMLDivElement>(null)
  const [hoverAt, setHoverAt] = useState<number | null>(null)
  const tanks = tanksOf(journal, { retired: true })
  const form = useForm({ defaultValues: { tankId: tank.id, beside: '' } })
  const beside = form.watch('beside')
  const shown = useMemo(
    () => {
      const now = thisInstant()
      const all = seriesOf(journal, tank.id, -Infinity, now)
      const first = Math.min(...all.map(({ points }) => points[0]!.at))
      const since = days === null ? (Number.isFinite(first) ? first : now - 30 * MS_PER_DAY) : now - days * MS_PER_DAY
      const series = all.flatMap((one) => {
        const points = one.points.filter(({ at }) => at >= since)
        return points.length === 0 ? [] : [{ ...one, points }]
      })
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
        events: waterEvents(journal, tank.id, since, now),
      }
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, tank.id, days, beside, minute],
  )
  const named = `${tank.short}-${dayText(settings.clock.dayOf(shown.now))}`
  return (
    <Stack $gap={18}>
      <Line $gap={16} style={{ alignItems: 'end' }}>
        <SelectField
          control={form.control}
          name="tankId"
          label="Tank"
          options={tanks.map(({ id, name }) => ({ value: id, label: name }))}
          onPick={(id) => setParams({ tank: id })}
        />
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
      <Multiples ref={box} onPointerLeave={() => setHoverAt(null)}>
        {shown.series.map((one) => (
          <WaterChart
            key={one.parameter.id}
            series={one}
            beside={shown.other.find(({ parameter }) => parameter.id === one.parameter.id) ?? null}
            tank={tank}
            since={shown.since}
            until={shown.until}
            now={shown.now}
            events={shown.events}
            settings={settings}
            hoverAt={hoverAt}
            onHover={setHoverAt}
          />
        ))}
      </Multiples>
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

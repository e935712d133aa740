import { useMemo } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import { MS_PER_DAY } from '../../core/time/zone.ts'
import { seriesOf } from '../../core/water/series.ts'
import { AHEAD_SHARE } from '../../core/water/trend-words.ts'
import { thinnedEvents, waterEvents } from '../../core/water/water-events.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Small } from '../look/text.ts'
import { WaterCharts } from './WaterCharts.tsx'

const SHOWN_DAYS = 122

/** The last four months of a tank's readings. */
export function TankCharts({ tank }: { tank: Tank }) {
  const { journal, settings, revision } = useHousehold()
  const now = useNow()
  const since = now - SHOWN_DAYS * MS_PER_DAY
  const [series, events] = useMemo(
    () => [
      seriesOf(journal, tank.id, since, now),
      thinnedEvents(waterEvents(journal, tank.id, since, now), since, now),
    ],
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision says when the journal has grown
    [journal, revision, tank.id, since, now],
  )
  if (series.length === 0) return <Small style={{ paddingTop: 10 }}>No readings in this time.</Small>
  return (
    <div style={{ paddingTop: 14 }}>
      <WaterCharts
        series={series}
        tank={tank}
        since={since}
        until={now + AHEAD_SHARE * (now - since)}
        now={now}
        events={events}
        settings={settings}
        heading="h3"
      />
    </div>
  )
}

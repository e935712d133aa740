import { momentBeside, spanText } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Bar } from '../../look/text.ts'
import { useNow } from '../now.tsx'

/** This device's clock is behind the newest entry. @param newest when that was written, ms */
export function ClockWarning({ newest }: { newest: number }) {
  const { settings } = useHousehold()
  const now = useNow()
  return (
    <Bar $tone="soon" role="alert">
      This device’s clock shows {momentBeside(now, newest, settings.clock)}, but the newest entry was written{' '}
      {spanText((newest - now) / MS_PER_HOUR)} later than that. New entries take their time from the clock: set it
      right, or type the time with each line.
    </Bar>
  )
}

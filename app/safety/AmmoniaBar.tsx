import { Link } from 'react-aria-components'
import { ammoniaAlarms } from '../../core/safety/ammonia-alarms.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { AlarmBar } from '../look/AlarmBar.ts'

/** Ammonia where animals live, on every screen, and the way to what to do now. */
export function AmmoniaBar() {
  const { journal } = useHousehold()
  const alarms = ammoniaAlarms(journal, useNow())
  if (alarms.length === 0) return null
  return (
    <AlarmBar role="region" aria-label="Ammonia">
      {alarms.map(({ tank, says }) => (
        <Link key={tank.id} href={`/tanks/${tank.id}`}>
          {says} in {tank.name}: what to do now
        </Link>
      ))}
    </AlarmBar>
  )
}

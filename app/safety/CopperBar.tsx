import { Link } from 'react-aria-components'
import { copperAlarms } from '../../core/safety/alarms.ts'
import { listed } from '../../core/words/numbers.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { AlarmBar } from '../look/AlarmBar.ts'

/** Copper where invertebrates or corals live, on every screen: who must come out, and the way to what to do now. */
export function CopperBar() {
  const { journal } = useHousehold()
  const alarms = copperAlarms(journal, useNow())
  if (alarms.length === 0) return null
  return (
    <AlarmBar role="region" aria-label="Copper">
      {alarms.map(({ tank, mgPerL, who }) => (
        <Link key={tank.id} href={`/tanks/${tank.id}`} style={{ fontSize: 'clamp(18px, 4.6vw, 24px)' }}>
          Copper{mgPerL === null ? '' : ` ${mgPerL.toFixed(2)} mg/L`} in {tank.name}, with{' '}
          {who.length > 2 ? `${who.length} invertebrates and corals` : listed(who)}: what to do now
        </Link>
      ))}
    </AlarmBar>
  )
}

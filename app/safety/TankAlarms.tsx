import { ammoniaAlarms } from '../../core/safety/ammonia-alarms.ts'
import { copperAlarms } from '../../core/safety/alarms.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { AlarmSteps } from './AlarmSteps.tsx'

/** What to do now in a tank with copper beside invertebrates, or with ammonia beside animals; nothing where there is neither. */
export function TankAlarms({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const now = useNow()
  const isHere = (alarm: { tank: Tank }) => alarm.tank.id === tank.id
  const copper = copperAlarms(journal, now).find(isHere)
  const ammonia = ammoniaAlarms(journal, now).find(isHere)
  return (
    <>
      {copper && <AlarmSteps what="Copper" steps={copper.steps} />}
      {ammonia && <AlarmSteps what={ammonia.says} steps={ammonia.steps} />}
    </>
  )
}

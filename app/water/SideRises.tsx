import type { Tank } from '../../core/household/tanks.ts'
import { sideRises } from '../../core/water/side-rises.ts'
import { dayBeside } from '../../core/time/words.ts'
import { figures } from '../../core/words/numbers.ts'
import { parameterDifference, parameterValue, quantityText } from '../../core/words/quantities.ts'
import { useNow } from '../frame/now.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Bar } from '../look/text.ts'

/** What creeps up in a tank because a salt that is dosed for something else brings it along. */
export function SideRises({ tank }: { tank: Tank }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { units, clock } = settings
  return sideRises(journal, tank.id, now).map(({ parameter, dosedFor, ingredientName, brought, since, read }) => {
    const { unit } = parameterValue(parameter.id, brought, units)
    const rise = quantityText({
      value: figures(parameterDifference(parameter.id, read?.last.value ?? 0, brought, units), 2),
      unit,
    })
    const say = (value: number) => quantityText(parameterValue(parameter.id, value, units))
    return (
      <Bar key={`${parameter.id} ${ingredientName}`} $tone="soon">
        {parameter.name} creeps up with {dosedFor.name}: {ingredientName} brought {rise} since{' '}
        {dayBeside(clock.dayOf(since), clock.dayOf(now))}
        {read && `; read ${say(read.first.value)}, then ${say(read.last.value)}`}. Count it as a dose of{' '}
        {parameter.name}, or go on with a salt that brings none.
      </Bar>
    )
  })
}

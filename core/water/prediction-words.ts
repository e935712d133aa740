import type { Parameter } from '../catalogue/parameter.ts'
import type { Settings } from '../household/settings.ts'
import type { ExpectedReading } from '../readings/expected.ts'
import { dayBeside } from '../time/words.ts'
import { parameterValue, quantityText } from '../words/quantities.ts'

/**
 * What the next test should show after doses and changes: “15 mg/L expected: 20 mg/L on Mon 1 Jun, one water change since.”
 * @returns null where nothing was dosed or changed since, or what a change brought is not known
 */
export function sayPrediction(
  { last, low, since, isPredicted }: ExpectedReading,
  parameter: Parameter,
  { units, clock }: Settings,
  now: number,
): string | null {
  if (!isPredicted) return null
  const say = (value: number) => quantityText(parameterValue(parameter.id, value, units))
  const changes = since.filter(({ fraction }) => fraction > 0).length
  const doses = since.length - changes
  const counted = (count: number, one: string) => (count === 0 ? [] : [count === 1 ? `one ${one}` : `${count} ${one}s`])
  const what = [...counted(changes, 'water change'), ...counted(doses, 'dose')].join(' and ')
  return `${say(low)} expected: ${say(last.value)} ${dayBeside(clock.dayOf(last.at), clock.dayOf(now))}, ${what} since.`
}

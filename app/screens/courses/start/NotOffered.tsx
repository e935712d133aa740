import type { TankFit } from '../../../../core/courses/start-form/tank-fit.ts'
import { listed } from '../../../../core/words/numbers.ts'
import { Small } from '../../../look/text.ts'

/** The tanks that cannot have a role, together by what stands in the way. */
export function NotOffered({ fits }: { fits: readonly TankFit[] }) {
  const names = new Map<string, string[]>()
  for (const { tank, why } of fits) if (why !== null) names.set(why, [...(names.get(why) ?? []), tank.name])
  if (names.size === 0) return null
  return <Small>Not offered: {[...names].map(([why, tanks]) => `${listed(tanks)}: ${why}`).join('; ')}.</Small>
}

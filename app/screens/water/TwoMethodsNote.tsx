import type { Tank } from '../../../core/household/tanks.ts'
import { MS_PER_DAY } from '../../../core/time/zone.ts'
import { ammoniaByTwoMethods } from '../../../core/water/two-methods.ts'
import { sayTwoMethods } from '../../../core/water/two-methods-words.ts'
import { useNow } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Bar } from '../../look/text.ts'

const FRESH_DAYS = 3

/** Whether a tank's two ammonia tests really disagree, and which to act on. */
export function TwoMethodsNote({ tank }: { tank: Tank }) {
  const { journal } = useHousehold()
  const both = ammoniaByTwoMethods(journal, tank, useNow(), FRESH_DAYS * MS_PER_DAY)
  const said = both && sayTwoMethods(both)
  return said && <Bar $tone={said.isGrave ? 'act' : said.isAgreed ? 'second' : 'soon'}>{said.words}</Bar>
}

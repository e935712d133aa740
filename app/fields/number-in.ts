import { typedNumber } from '../../core/numbers/typed.ts'
import { figureTyped } from './figure-text.ts'

/** The number in a field; null where there is none. */
export function numberIn(text: string): number | null {
  const read = typedNumber(figureTyped(text))
  return 'value' in read ? read.value : null
}

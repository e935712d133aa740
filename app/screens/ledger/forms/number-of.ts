import { typedNumber } from '../../../../core/numbers/typed.ts'
import { figureTyped } from '../../../fields/figure-text.ts'
import type { Problem, Problems } from '../../../fields/shell.tsx'

/** A field's number over a limit, or what would be right beside it. */
export function numberOf(
  text: string,
  field: string,
  problems: Record<string, Problem>,
  rather: string,
  { least = 0, isOver = true, most = Infinity }: { least?: number; isOver?: boolean; most?: number } = {},
): number {
  const read = typedNumber(figureTyped(text))
  const value = 'value' in read ? read.value : NaN
  if (!(isOver ? value > least : value >= least) || value > most)
    problems[field] = 'choices' in read && read.choices ? read : { message: rather }
  return value
}

export const found = <C>(
  problems: Record<string, Problem>,
  contents: C[],
): { contents: C[] } | { problems: Problems } => (Object.keys(problems).length > 0 ? { problems } : { contents })

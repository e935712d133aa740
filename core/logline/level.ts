import type { Tank } from '../household/tanks.ts'
import { CM_PER_INCH } from '../units/units.ts'
import { levelFault, litresDown } from '../water/level-typed.ts'
import { isStop, unclear, type LogContext, type Stop } from './types.ts'
import { readFigure } from './numbers.ts'
import type { Token } from './tokens.ts'
import { readLitres } from './water.ts'

const LEVEL_WORDS = new Set(['level', 'water', 'waterline', 'line'])
const DOWN_WORDS = new Set(['down', 'low', 'missing', 'evaporated'])
/** cm of each unit of length. */
const CM: Readonly<Record<string, number>> = {
  cm: 1,
  mm: 0.1,
  in: CM_PER_INCH,
  inch: CM_PER_INCH,
  inches: CM_PER_INCH,
  '"': CM_PER_INCH,
}

/**
 * "level down 2cm", "down 3L": how much water was missing when a reading was taken.
 * @returns litres; null where the words speak of no level
 * @example
 * readLevel('hall salinity 35 level down 2cm', tokens.slice(3), hall, context) // { downL: 9, words: 3 }
 */
export function readLevel(
  line: string,
  tokens: readonly Token[],
  tank: Tank,
  context: LogContext,
): { downL: number; words: number } | Stop | null {
  const named = LEVEL_WORDS.has(tokens[0]?.key ?? '') ? 1 : 0
  if (!DOWN_WORDS.has(tokens[named]?.key ?? '')) return null
  const at = named + 1 + (tokens[named + 1]?.key === 'by' ? 1 : 0)
  const [token, next] = tokens.slice(at)
  if (!token) return unclear('the level is down by how much? As in: level down 2cm, or 3L')
  const figure = readFigure(line, token)
  if (figure && isStop(figure)) return figure
  if (!figure || figure.kind !== 'value' || !(figure.value > 0))
    return unclear(`“${token.text}”: how far is the level down? As in: level down 2cm, or 3L`)
  const isApart = figure.unit === '' && next !== undefined && !token.comma && next.key in CM
  const cm = CM[isApart ? next.key : figure.unit]
  if (cm !== undefined) {
    const downL = tank.sheet ? litresDown(tank.sheet, figure.value * cm) : null
    if (downL === null)
      return unclear(
        `${tank.name}: say the litres that are missing, as its level falls in the sump or its floor is not on record`,
      )
    return checked(tank, downL, at + (isApart ? 2 : 1))
  }
  const water = readLitres(line, tokens.slice(at), context)
  if (water === null) return unclear(`“${token.text}” of what? As in: level down 2cm, or 3L`)
  return isStop(water) ? water : checked(tank, water.litres, at + water.words)
}

function checked(tank: Tank, downL: number, words: number): { downL: number; words: number } | Stop {
  const fault = levelFault(tank, downL)
  return fault === null ? { downL, words } : unclear(fault)
}

import type { Tank } from '../../core/household/tanks.ts'
import { readReading } from '../../core/logline/reading.ts'
import { tokenize } from '../../core/logline/tokens.ts'
import { isStop, type LogContext } from '../../core/logline/types.ts'
import { readLevelDown } from '../../core/water/level-typed.ts'
import { iso } from '../../core/time/zone.ts'
import type { Problem } from '../fields/shell.tsx'

/**
 * A copper figure as the log line would read it.
 * @param level how far the level was down, as it was typed
 */
export function readCopper(text: string, tank: Tank, context: LogContext, level = '') {
  const line = `cu ${text.trim()}`
  const read = readReading(line, tokenize(line), tank, iso(context.now), context)
  if (read === null) return { problem: { message: 'not a value' } as Problem }
  if (isStop(read))
    return {
      problem: {
        message: read.stop === 'choose' ? read.question : read.message,
        choices: read.choices.map(({ label, text: whole }) => ({ label, value: whole.slice('cu '.length).trim() })),
      } as Problem,
    }
  const stray = tokenize(line)[read.words]
  if (stray) return { problem: { message: `“${stray.text}” is left over` } as Problem }
  const down = readLevelDown(tank, level, context.settings.units)
  if (down && 'message' in down) return { problem: { message: `the level: ${down.message}` } as Problem }
  return { content: { ...read.content, ...(down && down.downL > 0 && { downL: down.downL }) } }
}

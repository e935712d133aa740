import type { Tank } from '../../core/household/tanks.ts'
import { readReading } from '../../core/logline/reading.ts'
import { tokenize } from '../../core/logline/tokens.ts'
import { isStop, type LogContext } from '../../core/logline/types.ts'
import { iso } from '../../core/time/zone.ts'
import type { Problem } from '../fields/shell.tsx'

/** A copper figure as the log line would read it. */
export function readCopper(text: string, tank: Tank, context: LogContext) {
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
  return stray ? { problem: { message: `“${stray.text}” is left over` } as Problem } : { content: read.content }
}

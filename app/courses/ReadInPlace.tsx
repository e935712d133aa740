import { useState, type FormEvent } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import type { Dose } from '../../core/catalogue/treatments/treatments.ts'
import { needsThreeReadings, rangeVerdict, VERDICT_WORDS } from '../../core/courses/range-words.ts'
import { readReading } from '../../core/logline/reading.ts'
import { tokenize } from '../../core/logline/tokens.ts'
import { isStop, type LogContext } from '../../core/logline/types.ts'
import { iso } from '../../core/time/zone.ts'
import { FigureField } from '../fields/plain.tsx'
import type { Problem } from '../fields/shell.tsx'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PrimaryButton } from '../look/buttons.ts'
import { Stack } from '../look/text.ts'
import { figures } from '../../core/words/numbers.ts'

/** A copper figure as the log line would read it. */
function readCopper(text: string, tank: Tank, context: LogContext) {
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

/** The copper reading of a course, entered where it is asked for, with what it means before it is kept. */
export function ReadInPlace({ tank, dose, primary }: { tank: Tank; dose: Dose; primary: boolean }) {
  const { journal, settings } = useHousehold()
  const minute = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problem, setProblem] = useState<Problem | undefined>()
  const [text, setText] = useState('')
  const typed = text.trim() === '' ? null : readCopper(text, tank, { journal, settings, now: minute })
  const content = typed?.content
  const hint =
    content?.result.kind === 'value'
      ? [
          content.uncertainty === undefined ? '' : `± ${figures(content.uncertainty, 2)}, `,
          VERDICT_WORDS[rangeVerdict(content.result.value, content.uncertainty ?? 0, dose)],
          content.uncertainty !== undefined && needsThreeReadings(content.uncertainty, dose)
            ? '; this kit cannot tell so narrow a range from one test: take three and enter their mean'
            : '',
        ].join('')
      : undefined
  const send = async (event: FormEvent) => {
    event.preventDefault()
    if (text.trim() === '') return setProblem({ message: `what the test shows, such as ${dose.target.toFixed(2)}` })
    const read = readCopper(text, tank, { journal, settings, now: thisInstant() })
    setProblem(read.problem)
    if (read.content && (await keep([read.content]))) setText('')
  }
  return (
    <form onSubmit={(event) => void send(event)}>
      <Stack $gap={8}>
        <FigureField
          label={`Copper, range ${dose.low.toFixed(2)} to ${dose.high.toFixed(2)}`}
          value={text}
          onChange={setText}
          after="mg/L"
          problem={problem}
          hint={hint}
        />
        {unkept && <UnkeptNote unkept={unkept} />}
        <div>
          <PrimaryButton type="submit" isDisabled={busy} data-primary={primary}>
            {content?.result.kind === 'value' ? `Log ${content.result.value.toFixed(2)} mg/L` : 'Log the reading'}
          </PrimaryButton>
        </div>
      </Stack>
    </form>
  )
}

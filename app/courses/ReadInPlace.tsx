import { useState, type FormEvent } from 'react'
import type { Tank } from '../../core/household/tanks.ts'
import type { Dose } from '../../core/catalogue/treatments/treatments.ts'
import { needsThreeReadings, courseVerdict, VERDICT_WORDS } from '../../core/courses/range-words.ts'
import { FigureField } from '../fields/plain.tsx'
import type { Problem } from '../fields/shell.tsx'
import { thisInstant, useNow } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { PrimaryButton } from '../look/buttons.ts'
import { Stack } from '../look/text.ts'
import { LevelAsk } from '../water/LevelAsk.tsx'
import { figures } from '../../core/words/numbers.ts'

type Reader = typeof import('./read-copper.ts').readCopper

/** What reads a figure comes with the first key: the first view of the ledger does without it. */
const loadReader = async (): Promise<Reader> => (await import('./read-copper.ts')).readCopper

/** The copper reading of a course, entered where it is asked for, with what it means before it is kept. */
export function ReadInPlace({ tank, dose, primary }: { tank: Tank; dose: Dose; primary: boolean }) {
  const { journal, settings } = useHousehold()
  const minute = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [problem, setProblem] = useState<Problem | undefined>()
  const [text, setText] = useState('')
  const [level, setLevel] = useState('')
  const [reader, setReader] = useState<{ read: Reader } | null>(null)
  const typed = text.trim() === '' ? null : reader?.read(text, tank, { journal, settings, now: minute }, level)
  const type = (next: string) => {
    setText(next)
    if (!reader) void loadReader().then((read) => setReader({ read }))
  }
  const content = typed?.content
  const verdict = content && courseVerdict(journal, content)
  const hint =
    content && verdict
      ? [
          content.uncertainty === undefined ? '' : `± ${figures(content.uncertainty, 2)}, `,
          VERDICT_WORDS[verdict],
          content.uncertainty !== undefined && needsThreeReadings(content.uncertainty, dose)
            ? '; this kit cannot tell so narrow a range from one test: take three and enter their mean'
            : '',
        ].join('')
      : undefined
  const send = async (event: FormEvent) => {
    event.preventDefault()
    if (text.trim() === '') return setProblem({ message: `what the test shows, such as ${dose.target.toFixed(2)}` })
    const read = (await loadReader())(text, tank, { journal, settings, now: thisInstant() }, level)
    setProblem(read.problem)
    if (read.content && (await keep([read.content]))) {
      setText('')
      setLevel('')
    }
  }
  return (
    <form onSubmit={(event) => void send(event)}>
      <Stack $gap={8}>
        <LevelAsk tank={tank} value={level} onChange={setLevel} />
        <FigureField
          label={`Copper, range ${dose.low.toFixed(2)} to ${dose.high.toFixed(2)}`}
          value={text}
          onChange={type}
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

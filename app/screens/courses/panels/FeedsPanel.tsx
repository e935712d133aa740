import { useState } from 'react'
import { feedsWithFilms, filmContent } from '../../../../core/courses/outlook/feeds-and-films.ts'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { numberIn } from '../../../fields/number-in.ts'
import { FigureField } from '../../../fields/plain.tsx'
import type { Problem } from '../../../fields/shell.tsx'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { Heading, Line, Quiet, Rows, Small, Stack } from '../../../look/text.ts'

const SHOWN = 5

/** The feeds of a tub without fish, and beside each the film that came of it. */
export function FeedsPanel({ plan }: { plan: CoursePlan }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const [isOpen, setIsOpen] = useState(false)
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<Problem | undefined>()
  const feeds = feedsWithFilms(journal, plan.course, now)
  if (plan.course.ended) return null
  const send = async () => {
    const percent = numberIn(text)
    if (percent === null || percent < 0 || percent > 100)
      return setProblem({ message: 'how much of glass and sand, 0 to 100 %' })
    setProblem(undefined)
    if (await keep([filmContent(plan.course.tankId, percent, thisInstant())])) setIsOpen(false)
  }
  return (
    <section>
      <Heading>Feeds, and what came of them</Heading>
      {feeds.length === 0 && <Small style={{ paddingTop: 10 }}>Not fed yet.</Small>}
      <Rows>
        {feeds.slice(0, SHOWN).map(({ at, film }) => (
          <li key={at}>
            {momentBeside(at, now, settings.clock)}{' '}
            <Quiet>
              {film
                ? `film over ${figures(film.percent, 2)} % after ${plural(film.days, 'day')}: feed less`
                : 'no film written'}
            </Quiet>
          </li>
        ))}
      </Rows>
      {isOpen ? (
        <Stack $gap={10} style={{ paddingTop: 10 }}>
          <FigureField label="Film on glass and sand" value={text} onChange={setText} after="%" problem={problem} />
          <Line>
            <Button isDisabled={busy} onPress={() => void send()}>
              Keep it
            </Button>
            <PlainButton onPress={() => setIsOpen(false)}>cancel</PlainButton>
          </Line>
          {unkept && <UnkeptNote unkept={unkept} />}
        </Stack>
      ) : (
        <div style={{ paddingTop: 8 }}>
          <PlainButton onPress={() => setIsOpen(true)}>a film today</PlainButton>
        </div>
      )}
    </section>
  )
}

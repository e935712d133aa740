import { useParams } from 'react-router'
import { benchRun, type BenchRun } from '../../../core/bench/follow.ts'
import { subjectNameOf } from '../../../core/bench/subjects.ts'
import { looksAfter } from '../../../core/bench/watch.ts'
import { netVolumeAt, tankById } from '../../../core/household/tanks.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { useSecond } from '../../arrivals/useSecond.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { ButtonLink } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Narrow, Page } from '../../look/page.ts'
import { Heading, Line, Quiet, Rows, Stack, Title } from '../../look/text.ts'
import { Running } from './run/Running.tsx'
import { Totals } from './run/Totals.tsx'

/** A procedure under way, or what it came to. */
export function BenchPage() {
  const { benchId = '' } = useParams()
  const { journal } = useHousehold()
  const run = benchRun(journal, benchId)
  if (!run)
    return (
      <Missing title="No such procedure" back="To the bench" href="/bench">
        This journal holds no procedure of that name.
      </Missing>
    )
  const netL = netVolumeAt(journal, run.start.tankId ?? '', run.endedAt ?? run.startedAt)
  const nameOf = subjectNameOf(journal)
  return (
    <Page>
      <Narrow>
        <Stack $gap={20}>
          <div>
            <Title>{run.procedure.name}</Title>
            <Quiet>{tankById(journal, run.start.tankId ?? '')?.name}</Quiet>
          </div>
          {run.endedAt === null ? (
            <Running run={run} netL={netL} nameOf={nameOf} />
          ) : (
            <Over run={run} netL={netL} nameOf={nameOf} />
          )}
        </Stack>
      </Narrow>
    </Page>
  )
}

function Over({ run, netL, nameOf }: { run: BenchRun; netL: number | null; nameOf: (id: string) => string }) {
  const { settings } = useHousehold()
  const now = useSecond()
  const left = run.occasions.filter(({ state }) => state === 'skipped')
  const looks = run.end ? looksAfter(run.end) : []
  return (
    <Stack $gap={20}>
      <p>
        {run.end?.outcome === 'stopped' ? 'Stopped' : 'Closed'} {momentBeside(run.endedAt!, now, settings.clock)}.
      </p>
      {looks.length > 0 && (
        <section>
          <Heading>What to look for</Heading>
          <Rows>
            {looks.map(({ at, words }) => (
              <li key={at}>
                <strong>{momentBeside(at, now, settings.clock)}</strong>: {words}
              </li>
            ))}
          </Rows>
        </section>
      )}
      <Totals run={run} netL={netL} nameOf={nameOf} />
      {left.length > 0 && (
        <section>
          <Heading>Left out</Heading>
          <Rows>
            {left.map(({ step, subjectId, title, why }) => (
              <li key={`${step} ${subjectId}`}>
                {subjectId === null ? '' : `${nameOf(subjectId)}: `}
                {title} <Quiet>{why}</Quiet>
              </li>
            ))}
          </Rows>
        </section>
      )}
      <Line>
        {run.start.courseId !== undefined && (
          <ButtonLink href={`/courses/${run.start.courseId}`}>To the course</ButtonLink>
        )}
        <ButtonLink href="/">To the ledger</ButtonLink>
      </Line>
    </Stack>
  )
}

import { useMemo } from 'react'
import { Link } from 'react-aria-components'
import { runNow } from '../../../../core/arrivals/run/run-now.ts'
import { liveRuns, runLabel, type Run } from '../../../../core/arrivals/run/runs.ts'
import { dayAs, momentBeside } from '../../../../core/time/words.ts'
import { MS_PER_MINUTE } from '../../../../core/time/zone.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Page } from '../../../look/page.ts'
import { Bar, Small, Stack, Title } from '../../../look/text.ts'
import { tankName } from '../../../words/entries.ts'
import { capital } from '../../../../core/words/numbers.ts'
import { RunState } from './RunState.tsx'

/** A run that is over: how it went. */
export function EndedRun({ run }: { run: Run }) {
  const { journal, settings } = useHousehold()
  const ended = run.ended!
  const followed = useMemo(() => runNow(run, ended.at), [run, ended.at])
  const minutes = Math.round((ended.at - run.startedAt) / MS_PER_MINUTE)
  const others = liveRuns(journal)
  return (
    <Page>
      <Stack $gap={18}>
        <div>
          <Title>{capital(runLabel(run))}</Title>
          <Small style={{ fontSize: 15 }}>
            {ended.outcome === 'released' ? `across into ${tankName(journal, run.start.tankId)}` : 'stopped'}{' '}
            {momentBeside(ended.at, thisInstant(), settings.clock)}, after {minutes} minutes
          </Small>
        </div>
        {others.length > 0 && (
          <Bar $tone="soon">
            Still under way:{' '}
            {others.map((other) => (
              <Link key={other.id} href={`/arrivals/run/${other.id}`}>
                {runLabel(other)}
              </Link>
            ))}
          </Bar>
        )}
        {ended.outcome === 'released' && (
          <p>
            {ended.measured ? 'Measured within reach.' : 'By reckoning, not measured.'}
            {ended.off && ` Still off: ${ended.off}.`} First meal, a look before the night and the head count of the
            morning stand in the <Link href="/">ledger</Link>.
          </p>
        )}
        {ended.why && <p>{ended.why}</p>}
        <RunState run={run} followed={followed} now={ended.at} />
        <Small>{dayAs(settings.clock.dayOf(run.startedAt), 'EEEE d MMMM yyyy')}</Small>
      </Stack>
    </Page>
  )
}

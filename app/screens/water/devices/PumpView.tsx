import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { pumpAlarms } from '../../../../core/devices/alarms.ts'
import type { PumpReport } from '../../../../core/devices/messages.ts'
import { orderOf, unwrittenDoses } from '../../../../core/devices/pump-doses.ts'
import { pumpState } from '../../../../core/devices/pump-shots.ts'
import { noteOf, pumpPlanOf, type AttachedDevice } from '../../../../core/household/devices.ts'
import { productById } from '../../../../core/household/shelf.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../../../core/journal/journal.ts'
import { dayBeside, momentBeside } from '../../../../core/time/words.ts'
import { iso } from '../../../../core/time/zone.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { orderPump } from '../../../devices/api.ts'
import { pumpKey, usePumpReport } from '../../../devices/usePumpReport.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button } from '../../../look/buttons.ts'
import { HourBars } from '../../../water/HourBars.tsx'
import { Bar, Facts, Figure, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { PumpPlanForm } from './PumpPlanForm.tsx'

/** A dosing pump: its plan as it runs, or the form that gives it one. */
export function PumpView({ device }: { device: AttachedDevice }) {
  const { journal } = useHousehold()
  const { report, problem } = usePumpReport(device.channel)
  const plan = pumpPlanOf(journal, device.deviceId)
  if (problem) return <Bar $tone="act">{problem}</Bar>
  if (!plan) return <PumpPlanForm device={device} />
  return report ? <Running device={device} plan={plan} report={report} /> : <Small>Asking the pump …</Small>
}

const SHOWN_MISSED = 5

function Running({
  device,
  plan,
  report,
}: {
  device: AttachedDevice
  plan: JournalLine<ContentOf<'pump-plan'>>
  report: PumpReport
}) {
  const { journal, settings } = useHousehold()
  const { keep, busy } = useKeeping()
  const queries = useQueryClient()
  const now = useNow()
  const [problem, setProblem] = useState<string | null>(null)
  const { clock } = settings
  const order = orderOf(journal, plan, settings.timeZone)
  const at = thisInstant()
  const state = pumpState(order, report.shots, at)
  const product = productById(journal, plan.content.productId)
  // The device forgot: its server was started afresh, or somebody else stopped it.
  const isLost = report.order === null || report.order.startsAt !== order.startsAt
  const again = () => queries.invalidateQueries({ queryKey: pumpKey(device.channel) })
  const doing = (work: () => Promise<unknown>) => () => {
    setProblem(null)
    void work()
      .then(again)
      .catch((error: unknown) => setProblem((error as Error).message))
  }
  const stop = async () => {
    await orderPump(device.channel, null)
    await keep([
      ...unwrittenDoses(journal, plan, report.shots, clock, thisInstant(), true, noteOf(device)),
      { ...plan.content, happened: iso(thisInstant()), stopped: true },
    ])
  }
  return (
    <Stack $gap={14}>
      {isLost && !state.isEnded && (
        <Bar $tone="act">
          <Stack $gap={8}>
            <span>
              The pump knows nothing of this plan: its server was started afresh, or it was stopped elsewhere.
            </span>
            <div>
              <Button
                onPress={doing(() => orderPump(device.channel, { ...order, bottleMl: Math.max(1, state.leftMl) }))}
              >
                Give it the plan again
              </Button>
            </div>
          </Stack>
        </Bar>
      )}
      {state.isEnded && <Bar $tone="second">The plan has ended. Test before you give it another.</Bar>}
      {pumpAlarms(device.name, state, at, clock).map(({ tone, words }) => (
        <Bar key={words} $tone={tone}>
          {words}
        </Bar>
      ))}
      <p>
        <Figure $size={32}>{figures(state.mlPerDay, 3)} mL</Figure> a day of {product?.name ?? plan.content.productId},
        since {momentBeside(plan.at, now, clock)}
        {state.endsAt !== null && `, to ${dayBeside(clock.dayOf(state.endsAt), clock.dayOf(now))}`}
      </p>
      <HourBars mlByHour={plan.content.mlByHour} />
      <Facts>
        <div>
          <dt>given</dt>
          <dd>
            <Figure>{figures(state.givenMl, 4)} mL</Figure>
          </dd>
        </div>
        {plan.content.bottleMl !== undefined && (
          <div>
            <dt>left in the bottle</dt>
            <dd>
              <Figure>{figures(state.leftMl, 4)} mL</Figure>
              {plan.content.residueMl !== undefined && plan.content.residueMl > 0 && (
                <Quiet>, {figures(plan.content.residueMl)} mL of it cannot be drawn</Quiet>
              )}
            </dd>
          </div>
        )}
        <div>
          <dt>runs dry</dt>
          <dd>{state.dryAt === null ? 'not before the plan ends' : momentBeside(state.dryAt, now, clock)}</dd>
        </div>
        {state.missed.length > 0 && (
          <div>
            <dt>missed</dt>
            <dd>
              {state.missed
                .slice(-SHOWN_MISSED)
                .map((one) => momentBeside(one.at, now, clock))
                .join(', ')}
              {state.missed.length > SHOWN_MISSED && ` and ${state.missed.length - SHOWN_MISSED} before`}
            </dd>
          </div>
        )}
      </Facts>
      {problem && <Bar $tone="act">{problem}</Bar>}
      <Line $gap={12}>
        <Button isDisabled={busy} onPress={doing(stop)}>
          Stop the pump
        </Button>
        <Small>What it gives is written down day by day.</Small>
      </Line>
    </Stack>
  )
}

import { pumpAlarms } from '../../../../core/devices/alarms.ts'
import type { PumpReport } from '../../../../core/devices/messages.ts'
import { orderOf } from '../../../../core/devices/pump-doses.ts'
import { pumpState } from '../../../../core/devices/pump-shots.ts'
import { pumpPlanOf, type AttachedDevice } from '../../../../core/household/devices.ts'
import { productById } from '../../../../core/household/shelf.ts'
import type { ContentOf } from '../../../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../../../core/journal/journal.ts'
import { dayBeside, momentBeside } from '../../../../core/time/words.ts'
import { figures } from '../../../../core/words/numbers.ts'
import { StopPump } from '../../../devices/StopPump.tsx'
import { usePump } from '../../../devices/usePump.ts'
import { usePumpReport } from '../../../devices/usePumpReport.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button } from '../../../look/buttons.ts'
import { HourBars } from '../../../water/HourBars.tsx'
import { Bar, Facts, Figure, Quiet, Small, Stack } from '../../../look/text.ts'
import { PumpPlanForm } from './PumpPlanForm.tsx'

/** A dosing pump: its plan as it runs, or the form that gives it one. */
export function PumpView({ device, isOffered }: { device: AttachedDevice; isOffered: boolean }) {
  const { journal } = useHousehold()
  const { report, problem } = usePumpReport(device.channel)
  const plan = pumpPlanOf(journal, device.deviceId)
  return (
    <Stack $gap={12}>
      {!isOffered ? null : problem !== null ? (
        <Bar $tone="act">{problem}</Bar>
      ) : !plan ? (
        <PumpPlanForm device={device} running={report?.order ?? null} />
      ) : report ? (
        <Running device={device} plan={plan} report={report} />
      ) : (
        <Small>Asking the pump …</Small>
      )}
      {/* In one place whatever is shown above: a press is not lost when the pump’s answer comes. */}
      {(plan !== null || problem !== null) && <StopPump device={device} />}
    </Stack>
  )
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
  const { sendAgain, isBusy, refused } = usePump(device)
  const now = useNow()
  const { clock } = settings
  const order = orderOf(journal, plan, settings.timeZone)
  const at = thisInstant()
  const state = pumpState(order, report.shots, at)
  const product = productById(journal, plan.content.productId)
  // The device forgot: its server was started afresh, or somebody else stopped it.
  const isLost = report.order === null || report.order.startsAt !== order.startsAt
  return (
    <Stack $gap={14}>
      {isLost && !state.isEnded && (
        <Bar $tone="act">
          <Stack $gap={8}>
            <span>
              {plan.content.beingSent
                ? 'This plan was being sent when the page was closed, and the pump does not have it.'
                : 'The pump knows nothing of this plan: its server was restarted, or somebody stopped it elsewhere.'}
            </span>
            <div>
              <Button isDisabled={isBusy} onPress={() => void sendAgain(Math.max(1, state.leftMl))}>
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
      {refused?.what === 'start' && <Bar $tone="act">{refused.words}</Bar>}
      <Small>What it gives is written down day by day.</Small>
    </Stack>
  )
}

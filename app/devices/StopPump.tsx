import { figures } from '../../core/words/numbers.ts'
import { pumpPlanOf, type AttachedDevice } from '../../core/household/devices.ts'
import { productById } from '../../core/household/shelf.ts'
import { useHousehold } from '../journal/provider.tsx'
import { Button } from '../look/buttons.ts'
import { Bar, Line, Small } from '../look/text.ts'
import { usePump } from './usePump.ts'

/** The way to stop a pump, wherever it is shown: also when its answer is missing or cannot be read. */
export function StopPump({ device }: { device: AttachedDevice }) {
  const { journal } = useHousehold()
  const { runs, report, problem, refused, isBusy, stop } = usePump(device)
  if (!runs && problem === null) return null
  const plan = pumpPlanOf(journal, device.deviceId)
  const perDay = (plan?.content ?? report?.order)?.mlByHour.reduce((sum, ml) => sum + ml, 0)
  const product = plan && productById(journal, plan.content.productId)?.name
  return (
    <Line $gap={12}>
      <Button isDisabled={isBusy} onPress={() => void stop()}>
        Stop {device.name}
      </Button>
      {perDay !== undefined && (
        <Small>
          {figures(perDay, 3)} mL a day{product && ` of ${product}`}
        </Small>
      )}
      {refused?.what === 'stop' && (
        <Bar $tone="act" role="alert">
          It was not stopped: {refused.words} Pull its plug.
        </Bar>
      )}
    </Line>
  )
}

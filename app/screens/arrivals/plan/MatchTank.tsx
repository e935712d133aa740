import type { ContainerPlan } from '../../../../core/acclimation/together.ts'
import type { BagReading } from '../../../../core/arrivals/box/bag-form.ts'
import { matchingSwap, swapContent } from '../../../../core/arrivals/matching.ts'
import { psuWords } from '../../../../core/acclimation/words.ts'
import { momentBeside } from '../../../../core/time/words.ts'
import { thisInstant, useNow } from '../../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../../journal/keeping.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Check as Checked } from 'lucide-react'
import { Button } from '../../../look/buttons.ts'
import { Bar, Stack } from '../../../look/text.ts'
import { changeVolume, parameterValue, quantityText } from '../../../../core/words/quantities.ts'
import type { PlanSource } from './plan-source.ts'
import { Tick } from './Tick.ts'

/** Setting the tank to the bag before the bag is opened: how much, and that it is done. */
export function MatchTank({
  source,
  container,
  question,
  unread,
  isAssumed,
  onSwapped,
  isDone,
  onDone,
}: {
  source: PlanSource
  container: ContainerPlan
  question: NonNullable<BagReading['question']>
  /** What was swapped since the tank was last measured. */
  unread: { litres: number; at: number } | null
  /** Whether the bag's salinity is only assumed. */
  isAssumed: boolean
  onSwapped: () => void
  isDone: boolean
  onDone: (done: boolean) => void
}) {
  const { settings } = useHousehold()
  const now = useNow()
  const { keep, busy, unkept } = useKeeping()
  const { tank } = source.context
  const target = container.bag.salinityPsu
  const said = quantityText(parameterValue('salinity', target, settings.units))
  const swap = unread ? null : matchingSwap(tank.volume?.netL ?? null, question.tank, target)
  const litres = swap && quantityText(changeVolume(swap.litres, settings.units))
  const log = async () => {
    if (await keep([swapContent(tank.id, swap!.litres, thisInstant())])) onSwapped()
  }
  if (isAssumed && tank.role === 'display')
    return (
      <Bar $tone="act">
        {tank.name} is a display: it is not set to a figure that nobody has measured. Float, open and measure the bag
        first, or choose another way.
      </Bar>
    )
  if (tank.water === 'freshwater')
    return (
      <Tick>
        <input type="checkbox" checked={isDone} onChange={(event) => onDone(event.target.checked)} />
        <span>
          {tank.name} has the bag’s hardness and pH now, as far as they can be matched, and was measured after it.
        </span>
      </Tick>
    )
  return (
    <Stack $gap={8}>
      {unread && (
        <Bar $tone="soon">
          <Checked size={17} aria-label="done" /> {quantityText(changeVolume(unread.litres, settings.units))} were
          swapped {momentBeside(unread.at, now, settings.clock)}, and {tank.name} has not been measured since. Measure
          it after a quarter of an hour of flow. If it stands elsewhere than at {said}, type that as its salinity beside
          the plan: what is left to swap is worked out again.
        </Bar>
      )}
      {swap && (
        <Bar $tone="soon">
          {swap.withWhat === 'fresh'
            ? `Swap ${litres} of ${tank.name} for fresh water: dechlorinated, at the tank’s warmth, in slowly, with the bacteria’s sponge kept wet. Heater unplugged and cool before the water falls, every plug out before hands go in. Measure it after a quarter of an hour of flow.`
            : `Raise ${tank.name} by ${psuWords(swap.apart, settings.units)} with mixed salt water before the animal is in; dry salt never with an animal in the water.`}{' '}
          Afterwards it goes back up by {psuWords(1, settings.units)} to {psuWords(2, settings.units)} a day at most.
        </Bar>
      )}
      {swap?.withWhat === 'fresh' && (
        <div>
          <Button onPress={() => void log()} isDisabled={busy}>
            Log the swap of {litres}
          </Button>
        </div>
      )}
      {unkept && <UnkeptNote unkept={unkept} />}
      <Tick>
        <input type="checkbox" checked={isDone} onChange={(event) => onDone(event.target.checked)} />
        <span>
          {tank.name} stands at {said} now, measured with the instrument that will measure the bag. It is kept as a
          reading.
        </span>
      </Tick>
    </Stack>
  )
}

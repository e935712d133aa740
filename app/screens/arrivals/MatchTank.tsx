import type { ContainerPlan } from '../../../core/acclimation/together.ts'
import type { BagReading } from '../../../core/arrivals/bag-form.ts'
import { psuWords } from '../../../core/acclimation/words.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { iso } from '../../../core/time/zone.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Bar, Stack } from '../../look/text.ts'
import { changeVolume, parameterValue, quantityText } from '../../words/quantities.ts'
import type { PlanSource } from './plan-source.ts'
import { Tick } from './Tick.ts'
import { matchingSwap } from './way-words.ts'

/** Setting the tank to the bag before the bag is opened: how much, and that it is done. */
export function MatchTank({
  source,
  container,
  question,
  isDone,
  onDone,
}: {
  source: PlanSource
  container: ContainerPlan
  question: NonNullable<BagReading['question']>
  isDone: boolean
  onDone: (done: boolean) => void
}) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const { tank } = source.context
  const target = container.bag.salinityPsu
  const said = quantityText(parameterValue('salinity', target, settings.units))
  const swap = matchingSwap(tank.volume?.netL ?? null, question.tank, target)
  const litres = swap && quantityText(changeVolume(swap.litres, settings.units))
  const log = async () => {
    const happened = iso(thisInstant())
    const contents: Content[] = [
      { kind: 'water-change', happened, tankId: tank.id, litres: swap!.litres, replacement: { salinityPsu: 0 } },
    ]
    await keep(contents)
  }
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
      {swap && (
        <Bar $tone="soon">
          {swap.withWhat === 'fresh'
            ? `Swap ${litres} of ${tank.name} for fresh water: dechlorinated, at the tank’s warmth, in slowly, with the bacteria’s sponge kept wet. Measure it after a quarter of an hour of flow.`
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
          {tank.name} stands at {said} now, measured with the instrument that will measure the bag.
        </span>
      </Tick>
    </Stack>
  )
}

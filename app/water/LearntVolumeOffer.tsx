import type { LearntVolume } from '../../core/courses/outlook/forecast.ts'
import type { Tank } from '../../core/household/tanks.ts'
import { iso } from '../../core/time/zone.ts'
import { thisInstant } from '../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../journal/keeping.tsx'
import { useHousehold } from '../journal/provider.tsx'
import { Button, ButtonLink } from '../look/buttons.ts'
import { Heading, Line, Stack } from '../look/text.ts'
import { quantityText, volume } from '../../core/words/quantities.ts'

/** Litres are offered to the tenth: doses and kits tell no more. */
const rounded = (litres: number) => Math.round(litres * 10) / 10

/** What doses and readings say of the tank's volume, offered to its sheet and never applied by itself. */
export function LearntVolumeOffer({ tank, learnt }: { tank: Tank; learnt: LearntVolume }) {
  const { settings } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const say = (litres: number) => quantityText(volume(litres, settings.units))
  const litres = rounded(learnt.litres)
  return (
    <section>
      <Heading>The water may be {say(litres)}</Heading>
      <Stack $gap={10} style={{ paddingTop: 10 }}>
        <p>
          Doses and readings so far fit {say(learnt.litres)} (± {say(2 * learnt.sdL)}) better than the{' '}
          {say(learnt.sheetL)} the sheet says. With {say(learnt.sheetL)} every dose makes{' '}
          {learnt.litres < learnt.sheetL ? 'more' : 'less'} than it should. Measure the water line before you change it.
        </p>
        <Line>
          <Button
            isDisabled={busy}
            onPress={() =>
              void keep([
                { kind: 'tank-change', happened: iso(thisInstant()), tankId: tank.id, changes: { learntL: litres } },
              ])
            }
          >
            Use {say(litres)} for {tank.name}
          </Button>
          <ButtonLink href={`/tanks/${tank.id}`}>Look at the sheet</ButtonLink>
        </Line>
        {unkept && <UnkeptNote unkept={unkept} />}
      </Stack>
    </section>
  )
}

import { useId, useState } from 'react'
import type { CoursePlan } from '../../../../core/courses/plan.ts'
import { priceOfWaiting } from '../../../../core/courses/outlook/fallow-price.ts'
import { feedsWithoutFish, restocking, type Restocking } from '../../../../core/courses/outlook/restocking.ts'
import { fishlessRisk, usualSlowShare } from '../../../../core/courses/outlook/fishless-risk.ts'
import { passportOf } from '../../../../core/courses/passport/passport.ts'
import { passportWords } from '../../../../core/courses/passport/passport-words.ts'
import type { FishlessState } from '../../../../core/courses/tracks/fishless.ts'
import { animalLabel } from '../../../../core/household/animals.ts'
import { dayAs } from '../../../../core/time/words.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { figures, listed, plural } from '../../../../core/words/numbers.ts'
import { LeadStrip } from '../../../courses/LeadStrip.tsx'
import { PARASITE_NAMES, phaseWords, riskText } from '../../../courses/words.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Facts, Figure, Heading, Ruled, Small, Stack } from '../../../look/text.ts'
import { FallowCurve } from './FallowCurve.tsx'
import { Legend, Slide } from './legend.ts'

/** A slow strain is taken as likely as this at most. */
const MOST_SLOW_PERCENT = 30

/** Days without fish: how many, what is left of the risk, and what waiting longer costs and buys. */
export function FishlessPanel({ plan, fishless }: { plan: CoursePlan; fishless: FishlessState }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const id = useId()
  const { clock, units } = settings
  const parasites = plan.course.definition.treats.filter((one) => fishlessRisk(one, 0) !== null)
  const [first] = parasites
  const [percent, setPercent] = useState(100 * usualSlowShare(first ?? ''))
  const slowShares = first === undefined ? {} : { [first]: percent / 100 }
  const prices = priceOfWaiting(journal, plan, clock, slowShares)
  const hasAlkalinity = prices.some((price) => price.alkalinity !== null)
  const hasRecession = prices.some(({ recessionMm }) => recessionMm !== null)
  const back = restocking(journal, plan.facts)
  const fed = feedsWithoutFish(plan.facts, clock)
  return (
    <section>
      <Heading>
        <span>
          Days without fish <Figure $size={15}>{phaseWords(plan)}</Figure>
        </span>
        <Legend>whole local days, logged; hatched is hoped for</Legend>
      </Heading>
      <div style={{ paddingTop: 16 }}>
        <LeadStrip plan={plan} zone={clock} now={now} />
      </div>
      {fishless.fullAt !== null && (
        <Small>
          {fishless.state === 'full' ? 'Full since' : 'Full on'} {dayAs(clock.dayOf(fishless.fullAt), 'EEEE d MMMM')}
          {fishless.begunAt !== null && `, counted from ${dayAs(clock.dayOf(fishless.begunAt), 'd MMMM')}`}.
        </Small>
      )}
      {first !== undefined && prices.length > 0 && (
        <Stack $gap={14} style={{ paddingTop: 14 }}>
          <div>
            <strong>Risk that {PARASITE_NAMES[first] ?? first} is left</strong>
            <FallowCurve parasite={first} slowShare={percent / 100} today={fishless.days} />
          </div>
          <Slide htmlFor={id}>
            <span>Chance that it is a slow strain</span>
            <Figure>{figures(percent, 2)} %</Figure>
            <input
              id={id}
              type="range"
              min={0}
              max={MOST_SLOW_PERCENT}
              step={0.5}
              value={percent}
              onChange={(event) => setPercent(Number(event.target.value))}
            />
          </Slide>
          <Ruled>
            <thead>
              <tr>
                <th scope="col">The price of waiting</th>
                {parasites.map((one) => (
                  <th key={one} scope="col">
                    {PARASITE_NAMES[one] ?? one}
                  </th>
                ))}
                {hasAlkalinity && <th scope="col">alkalinity, untouched</th>}
                {hasRecession && <th scope="col">edge lost</th>}
              </tr>
            </thead>
            <tbody>
              {prices.map(({ days, at, risks, alkalinity: alk, isUnderBand, recessionMm }) => (
                <tr key={`${days}-${at ?? 'now'}`}>
                  <th scope="row">
                    {at === null ? 'fish back today' : plural(days, 'day')}
                    {at !== null && <Small>{dayAs(clock.dayOf(at), 'EEE d MMM')}</Small>}
                  </th>
                  {risks.map(({ parasite, risk }) => (
                    <td key={parasite}>
                      <Figure $size={17}>{riskText(risk)}</Figure>
                    </td>
                  ))}
                  {hasAlkalinity && (
                    <td style={isUnderBand ? { color: 'var(--act)' } : undefined}>
                      {alk === null ? '' : measureText(alk, 'dKH', units, 2)}
                    </td>
                  )}
                  {hasRecession && <td>{recessionMm === null ? '' : `${figures(recessionMm, 2)} mm`}</td>}
                </tr>
              ))}
            </tbody>
          </Ruled>
          <Small>
            A model, not data: that something is left. Nearly all of it after six weeks is the assumed chance of a slow
            strain. 76 days by default; 45 is a school of its own, at 27 to 28 °C.
          </Small>
          {back && <ComingBack back={back} fed={fed} />}
        </Stack>
      )}
    </section>
  )
}

/** "5 fish, 112 g". */
const stockText = ({ fish, massG }: Restocking['before']) =>
  `${plural(fish, 'fish', 'fish')}${massG === null || fish === 0 ? '' : `, ${figures(massG, 2)} g`}`

/** How the fish come back, and what that asks of the filter. */
function ComingBack({ back, fed }: { back: Restocking; fed: { days: number; of: number } }) {
  const { journal, settings } = useHousehold()
  const instant = useNow()
  const { before, now, atATime, steps, order, stock, days } = back
  const out = stock.filter(({ end }) => end === null)
  return (
    <Stack $gap={6}>
      <strong>Coming back</strong>
      <Facts>
        <div>
          <dt>then</dt>
          <dd>{stockText(before)}</dd>
        </div>
        <div>
          <dt>now</dt>
          <dd>{stockText(now)}</dd>
        </div>
        {order.map(({ animals, massG }, i) => (
          <div key={animals[0]!.id}>
            <dt>step {i + 1}</dt>
            <dd>
              {listed(animals.map(animalLabel))}
              {massG !== null && `, ${figures(massG, 2)} g`}
            </dd>
          </div>
        ))}
        {out.map((animal) => {
          const passport = passportOf(journal, animal.id, instant)
          return (
            passport && (
              <div key={`passport-${animal.id}`}>
                <dt>{animalLabel(animal)}</dt>
                <dd>{passportWords(passport, settings.clock)}</dd>
              </div>
            )
          )
        })}
      </Facts>
      <p>
        In {plural(steps, 'step')},{' '}
        {atATime.massG === null ? `${atATime.fish} at a time` : `at most ${figures(atATime.massG, 2)} g at a time`},{' '}
        {days[0]} to {days[1]} days apart: ammonia by kit and by badge every day for a week after each. Fed on{' '}
        {fed.days} of {fed.of} days without fish so far. All at once asks the whole filter at once: only if it was fed
        on all of them and takes 1 mg/L of ammonia in a day.
      </p>
      <Small>
        {atATime.massG === null
          ? 'Counted by heads: with a length of every fish on record (on its tank’s page) it is counted by mass.'
          : 'Mass from length, good to about a half. One that is heavier than a step comes alone.'}
      </Small>
    </Stack>
  )
}

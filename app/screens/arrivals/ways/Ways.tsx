import { memo, useCallback, useMemo, useRef } from 'react'
import { Slider, SliderThumb, SliderTrack } from 'react-aria-components'
import { styled } from 'styled-components'
import type { ContainerPlan } from '../../../../core/acclimation/together.ts'
import { excretionFrom } from '../../../../core/acclimation/assumed.ts'
import type { BoxQuestion } from '../../../../core/acclimation/together.ts'
import { targetOf } from '../../../../core/acclimation/follow.ts'
import { waited, type Question, type Way } from '../../../../core/acclimation/ways.ts'
import { WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import { useHousehold } from '../../../journal/provider.tsx'
import { useIsPhone, useWidth } from '../../../look/useWidth.ts'
import { Stack } from '../../../look/text.ts'
import { LEFT, LEFT_BARE, RIGHT } from './CurveColumn.tsx'
import { domainOf, quantitiesOf, type Quantity } from './curves.ts'
import { WayColumn, type WayModel } from './WayColumn.tsx'

/** Every way a column; heads, verdicts, curves and captions stand level. */
const Columns = styled.div`
  display: grid;
  gap: 6px 16px;
  & > div {
    display: grid;
    grid-row: span 5;
    grid-template-rows: subgrid;
    min-width: 0;
  }
`

const Tabs = styled.div`
  display: flex;
  overflow-x: auto;
  gap: 8px;
  button {
    flex: 1 0 auto;
    min-height: 48px;
    padding: 6px 12px;
    border: 1.5px solid var(--strong-rule);
    border-radius: 2px;
    background: none;
    font-size: 14.5px;
    line-height: 1.2;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--second);
    background: var(--second);
    color: var(--on-second);
    font-weight: 650;
  }
`

const WaitTrack = styled(SliderTrack)`
  position: relative;
  height: 46px;
  &::before {
    content: '';
    position: absolute;
    left: 0;
    right: 0;
    top: 22px;
    border-top: 2px solid var(--strong-rule);
  }
`

/** The flag that is dragged along the minutes. */
const Marker = styled(SliderThumb)`
  top: 23px;
  display: grid;
  place-items: center;
  width: 50px;
  height: 32px;
  border: 2px solid var(--act);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--act);
  font-family: var(--mono);
  font-size: 15px;
  font-weight: 600;
  cursor: grab;
  &[data-dragging] {
    cursor: grabbing;
    background: var(--band);
  }
  &[data-focus-visible] {
    outline: 2.5px solid var(--second);
    outline-offset: 2px;
  }
`

/** The longest wait that is asked about, minutes. */
export const MOST_WAIT = 120

interface WaysProps {
  container: ContainerPlan
  question: BoxQuestion
  picked: Way['kind']
  onPick: (container: ContainerPlan, kind: Way['kind']) => void
  wait: number
  onWait: (minutes: number) => void
}

/** The question behind a container's ways, with the opened bag left standing for some minutes. */
export function questionOf(container: ContainerPlan, question: BoxQuestion, waitMinutes: number): Question {
  const { bag } = container
  return {
    setting: {
      bag,
      tank: container.tank,
      container: question.container,
      room: question.room,
      float: question.float,
      ...(question.gasExchangePerHour !== undefined && { gasExchangePerHour: question.gasExchangePerHour }),
      ...(waitMinutes > 0 && {
        excretionMgPerHour: excretionFrom(bag.tanMgPerL, bag.volumeL, question.shippingHours),
      }),
    },
    limits: container.limits,
    shippingHours: question.shippingHours,
    tankCanBeMatched: question.tankCanBeMatched,
    units: question.units,
    waitMinutes,
  }
}

/**
 * The ways side by side: their curves against what the animal bears, and what waiting does to them. Drawn again only for
 * another answer: a key in a field must not wait for forty curves.
 */
export const Ways = memo(function Ways({ container, question, picked, onPick, wait, onWait }: WaysProps) {
  const { settings } = useHousehold()
  const { units } = settings
  const isPhone = useIsPhone()
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const { comparison, limits } = container
  const ways = useMemo(
    () =>
      wait === 0 ? comparison.ways : comparison.ways.map((way) => waited(questionOf(container, question, wait), way)),
    [comparison, container, question, wait],
  )
  const floated = question.float.minutes
  const until = Math.max(
    floated + 60,
    Math.min(Math.max(...ways.map(({ moveAt }) => moveAt)) + 10, Math.max(120, 2.5 * limits.maxMinutes)),
  )
  const marker = wait > 0 ? floated + wait : null
  const columns = useMemo(() => {
    const shown = isPhone ? ways.filter(({ kind }) => kind === picked) : ways
    const withQuantities = shown.map((way) => ({
      way,
      quantities: quantitiesOf(
        targetOf({ setting: { ...question, bag: container.bag, tank: container.tank }, way: way.kind }),
        limits,
        units,
      ),
    }))
    const domains = domainsOf(withQuantities, until)
    return withQuantities.map((one): WayModel => ({
      ...one,
      domains,
      until,
      limits,
      units,
      openAt: floated,
      marker,
      isAdvised: one.way.kind === comparison.advised,
    }))
    // On the desk every way is shown, whichever is picked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ways, question, container, limits, units, until, floated, marker, isPhone, isPhone && picked])
  const pick = useCallback((kind: Way['kind']) => onPick(container, kind), [onPick, container])
  // Every plot as wide as the others; the first has the scales beside it.
  const count = Math.max(1, columns.length)
  const bare = Math.floor((width - 16 * (count - 1) - (LEFT - LEFT_BARE)) / count)
  const widthOf = (i: number) => bare + (i === 0 ? LEFT - LEFT_BARE : 0)
  const plot = widthOf(0) - LEFT - RIGHT
  const mostWait = Math.min(MOST_WAIT, until - floated)
  return (
    <Stack $gap={10}>
      {isPhone && (
        <Tabs role="group" aria-label="Ways">
          {ways.map(({ kind }) => (
            <button key={kind} type="button" aria-pressed={kind === picked} onClick={() => onPick(container, kind)}>
              {WAY_NAMES[kind]}
            </button>
          ))}
        </Tabs>
      )}
      <div ref={box}>
        {width > 0 && (
          <Columns
            style={{
              gridTemplateColumns: `${widthOf(0)}px ${columns
                .slice(1)
                .map(() => `${bare}px`)
                .join(' ')}`,
            }}
          >
            {columns.map((model, i) => (
              <WayColumn
                key={model.way.kind}
                model={model}
                width={widthOf(i)}
                isFirst={i === 0}
                isPicked={model.way.kind === picked}
                onPick={isPhone ? null : pick}
              >
                {i === 0 && (
                  <WaitSlider
                    wait={Math.min(wait, mostWait)}
                    most={mostWait}
                    onWait={onWait}
                    from={LEFT + (plot * floated) / until}
                    length={(plot * mostWait) / until}
                  />
                )}
              </WayColumn>
            ))}
          </Columns>
        )}
      </div>
      <WaitWords ways={ways} picked={picked} wait={wait} limit={limits.maxFreeAmmoniaMgPerL} floated={floated} />
    </Stack>
  )
})

/** One range a row for all columns, so that they can be read across. */
const domainsOf = (columns: readonly { way: Way; quantities: readonly Quantity[] }[], until: number) =>
  (columns[0]?.quantities ?? []).map((_, i) =>
    columns
      .map(({ way, quantities }) =>
        domainOf(
          quantities[i]!,
          [way.points, way.beyond].map((points) => points.filter(({ minute }) => minute <= until)),
        ),
      )
      .reduce((a, b) => [Math.min(a[0], b[0]), Math.max(a[1], b[1])]),
  )

/** "What if I wait": a marker on the axis of minutes, from the opening of the bag on. */
const WaitSlider = memo(function WaitSlider({
  wait,
  most,
  onWait,
  from,
  length,
}: {
  wait: number
  most: number
  onWait: (minutes: number) => void
  /** px from the column's edge to the opening, and from there to the longest wait. */
  from: number
  length: number
}) {
  return (
    <Slider
      aria-label="Minutes the opened bag stands"
      minValue={0}
      maxValue={most}
      step={1}
      value={wait}
      onChange={onWait}
      style={{ marginLeft: from, width: length, touchAction: 'none' }}
    >
      <WaitTrack>
        <Marker>+{wait}</Marker>
      </WaitTrack>
    </Slider>
  )
})

/** What the wait does, in words. */
function WaitWords({
  ways,
  picked,
  wait,
  limit,
  floated,
}: {
  ways: readonly Way[]
  picked: Way['kind']
  wait: number
  limit: number
  floated: number
}) {
  const way = ways.find(({ kind }) => kind === picked) ?? ways[0]
  if (!way) return null
  const all = [...way.points, ...way.beyond]
  const stands = all.find(({ minute }) => minute >= floated + wait)
  const passed = all.find(({ minute, freeAmmoniaMgPerL }) => minute > floated && freeAmmoniaMgPerL > limit)
  const over = !passed
    ? `The limit of ${limit} mg/L is not passed in the minutes shown.`
    : passed.minute > way.moveAt
      ? `Up to the move the limit of ${limit} mg/L is kept; left standing after it, it would be passed ${Math.round(passed.minute - floated)} minutes after opening.`
      : `The limit of ${limit} mg/L is passed ${Math.round(passed.minute - floated)} minutes after opening.`
  return (
    <p role="status">
      <strong>What if the opened bag stands?</strong>{' '}
      {wait === 0 || !stands
        ? `Drag the marker along the minutes. ${over}`
        : `After ${wait} minutes open: pH ${stands.pH.toFixed(2)}, free ammonia ${stands.freeAmmoniaMgPerL.toFixed(3)} mg/L. ${over}`}
    </p>
  )
}

import { memo, type ReactNode } from 'react'
import { styled } from 'styled-components'
import type { Limits } from '../../../../core/acclimation/trials.ts'
import type { Way } from '../../../../core/acclimation/ways.ts'
import { WAY_NAMES } from '../../../../core/arrivals/run/step-words.ts'
import type { UnitHabits } from '../../../../core/household/settings.ts'
import { Figure, Small } from '../../../look/text.ts'
import { CurveColumn } from './CurveColumn.tsx'
import type { Quantity } from './curves.ts'
import { wayCaption, wayFigure, wayLabel } from './way-words.ts'

const Head = styled.button`
  display: block;
  width: 100%;
  padding: 5px 0 2px;
  border: 0;
  border-top: 3px solid var(--strong-rule);
  border-radius: 0;
  background: none;
  text-align: start;
  cursor: pointer;
  line-height: 1.25;
  &[aria-pressed='true'] {
    border-top-color: var(--second);
  }
  strong {
    display: block;
    font-size: 15px;
  }
  em {
    font-style: normal;
    font-weight: 600;
    font-size: 13.5px;
    color: var(--second);
  }
`

const Verdict = styled.ul`
  font-size: 13.5px;
  line-height: 1.35;
  color: var(--act);
  font-weight: 600;
`

/** Everything that a way's column shows of an answer. */
export interface WayModel {
  way: Way
  quantities: readonly Quantity[]
  domains: readonly (readonly [number, number])[]
  /** Last minute drawn. */
  until: number
  limits: Limits
  units: UnitHabits
  openAt: number
  /** The minute of the wait that is dragged; null where nothing waits. */
  marker: number | null
  isAdvised: boolean
}

interface WayColumnProps {
  model: WayModel
  width: number
  /** The first names the rows, and has their scales. */
  isFirst: boolean
  isPicked: boolean
  /** Null where ways are picked elsewhere. */
  onPick: ((kind: Way['kind']) => void) | null
  /** Under the curves. */
  children: ReactNode
}

/** One way: its figure, what it breaks, its curves, and what they show in words. */
export const WayColumn = memo(function WayColumn({
  model,
  width,
  isFirst,
  isPicked,
  onPick,
  children,
}: WayColumnProps) {
  const { way, quantities, domains, until, limits, units, openAt, marker, isAdvised } = model
  return (
    <div>
      {onPick ? (
        <Head type="button" aria-pressed={isPicked} onClick={() => onPick(way.kind)}>
          <strong>{WAY_NAMES[way.kind]}</strong>
          <Figure $size={19}>{wayFigure(way).figure}</Figure>
          <Small>
            {isAdvised && <em>advised · </em>}
            {way.method ? `across at minute ${way.moveAt}` : way.moveAt === 0 ? 'by net or cup' : 'afloat, then across'}
          </Small>
        </Head>
      ) : (
        <span />
      )}
      <Verdict aria-label={`What ${WAY_NAMES[way.kind]} breaks`}>
        {way.broken.slice(0, 2).map(({ what, words }) => (
          <li key={what + words}>{words}</li>
        ))}
        {way.broken.length > 2 && <li>and {way.broken.length - 2} more</li>}
      </Verdict>
      <CurveColumn
        label={wayLabel(way, limits, units)}
        width={width}
        quantities={quantities}
        domains={domains}
        until={until}
        known={NONE}
        hoped={way.points}
        beyond={way.beyond}
        openAt={openAt}
        moveAt={way.moveAt}
        {...(marker !== null && { marker })}
        named={isFirst}
      />
      {children || <span />}
      <Small>{wayCaption(way, limits, units)}</Small>
    </div>
  )
})

const NONE: never[] = []

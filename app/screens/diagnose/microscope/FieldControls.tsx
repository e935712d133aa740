import { OBJECTIVES, type Objective } from '../../../../core/microscope/scale.ts'
import { Button, PlainButton } from '../../../look/buttons.ts'
import { Line } from '../../../look/text.ts'
import { useReducedMotion } from './FieldCanvas.tsx'

/** The power that is looked through, and stopping the motion. */
export function FieldControls({
  times,
  onTimes,
  isStopped,
  onStop,
}: {
  times: Objective['times']
  onTimes: (times: Objective['times']) => void
  isStopped: boolean
  onStop: (isStopped: boolean) => void
}) {
  const isReduced = useReducedMotion()
  return (
    <Line $gap={8} role="group" aria-label="Objective">
      {OBJECTIVES.map((one) => (
        <Button key={one.times} aria-pressed={one.times === times} onPress={() => onTimes(one.times)}>
          ×{one.times}
        </Button>
      ))}
      {isReduced ? (
        <span>Still, as your system asks: dotted lines are a second’s way.</span>
      ) : (
        <PlainButton onPress={() => onStop(!isStopped)}>{isStopped ? 'let it move' : 'stop the motion'}</PlainButton>
      )}
    </Line>
  )
}

import { useState } from 'react'
import { parameterById } from '../../../../core/catalogue/parameter.ts'
import type { DeviceOffered, Fault } from '../../../../core/devices/messages.ts'
import { setSimulator } from '../../../devices/api.ts'
import { Button } from '../../../look/buttons.ts'
import { Bar, Line, Small, Stack } from '../../../look/text.ts'

const OF_PUMP: readonly { fault: Fault; label: string }[] = [
  { fault: 'none', label: 'works' },
  { fault: 'run-dry', label: 'runs dry' },
  { fault: 'missed-shot', label: 'misses shots' },
]
const OF_METER: readonly { fault: Fault; label: string }[] = [
  { fault: 'none', label: 'works' },
  { fault: 'drift', label: 'drifts' },
  { fault: 'stuck', label: 'sticks' },
  { fault: 'spike', label: 'jumps' },
  { fault: 'drop-out', label: 'drops out' },
]

/** Faults that a stand-in plays, to see what Brinvo makes of them. */
export function StandInFaults({ offered }: { offered: DeviceOffered }) {
  const [played, setPlayed] = useState<Readonly<Record<string, Fault>>>({})
  const [problem, setProblem] = useState<string | null>(null)
  const parts: { parameter: string | null; name: string }[] =
    offered.type === 'pump'
      ? [{ parameter: null, name: offered.name }]
      : offered.measures.map(({ parameter }) => ({ parameter, name: parameterById(parameter)?.name ?? parameter }))
  const play = async (parameter: string | null, fault: Fault) => {
    try {
      await setSimulator({ fault: { deviceId: offered.id, parameter, fault } })
      setPlayed((before) => ({ ...before, [parameter ?? '']: fault }))
      setProblem(null)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <Stack $gap={12}>
      {parts.map(({ parameter, name }) => (
        <Line key={name} $gap={8} role="group" aria-label={`Fault of ${name}`}>
          <Small style={{ minWidth: 110 }}>{name}</Small>
          {(offered.type === 'pump' ? OF_PUMP : OF_METER).map(({ fault, label }) => (
            <Button
              key={fault}
              aria-pressed={(played[parameter ?? ''] ?? 'none') === fault}
              onPress={() => void play(parameter, fault)}
            >
              {label}
            </Button>
          ))}
        </Line>
      ))}
      {problem && <Bar $tone="act">{problem}</Bar>}
    </Stack>
  )
}

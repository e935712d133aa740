import { useState } from 'react'
import { alarmsOf } from '../../../../core/arrivals/run/alarms.ts'
import { runLabel, type Run } from '../../../../core/arrivals/run/runs.ts'
import { allowSound, canSound } from '../../../arrivals/ring.ts'
import type { useAwake } from '../../../arrivals/useAwake.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { Button } from '../../../look/buttons.ts'
import { Line, Small, Stack } from '../../../look/text.ts'
import { downloadText } from '../../../storage/download.ts'

/** What this device does and does not: screen, sound, a locked phone. */
export function RunDevices({ run, awake }: { run: Run; awake: ReturnType<typeof useAwake> }) {
  const [sound, setSound] = useState(canSound())
  const inCalendar = async () => {
    const { calendarOf } = await import('../../../calendar/ics.ts')
    const made = thisInstant()
    downloadText('brinvo-alarms.ics', calendarOf(alarmsOf(run, made), runLabel(run), made), 'text/calendar')
  }
  const isHeard = sound || canSound()
  return (
    <Stack $gap={8} style={{ gridArea: 'device' }}>
      <Small>
        {awake === 'awake'
          ? 'The screen is kept awake while this page is open.'
          : awake === 'missing'
            ? 'This browser cannot keep the screen awake: set it not to go dark, or keep touching it.'
            : 'The device does not let the screen be kept awake now (battery saver?): keep touching it.'}{' '}
        A locked or sleeping phone does not ring: it rings at once when it is looked at again. A calendar can ring for
        it.
      </Small>
      <Line>
        {!isHeard && (
          <Button
            onPress={() => {
              allowSound()
              setSound(true)
            }}
          >
            Let it ring
          </Button>
        )}
        <Button onPress={() => void inCalendar()}>Alarms for the calendar</Button>
      </Line>
    </Stack>
  )
}

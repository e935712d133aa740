import { Camera } from 'lucide-react'
import { useRef, useState } from 'react'
import { ringsOf } from '../../../../core/bench/begin.ts'
import type { BenchRun } from '../../../../core/bench/follow.ts'
import { allowSound, canSound } from '../../../arrivals/ring.ts'
import { useAwake } from '../../../arrivals/useAwake.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button } from '../../../look/buttons.ts'
import { Line, Small, Stack } from '../../../look/text.ts'
import { HiddenInput } from '../../../photos/HiddenInput.ts'
import { keepPhotos } from '../../../photos/keeping.ts'
import { scaleDown } from '../../../photos/scale.ts'
import { downloadText } from '../../../storage/download.ts'

/** What the device does for the bench: a photo in one tap, sound, a calendar that rings on a locked phone. */
export function RunTools({ run, what, nameOf }: { run: BenchRun; what: string; nameOf: (id: string) => string }) {
  const household = useHousehold()
  const awake = useAwake()
  const camera = useRef<HTMLInputElement>(null)
  const [said, setSaid] = useState<string | null>(null)
  const [sound, setSound] = useState(canSound())
  const take = async (files: FileList | null) => {
    const file = files?.[0]
    if (!file) return
    try {
      const photo = await scaleDown(file)
      const { tankId } = run.start
      await keepPhotos(household, [photo], {
        ...(tankId !== undefined && { tankId }),
        about: run.entryId,
        caption: what,
      })
      setSaid(`photo kept: ${what}`)
    } catch (error) {
      setSaid((error as Error).message)
    }
  }
  const inCalendar = async () => {
    const { calendarOf } = await import('../../../calendar/ics.ts')
    const made = thisInstant()
    downloadText(
      'brinvo-bench.ics',
      calendarOf(ringsOf(run.clocks, nameOf, made), run.procedure.name, made, household.settings.timeZone),
      'text/calendar',
    )
  }
  return (
    <Stack $gap={8}>
      <Line>
        <HiddenInput
          ref={camera}
          type="file"
          accept="image/*"
          capture="environment"
          aria-label={`Photo: ${what}`}
          tabIndex={-1}
          onChange={(event) => void take(event.target.files).finally(() => (event.target.value = ''))}
        />
        <Button onPress={() => camera.current?.click()}>
          <Camera size={18} aria-hidden="true" /> Photo
        </Button>
        {!sound && !canSound() && (
          <Button
            onPress={() => {
              allowSound()
              setSound(true)
            }}
          >
            Let it ring
          </Button>
        )}
        {run.clocks.length > 0 && <Button onPress={() => void inCalendar()}>Alarms for the calendar</Button>}
      </Line>
      {said !== null && <Small role="status">{said}</Small>}
      <Small>
        {awake === 'awake' ? 'The screen stays awake. ' : 'The screen may go dark: keep touching it. '}A locked phone
        does not ring: it rings at once when it is looked at again. A calendar can ring for it.
      </Small>
    </Stack>
  )
}

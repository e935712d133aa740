import { useState } from 'react'
import { TakeClip } from '../../../../photos/Clips.tsx'
import { keepPhotos } from '../../../../photos/keeping.ts'
import { TakePhoto } from '../../../../photos/TakePhoto.tsx'
import type { ScaledPhoto } from '../../../../photos/scale.ts'
import { useHousehold } from '../../../../journal/provider.tsx'
import { Bar, Small, Stack } from '../../../../look/text.ts'
import type { MicroscopeSubject } from '../useSubject.ts'

/** Once a tally is kept: a clip or a photo beside it. */
export function AfterKeeping({ entryId, subject }: { entryId: string; subject: MicroscopeSubject }) {
  const household = useHousehold()
  const [problem, setProblem] = useState<string | null>(null)
  const take = async (photo: ScaledPhoto) => {
    try {
      await keepPhotos(household, [photo], { about: entryId, tankId: subject.tank.id })
      setProblem(null)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <Stack $gap={10} style={{ paddingTop: 14 }}>
      <Bar $tone="second" role="status">
        Kept. A clip of ten to twenty seconds beside it lets others judge the motion.
      </Bar>
      <TakeClip what="the slide" about={entryId} tankId={subject.tank.id} />
      <TakePhoto what="the slide" onTaken={(photo) => void take(photo)} />
      {problem !== null && (
        <Bar $tone="act" role="alert">
          {problem}
        </Bar>
      )}
      <Small>Clips stay on this device; photos travel with an export.</Small>
    </Stack>
  )
}

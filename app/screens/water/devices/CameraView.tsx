import { useState } from 'react'
import type { AttachedDevice } from '../../../../core/household/devices.ts'
import { pictureAddress } from '../../../devices/api.ts'
import { thisInstant } from '../../../frame/now.tsx'
import { UnkeptNote, useKeeping } from '../../../journal/keeping.tsx'
import { Button } from '../../../look/buttons.ts'
import { Bar, Line, Small, Stack } from '../../../look/text.ts'
import { keepPhotos } from '../../../photos/keeping.ts'
import { scaleDown } from '../../../photos/scale.ts'

/** What a camera sees now, and keeping it as a photo of its tank. */
export function CameraView({ device }: { device: AttachedDevice }) {
  const { run, busy, unkept } = useKeeping()
  const [at, setAt] = useState(thisInstant)
  const [said, setSaid] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const address = pictureAddress(device.channel, at)
  const keepIt = async () => {
    setSaid(null)
    try {
      const response = await fetch(address)
      if (!response.ok) throw new Error('the camera gave no picture')
      const photo = await scaleDown(await response.blob())
      if (await run((one) => keepPhotos(one, [photo], { tankId: device.tankId, caption: device.name })))
        setSaid('Kept.')
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  return (
    <Stack $gap={10}>
      <img
        src={address}
        alt={`What ${device.name} sees now`}
        style={{ maxWidth: 420, width: '100%', border: '1px solid var(--strong-rule)' }}
        onError={() => setProblem('the camera gives no picture')}
        onLoad={() => setProblem(null)}
      />
      {problem && <Bar $tone="act">{problem}</Bar>}
      <Line $gap={12}>
        <Button onPress={() => setAt(thisInstant())}>Look again</Button>
        <Button isDisabled={busy} onPress={() => void keepIt()}>
          Keep it as a photo
        </Button>
        {said && <Small role="status">{said}</Small>}
      </Line>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}

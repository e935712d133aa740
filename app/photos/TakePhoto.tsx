import { Camera, ImagePlus } from 'lucide-react'
import { useRef, useState } from 'react'
import { Button } from '../look/buttons.ts'
import { Bar, Line, Stack } from '../look/text.ts'
import { HiddenInput } from './HiddenInput.ts'
import { scaleDown, type ScaledPhoto } from './scale.ts'

/** A picture taken with the camera, or chosen; scaled down before it is handed on. */
export function TakePhoto({ what, onTaken }: { what: string; onTaken: (photo: ScaledPhoto) => void }) {
  const camera = useRef<HTMLInputElement>(null)
  const chooser = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<string | null>(null)
  const take = async (files: FileList | null) => {
    setBusy(true)
    setProblem(null)
    try {
      for (const file of files ?? []) onTaken(await scaleDown(file))
    } catch (error) {
      setProblem((error as Error).message)
    } finally {
      setBusy(false)
    }
  }
  const onChange = (event: React.ChangeEvent<HTMLInputElement>) => {
    void take(event.target.files).finally(() => (event.target.value = ''))
  }
  return (
    <Stack $gap={8}>
      <Line>
        <HiddenInput
          ref={camera}
          type="file"
          accept="image/*"
          capture="environment"
          aria-label={`Photo of ${what}, from the camera`}
          tabIndex={-1}
          onChange={onChange}
        />
        <HiddenInput
          ref={chooser}
          type="file"
          accept="image/*"
          multiple
          aria-label={`Photo of ${what}, from a file`}
          tabIndex={-1}
          onChange={onChange}
        />
        <Button onPress={() => camera.current?.click()} isDisabled={busy}>
          <Camera size={18} aria-hidden="true" /> Take a photo
        </Button>
        <Button onPress={() => chooser.current?.click()} isDisabled={busy}>
          <ImagePlus size={18} aria-hidden="true" /> Choose one
        </Button>
      </Line>
      {problem && (
        <Bar $tone="act" role="alert">
          {problem}
        </Bar>
      )}
    </Stack>
  )
}

import { useQuery } from '@tanstack/react-query'
import { Film } from 'lucide-react'
import { useEffect, useMemo, useRef, useState } from 'react'
import { styled } from 'styled-components'
import type { ContentOf } from '../../core/journal/entry.ts'
import type { Line as JournalLine } from '../../core/journal/journal.ts'
import { clipsOf } from '../journal/opened.ts'
import { useHousehold } from '../journal/provider.tsx'
import { Button } from '../look/buttons.ts'
import { Bar, Small, Stack } from '../look/text.ts'
import { HiddenInput } from './HiddenInput.ts'
import { keepClip } from './keeping.ts'

const Player = styled.video`
  display: block;
  width: 100%;
  max-width: 420px;
  border: 1px solid var(--strong-rule);
`

/** Takes a short film, of now or one that the camera took before, and keeps it beside an entry on this device. */
export function TakeClip({ what, about, tankId }: { what: string; about: string; tankId: string }) {
  const household = useHousehold()
  const chooser = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const take = async (input: HTMLInputElement) => {
    const file = input.files?.[0]
    if (!file) return
    setBusy(true)
    setProblem(null)
    try {
      await keepClip(household, file, { about, tankId })
    } catch (error) {
      setProblem((error as Error).message)
    } finally {
      input.value = ''
      setBusy(false)
    }
  }
  return (
    <Stack $gap={8}>
      <div>
        <HiddenInput
          ref={chooser}
          type="file"
          accept="video/*"
          tabIndex={-1}
          aria-label={`Clip of ${what}`}
          onChange={(event) => void take(event.target)}
        />
        <Button isDisabled={busy} onPress={() => chooser.current?.click()}>
          <Film size={18} aria-hidden="true" /> Keep a clip
        </Button>
      </div>
      {problem !== null && (
        <Bar $tone="act" role="alert">
          {problem}
        </Bar>
      )}
    </Stack>
  )
}

function KeptClip({ content, alt }: { content: ContentOf<'clip'>; alt: string }) {
  const { which } = useHousehold()
  const { data, isPending } = useQuery({
    queryKey: ['clip', which, content.clipId],
    queryFn: () => clipsOf(which).get(content.clipId),
    staleTime: Infinity,
  })
  const address = useMemo(
    () => (data ? URL.createObjectURL(new Blob([Uint8Array.from(data)], { type: content.mime })) : null),
    [data, content.mime],
  )
  useEffect(() => () => (address === null ? undefined : URL.revokeObjectURL(address)), [address])
  if (isPending) return <Small>…</Small>
  if (address === null) return <Small>A clip that is on the device that took it: no export holds clips.</Small>
  // A film through the microscope has no sound worth words.
  return <Player src={address} controls muted playsInline aria-label={content.caption ?? alt} />
}

/** The clips that lie beside an entry. */
export function Clips({ about, alt }: { about: string; alt: string }) {
  const { journal } = useHousehold()
  const clips = journal
    .about(`pictures:${about}`)
    .filter((line): line is JournalLine<ContentOf<'clip'>> => !line.struck && line.content.kind === 'clip')
  if (clips.length === 0) return null
  return (
    <Stack $gap={10}>
      {clips.map(({ id, content }) => (
        <KeptClip key={id} content={content} alt={alt} />
      ))}
    </Stack>
  )
}
